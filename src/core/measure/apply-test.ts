import type { Fabric } from '../cloth';
import { InputError } from '../input-error';
import type { Readings, TestId } from './cloth-test';
import { clothTest } from './tests';

/** Properties that are absent, rather than wrong, when they were not measured. */
const ABSENT_UNLESS_MEASURED: readonly (keyof Fabric)[] = [
  'overhang',
  'thickness',
  'biasGive',
  'shrinkLength',
  'shrinkCross',
  'uptake',
];

/**
 * The cloth as it is after a test: the properties that the readings settle are set. Readings that are null take the
 * test back: what only a measurement can tell is forgotten, the rest stays as it was last.
 *
 * @throws {InputError} naming the reading that cannot be, or one that the test does not know
 * @example applyTest({ ...poplin, tests: {} }, 'weight', null).arealDensity // 115
 */
export function applyTest<T extends Fabric>(cloth: T, id: TestId, readings: Readings | null): T {
  const test = clothTest(id);
  if (readings === null) {
    const cleared = { ...cloth } as Record<string, unknown>;
    for (const property of test.settles) if (ABSENT_UNLESS_MEASURED.includes(property)) delete cleared[property];
    return cleared as unknown as T;
  }
  const known = test.fields.map((field) => field.id);
  for (const field of Object.keys(readings)) {
    if (!known.includes(field)) throw new InputError(field, `is not a reading of this test; it takes ${known.join(', ')}`);
  }
  return { ...cloth, ...test.read(readings).patch };
}

/**
 * Tests whose figures no longer stand in the cloth, because they were changed by hand since.
 *
 * @example overwritten(poplin, { ...poplin, arealDensity: 120 }, ['weight']) // [ 'weight' ]
 */
export function overwritten<T extends Fabric>(before: T, after: Fabric, done: readonly TestId[]): TestId[] {
  return done.filter((id) => clothTest(id).settles.some((property) => before[property] !== after[property]));
}

/**
 * Properties of a cloth that its tests have settled.
 *
 * @example measuredOf({ tests: {} }) // []
 */
export function measuredOf(cloth: { tests: Partial<Record<TestId, unknown>> }): string[] {
  return (Object.keys(cloth.tests) as TestId[]).flatMap((id) => [...clothTest(id).settles]);
}
