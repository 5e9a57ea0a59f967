import { type Outline, type Point } from './polygon';

/**
 * Smallest convex outline around points, counter-clockwise, without corners on straight edges (Andrew's monotone chain).
 *
 * @param points mm @returns its corners; fewer than three when all points lie on one line
 * @example convexHull([[0, 0], [10, 0], [5, 2], [5, 10]]).length // 3
 */
export function convexHull(points: readonly Point[]): Outline {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const lower = chain(sorted);
  const upper = chain(sorted.reverse());
  return [...lower, ...upper];
}

/** One half of a hull, without its last point, which the other half begins with. */
function chain(points: readonly Point[]): Outline {
  const kept: Outline = [];
  for (const point of points) {
    while (kept.length > 1 && turn(kept[kept.length - 2]!, kept[kept.length - 1]!, point) <= 0) kept.pop();
    kept.push(point);
  }
  kept.pop();
  return kept;
}

/** Positive where the way from a over b to c turns left. */
function turn(a: Point, b: Point, c: Point): number {
  return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
}
