import type { Fabric } from '../core/cloth';
import type { LawFigure, Material } from '../core/layers';
import type { LayerTestId, Readings } from '../core/measure';
import { Table, column, type Kept } from './table';

export interface LayerFields extends Omit<Material, 'id'> {
  note: string;
  origin: 'library' | 'own';
  inStock: boolean;
  estimated: readonly LawFigure[];
  /** What it is made of, where that is known. */
  fibres: Fabric['fibres'];
  /** Readings of the home tests that were done, with the local date. */
  tests: Partial<Record<LayerTestId, { readings: Readings; doneOn: string }>>;
}
export type Layer = LayerFields & Kept;

export const layers = new Table<LayerFields>('layer', 'layer', [
  column('name'),
  column('note'),
  column('origin'),
  column('family'),
  column('form'),
  column('arealDensity'),
  column('thickness'),
  column('bendingLength'),
  column('membraneStiffness'),
  column('stretchLength'),
  column('stretchCross'),
  column('tones', 'json'),
  column('opacity'),
  column('rollWidth'),
  column('leaflet', 'json'),
  column('glue'),
  column('wash'),
  column('dryClean', 'boolean'),
  column('preShrink', 'boolean'),
  column('grain', 'boolean'),
  column('ends'),
  column('stiffening'),
  column('pricePerMetre'),
  column('inStock', 'boolean'),
  column('estimated', 'json'),
  column('fibres', 'json'),
  column('tests', 'json'),
]);
