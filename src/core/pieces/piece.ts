import { InputError } from '../input-error';
import { pieceOutline, type Outline, type PieceShape, type Point } from '../shape';

/** Side of a typed piece: 0 bottom, 1 right, 2 top, 3 left. */
export type Side = 0 | 1 | 2 | 3;

export const SIDE_WORDS = ['bottom', 'right', 'top', 'left'] as const;

/** What is needed to know a piece's true outline and seams. mm. */
export interface PieceSpec {
  shape: PieceShape;
  /** Seam allowance of each side, mm, included in the shape. */
  allowances: readonly [number, number, number, number];
  /** Side that lies on the fold, or null. */
  fold: Side | null;
}

/** A piece opened out: its outline and the seam allowance of every edge. */
export interface OpenPiece {
  outline: Outline;
  allowances: number[];
}

/**
 * Opens a piece out. A piece on the fold becomes twice as wide, mirrored at the fold, and the fold itself is
 * no edge any more.
 *
 * @returns outline counter-clockwise; `allowances[i]` belongs to the edge from corner i to i + 1
 * @throws {InputError} when the fold side has a shaped corner at its end, so that the halves would not meet
 */
export function openPiece(spec: PieceSpec): OpenPiece {
  const { outline, sides } = pieceOutline(spec.shape);
  const allowances = sides.map((side) => spec.allowances[side]);
  if (spec.fold === null) return { outline, allowances };
  const fold = spec.fold;
  const start = sides.findIndex(
    (side, i) => side === fold && liesOnSide(outline[i]!, outline[(i + 1) % outline.length]!, fold, spec.shape),
  );
  if (start < 0) throw new InputError('fold', 'has no straight edge left on that side; choose another side or smaller corners');
  const n = outline.length;
  // Walk from the end of the fold edge round to its start, then back over the mirror image.
  const half: Outline = [];
  const halfAllowances: number[] = [];
  for (let k = 1; k <= n; k++) {
    half.push(outline[(start + k) % n]!);
    if (k < n) halfAllowances.push(allowances[(start + k) % n]!);
  }
  const mirror = mirrorAt(fold, spec.shape);
  const back = half.slice(1, -1).reverse().map(mirror);
  return { outline: [...half, ...back], allowances: [...halfAllowances, ...[...halfAllowances].reverse()] };
}

/** Whether an edge runs along the straight line of a side, rather than through a shaped corner. */
function liesOnSide(a: Point, b: Point, side: Side, shape: PieceShape): boolean {
  const at = side === 0 ? 0 : side === 1 ? shape.width : side === 2 ? shape.height : 0;
  const axis = side === 0 || side === 2 ? 1 : 0;
  return a[axis] === at && b[axis] === at;
}

function mirrorAt(side: Side, shape: PieceShape): (p: Point) => Point {
  if (side === 0) return ([x, y]) => [x, -y];
  if (side === 1) return ([x, y]) => [2 * shape.width - x, y];
  if (side === 2) return ([x, y]) => [x, 2 * shape.height - y];
  return ([x, y]) => [-x, y];
}
