import type { Extent, Join, Predicted } from '../core/layers';
import type { LayerCut } from '../core/pieces';
import type { Schools } from '../core/schools';
import type { FoundSetting } from '../core/steps';
import type { CutJob } from '../core/workpiece';
import { Table, type Kept } from './table';

/** A layer of a kept stack. A cloth of the cupboard is named by `cloth:` and its id. */
export interface KeptLayer {
  materialId: string;
  extent: Extent;
  angle: number;
  /** How it is joined, where that is not its own way. */
  join?: Join;
  cut?: LayerCut;
}

/** A chosen stack as it is kept with its job. */
export interface KeptStack {
  title: string;
  /** Outermost first. */
  layers: KeptLayer[];
  predicted: Predicted;
  reasons: string[];
  cautions: string[];
  /** Ways of working that were switched for this job. */
  schools?: Partial<Schools>;
  /** Setting that a scrap test found best for one of the layers; it goes before the leaflet's. */
  setting?: FoundSetting;
  /** It was put together by the person. */
  own?: boolean;
  /** Hard stops that the person knows of and takes all the same. */
  accepted?: string[];
}

export interface JobFields extends Omit<CutJob<KeptStack>, 'id'> {
  position: number;
}
export type Job = JobFields & Kept;

export const jobs = new Table<JobFields>('job', 'job', {
  cutId: 'plain',
  name: 'plain',
  place: 'json',
  wish: 'json',
  stack: 'json',
  glueUp: 'boolean',
  cutDone: 'boolean',
  position: 'plain',
});
