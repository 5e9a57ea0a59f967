import type { Fabric } from '../core/cloth';
import type { LawFigure, Material } from '../core/layers';
import type { Bottle } from '../core/liquid';
import type { LayerTestId, Readings } from '../core/measure';
import { Table, type Kept } from './table';

export interface LayerFields extends Omit<Material, 'id' | 'use'> {
  note: string;
  origin: 'library' | 'own';
  inStock: boolean;
  estimated: readonly LawFigure[];
  /** What it is made of, where that is known. */
  fibres: Fabric['fibres'];
  /** Readings of the home tests that were done, with the local date. */
  tests: Partial<Record<LayerTestId, { readings: Readings; doneOn: string }>>;
  /** Of a liquid: what is known of its bottle. */
  bottle: Bottle;
}
export type Layer = LayerFields & Kept;

export const layers = new Table<LayerFields>('layer', 'layer', {
  name: 'plain',
  note: 'plain',
  origin: 'plain',
  family: 'plain',
  form: 'plain',
  arealDensity: 'plain',
  thickness: 'plain',
  bendingLength: 'plain',
  membraneStiffness: 'plain',
  stretchLength: 'plain',
  stretchCross: 'plain',
  tones: 'json',
  opacity: 'plain',
  rollWidth: 'plain',
  leaflet: 'json',
  glue: 'plain',
  wash: 'plain',
  dryClean: 'boolean',
  preShrink: 'boolean',
  grain: 'boolean',
  ends: 'plain',
  stiffening: 'plain',
  pricePerMetre: 'plain',
  inStock: 'boolean',
  estimated: 'json',
  fibres: 'json',
  tests: 'json',
  bottle: 'json',
});
