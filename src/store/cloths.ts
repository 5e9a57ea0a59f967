import type { Fabric } from '../core/cloth';
import type { Readings, TestId } from '../core/measure';
import { Table, type Kept } from './table';

/** Readings of a home test and the day they were taken. */
export interface TestRecord {
  readings: Readings;
  /** Local date, yyyy-mm-dd. */
  doneOn: string;
}

export interface ClothFields extends Fabric {
  name: string;
  note: string;
  origin: 'library' | 'own';
  /** Width as it is sold, mm, and what a metre costs, minor units. */
  rollWidth?: number;
  pricePerMetre?: number;
  /** Home tests that were done. */
  tests: Partial<Record<TestId, TestRecord>>;
}
export type Cloth = ClothFields & Kept;

export const cloths = new Table<ClothFields>('cloth', 'cloth', {
  name: 'plain',
  note: 'plain',
  origin: 'plain',
  construction: 'plain',
  weave: 'plain?',
  fibres: 'json',
  arealDensity: 'plain',
  thickness: 'plain?',
  stretchLength: 'plain',
  stretchCross: 'plain',
  ironDots: 'plain',
  water: 'plain',
  sheer: 'plain',
  tone: 'plain',
  surface: 'json',
  fray: 'plain',
  overhang: 'plain?',
  biasGive: 'plain?',
  shrinkLength: 'plain?',
  shrinkCross: 'plain?',
  uptake: 'plain?',
  prewashed: 'boolean?',
  rollWidth: 'plain?',
  pricePerMetre: 'plain?',
  tests: 'json',
});
