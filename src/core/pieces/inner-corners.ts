import { signedArea, type Outline, type Point } from '../shape';
import { openPiece, sewnOutline, type PieceSpec } from './piece';

/** A corner of the sewn line that turns into the piece. */
export interface InnerCorner {
  at: Point;
  /** By how much the line turns there, degrees. */
  turn: number;
  /** The larger of the allowances that meet there, mm. */
  allowance: number;
}

/** A curve that is drawn in short stretches turns less than this at each of them, degrees. */
const LEAST_TURN = 20;
/** Stretches that are shorter belong to a curve or are rounding, mm. */
const SHORT = 2;

/**
 * Corners of the sewn line that turn into the piece, of its openings too: cloth is clipped there, and something has to hold it. Both halves of a
 * piece on the fold have theirs; rounded ones are none.
 *
 * @throws {InputError} as {@link openPiece}
 * @example innerCorners(spec).length // 0
 */
export function innerCorners(spec: PieceSpec): InnerCorner[] {
  const sewn = sewnOutline(spec);
  const wanted = (edge: number) => spec.own?.[edge] ?? spec.allowances[edge]!;
  const outer = cornersOf(
    sewn.outline,
    sewn.edges.map((edge) => wanted(edge)),
  );
  const opened = openPiece(spec);
  // The sewn line of an opening follows that of the outline, in the order of the openings.
  const lines = opened.seam.slice(opened.seam.length - opened.holes.length);
  const inner = opened.holes.flatMap(({ edge }, i) => {
    const line = signedArea(lines[i]!) > 0 ? [...lines[i]!].reverse() : lines[i]!;
    return cornersOf(
      line,
      line.map(() => wanted(edge)),
    );
  });
  return [...outer, ...inner];
}

/** Right turns of a line that has its cloth to the left. */
function cornersOf(line: Outline, allowances: readonly number[]): InnerCorner[] {
  const n = line.length;
  return line.flatMap((at, i) => {
    const [before, after] = [line[(i + n - 1) % n]!, line[(i + 1) % n]!];
    const [ux, uy, vx, vy] = [at[0] - before[0], at[1] - before[1], after[0] - at[0], after[1] - at[1]];
    if (Math.hypot(ux, uy) < SHORT || Math.hypot(vx, vy) < SHORT) return [];
    const turn = (-Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy) * 180) / Math.PI;
    return turn < LEAST_TURN ? [] : [{ at, turn, allowance: Math.max(allowances[i]!, allowances[(i + n - 1) % n]!) }];
  });
}
