import fitCurve from 'fit-curve';
import type { DrawnEdge, DrawnShape } from './kinds/drawn';
import { drawShape, type PieceShape } from './piece-shape';
import { bounds, type Outline, type Point } from './polygon';

/** How far a fitted curve may lie from the points, mm. */
const FIT = 0.05;
/** The same for points that were measured, mm. */
const FIT_MEASURED = 0.3;
/** A line through fewer points than this is kept as it is. */
const FEW = 4;

/**
 * The same shape as a drawn outline that can be edited: runs of short segments become curves.
 *
 * @returns the shape, and for each of its edges the number of the edge it comes from
 * @example asDrawn(rectangle).shape.edges.length // 4
 */
export function asDrawn(shape: PieceShape): { shape: DrawnShape; sources: number[] } {
  if (shape.kind === 'drawn') return { shape, sources: shape.edges.map((_, i) => i) };
  const { outline, edges, holes } = drawShape(shape);
  const found: DrawnEdge[] = [];
  const sources: number[] = [];
  const n = outline.length;
  const start = edges.findIndex((edge, i) => edge !== edges[(i + n - 1) % n]);
  const first = Math.max(0, start);
  for (let k = 0; k < n;) {
    const edge = edges[(first + k) % n]!;
    const points: Point[] = [outline[(first + k) % n]!];
    do {
      k++;
      points.push(outline[(first + k) % n]!);
    } while (k < n && edges[(first + k) % n] === edge);
    for (const each of smoothed(points)) {
      found.push(each);
      sources.push(edge);
    }
  }
  return {
    shape: { kind: 'drawn', edges: found, ...(holes.length > 0 ? { holes: holes.map((hole) => hole.outline) } : {}) },
    sources,
  };
}

/**
 * A measured outline as a drawn one that can be edited: from corner to corner straight, or curves through what lies between; its lower left at the
 * origin.
 *
 * @param corners which points are corners; with none it is one closed curve
 * @example drawnThrough(square(10), [0, 1, 2, 3]).edges.length // 4
 */
export function drawnThrough(outline: Outline, corners: readonly number[]): DrawnShape {
  const { minX, minY } = bounds(outline);
  const points = outline.map(([x, y]): Point => [x - minX, y - minY]);
  const n = points.length;
  // A closed curve is begun twice, so that no curve has to turn all round.
  const starts = corners.length >= 2 ? corners : [0, Math.floor(n / 3), Math.floor((2 * n) / 3)];
  const edges = starts.flatMap((from, i) => {
    const to = starts[(i + 1) % starts.length]!;
    const count = (to - from + n) % n || n;
    const run = Array.from({ length: count + 1 }, (_, k) => points[(from + k) % n]!);
    if (run.length < FEW) return run.slice(0, -1).map((at): DrawnEdge => ({ from: at }));
    return (fitCurve(run, FIT_MEASURED) as Point[][]).map(([at, c, d]): DrawnEdge => ({ from: at!, curve: [c!, d!] }));
  });
  return { kind: 'drawn', edges };
}

/**
 * Edges for a run of points, without its last corner: straight where it turns sharply or runs far, curves in between.
 *
 * @example smoothed(square(10)).length // 3
 */
export function smoothed(points: Outline): DrawnEdge[] {
  const found: DrawnEdge[] = [];
  let start = 0;
  for (let i = 1; i < points.length; i++) {
    const last = i === points.length - 1;
    if (!last && turnAt(points, i) < SHARP && !isStraight(points, i - 1) && !isStraight(points, i)) continue;
    const run = points.slice(start, i + 1);
    if (run.length < FEW) run.slice(0, -1).forEach((from) => found.push({ from }));
    else for (const [from, c, d] of fitCurve(run, FIT) as Point[][]) found.push({ from: from!, curve: [c!, d!] });
    start = i;
  }
  return found;
}

/** A segment so many times as long as each of those beside it is a straight line between curves. */
const FAR = 4;

/** Whether the segment from a point of a run to the next is a straight line, and not one of many that make up a curve. */
function isStraight(points: Outline, i: number): boolean {
  const length = (k: number) => Math.hypot(points[k + 1]![0] - points[k]![0], points[k + 1]![1] - points[k]![1]);
  const beside = [i - 1, i + 1].filter((k) => k >= 0 && k + 1 < points.length);
  return beside.every((k) => length(i) > FAR * length(k));
}

/** A corner that turns by more than this is no part of a curve, radians. */
const SHARP = (25 * Math.PI) / 180;

/**
 * How far the line turns at a point, radians.
 *
 * @example turnAt(square(10), 0) // 1.571
 */
export function turnAt(points: Outline, i: number): number {
  const a = points[(i + points.length - 1) % points.length]!;
  const p = points[i]!;
  const b = points[(i + 1) % points.length]!;
  const [ux, uy, vx, vy] = [p[0] - a[0], p[1] - a[1], b[0] - p[0], b[1] - p[1]];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy));
}
