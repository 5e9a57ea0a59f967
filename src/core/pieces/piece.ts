import { InputError, requireNumber } from '../input-error';
import { drawShape, edgeNames, inset, outset, sourcesOf, type Outline, type PieceShape, type Point } from '../shape';
import { movedMark, type Mark } from './mark';

/** What is needed to know a piece's true outline and seams. mm. */
export interface PieceSpec {
  shape: PieceShape;
  /** Whether the shape is the line that is cut, or the line that is sewn. */
  line: 'cut' | 'sew';
  /** Seam allowance of each edge of the shape, mm. */
  allowances: readonly number[];
  /**
   * What one cut of the piece has instead at an edge, mm; null as the pattern has it. The seam line stays where it is. On the fold it is a
   * pleat: the fold is laid so far beyond the pattern's, and the pattern's own fold line is stitched on both halves.
   */
  own?: readonly (number | null)[] | null;
  /** Edge that lies on the fold, or null. */
  fold: number | null;
  /** Direction of the grain line, degrees counter-clockwise from upright. */
  grain: number;
  marks: readonly Mark[];
}

/** A piece opened out: its cut line with the seam allowance of every segment, and what is marked on it. */
export interface OpenPiece {
  /** Cut line, counter-clockwise, mm. */
  outline: Outline;
  /** Allowance of the segment from corner i to i + 1, mm. */
  allowances: number[];
  /** Edge of the shape that each segment belongs to. */
  edges: number[];
  /** Openings inside, clockwise, as they are cut, with their allowance and edge. */
  holes: { outline: Outline; allowance: number; edge: number }[];
  /** Seam lines: none where the allowances leave nothing. */
  seam: Outline[];
  marks: Mark[];
  /** Direction of the grain line, degrees counter-clockwise from upright. */
  grain?: number;
  /** Where the fold lies. */
  fold?: [Point, Point];
}

/**
 * A piece by the shape alone: cut line, straight grain, nothing marked.
 *
 * @example plainPiece(rectangle, 10).allowances // [ 10, 10, 10, 10 ]
 */
export function plainPiece(shape: PieceShape, allowance: number): PieceSpec {
  return { shape, line: 'cut', allowances: edgeNames(shape).map(() => allowance), fold: null, grain: 0, marks: [] };
}

/**
 * Opens a piece out. A piece on the fold is doubled, mirrored at the fold, and the fold itself is no edge any more. Where
 * the shape is the seam line, the cut line is the shape moved outward by the allowances.
 *
 * @throws {InputError} for a wrong number of allowances, a fold edge that is not straight, or allowances of an opening
 * that close it
 * @example openPiece(spec).seam.length // 1
 */
export function openPiece(spec: PieceSpec): OpenPiece {
  const drawn = drawShape(spec.shape);
  const names = edgeNames(spec.shape);
  if (spec.allowances.length !== names.length)
    throw new InputError('allowances', `must be one for each edge (${names.length}), saw ${spec.allowances.length}`);
  spec.allowances.forEach((mm, i) => requireNumber(`allowances[${i}]`, mm, 'mm', { min: 0, max: 500 }));
  const wanted = ownAllowances(spec, names.length);
  const opened =
    spec.fold === null ? { ...drawn, marks: [...spec.marks] } : unfolded(spec, spec.fold, spec.own?.[spec.fold] ?? 0);
  const given = opened.edges.map((edge) => spec.allowances[edge]!);
  const holes = opened.holes.map(({ outline, edge }) => {
    const pattern = spec.allowances[edge]!;
    const hole = cutHole(outline, spec.line === 'cut' ? pattern : wanted[edge]!, spec.line, edge);
    return { edge, ...(spec.line === 'cut' && wanted[edge] !== pattern ? cutHole(hole.sew, wanted[edge]!, 'sew', edge) : hole) };
  });
  const fold = 'fold' in opened ? { fold: opened.fold } : {};
  const common = { marks: opened.marks, grain: spec.grain, ...fold };
  const kept = holes.map(({ cut, allowance, edge }) => ({ outline: cut, allowance, edge }));
  const differs = opened.edges.some((edge) => wanted[edge] !== spec.allowances[edge]);
  if (spec.line === 'cut' && !differs) {
    const sewn = inset(opened.outline, given).outlines;
    return {
      outline: opened.outline,
      allowances: given,
      edges: opened.edges,
      holes: kept,
      seam: [...sewn, ...holes.map(({ sew }) => sew)],
      ...common,
    };
  }
  const sewn = spec.line === 'sew' ? { outline: opened.outline, edges: opened.edges } : seamLine(opened, given);
  const asked = sewn.edges.map((edge) => wanted[edge]!);
  const cut = outset(sewn.outline, asked);
  return {
    outline: cut.outline,
    allowances: cut.sources.map((i) => asked[i]!),
    edges: cut.sources.map((i) => sewn.edges[i]!),
    holes: kept,
    seam: [sewn.outline, ...holes.map(({ sew }) => sew)],
    ...common,
  };
}

/**
 * The line that is sewn, opened out, with the edge of the shape that each of its segments belongs to. It is the pattern's, whatever
 * allowances a cut has of its own.
 *
 * @throws {InputError} as for {@link openPiece}, and where the allowances leave more than one piece
 * @example sewnOutline(spec).outline.length // 4
 */
export function sewnOutline(spec: PieceSpec): { outline: Outline; edges: number[] } {
  // A pleat is stitched before a seam is: what is sewn is the pattern's.
  const opened = spec.fold === null ? drawShape(spec.shape) : unfolded(spec, spec.fold);
  if (spec.line === 'sew') return { outline: opened.outline, edges: opened.edges };
  return seamLine(
    opened,
    opened.edges.map((edge) => spec.allowances[edge]!),
  );
}

/**
 * A cut once its pleat at the fold is stitched: as wide as its pattern there, its marks where the pattern's mirror image has them. What is
 * sewn to what is asked of this; what is cut and printed is the wider one.
 *
 * @example stitched({ ...spec, fold: 3, own: [null, null, null, 20] }).own // [ null, null, null, null ]
 */
export function stitched<S extends Pick<PieceSpec, 'own' | 'fold'>>(spec: S): S {
  return spec.own && spec.fold !== null ? { ...spec, own: spec.own.map((mm, i) => (i === spec.fold ? null : mm)) } : spec;
}

/** Allowance of every edge of the shape as this cut has it, mm. @throws {InputError} */
function ownAllowances({ allowances, own }: PieceSpec, edges: number): number[] {
  if (!own) return [...allowances];
  if (own.length !== edges) throw new InputError('own', `must be one for each edge (${edges}), saw ${own.length}`);
  return own.map((mm, i) => {
    if (mm === null) return allowances[i]!;
    requireNumber(`own[${i}]`, mm, 'mm', { min: 0, max: 500 });
    return mm;
  });
}

/** Seam line of a drawn cut line, with the edge that each of its segments belongs to. */
function seamLine({ outline, edges }: { outline: Outline; edges: number[] }, given: number[]) {
  const [sewn, ...more] = inset(outline, given).outlines;
  if (!sewn || more.length > 0)
    throw new InputError('allowances', 'must leave the piece in one, so that another cut of it can follow its seam line');
  const sources = sourcesOf(
    sewn,
    outline,
    given.map((mm) => -mm),
  );
  return { outline: sewn, edges: sources.map((i) => edges[i]!) };
}

/** Cut and seam line of an opening: its allowance lies inside it, so the opening that is cut is the smaller one. */
function cutHole(outline: Outline, allowance: number, line: 'cut' | 'sew', edge: number) {
  if (line === 'cut') return { cut: outline, sew: [...outset(outline, allowance).outline].reverse(), allowance };
  const [cut, ...more] = inset(outline, allowance).outlines;
  if (!cut || more.length > 0)
    throw new InputError(`allowances[${edge}]`, `must leave the opening in one piece; ${allowance} mm closes it`);
  return { cut: [...cut].reverse(), sew: outline, allowance };
}

/** The shape doubled at its fold, which lies beyond its own by half of what a pleat takes, mm. */
function unfolded(spec: PieceSpec, fold: number, pleat = 0) {
  const { outline, edges, holes } = drawShape(spec.shape);
  const n = outline.length;
  // What lies in a shaped corner counts with the edge before it, so the fold is the longest segment of its edge.
  let start = -1;
  let longest = 0;
  let total = 0;
  edges.forEach((edge, i) => {
    if (edge !== fold) return;
    const a = outline[i]!;
    const b = outline[(i + 1) % n]!;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    total++;
    if (length > longest) {
      longest = length;
      start = i;
    }
  });
  if (start < 0 || (total > 1 && !hasStraightSides(spec.shape)))
    throw new InputError('fold', 'has no straight edge there; choose another edge');
  const a = outline[start]!;
  const b = outline[(start + 1) % n]!;
  // Outward of a line that runs counter-clockwise is to its right.
  const [beyondX, beyondY] = [(pleat * (b[1] - a[1])) / longest, (-pleat * (b[0] - a[0])) / longest];
  const beyond = ([x, y]: Point, times: number): Point => [x + times * beyondX, y + times * beyondY];
  const atFold = mirrorAt(a, b);
  const mirror = (p: Point): Point => beyond(atFold(p), 2);
  // From the end of the fold round to its start, then back over the mirror image.
  const half: Outline = [];
  const halfEdges: number[] = [];
  for (let k = 1; k <= n; k++) {
    half.push(outline[(start + k) % n]!);
    if (k < n) halfEdges.push(edges[(start + k) % n]!);
  }
  const back = half.slice(1, -1).reverse().map(mirror);
  // A pleat lengthens the edges that meet the fold; its two lines are stitched to each other.
  const [top, bottom] = pleat > 0 ? [[beyond(a, 2)], [beyond(b, 2)]] : [[], []];
  const [first, last] = [halfEdges[0]!, halfEdges.at(-1)!];
  const lines: Mark[] = pleat > 0 ? [{ kind: 'fold-line', at: a, to: b }, { kind: 'fold-line', at: beyond(a, 2), to: beyond(b, 2) }] : []; // prettier-ignore
  const mirrored = holes.map(({ outline: hole, edge }) => ({ outline: hole.map(mirror).reverse(), edge }));
  return {
    outline: [...half, ...top, ...back, ...bottom],
    edges: [...halfEdges, ...(pleat > 0 ? [last] : []), ...[...halfEdges].reverse(), ...(pleat > 0 ? [first] : [])],
    holes: [...holes, ...mirrored],
    marks: [
      ...spec.marks,
      ...spec.marks.filter((mark) => pleat > 0 || !isOnFold(mark, a, b)).map((mark) => movedMark(mark, mirror)),
      ...lines,
    ],
    fold: [beyond(a, 1), beyond(b, 1)] as [Point, Point],
  };
}

/** Marks this close to the fold are not doubled, mm. */
const ON_FOLD = 0.5;

/** Whether a mark is its own mirror image at the fold: it lies on the fold, or crosses it squarely at half its length. */
function isOnFold(mark: Mark, a: Point, b: Point): boolean {
  if (!mark.to) return distanceTo(a, b, mark.at) <= ON_FOLD;
  const mirrored = mirrorAt(a, b);
  const near = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]) <= 2 * ON_FOLD;
  const [at, to] = [mirrored(mark.at), mirrored(mark.to)];
  return (near(at, mark.at) && near(to, mark.to)) || (near(at, mark.to) && near(to, mark.at));
}

function hasStraightSides({ kind }: PieceShape): boolean {
  return kind === 'rectangle' || kind === 'rounded' || kind === 'angled';
}

/** Mirror image at the line through a and b. */
function mirrorAt(a: Point, b: Point): (p: Point) => Point {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  return ([x, y]) => {
    const out = (x - a[0]) * dy - (y - a[1]) * dx;
    return [x - 2 * out * dy, y + 2 * out * dx];
  };
}

function distanceTo(a: Point, b: Point, [x, y]: Point): number {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return Math.abs((x - a[0]) * (b[1] - a[1]) - (y - a[1]) * (b[0] - a[0])) / length;
}

/**
 * Width and height of a piece as it is cut, opened out, mm.
 *
 * @example pieceSize(piece) // { width: 300, height: 100 }
 */
export function pieceSize(piece: OpenPiece): { width: number; height: number } {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of piece.outline) {
    minX = Math.min(minX, x);
    minY = Math.min(minY, y);
    maxX = Math.max(maxX, x);
    maxY = Math.max(maxY, y);
  }
  return { width: maxX - minX, height: maxY - minY };
}
