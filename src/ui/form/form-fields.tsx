import { useId, type ComponentProps } from 'react';
import Field from './Field';

interface Common {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
}

/** A line of text that is tied to a form, or to a value. */
export function TextInput({ label, error, hint, maxLength = 120, ...input }: Common & ComponentProps<'input'>) {
  const id = useId();
  return (
    <Field label={label} id={id} error={error} hint={hint}>
      <input
        id={id}
        className={`input ${error ? 'input-error' : ''}`}
        autoComplete="off"
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : hint ? `${id}-hint` : undefined}
        {...(input.type === 'number' ? {} : { maxLength })}
        {...input}
      />
    </Field>
  );
}

/** A line of text with its value. */
export function TextField({
  onChange,
  ...rest
}: Common & { value: string; onChange: (value: string) => void; placeholder?: string; maxLength?: number }) {
  return <TextInput {...rest} onChange={(event) => onChange(event.target.value)} />;
}

/** One of a few words, tied to a form or to a value. */
export function SelectInput({
  label,
  error,
  hint,
  options,
  ...select
}: Common & { options: readonly (readonly [string, string])[] } & ComponentProps<'select'>) {
  const id = useId();
  return (
    <Field label={label} id={id} error={error} hint={hint}>
      <select id={id} className="select" {...select}>
        {options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
      </select>
    </Field>
  );
}

/** One of a few words with its value. */
export function SelectField<T extends string>({
  onChange,
  ...rest
}: Common & { value: T; onChange: (value: T) => void; options: readonly (readonly [T, string])[] }) {
  return <SelectInput {...rest} onChange={(event) => onChange(event.target.value as T)} />;
}

/** A tick box with its words, tied to a form. */
export function CheckInput({
  label,
  error: _error,
  ...input
}: { label: string; error?: string | undefined } & ComponentProps<'input'>) {
  return (
    <label className="flex min-h-[44px] w-fit cursor-pointer items-center gap-2">
      <input type="checkbox" className="checkbox checkbox-primary" {...input} />
      {label}
    </label>
  );
}

/** A tick box with its words. */
export function CheckField({
  label,
  checked,
  small = false,
  onChange,
}: {
  label: string;
  checked: boolean;
  /** In a line of text. */
  small?: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-[44px] w-fit cursor-pointer items-center gap-2">
      <input
        type="checkbox"
        className={`checkbox checkbox-primary ${small ? 'checkbox-sm' : ''}`}
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}

/** Pairs for a select from plain words. */
export function plainOptions<T extends string>(values: readonly T[]): [T, string][] {
  return values.map((value) => [value, value]);
}
