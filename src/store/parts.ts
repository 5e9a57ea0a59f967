import type { Part as PartWish } from '../core/choose';
import type { Extent, Predicted } from '../core/layers';
import type { Schools } from '../core/schools';
import type { FoundSetting } from '../core/steps';
import type { PieceShape } from '../core/shape';
import { Table, column, type Kept } from './table';

/** A chosen stack as it is kept with its part. */
export interface KeptStack {
  title: string;
  /** Outermost first. */
  layers: { materialId: string; extent: Extent; angle: number }[];
  predicted: Predicted;
  reasons: string[];
  cautions: string[];
  /** Ways of working that were switched for this part. */
  schools?: Partial<Schools>;
  /** Setting that a scrap test found best for one of the layers; it goes before the leaflet's. */
  setting?: FoundSetting;
}

export interface PartFields {
  projectId: string;
  name: string;
  clothId: string | null;
  wish: PartWish;
  shape: PieceShape;
  /** Bottom, right, top, left, mm. */
  allowances: [number, number, number, number];
  fold: 0 | 1 | 2 | 3 | null;
  count: number;
  stack: KeptStack | null;
  /** The layer is laid glue side up for cutting. */
  glueUp: boolean;
  cutDone: boolean;
}
export type Part = PartFields & Kept;

export const parts = new Table<PartFields>('part', 'part', [
  column('projectId'),
  column('name'),
  column('clothId'),
  column('wish', 'json'),
  column('shape', 'json'),
  column('allowances', 'json'),
  column('fold'),
  column('count'),
  column('stack', 'json'),
  column('glueUp', 'boolean'),
  column('cutDone', 'boolean'),
]);
