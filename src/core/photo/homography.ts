import type { Point } from '../shape';
import { leastSquares } from './equations';

/** A projective map of a plane, row by row; the last figure is 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number];

/**
 * The projective map that takes some points to others (four pairs fix it, more leave the least squares of its linear form).
 *
 * @returns undefined for points of which three stand in a line
 * @example homographyOf([[0, 0], [1, 0], [1, 1], [0, 1]], [[0, 0], [2, 0], [2, 2], [0, 2]])[0] // about 2
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | undefined {
  const equations = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  return leastSquares(equations) as Homography | undefined;
}

/**
 * Where a projective map takes a point.
 *
 * @example mapped([2, 0, 1, 0, 2, 0, 0, 0], [3, 4]) // [7, 8]
 */
export function mapped([a, b, c, d, e, f, g, h]: Homography, [x, y]: Point): Point {
  const w = g * x + h * y + 1;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
}

/**
 * The map that undoes another.
 *
 * @example mapped(inverseOf([2, 0, 1, 0, 2, 0, 0, 0]), [7, 8]) // [3, 4]
 */
export function inverseOf([a, b, c, d, e, f, g, h]: Homography): Homography {
  const rows = [e - f * h, c * h - b, b * f - c * e, f * g - d, a - c * g, c * d - a * f, d * h - e * g, b * g - a * h];
  const last = a * e - b * d;
  return rows.map((value) => value / last) as unknown as Homography;
}
