import type { Fabric } from '../cloth';
import type { Air } from '../liquid';
import type { ChosenLayer } from '../layers';
import type { StitchRole } from './finishing';
import type { Order } from './order';
import type { FoundSetting, Iron } from './press-setting';
import type { Schools } from '../schools';

/** Where in the working order a step belongs. */
export type StepStage = 'prepare' | 'cut' | 'apply' | 'check';

/**
 * What kind of doing a step is: `press` counts iron stops, `wait` runs a clock, `check` has boxes to tick,
 * `do` is done when it is done.
 */
export type StepKind = 'do' | 'press' | 'wait' | 'check';

export interface Step {
  id: string;
  stage: StepStage;
  kind: StepKind;
  title: string;
  detail: string;
  /** Seconds for one iron stop (`press`), for the whole wait (`wait`), or that it takes about (`do`, where it can be told). */
  seconds?: number;
  /** How often each stop is pressed again, with lifts in between (`press`); once when it is not said. */
  lifts?: number;
  /** What to look for (`check`). */
  checks?: string[];
  /** Shown once, calmly, with the step. */
  safety?: string;
  /** The layer that it is for, as its place in the stack from 0. */
  layer?: number;
  /** Of a wait in which cloth dries: what it is to be at its end, which only the hand can tell. */
  until?: 'damp' | 'dry';
  /** It is done once for a whole sheet on which pieces lie side by side, not for a piece. */
  sheet?: true;
}

export interface StepsFor {
  fabric: Fabric;
  /** Outermost first. */
  layers: readonly ChosenLayer[];
  /** The stack is stitched on rather than worn. */
  stitched: boolean;
  /** What it is sewn as, when it is stitched. */
  role?: StitchRole;
  /** The cloth is not hooped itself but lies on the sheet. */
  floats: boolean;
  bias: boolean;
  /** It will be washed, so everything is shrunk first. */
  washed: boolean;
  cutAlready: boolean;
  /** Schools of practice that are followed. */
  schools: Schools;
  /** Settings that were found best on scraps of this cloth, and the layers they are for. */
  found?: readonly FoundSetting[];
  /** The layers are cut already. */
  layersCut?: boolean;
  /** When pieces are cut; cloth and layer apart when it is not said. */
  order?: Order;
  /** Longest side of the piece, mm; a long one is tacked before it is pressed. */
  longest?: number;
  /** All that is treated as a length before it is cut, mm². */
  yardage?: number;
  /** Edge of one piece all round, mm, for what is sewn along it. */
  around?: number;
  /** What is shaped and never washed, such as flowers. */
  modelled?: boolean;
  /** The air in which it hangs to dry; a still room when it is not said. */
  air?: Air | undefined;
  /** The iron that is used; any when it is not said. */
  iron?: Iron | undefined;
}
