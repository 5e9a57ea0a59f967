import type { LayerOutline, LayerOutlineOptions } from '../../pieces';
import type { LayerAt } from '../job';
import { regionOf } from '../lying';

/**
 * Region of a strip, whatever extent the stack says for it.
 *
 * @example stripLies({ job: { ...workJob, piece }, layer: stack[0], index: 0 }).runningLength // 280
 */
export function stripLies(at: LayerAt, own: Partial<LayerOutlineOptions> = {}): LayerOutline | undefined {
  return regionOf(at, own, 'strip');
}

/**
 * Length that a strip runs on one piece, mm; undefined where the piece is not known.
 *
 * @example stripRunOf({ job: { ...workJob, piece }, layer: stack[0], index: 0 }) // 280
 */
export function stripRunOf(at: LayerAt, own: Partial<LayerOutlineOptions> = {}): number | undefined {
  const run = stripLies(at, own)?.runningLength;
  if (run !== undefined) return run;
  const { width, height } = at.job;
  return width === undefined || height === undefined ? undefined : Math.max(width, height);
}
