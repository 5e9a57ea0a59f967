import type { Part as PartWish } from '../core/choose';
import type { Extent, Predicted } from '../core/layers';
import type { LayerCut, Mark } from '../core/pieces';
import type { Schools } from '../core/schools';
import type { FoundSetting } from '../core/steps';
import type { PieceShape } from '../core/shape';
import { Table, column, type Kept } from './table';

/** A chosen stack as it is kept with its part. */
export interface KeptStack {
  title: string;
  /** Outermost first. */
  layers: { materialId: string; extent: Extent; angle: number; cut?: LayerCut }[];
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
  /** Whether the shape is the line that is cut, or the line that is sewn. */
  line: 'cut' | 'sew';
  /** One for each edge of the shape, mm. */
  allowances: number[];
  /** Edge that lies on the fold. */
  fold: number | null;
  /** Direction of the grain line, degrees counter-clockwise from upright. */
  grain: number;
  marks: Mark[];
  /** Pieces in all, half of them mirrored when they come in pairs. */
  count: number;
  pairs: boolean;
  /** A print or nap runs one way. */
  oneWay: boolean;
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
  column('line'),
  column('fold'),
  column('grain'),
  column('marks', 'json'),
  column('count'),
  column('pairs', 'boolean'),
  column('oneWay', 'boolean'),
  column('stack', 'json'),
  column('glueUp', 'boolean'),
  column('cutDone', 'boolean'),
]);
