import type { Fabric } from '../core/cloth';
import { Table, column, type Kept } from './table';

export interface ClothFields extends Fabric {
  name: string;
  note: string;
  origin: 'library' | 'own';
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
    column('prewashed', 'boolean'),
  ],
  ['weave', 'thickness', 'overhang', 'prewashed'],
);
