import type { Point } from '../shape';

/** A line: a point of it and its direction, of length 1. */
export interface Line {
  at: Point;
  along: Point;
}

/**
 * The middle one of some figures, by size; undefined where there are none.
 *
 * @example middleOf([5, 1, 3]) // 3
 */
export function middleOf(values: readonly number[]): number | undefined {
  return [...values].sort((a, b) => a - b)[values.length >> 1];
}

/**
 * The line that leaves the least squares of distances to some points (their principal axis), running from the first towards the last.
 *
 * @example lineThrough([[0, 0], [5, 0], [10, 0]]).along // [1, 0]
 */
export function lineThrough(points: readonly Point[]): Line {
  const n = points.length;
  const mx = points.reduce((sum, [x]) => sum + x, 0) / n;
  const my = points.reduce((sum, [, y]) => sum + y, 0) / n;
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const [first, last] = [points[0]!, points[n - 1]!];
  const ahead = (last[0] - first[0]) * Math.cos(angle) + (last[1] - first[1]) * Math.sin(angle) >= 0 ? 1 : -1;
  return { at: [mx, my], along: [ahead * Math.cos(angle), ahead * Math.sin(angle)] };
}

/**
 * Where two lines cross; undefined where they run nearly the same way.
 *
 * @example crossingOf({ at: [0, 5], along: [1, 0] }, { at: [3, 0], along: [0, 1] }) // [3, 5]
 */
export function crossingOf(a: Line, b: Line): Point | undefined {
  const det = a.along[0] * b.along[1] - a.along[1] * b.along[0];
  if (Math.abs(det) < NEARLY_ALONG) return undefined;
  const t = ((b.at[0] - a.at[0]) * b.along[1] - (b.at[1] - a.at[1]) * b.along[0]) / det;
  return [a.at[0] + t * a.along[0], a.at[1] + t * a.along[1]];
}

/** Lines that differ by less, as the sine of their angle, have no crossing worth telling. */
const NEARLY_ALONG = 0.06;
