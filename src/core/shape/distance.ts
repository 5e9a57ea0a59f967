import type { Outline, Point } from './polygon';

/** How far along the stretch from a to b the point nearest to another lies, 0–1. */
function nearestShare([ax, ay]: Point, [bx, by]: Point, [x, y]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const long = dx * dx + dy * dy;
  return long === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / long));
}

/**
 * Distance of a point from the stretch between a and b, mm.
 *
 * @example distanceToEdge([0, 0], [10, 0], [5, 3]) // 3
 */
export function distanceToEdge(a: Point, b: Point, point: Point): number {
  const t = nearestShare(a, b, point);
  return Math.hypot(point[0] - a[0] - t * (b[0] - a[0]), point[1] - a[1] - t * (b[1] - a[1]));
}

/**
 * Edge of an outline that is nearest to a point, inside or outside, and how far it is, mm.
 *
 * @example nearestOnBorder(square(10), [5, -2]) // { edge: 0, at: [ 5, 0 ], distance: 2 }
 */
export function nearestOnBorder(outline: Outline, point: Point): { edge: number; at: Point; distance: number } {
  let [edge, distance] = [0, Infinity];
  for (let i = 0; i < outline.length; i++) {
    const away = distanceToEdge(outline[i]!, outline[(i + 1) % outline.length]!, point);
    if (away < distance) [edge, distance] = [i, away];
  }
  const [a, b] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  const t = nearestShare(a, b, point);
  return { edge, at: [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])], distance };
}

/**
 * Distance of a point from the border of an outline, inside or outside, mm.
 *
 * @example distanceToBorder(square(10), [5, 5]) // 5
 */
export function distanceToBorder(outline: Outline, point: Point): number {
  return nearestOnBorder(outline, point).distance;
}

/**
 * Whether a point lies inside an outline, by counting the crossings to its right. On the border either may be said.
 *
 * @example isInside([1, 1], [[0, 0], [2, 0], [2, 2], [0, 2]]) // true
 */
export function isInside([x, y]: Point, outline: Outline): boolean {
  let inside = false;
  for (let i = 0; i < outline.length; i++) {
    const [ax, ay] = outline[i]!;
    const [bx, by] = outline[(i + 1) % outline.length]!;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  }
  return inside;
}
