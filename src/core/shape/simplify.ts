import { distanceToBorder } from './distance';
import { anticlockwise } from './minkowski';
import { selfCrossing, type Outline, type Point } from './polygon';

/**
 * An outline with fewer corners that contains the given one: hollow corners are bridged, two corners that bulge
 * are drawn out to where their neighbours meet, nowhere further than the tolerance. Used where a layout must not
 * overlap although it reckons with fewer corners.
 *
 * @param outline simple, either winding, mm @param tolerance largest distance added, mm
 * @returns counter-clockwise; the outline itself where nothing could be left out or the result would cross itself
 * @example simplifyOutward([[0, 0], [5, 0.001], [10, 0], [10, 10], [0, 10]], 0.01).length // 4
 */
export function simplifyOutward(outline: Outline, tolerance: number): Outline {
  const original = anticlockwise(outline);
  const points = [...original];
  // How far the edge that starts at each corner already lies outside the original.
  const strayed = points.map(() => 0);
  const limits = [tolerance / 16, tolerance / 4, tolerance];
  // Small steps first, so that a curve is thinned evenly rather than eaten from one end.
  for (const limit of limits) {
    let changed = true;
    while (changed && points.length > 3) {
      changed = false;
      for (let i = 0; i < points.length && points.length > 3; i++) {
        if (bridge(points, strayed, i, limit) || drawOut(original, points, strayed, i, limit)) changed = true;
      }
    }
  }
  return selfCrossing(points) ? original : points;
}

/** Leaves corner i out where that only fills a hollow. */
function bridge(points: Outline, strayed: number[], i: number, limit: number): boolean {
  const n = points.length;
  const before = (i + n - 1) % n;
  const a = points[before]!;
  const p = points[i]!;
  const b = points[(i + 1) % n]!;
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length === 0) return false;
  // Positive when p lies to the left of the chord, inside.
  const depth = ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / length;
  const along = ((b[0] - a[0]) * (p[0] - a[0]) + (b[1] - a[1]) * (p[1] - a[1])) / length;
  if (!(depth >= -1e-9) || along < 0 || along > length) return false;
  const error = depth + Math.max(strayed[before]!, strayed[i]!);
  if (error > limit) return false;
  points.splice(i, 1);
  strayed[before] = error;
  strayed.splice(i, 1);
  return true;
}

/** Replaces the edge from corner i to i + 1 by the point where its neighbours meet, both corners bulging. */
function drawOut(original: Outline, points: Outline, strayed: number[], i: number, limit: number): boolean {
  const n = points.length;
  const next = (i + 1) % n;
  const a = points[(i + n - 1) % n]!;
  const p = points[i]!;
  const q = points[next]!;
  const b = points[(next + 1) % n]!;
  const d0: Point = [p[0] - a[0], p[1] - a[1]];
  const d1: Point = [b[0] - q[0], b[1] - q[1]];
  const turn = d0[0] * d1[1] - d0[1] * d1[0];
  if (!(turn > 0) || d0[0] * d1[0] + d0[1] * d1[1] <= 0) return false;
  const t = ((q[0] - p[0]) * d1[1] - (q[1] - p[1]) * d1[0]) / turn;
  const u = ((q[0] - p[0]) * d0[1] - (q[1] - p[1]) * d0[0]) / turn;
  if (!(t >= 0) || !(u <= 0)) return false;
  const tip: Point = [p[0] + t * d0[0], p[1] + t * d0[1]];
  // No further than it lies above the edge and that from the original; often nearer to another part of that.
  const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
  const height = length === 0 ? 0 : Math.abs((q[0] - p[0]) * (tip[1] - p[1]) - (q[1] - p[1]) * (tip[0] - p[0])) / length;
  const error = height + strayed[i]! <= limit ? height + strayed[i]! : distanceToBorder(original, tip);
  if (error > limit) return false;
  points[i] = tip;
  // Both neighbours now run out to the tip, and stray as far as it does.
  const before = (i + n - 1) % n;
  strayed[before] = Math.max(strayed[before]!, error);
  strayed[i] = Math.max(strayed[next]!, error);
  points.splice(next, 1);
  strayed.splice(next, 1);
  return true;
}
