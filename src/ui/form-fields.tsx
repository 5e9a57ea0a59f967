import { useId } from 'react';
import Field from './Field';

interface Common {
  label: string;
  error?: string | undefined;
  hint?: string | undefined;
}

/** A line of text. */
export function TextField({
  label,
  value,
  onChange,
  error,
  hint,
  placeholder,
  maxLength = 120,
}: Common & { value: string; onChange: (value: string) => void; placeholder?: string; maxLength?: number }) {
  const id = useId();
  return (
    <Field label={label} id={id} error={error} hint={hint}>
      <input
        id={id}
        className={`input ${error ? 'input-error' : ''}`}
        value={value}
        maxLength={maxLength}
        placeholder={placeholder}
        autoComplete="off"
        aria-invalid={error !== undefined}
        onChange={(e) => onChange(e.target.value)}
      />
    </Field>
  );
}

/** One of a few words. */
export function SelectField<T extends string>({
  label,
  value,
  onChange,
  options,
  error,
  hint,
}: Common & { value: T; onChange: (value: T) => void; options: readonly (readonly [T, string])[] }) {
  const id = useId();
  return (
    <Field label={label} id={id} error={error} hint={hint}>
      <select id={id} className="select" value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
      </select>
    </Field>
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

/** Ties text fields to a draft by their names: value, change, and the error that the field is to show. */
export function textBinder<D extends object>(draft: D, set: (change: Partial<D>) => void, errors: Record<string, string>) {
  return (key: keyof D & string, error = errors[key]) => ({
    value: String(draft[key]),
    error,
    onChange: (value: string) => set({ [key]: value } as Partial<D>),
  });
}
