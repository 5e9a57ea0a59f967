import type { Fabric } from '../cloth';
import type { ChosenLayer, Material } from '../layers';
import type { Air } from '../liquid';
import { lower } from '../letters';
import { traitsOf, type Role, type Traits } from '../part';
import type { LayerCut, OpenPiece, Place } from '../pieces';
import type { PressTool } from '../press';
import type { Schools } from '../schools';
import type { FoundSetting, Iron, Order } from '../steps';

/** What of a hoop bears on how it is used. */
export interface HoopInHand {
  kind: 'screw' | 'magnetic';
  mount: 'arm' | 'bar';
  mountSide: string;
  /** How it lies on the cloth, in words; empty where it lies straight. */
  turn: string;
}

/** One job with its stack, as every technique sees it: the cloth, the layers, where it is done and how the person works. */
export interface WorkJob {
  fabric: Fabric;
  /** What follows from the cloth, where it was worked out already. */
  traits?: Traits;
  /** Outermost first. */
  layers: readonly ChosenLayer[];
  /** What the part is; unknown on a scrap. */
  role?: Role;
  /** The stack is stitched on rather than worn. */
  stitched: boolean;
  /** The cloth is not hooped itself but lies on the sheet. */
  floats: boolean;
  bias: boolean;
  /** It will be washed, so everything is shrunk first. */
  washed: boolean;
  cutAlready: boolean;
  /** Schools of practice that are followed. */
  schools: Schools;
  /** Settings that were found best on scraps of this cloth, and the layers they are for. */
  found?: readonly FoundSetting[] | undefined;
  /** The layers are cut already. */
  layersCut?: boolean | undefined;
  /** When pieces are cut; cloth and layer apart when it is not said. */
  order?: Order | undefined;
  /** With what it is pressed; a hand iron when it is not said. */
  tool?: PressTool | undefined;
  /** The air in which it hangs to dry; a still room when it is not said. */
  air?: Air | undefined;
  /** The iron that is used; any when it is not said. */
  iron?: Iron | undefined;
  /** Pieces in all; one when it is not said. */
  count?: number | undefined;
  /** Bounding size of one piece with its allowances, mm; unknown on a scrap. */
  width?: number | undefined;
  height?: number | undefined;
  /** All that is treated as a length before it is cut, mm²; the pieces' bounding rectangles when it is not said. */
  yardage?: number | undefined;
  /** The piece opened out, where it was described. */
  piece?: OpenPiece | undefined;
  /** Where on it the job is done; as the role usually has it when it is not said. */
  place?: Place | undefined;
  /** How each layer is cut where that differs from what the place and the role say. */
  cuts?: readonly (LayerCut | undefined)[] | undefined;
  /** How far layers are trimmed, mm. */
  trim?: number | undefined;
  /** What is stitched, mm. */
  motif?: { width: number; height: number } | undefined;
  /** The hoop that it is worked in, where that is known. */
  hoop?: HoopInHand | undefined;
  /** Ground under the ring of the hoop and a little more, of one piece, mm²; where the hoop is known. */
  underHoop?: number | undefined;
}

/** One layer of a job. */
export interface LayerAt {
  job: WorkJob;
  layer: ChosenLayer;
  /** Its place in the stack, from 0. */
  index: number;
}

/**
 * What follows from the cloth of a job: whether it gives, is open, sealed, marked by a hoop, ruined by pressing.
 *
 * @example traitsIn(workJob).sealed // false
 */
export function traitsIn({ fabric, bias, traits }: Pick<WorkJob, 'fabric' | 'bias' | 'traits'>): Traits {
  return traits ?? traitsOf(fabric, { role: 'whole-panel', cut: bias ? 'bias' : 'straight', stretch: 'any', care: 'none' });
}

/**
 * Whether an iron may come near the cloth at all.
 *
 * @example bearsIron(workJob) // true
 */
export function bearsIron(job: Pick<WorkJob, 'fabric' | 'bias' | 'traits'>): boolean {
  const { sealed, ruinedByPressing } = traitsIn(job);
  return job.fabric.ironDots > 0 && !sealed && !ruinedByPressing;
}

/**
 * A material as it is called in the middle of a sentence that says itself how it is used.
 *
 * @example called(lightWoven) // 'light woven fusible, 45 g'
 */
export function called({ use, name }: Pick<Material, 'use' | 'name'>): string {
  return lower(use?.of ?? name);
}

/**
 * Pieces of a job.
 *
 * @example piecesOf(workJob) // 1
 */
export function piecesOf({ count = 1 }: Pick<WorkJob, 'count'>): number {
  return count;
}

/**
 * Id of a layer's own steps: materials may come twice in a stack.
 *
 * @example stepId({ job: workJob, layer: stack[0], index: 0 }, 'lay') // 'light-woven-fusible-45-g-0-lay'
 */
export function stepId({ layer: { material }, index }: LayerAt, end: string): string {
  return `${material.id}-${index}-${end}`;
}
