import type { ClothTest, TestId } from '../cloth-test';
import { bias } from './bias';
import { fray, heat, seeThroughTest, water } from './choices';
import { overhang } from './overhang';
import { shrinkage } from './shrinkage';
import { stretch } from './stretch';
import { thickness } from './thickness';
import { uptake } from './uptake';
import { weightTest } from './weight';

/** All home tests, in the order in which the bench lists them. */
export const CLOTH_TESTS: readonly ClothTest[] = [
  weightTest,
  thickness,
  overhang,
  stretch,
  bias,
  water,
  heat,
  seeThroughTest,
  fray,
  shrinkage,
  uptake,
];

/**
 * A test by its id.
 *
 * @example clothTest('weight').id // 'weight'
 */
export function clothTest(id: TestId): ClothTest {
  return CLOTH_TESTS.find((test) => test.id === id)!;
}
