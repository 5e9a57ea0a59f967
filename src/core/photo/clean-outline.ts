import type { Outline, Point } from '../shape';
import { crossingOf, lineThrough, type Line } from './lines';

/** An outline with its corners found, straight edges straight and curves smooth. */
export interface CleanOutline {
  outline: Outline;
  /** Which points are corners, by their place in the outline. */
  corners: number[];
}

/** A corner turns by at least this much within the reach, degrees and mm. */
const TURNS = 24;
const REACH = 9;
/** An edge is straight where nine in ten of its points stand off by no more, mm, and where its middle does not stand off to one side. */
const STRAIGHT = 0.5;
const BOW = 0.18;
/** Points this near a corner are rounded by the picture and are not used for lines, mm. */
const ROUNDED = 2.2;
/** Points of a curve are left out while it moves by less, mm. */
const THINNED = 0.12;

/**
 * Corners, straight edges and smooth curves from many measured points.
 *
 * @param points a closed outline, equally spaced, mm
 * @example cleanOutline(evenly([[0, 0], [100, 0], [100, 60], [0, 60]], 1.6)).corners.length // 4
 */
export function cleanOutline(points: Outline): CleanOutline {
  const n = points.length;
  const [first, second] = [points[0]!, points[1]!];
  const step = Math.max(0.2, Math.hypot(second[0] - first[0], second[1] - first[1]));
  const corners = cornersOf(points, step);
  if (corners.length < 2) return { outline: thinnedRound(smooth(points, true)), corners: [] };
  const edges = corners.map((from, i) => {
    const to = corners[(i + 1) % corners.length]!;
    const count = (to - from + n) % n || n;
    return edgeOf(
      Array.from({ length: count + 1 }, (_, k) => points[(from + k) % n]!),
      step,
    );
  });
  const outline: Outline = [];
  const found: number[] = [];
  edges.forEach((edge, i) => {
    const before = edges[(i + edges.length - 1) % edges.length]!;
    found.push(outline.length);
    outline.push(meeting(before.end, edge.start, points[corners[i]!]!));
    outline.push(...edge.between);
  });
  return { outline, corners: found };
}

/** An edge: the lines in which it begins and ends, and what lies between its corners. */
interface Edge {
  start: Line;
  end: Line;
  between: Outline;
}

function cornersOf(points: Outline, step: number): number[] {
  const n = points.length;
  const reach = Math.max(3, Math.round(REACH / step));
  const skip = Math.max(1, Math.round(ROUNDED / step));
  const turns = points.map((_, i) => {
    const side = (sign: number) =>
      lineThrough(Array.from({ length: reach - skip + 1 }, (__, k) => points[(((i + sign * (skip + k)) % n) + n) % n]!));
    const [back, on] = [side(-1), side(1)];
    const cross = back.along[0] * on.along[1] - back.along[1] * on.along[0];
    const dot = back.along[0] * on.along[0] + back.along[1] * on.along[1];
    // The line behind runs away from the corner.
    return (Math.atan2(Math.abs(cross), -dot) * 180) / Math.PI;
  });
  const corners: number[] = [];
  for (let i = 0; i < n; i++) {
    if (turns[i]! < TURNS) continue;
    let highest = true;
    for (let k = -reach; k <= reach && highest; k++) {
      const other = turns[(i + k + n) % n]!;
      if (other > turns[i]! || (other === turns[i]! && k < 0)) highest = false;
    }
    // A curve of the same turn all along is no corner: beside one it is straighter.
    if (highest && turns[i]! - Math.max(turns[(i + reach) % n]!, turns[(i - reach + n) % n]!) > TURNS * 0.6) corners.push(i);
  }
  return corners;
}

function edgeOf(points: Outline, step: number): Edge {
  const skip = Math.min(Math.round(ROUNDED / step), Math.floor((points.length - 4) / 2));
  const core = skip > 0 ? points.slice(skip, points.length - skip) : points;
  const line = lineThrough(core);
  const offs = core.map(([x, y]) => (x - line.at[0]) * line.along[1] - (y - line.at[1]) * line.along[0]);
  const third = Math.max(1, Math.floor(offs.length / 3));
  const usual = (from: number, to: number) => offs.slice(from, to).sort((a, b) => a - b)[(to - from) >> 1] ?? 0;
  // A shallow curve stands off to one side in its middle and to the other at its ends.
  const bow = usual(third, offs.length - third) - (usual(0, third) + usual(offs.length - third, offs.length)) / 2;
  const most = offs.map(Math.abs).sort((a, b) => a - b)[Math.floor(0.9 * (offs.length - 1))]!;
  if (most < STRAIGHT && Math.abs(bow) < BOW) {
    // What stands off more than the rest, a line of the table that meets the edge, has no say.
    const near = core.filter((_, i) => Math.abs(offs[i]!) <= Math.max(0.12, most));
    const best = near.length > 3 ? lineThrough(near) : line;
    return { start: best, end: best, between: [] };
  }
  const few = Math.max(3, Math.round(REACH / step));
  const curve = smooth(core, false);
  return {
    start: lineThrough(curve.slice(0, few)),
    end: lineThrough(curve.slice(-few)),
    between: thinned(curve),
  };
}

/** Where two edges cross, if that is near the corner that was seen. */
function meeting(a: Line, b: Line, seen: Point): Point {
  const at = crossingOf(a, b);
  return at && Math.hypot(at[0] - seen[0], at[1] - seen[1]) < 2.5 * ROUNDED ? at : seen;
}

/** A local parabola through seven points at each. */
function smooth(points: Outline, closed: boolean): Outline {
  const n = points.length;
  const weights = [-2, 3, 6, 7, 6, 3, -2].map((weight) => weight / 21);
  return points.map((point, i) => {
    if (!closed && (i < 3 || i > n - 4)) return point;
    let [x, y] = [0, 0];
    weights.forEach((weight, k) => {
      const [u, v] = points[(i + k - 3 + n) % n]!;
      x += weight * u;
      y += weight * v;
    });
    return [x, y];
  });
}

/** A closed curve with fewer points: in two halves, since a way has two ends. */
function thinnedRound(points: Outline): Outline {
  const half = points.length >> 1;
  return [thinned(points.slice(0, half + 1)), thinned([...points.slice(half), points[0]!])].flatMap((way) => way.slice(0, -1));
}

/** Leaves out points of a way while none that was left out stands off by more than a little (Ramer, Douglas and Peucker). */
function thinned(points: Outline): Outline {
  if (points.length < 3) return [...points];
  const [a, b] = [points[0]!, points[points.length - 1]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1e-9;
  let [at, worst] = [0, 0];
  for (let i = 1; i < points.length - 1; i++) {
    const [x, y] = points[i]!;
    const off = Math.abs((x - a[0]) * (b[1] - a[1]) - (y - a[1]) * (b[0] - a[0])) / length;
    if (off > worst) [at, worst] = [i, off];
  }
  if (worst < THINNED) return [a, b];
  return [...thinned(points.slice(0, at + 1)).slice(0, -1), ...thinned(points.slice(at))];
}
