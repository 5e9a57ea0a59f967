import type { Fabric } from '../cloth';
import { InputError, requireNumber } from '../input-error';

export const TEST_IDS = [
  'weight',
  'thickness',
  'stretch',
  'bias',
  'overhang',
  'water',
  'heat',
  'see-through',
  'fray',
  'shrinkage',
  'uptake',
] as const;
export type TestId = (typeof TEST_IDS)[number];

/** What is read off: lengths in mm, masses in g, angles in degrees, choices by their id. */
export type FieldKind = 'length' | 'mass' | 'count' | 'angle' | 'choice';

export interface TestField {
  id: string;
  label: string;
  kind: FieldKind;
  /** May be left empty. */
  optional?: boolean;
  /** Stands there to begin with. */
  start?: number | string;
  options?: readonly (readonly [id: string, words: string])[];
  /** Only asked when another field has this choice. */
  when?: readonly [field: string, choice: string];
  hint?: string;
  /** Fields with the same heading stand together. */
  group?: string;
}

/** Readings by field; what was left empty is absent. */
export type Readings = Record<string, number | string>;

/** A figure that follows from the readings. */
export interface Figure {
  label: string;
  value: number;
  unit: 'g/m²' | 'mm' | '%' | 'µN·m';
  /** Half the width of the range that four repeats out of five fall into, in the same unit. */
  give?: number;
}

export interface TestResult<P = Partial<Fabric>> {
  figures: Figure[];
  /** What the readings say of the thing that was tested. */
  patch: P;
  /** What it means for the work, in a sentence or two. */
  meaning: string;
}

/** One home test: how it is done, what is read off, what follows. One file each. */
export interface HomeTest<Id extends string, P> {
  id: Id;
  title: string;
  /** What the figure is good for. */
  purpose: string;
  /** How it is done, in order. */
  steps: readonly string[];
  fields: readonly TestField[];
  /** How the figures come from the readings, and what makes them unsure; shown to whoever asks why. */
  why: string;
  /** Properties that it settles. */
  settles: readonly (keyof P)[];
  /** @throws {InputError} naming the field that cannot be */
  read(readings: Readings): TestResult<P>;
}

/** A home test of a cloth. */
export type ClothTest = HomeTest<TestId, Partial<Fabric>>;

/**
 * A number among the readings. @throws {InputError} when it is missing or outside its bounds
 *
 * @example numberOf({ mass: 1.5 }, 'mass', 'g', { above: 0 }) // 1.5
 */
export function numberOf(readings: Readings, field: string, unit: string, limits: Parameters<typeof requireNumber>[3]): number {
  const value = readings[field];
  if (value === undefined) throw new InputError(field, 'is missing');
  if (typeof value !== 'number') throw new InputError(field, `must be a number, saw ${JSON.stringify(value)}`);
  requireNumber(field, value, unit, limits);
  return value;
}

/**
 * A number that may be left out.
 *
 * @example optionalNumber({}, 'mass', 'g', { above: 0 }) // undefined
 */
export function optionalNumber(
  readings: Readings,
  field: string,
  unit: string,
  limits: Parameters<typeof requireNumber>[3],
): number | undefined {
  return readings[field] === undefined ? undefined : numberOf(readings, field, unit, limits);
}

/**
 * One of a field's choices. @throws {InputError} when it is none of them
 *
 * @example choiceOf({ way: 'fixed' }, 'way', ['fixed', 'angle']) // 'fixed'
 */
export function choiceOf<T extends string>(readings: Readings, field: string, options: readonly T[]): T {
  const value = readings[field];
  if (value === undefined) throw new InputError(field, 'is missing');
  if (!options.includes(value as T))
    throw new InputError(field, `must be one of ${options.join(', ')}, saw ${JSON.stringify(value)}`);
  return value as T;
}
