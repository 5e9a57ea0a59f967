import { InputError } from '../../input-error';
import { edgeRunsOf, movedMark, sewnOutline, type Mark, type PieceSpec } from '../../pieces';
import {
  distanceToEdge,
  drawShape,
  inset,
  nearestOnBorder,
  perimeter,
  signedArea,
  type DrawnShape,
  type Outline,
  type Point,
} from '../../shape';

/** One part of a piece, with what each of its edges was in the piece. */
export interface PiecePart {
  shape: DrawnShape;
  /** The edge of the piece's shape that each edge of the part lies on; null for one that runs inside it. */
  from: (number | null)[];
  /** Length of each edge, mm. */
  lengths: number[];
}

/** A piece parted by a line that runs so far inside some of its edges. */
export interface PartedPiece {
  /** What lies along the edges, once; and what is left of the whole piece beside them. */
  along: PiecePart;
  rest: PiecePart;
  /** How often the edges come in the piece as it is opened out: twice where the fold lies between them. */
  runs: number;
  /** Marks of the piece that lie on these edges. */
  marks: Mark[];
}

/** Remains of less than this are rounding, mm². */
const DUST = 1;
/** What lies no farther from a line is on it, mm. */
const ON_LINE = 0.02;
/** A mark lies on the edge itself, mm. */
const MARKED = 1;

/**
 * Parts a piece along some of its edges, on the line that is sewn, opened out: the inner line keeps the depth from each of them. Edges that
 * come twice, on both sides of a fold, are parted once.
 *
 * @param depth mm
 * @throws {InputError} `edges` when they do not follow each other, or when no edge is left; `depth` when nothing is left of the piece
 * @example partAlong({ ...spec, line: 'sew' }, [0], 40).along.from.length // 4
 */
export function partAlong(spec: PieceSpec, edges: readonly number[], depth: number): PartedPiece {
  if (drawShape(spec.shape).holes.length > 0) throw new InputError('edges', 'must be of a piece without an opening');
  const sewn = sewnOutline(spec);
  const n = sewn.outline.length;
  const runs = edgeRunsOf(sewn.edges, edges);
  const run = runs[0]!;
  if (run.length === n) throw new InputError('edges', 'must leave an edge of the piece free');
  const meant = new Set(run);
  /** What is left when so much is taken from these segments. */
  const without = (segments: ReadonlySet<number>): PiecePart => {
    const left = inset(
      sewn.outline,
      sewn.outline.map((_, i) => (segments.has(i) ? depth : 0)),
    ).outlines.filter((path) => Math.abs(signedArea(path)) > DUST);
    if (left.length !== 1)
      throw new InputError('depth', `must leave the piece in one; ${depth} mm leaves ${left.length} parts of it`);
    return partOf(left[0]!, sewn);
  };
  const beside = besideOf(without(meant), sewn.outline);
  if (!beside || Math.abs(signedArea(beside)) < DUST)
    throw new InputError('depth', `must lie along the edge in one; ${depth} mm does not`);
  const marks = spec.marks.filter(({ at }) => {
    const { edge, distance } = nearestOnBorder(sewn.outline, at);
    return distance < MARKED && meant.has(edge);
  });
  return { along: partOf(beside, sewn), rest: without(new Set(runs.flat())), runs: runs.length, marks };
}

/**
 * What lies between the inner line of the rest and the border of the piece: from where that line begins along the border to where it ends, and
 * back on the line itself; nothing where there is no such line, or more than one.
 */
function besideOf({ shape, from }: PiecePart, border: Outline): Outline | undefined {
  const inner = from.flatMap((owner, i) => (owner === null ? i : []));
  const [at] = inner;
  if (at === undefined || inner.length > 1) return undefined;
  const { from: a, via = [] } = shape.edges[at]!;
  const b = shape.edges[(at + 1) % shape.edges.length]!.from;
  const n = border.length;
  const [start, end] = [nearestOnBorder(border, a).edge, nearestOnBorder(border, b).edge];
  const along: Outline = [a];
  for (let k = (start + 1) % n; ; k = (k + 1) % n) {
    along.push(border[k]!);
    if (k === end) break;
  }
  along.push(b, ...[...via].reverse());
  const far = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]);
  return along.filter((point, i) => far(point, along[(i + along.length - 1) % along.length]!) > ON_LINE);
}

/** A drawn shape of an outline inside a piece: its edges begin and end where those of the piece do. */
function partOf(outline: Outline, piece: { outline: Outline; edges: number[] }): PiecePart {
  const points = withCorners(outline, piece);
  const n = points.length;
  const owners = points.map((a, i) => {
    const b = points[(i + 1) % n]!;
    const middle: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    const { edge, distance } = nearestOnBorder(piece.outline, middle);
    return distance < ON_LINE ? piece.edges[edge]! : null;
  });
  const first = Math.max(0, owners.findIndex((owner, i) => owner !== owners[(i + n - 1) % n])); // prettier-ignore
  const shape: DrawnShape = { kind: 'drawn', edges: [] };
  const from: (number | null)[] = [];
  for (let k = 0; k < n; k++) {
    const i = (first + k) % n;
    const owner = owners[i]!;
    if (k === 0 || owner !== owners[(i + n - 1) % n]) {
      shape.edges.push({ from: points[i]!, via: [] });
      from.push(owner);
    } else shape.edges.at(-1)!.via!.push(points[i]!);
  }
  const lengths = shape.edges.map(({ from: at, via = [] }, i) => {
    const line = [at, ...via, shape.edges[(i + 1) % shape.edges.length]!.from];
    return line.slice(1).reduce((sum, [x, y], k) => sum + Math.hypot(x - line[k]![0], y - line[k]![1]), 0);
  });
  return { shape, from, lengths };
}

/** An outline with the corners of the piece at which one of its edges ends, where the library has left them out as needless. */
function withCorners(outline: Outline, piece: { outline: Outline; edges: number[] }): Outline {
  const n = piece.outline.length;
  const corners = piece.outline.filter((_, i) => piece.edges[i] !== piece.edges[(i + n - 1) % n]);
  return outline.flatMap((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const far = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]);
    const between = corners
      .filter((corner) => far(corner, a) > ON_LINE && far(corner, b) > ON_LINE && distanceToEdge(a, b, corner) < ON_LINE / 2)
      .sort((p, q) => far(p, a) - far(q, a));
    return [a, ...between];
  });
}

/**
 * The mirror image of a part, as it is cut of what lies wrong side to wrong side with the piece.
 *
 * @example mirroredPart(partAlong({ ...spec, line: 'sew' }, [0], 40).along).from.length // 4
 */
export function mirroredPart({ shape, from, lengths }: PiecePart): PiecePart {
  const flip = ([x, y]: Point): Point => [-x, y];
  const n = shape.edges.length;
  // Backwards, each edge begins where it ended.
  const edges = shape.edges.map((_, k) => {
    const i = (2 * n - 1 - k) % n;
    const { via = [] } = shape.edges[i]!;
    return { from: flip(shape.edges[(i + 1) % n]!.from), via: [...via].reverse().map(flip) };
  });
  const backwards = <T>(list: readonly T[]): T[] => list.map((_, k) => list[(2 * n - 1 - k) % n]!);
  return { shape: { kind: 'drawn', edges }, from: backwards(from), lengths: backwards(lengths) };
}

/**
 * Marks as they lie on the mirror image.
 *
 * @example mirroredMarks([{ kind: 'notch', at: [3, 4] }]) // [{ kind: 'notch', at: [-3, 4] }]
 */
export function mirroredMarks(marks: readonly Mark[]): Mark[] {
  return marks.map((mark) => movedMark(mark, ([x, y]) => [-x, y]));
}

/**
 * Whether a part is its own mirror image, so that nothing has to be turned over, within a tenth of a millimetre.
 *
 * @example isSymmetric(partAlong({ ...spec, line: 'sew' }, [0], 40).along) // true
 */
export function isSymmetric({ shape }: PiecePart): boolean {
  const { outline } = drawShape(shape);
  const xs = outline.map(([x]) => x);
  const axis = Math.min(...xs) + Math.max(...xs);
  const near = (p: Point) => nearestOnBorder(outline, p).distance < 0.1;
  return perimeter(outline) > 0 && outline.every(([x, y]) => near([axis - x, y]));
}
