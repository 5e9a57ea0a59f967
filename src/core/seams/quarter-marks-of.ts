import { drawShape, type Point } from '../shape';
import { openPiece, stitched, type Mark, type PieceSpec } from '../pieces';
import { placeAlong, ringBegins, seamRuns } from './seam-run';

/** Marks nearer to each other than this are one, mm. */
const SAME = 2;
/** What lies this near to the fold is on it, mm. */
const ON_FOLD = 0.5;

/**
 * Marks that part a seam line in four, on the half of a folded piece that is drawn; places that are marked already, and the fold itself, are left
 * out. Sewn to an edge that is marked so too, whatever is longer spreads evenly.
 *
 * @throws {InputError} as for the lines of a seam
 * @example quarterMarksOf(spec, [0]).map(({ at }) => at[0]) // [80, 150, 220]
 */
export function quarterMarksOf(spec: PieceSpec, edges: readonly number[]): Mark[] {
  const { fold, marks } = openPiece(stitched(spec));
  const runs = seamRuns(spec, edges);
  return runs.flatMap(({ points, closed, length, marks: own }) =>
    (closed ? [0, 0.25, 0.5, 0.75] : [0.25, 0.5, 0.75]).flatMap((share): Mark[] => {
      const from = closed ? ringBegins(own) : 0;
      const at = placeAlong(points, (from + share * length) % length).place;
      // The mirror image is made by unfolding; the fold is a mark already.
      if (fold && besideLine(fold, at) * Math.sign(besideLine(fold, middleOf(spec))) <= ON_FOLD) return [];
      const taken = marks.some((mark) => Math.hypot(mark.at[0] - at[0], mark.at[1] - at[1]) < SAME);
      return taken ? [] : [{ kind: 'quarter', at }];
    }),
  );
}

/** How far a place lies to the left of a line, mm. */
function besideLine([a, b]: [Point, Point], [x, y]: Point): number {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return ((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / length;
}

/** A place on the half that is drawn. */
function middleOf({ shape }: PieceSpec): Point {
  const { outline } = drawShape(shape);
  const sum = outline.reduce(([x, y], [u, v]): Point => [x + u, y + v], [0, 0] as Point);
  return [sum[0] / outline.length, sum[1] / outline.length];
}
