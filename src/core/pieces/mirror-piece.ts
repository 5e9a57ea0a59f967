import type { Outline, Point } from '../shape';
import { movedMark } from './mark';
import type { OpenPiece } from './piece';

const flip = ([x, y]: Point): Point => [-x, y];
/** Mirrored, with its winding as it was. */
const flipped = (outline: Outline): Outline => outline.map(flip).reverse();
/** What belongs to the stretch from corner i to i + 1, in the order of the mirrored outline. */
function turned<T>(each: readonly T[]): T[] {
  const back = [...each].reverse();
  return [...back.slice(1), ...back.slice(0, 1)];
}

/**
 * The mirror image of a piece: what lies wrong side to wrong side with it is cut so.
 *
 * @example mirrorPiece(piece).outline.length === piece.outline.length // true
 */
export function mirrorPiece(piece: OpenPiece): OpenPiece {
  const { outline, allowances, edges, holes, seam, marks, grain, fold } = piece;
  return {
    outline: flipped(outline),
    allowances: turned(allowances),
    edges: turned(edges),
    holes: holes.map((hole) => ({ ...hole, outline: flipped(hole.outline) })),
    seam: seam.map(flipped),
    marks: marks.map((mark) => movedMark(mark, flip)),
    ...(grain === undefined ? {} : { grain: -grain }),
    ...(fold ? { fold: [flip(fold[0]), flip(fold[1])] } : {}),
  };
}
