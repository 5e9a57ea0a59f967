import { CHORD_ERROR } from './arc';
import type { Outline, Point } from './polygon';

/** Steps of one curve are limited, so that a wild one cannot fill the memory. */
const MOST_STEPS = 200;

/**
 * Points on a cubic Bézier curve, both ends included, no chord further from it than {@link CHORD_ERROR}.
 *
 * Steps by the bound on the second derivative: error ≤ |B″|max / (8 n²), |B″|max = 6 max |second difference|.
 *
 * @example cubicPoints([0, 0], [3, 0], [6, 0], [9, 0]).length > 0 // true
 */
export function cubicPoints(a: Point, c: Point, d: Point, b: Point): Outline {
  const bend = Math.max(
    Math.hypot(a[0] - 2 * c[0] + d[0], a[1] - 2 * c[1] + d[1]),
    Math.hypot(c[0] - 2 * d[0] + b[0], c[1] - 2 * d[1] + b[1]),
  );
  const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(Math.sqrt((6 * bend) / (8 * CHORD_ERROR)))));
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    if (i === 0) return a;
    if (i === steps) return b;
    return cubicAt(a, c, d, b, i / steps);
  });
}

/**
 * Point of a cubic Bézier curve at t, 0–1.
 *
 * @example cubicAt([0, 0], [3, 0], [6, 0], [9, 0], 0.5) // [ 4.5, 0 ]
 */
export function cubicAt(a: Point, c: Point, d: Point, b: Point, t: number): Point {
  const s = 1 - t;
  const [wa, wc, wd, wb] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
  return [wa * a[0] + wc * c[0] + wd * d[0] + wb * b[0], wa * a[1] + wc * c[1] + wd * d[1] + wb * b[1]];
}
