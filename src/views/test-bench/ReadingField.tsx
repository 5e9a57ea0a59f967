import { useId } from 'react';
import { InputError } from '../../core/input-error';
import type { TestField } from '../../core/measure';
import { lengthForField, parseLength, type LengthSystem } from '../../core/units';
import Field from '../../ui/form/Field';

const GRAMS_PER_OUNCE = 28.349523125;

/** Reads what was typed for a field; throws with plain words when it cannot be read. */
export function readTyped(field: TestField, typed: string, system: LengthSystem): number | string | undefined {
  const text = typed.trim();
  if (text === '') return undefined;
  if (field.kind === 'choice') return text;
  if (field.kind === 'length') return parseLength(text, system, field.id);
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*(g|kg|oz|°)?$/i.exec(text);
  if (!match)
    throw new InputError(field.id, `write a number${field.kind === 'mass' ? ' such as 1.7 g or 0.06 oz' : ''}; saw “${text}”`);
  const value = Number(match[1]!.replace(',', '.'));
  if (field.kind !== 'mass') return value;
  const unit = match[2]?.toLowerCase();
  return unit === 'oz' ? value * GRAMS_PER_OUNCE : unit === 'kg' ? value * 1000 : value;
}

/** Writes a kept reading back into its field. */
export function writeReading(field: TestField, value: number | string | undefined, system: LengthSystem): string {
  if (value === undefined) return '';
  if (typeof value === 'string') return value;
  if (field.kind === 'length') return lengthForField(value, system);
  return field.kind === 'mass' ? `${Number(value.toFixed(2))} g` : String(value);
}

interface Props {
  field: TestField;
  value: string;
  error: string | undefined;
  onChange: (value: string) => void;
}

/** One reading: a choice as big buttons, a figure as a line of text. */
export default function ReadingField({ field, value, error, onChange }: Props) {
  const id = useId();
  if (field.kind === 'choice') {
    return (
      <fieldset>
        <legend className="mb-1 font-semibold">{field.label}</legend>
        <div className="flex flex-wrap gap-2">
          {field.options?.map(([option, words]) => (
            <label
              key={option}
              className={`flex min-h-[44px] cursor-pointer items-center gap-2 rounded-field border-2 px-3 ${value === option ? 'border-primary bg-base-100 font-semibold' : 'border-base-300 hover:border-primary'}`}
            >
              <input
                type="radio"
                className="radio radio-primary radio-sm"
                name={id}
                value={option}
                checked={value === option}
                onChange={() => onChange(option)}
              />
              {words}
            </label>
          ))}
        </div>
        {error && (
          <p role="alert" className="mt-1 font-semibold text-error">
            {error}
          </p>
        )}
      </fieldset>
    );
  }
  return (
    <Field label={field.label} id={id} error={error} hint={field.hint}>
      <input
        id={id}
        className={`input ${error ? 'input-error' : ''}`}
        value={value}
        autoComplete="off"
        aria-invalid={error !== undefined}
        aria-describedby={error ? `${id}-error` : field.hint ? `${id}-hint` : undefined}
        onChange={(e) => onChange(e.target.value)}
      />
    </Field>
  );
}
