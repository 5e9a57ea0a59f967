/**
 * Bad input to the core: a value of the right kind that breaks a rule.
 *
 * `field` is the path of the offending value as the caller wrote it, for example `outline[3]` or
 * `pieces[1].outline`, so that an endpoint can hand it on unchanged.
 */
export class InputError extends RangeError {
  readonly field: string;

  constructor(field: string, message: string) {
    super(`${field}: ${message}`);
    this.name = 'InputError';
    this.field = field;
  }
}

/**
 * Does something whose bad input is named from farther out: `count` becomes `pieces[2].count`.
 *
 * @throws {InputError} with the path before its field
 * @example within('layers[0]', () => 1) // 1
 */
export function within<T>(path: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) throw new InputError(`${path}.${error.field}`, error.message.slice(error.field.length + 2));
    throw error;
  }
}

/**
 * Shows a value in an error message without letting a huge one flood it.
 *
 * @example shown('a cat') // '"a cat"'
 */
export function shown(value: unknown): string {
  const text = typeof value === 'string' ? JSON.stringify(value) : String(value);
  return text.length > 60 ? `${text.slice(0, 57)}...` : text;
}

/** A bound that was computed, without the digits that nobody typed. */
function tidy(bound: number): number {
  return Number(bound.toFixed(3));
}

/** Bounds of a number; an omitted bound does not apply. */
export interface Bounds {
  above?: number;
  min?: number;
  max?: number;
  below?: number;
}

/**
 * Checks a number against bounds and returns it.
 *
 * @throws {InputError} naming `field`, the value seen and what is allowed. NaN and infinities fail.
 * @example requireNumber('width', 3, 'mm', { min: 0 }) // 3
 */
export function requireNumber(field: string, value: number, unit: string, bounds: Bounds): number {
  const { above, min, max, below } = bounds;
  const fits =
    Number.isFinite(value) &&
    (above === undefined || value > above) &&
    (min === undefined || value >= min) &&
    (max === undefined || value <= max) &&
    (below === undefined || value < below);
  if (!fits) {
    const rules = [
      above !== undefined ? `more than ${tidy(above)}` : '',
      min !== undefined ? `at least ${tidy(min)}` : '',
      max !== undefined ? `at most ${tidy(max)}` : '',
      below !== undefined ? `less than ${tidy(below)}` : '',
    ].filter(Boolean);
    throw new InputError(field, `must be ${rules.join(' and ')}${unit ? ` ${unit}` : ''}, saw ${shown(value)}`);
  }
  return value;
}
