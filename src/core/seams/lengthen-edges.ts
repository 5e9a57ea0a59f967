import { InputError, requireNumber } from '../input-error';
import { movedMark, seamLength, type PieceSpec } from '../pieces';
import {
  drawShape,
  edgeNames,
  edgePoints,
  moveCorner,
  nearestOnBorder,
  type DrawnEdge,
  type DrawnShape,
  type PieceShape,
  type Point,
} from '../shape';

/** Where edges are made longer or shorter: at their beginning, their end, as the shape is drawn, or half at each. */
export type AtEnd = 'start' | 'end' | 'both';

/** Most that edges are changed by, as a share of their length: more is another pattern. */
const MOST = 0.25;
/** The seam is as long as was asked to this, mm. */
const NEAR = 0.02;
const MOST_STEPS = 24;
/** A mark this near to the border lies on it, mm. */
const ON_BORDER = 1;

/**
 * Makes the seam line along some edges longer or shorter: the corner at one end, or at both, is moved along the edge, and the edge beside it goes
 * with it, as it is done with a ruler on paper. Never at the fold. Marks on the border stay on it.
 *
 * @param edges numbers of edges of the shape that follow each other
 * @param by mm over the whole opened piece; below 0 shorter
 * @throws {InputError} `edges` that have no free end; `by` for more than a quarter of them, or where the outline would cross itself
 * @example lengthenEdges(spec, [0], 12, 'end').allowances.length // 4
 */
export function lengthenEdges(spec: PieceSpec, edges: readonly number[], by: number, at: AtEnd): PieceSpec {
  const now = seamLength(spec, edges);
  requireNumber('by', by, 'mm', { min: -MOST * now, max: MOST * now });
  const shape = edgewise(spec.shape);
  const ends = freeEnds(shape, spec.fold, edges).filter((each) => at === 'both' || each.at === at);
  if (ends.length === 0)
    throw new InputError('edges', 'must have an end that is free there; it runs all round, or into the fold');
  const moved = (d: number): PieceSpec => {
    const drawn = ends.reduce((before, { corner, out }): DrawnShape => {
      const [x, y] = before.edges[corner]!.from;
      const share = d / ends.length;
      return {
        ...before,
        edges: moveCorner({ edges: before.edges, sources: [] }, corner, [x + share * out[0], y + share * out[1]]).edges,
      };
    }, shape);
    return { ...spec, shape: drawn };
  };
  // The seam grows nearly as the corner moves; what angles and the fold make of it is found by false position.
  let [d, step] = [0, by];
  let off = -by;
  for (let k = 0; k < MOST_STEPS && Math.abs(off) > NEAR; k++) {
    const next = d + step;
    const found = seamLength(moved(next), edges) - now - by;
    const slope = (found - off) / (next - d);
    if (!(Math.abs(slope) > 1e-3)) throw new InputError('by', 'cannot be reached by moving that end; take the other one');
    [d, off] = [next, found];
    step = -off / slope;
  }
  if (!(Math.abs(off) <= 10 * NEAR)) throw new InputError('by', 'cannot be reached by moving that end; take the other one');
  const changed = moved(d);
  return { ...changed, marks: carried(spec, changed) };
}

/** The same shape with one drawn edge for each of its edges, so that what is said of an edge stays said of it. */
function edgewise(shape: PieceShape): DrawnShape {
  if (shape.kind === 'drawn') return shape;
  const { outline, edges, holes } = drawShape(shape);
  const n = outline.length;
  const first = Math.max(0, edges.findIndex((edge, i) => edge !== edges[(i + n - 1) % n])); // prettier-ignore
  const found: DrawnEdge[] = [];
  const owners: number[] = [];
  for (let k = 0; k < n; k++) {
    const i = (first + k) % n;
    if (owners.at(-1) !== edges[i]) {
      found.push({ from: outline[i]!, via: [] });
      owners.push(edges[i]!);
    } else found.at(-1)!.via!.push(outline[i]!);
  }
  const names = edgeNames(shape).length - holes.length;
  const start = owners.indexOf(0);
  if (owners.length !== names || start < 0)
    throw new InputError('edges', 'must be of a shape whose edges all show; draw it as an outline first');
  const turned = found.map((_, k) => found[(start + k) % names]!);
  if (owners.some((_, k) => owners[(start + k) % names] !== k))
    throw new InputError('edges', 'must follow each other in the shape; draw it as an outline first');
  return { kind: 'drawn', edges: turned, ...(holes.length > 0 ? { holes: holes.map((hole) => hole.outline) } : {}) };
}

interface FreeEnd {
  at: 'start' | 'end';
  corner: number;
  /** Unit vector along the edge, away from it. */
  out: Point;
}

/** The ends of a run of edges that do not lie on the fold. */
function freeEnds({ edges }: DrawnShape, fold: number | null, run: readonly number[]): FreeEnd[] {
  const n = edges.length;
  const inRun = (edge: number) => run.includes((edge + n) % n);
  const first = run.find((edge) => !inRun(edge - 1));
  const last = run.find((edge) => !inRun(edge + 1));
  if (first === undefined || last === undefined || run.some((edge) => edge >= n)) return [];
  const pointsOf = (edge: number) => [...edgePoints(edges[edge]!, edges[(edge + 1) % n]!.from), edges[(edge + 1) % n]!.from];
  const [head, tail] = [pointsOf(first), pointsOf(last)];
  const ends: FreeEnd[] = [];
  if ((first + n - 1) % n !== fold) ends.push({ at: 'start', corner: first, out: towards(head[1]!, head[0]!) });
  if ((last + 1) % n !== fold) ends.push({ at: 'end', corner: (last + 1) % n, out: towards(tail.at(-2)!, tail.at(-1)!) });
  return ends;
}

function towards([x, y]: Point, [u, v]: Point): Point {
  const length = Math.hypot(u - x, v - y) || 1;
  return [(u - x) / length, (v - y) / length];
}

/** Marks that lay on the border lie on it still, at the same share of their segment. */
function carried(before: PieceSpec, after: PieceSpec): PieceSpec['marks'] {
  const [was, is] = [drawShape(before.shape).outline, drawShape(after.shape).outline];
  if (was.length !== is.length) return before.marks;
  return before.marks.map((mark) => {
    const { edge, at, distance } = nearestOnBorder(was, mark.at);
    if (distance > ON_BORDER) return mark;
    const [a, b] = [was[edge]!, was[(edge + 1) % was.length]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const share = Math.hypot(at[0] - a[0], at[1] - a[1]) / length;
    const [p, q] = [is[edge]!, is[(edge + 1) % is.length]!];
    const to: Point = [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])];
    return movedMark(mark, ([x, y]) => [x + to[0] - at[0], y + to[1] - at[1]]);
  });
}
