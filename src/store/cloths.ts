import type { Fabric } from '../core/cloth';
import type { Readings, TestId } from '../core/measure';
import { Table, column, type Kept } from './table';

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

export const cloths = new Table<ClothFields>(
  'cloth',
  'cloth',
  [
    column('name'),
    column('note'),
    column('origin'),
    column('construction'),
    column('weave'),
    column('fibres', 'json'),
    column('arealDensity'),
    column('thickness'),
    column('stretchLength'),
    column('stretchCross'),
    column('ironDots'),
    column('water'),
    column('sheer'),
    column('tone'),
    column('surface', 'json'),
    column('fray'),
    column('overhang'),
    column('biasGive'),
    column('shrinkLength'),
    column('shrinkCross'),
    column('prewashed', 'boolean'),
    column('rollWidth'),
    column('pricePerMetre'),
    column('tests', 'json'),
  ],
  ['weave', 'thickness', 'overhang', 'biasGive', 'shrinkLength', 'shrinkCross', 'prewashed', 'rollWidth', 'pricePerMetre'],
);
