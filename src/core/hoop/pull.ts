import { STITCH, type Motif } from '../motif';
import type { PullField, ElasticSheet } from './elastic-sheet';

/**
 * Pull that stays in a sewn thread once it has settled, N. Our own starting figure, so chosen that a motif at the limit of
 * what cloth and sheet carry shortens them by two to four hundredths; re-fitted from the log.
 */
const THREAD_PULL = 0.05;

/**
 * Pull of stitches on the cells of a sheet. A stitch of length L in direction u pulls its ends together with force f, which
 * over the area A of a cell is a stress f · L/A · u⊗u; it is shared among the cells it passes.
 *
 * @param sheet the grid @param originX left edge of the sheet, mm @param originY lower edge, mm
 * @param upTo records that are sewn so far; all when left out
 * @example pullOf(motif, sheet, 0, 0).length // 768
 */
export function pullOf(
  { x, y, command }: Motif,
  { columns, rows, dx, dy }: ElasticSheet,
  originX: number,
  originY: number,
  upTo = command.length,
): PullField {
  const pull = new Float64Array(3 * columns * rows);
  const perArea = THREAD_PULL / (dx * dy);
  for (let i = 1; i < upTo; i++) {
    if (command[i] !== STITCH || command[i - 1] !== STITCH) continue;
    const [ax, ay, bx, by] = [x[i - 1]!, y[i - 1]!, x[i]!, y[i]!];
    const [lx, ly] = [bx - ax, by - ay];
    const length = Math.sqrt(lx * lx + ly * ly);
    if (length === 0) continue;
    const parts = Math.max(1, Math.ceil((2 * length) / Math.min(dx, dy)));
    const share = (perArea * length) / parts;
    const [ux, uy] = [lx / length, ly / length];
    for (let k = 0; k < parts; k++) {
      const t = (k + 0.5) / parts;
      const c = Math.floor((ax + t * lx - originX) / dx);
      const r = Math.floor((ay + t * ly - originY) / dy);
      if (c < 0 || r < 0 || c >= columns || r >= rows) continue;
      const at = 3 * (r * columns + c);
      pull[at]! += share * ux * ux;
      pull[at + 1]! += share * uy * uy;
      pull[at + 2]! += share * ux * uy;
    }
  }
  return pull;
}
