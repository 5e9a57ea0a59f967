import { InputError } from '../../core/input-error';

/** Reads a plain number as typed, with point or comma. @throws {InputError} naming the field */
export function readNumber(field: string, text: string, unit: string): number {
  const value = Number(text.trim().replace(',', '.'));
  if (text.trim() === '' || !Number.isFinite(value))
    throw new InputError(
      field,
      `write a number${unit ? ` of ${unit}` : ''}; saw ${text.trim() === '' ? 'nothing' : JSON.stringify(text)}`,
    );
  return value;
}

/** The same for a field that may be left empty. */
export function readOptional(field: string, text: string, unit: string): number | undefined {
  return text.trim() === '' ? undefined : readNumber(field, text, unit);
}
