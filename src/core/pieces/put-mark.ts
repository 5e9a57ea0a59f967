import { bounds, distanceToEdge, isInside, nearestOnBorder, type Outline, type Point } from '../shape';
import { edgeRuns, type EdgeRun } from './edge-runs';
import { hasPoint, movedMark, type Mark, type MarkKind } from './mark';
import type { OpenPiece } from './piece';

type Bordered = Pick<OpenPiece, 'outline' | 'edges' | 'holes' | 'fold'>;

/** A place nearer to an axis than this share of the piece is meant to lie on it. */
const NEAR_AXIS = 0.03;
/** The centre front or back is drawn to the axis from farther away. */
const NEAR_CENTRE = 0.12;
/** Usual widths, mm. */
const DART_WIDTH = 20;
const ZIP_WIDTH = 10;
/** A place this near to the border lies on it, mm. */
const ON_BORDER = 0.01;
/** Longest a new dart or window is, mm, and its share of the piece. */
const LONGEST_NEW = 120;
const SHARE_NEW = 0.4;

/** Where a mark can be drawn to. */
export const SNAPS = ['centre', 'half-way', 'edge', 'edge-middle'] as const;
export type Snap = (typeof SNAPS)[number];
export const SNAP_WORDS: Record<Snap, string> = {
  centre: 'on the centre line',
  'half-way': 'half-way up',
  edge: 'on the nearest edge',
  'edge-middle': 'in the middle of the nearest edge',
};

/**
 * A new mark of a kind where somebody touched the piece: notches and darts go to the border, anything that is nearly on an axis
 * goes exactly onto it, a dart points inward, a fold line runs across the piece.
 *
 * @param piece mm, opened out
 * @example newMark('centre-front', piece, [148, 30]).at // [150, 30]
 */
export function newMark(kind: MarkKind, piece: Bordered, place: Point): Mark {
  const { minX, minY, maxX, maxY } = bounds(piece.outline);
  const [width, height] = [maxX - minX, maxY - minY];
  if (kind === 'notch') return { kind, at: nearestOnBorder(piece.outline, place).at };
  const reach = Math.min(LONGEST_NEW, SHARE_NEW * Math.min(width, height));
  if (hasPoint(kind)) {
    const { at, edge } = nearestOnBorder(piece.outline, place);
    const inward = leftOf(piece.outline, edge);
    const to: Point = [at[0] + reach * inward[0], at[1] + reach * inward[1]];
    return { kind, at, to, ...(kind === 'dart' ? { width: Math.min(DART_WIDTH, reach / 2) } : {}) };
  }
  // A touch beside the piece means its border.
  const held = isInside(place, piece.outline) ? place : nearestOnBorder(piece.outline, place).at;
  const at = nearAxes(piece, held, kind === 'centre-front' || kind === 'centre-back' ? NEAR_CENTRE : NEAR_AXIS);
  if (kind === 'fold-line') {
    const ends = acrossAt(piece.outline, at);
    return { kind, at: ends[0], to: ends[1] };
  }
  if (kind === 'zip') {
    const half = Math.min(LONGEST_NEW, SHARE_NEW * width) / 2;
    return { kind, at: [at[0] - half, at[1]], to: [at[0] + half, at[1]], width: Math.min(ZIP_WIDTH, half) };
  }
  return { kind, at };
}

/**
 * A mark drawn to an axis or an edge exactly, as a whole: what runs from one place to another keeps its length and direction.
 *
 * @param piece mm, opened out; the centre line is the fold where it has one that stands upright, otherwise half its width
 * @example snapMark({ kind: 'drill', at: [148, 20] }, piece, 'centre').at // [150, 20]
 */
export function snapMark(mark: Mark, piece: Bordered, snap: Snap): Mark {
  const [x, y] = mark.at;
  const target = (): Point => {
    if (snap === 'edge') return nearestOnBorder(piece.outline, mark.at).at;
    if (snap === 'edge-middle') return alongRun(nearestRun(piece, mark.at), 0.5);
    const { centre, middle } = axesOf(piece);
    // A line lies with its middle on the axis.
    const [dx, dy] = mark.to && !hasPoint(mark.kind) ? [(mark.to[0] - x) / 2, (mark.to[1] - y) / 2] : [0, 0];
    return snap === 'centre' ? [centre - dx, y] : [x, middle - dy];
  };
  const [tx, ty] = target();
  return movedMark(mark, ([px, py]) => [px + tx - x, py + ty - y]);
}

/**
 * Marks that part the edge nearest to a place in four: three on an edge with two ends, four round a closed one.
 *
 * @param piece mm, opened out
 * @example quarterMarks(piece, [150, 0]).map(({ at }) => at) // [[75, 0], [150, 0], [225, 0]]
 */
export function quarterMarks(piece: Bordered, place: Point): Mark[] {
  const run = nearestRun(piece, place);
  return (run.closed ? [0, 0.25, 0.5, 0.75] : [0.25, 0.5, 0.75]).map((share) => ({ kind: 'quarter', at: alongRun(run, share) }));
}

/** Where the centre line and the line half-way up lie. */
function axesOf({ outline, fold }: Pick<OpenPiece, 'outline' | 'fold'>): { centre: number; middle: number } {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const upright = fold && Math.abs(fold[0][0] - fold[1][0]) < 1e-6;
  return { centre: upright ? fold[0][0] : (minX + maxX) / 2, middle: (minY + maxY) / 2 };
}

function nearAxes(piece: Bordered, [x, y]: Point, share: number): Point {
  const { minX, minY, maxX, maxY } = bounds(piece.outline);
  const { centre, middle } = axesOf(piece);
  return [
    Math.abs(x - centre) <= share * (maxX - minX) ? centre : x,
    Math.abs(y - middle) <= NEAR_AXIS * (maxY - minY) ? middle : y,
  ];
}

/** Unit vector to the left of a segment, which is inward of an outline that runs counter-clockwise. */
function leftOf(outline: Outline, segment: number): Point {
  const [a, b] = [outline[segment]!, outline[(segment + 1) % outline.length]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
}

/** Ends of the level stretch of a piece that holds a place; on the border, of the stretch that begins there. */
function acrossAt(outline: Outline, [x, y]: Point): [Point, Point] {
  const crossings = outline.flatMap((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    return a[1] <= y !== b[1] <= y ? [a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])] : [];
  });
  const before = crossings.filter((each) => each < x - ON_BORDER);
  const after = crossings.filter((each) => each > x + ON_BORDER);
  const left = before.length > 0 ? Math.max(...before) : Math.min(x, ...crossings);
  const right = after.length > 0 ? Math.min(...after) : Math.max(x, ...crossings);
  return [
    [left, y],
    [right, y],
  ];
}

function nearestRun(piece: Bordered, place: Point): EdgeRun {
  const away = ({ points, closed }: EdgeRun) =>
    Math.min(...segmentsOf(points, closed).map(([a, b]) => distanceToEdge(a, b, place)));
  return edgeRuns(piece)
    .map((run) => ({ run, distance: away(run) }))
    .reduce((best, each) => (each.distance < best.distance ? each : best)).run;
}

function segmentsOf(points: Outline, closed: boolean): [Point, Point][] {
  const ends = points.slice(1).map((b, i): [Point, Point] => [points[i]!, b]);
  return closed ? [...ends, [points.at(-1)!, points[0]!]] : ends;
}

/** The place at a share of a stretch's length. */
function alongRun({ points, closed }: EdgeRun, share: number): Point {
  const segments = segmentsOf(points, closed);
  const lengths = segments.map(([a, b]) => Math.hypot(b[0] - a[0], b[1] - a[1]));
  let rest = share * lengths.reduce((sum, length) => sum + length, 0);
  let i = 0;
  while (i < segments.length - 1 && rest > lengths[i]!) rest -= lengths[i++]!;
  const [a, b] = segments[i]!;
  const t = lengths[i]! > 0 ? rest / lengths[i]! : 0;
  return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
}
