import { distanceToEdge } from './distance';
import { bands, counterClockwise, requireAllowances } from './inset';
import { signedArea, type Outline, type Point } from './polygon';
import { unionOf } from './regions';

export interface Outset {
  /** Counter-clockwise, mitred like an inset. */
  outline: Outline;
  /** Edge of the given outline that each edge of the new one belongs to. */
  sources: number[];
}

/**
 * Moves an outline outward by its own allowance on every edge: the cut line of a piece whose seam line is known.
 *
 * The outside is what lies on the left when the outline is walked clockwise, so the bands are the same as for an inset; they
 * are joined to the outline. Openings that close up between the bands are filled.
 *
 * @param outline corners in mm, either winding @param allowance mm: one for all, or one per edge
 * @throws {InputError} for a malformed outline or a wrong number of allowances
 * @example bounds(outset([[0, 0], [100, 0], [100, 60], [0, 60]], 10).outline) // { minX: -10, minY: -10, maxX: 110, maxY: 70 }
 */
export function outset(outline: Outline, allowance: number | readonly number[]): Outset {
  const allowances = requireAllowances(outline, allowance);
  const { points, edges } = counterClockwise(outline, allowances);
  const clockwise = [...points].reverse();
  const n = points.length;
  const clockwiseEdges = clockwise.map((_, i) => edges[(2 * n - 2 - i) % n]!);
  const whole = unionOf([points, ...bands(clockwise, clockwiseEdges)]);
  const outer = whole.reduce((largest, path) => (signedArea(path) > signedArea(largest) ? path : largest));
  return { outline: outer, sources: sourcesOf(outer, outline, allowances) };
}

/**
 * Each edge of a moved outline belongs to the old one whose moved line runs along it, the nearest if several do.
 *
 * @param moved counter-clockwise, mm @param outline either winding @param allowances one per edge of it, mm: outward, inward below 0
 * @example sourcesOf(outset(square(50), 10).outline, square(50), [10, 10, 10, 10]).length // 4
 */
export function sourcesOf(moved: Outline, outline: Outline, allowances: readonly number[]): number[] {
  const n = outline.length;
  const forward = signedArea(outline) > 0 ? 1 : -1;
  const lines = outline.map((a, i) => {
    const b = outline[(i + 1) % n]!;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const d: Point = length > 0 ? [(forward * (b[0] - a[0])) / length, (forward * (b[1] - a[1])) / length] : [0, 0];
    const out: Point = [d[1], -d[0]];
    const shift = allowances[i]!;
    return {
      a: [a[0] + shift * out[0], a[1] + shift * out[1]] as Point,
      b: [b[0] + shift * out[0], b[1] + shift * out[1]] as Point,
      d,
    };
  });
  return moved.map((p, k) => {
    const q = moved[(k + 1) % moved.length]!;
    const middle: Point = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    const d: Point = [(q[0] - p[0]) / length, (q[1] - p[1]) / length];
    let best = 0;
    let least = Infinity;
    lines.forEach((line, i) => {
      // An edge that ends a band runs across its own line: how far the directions differ counts like distance.
      const away = distanceToEdge(line.a, line.b, middle) + length * (1 - (d[0] * line.d[0] + d[1] * line.d[1]));
      if (away < least) {
        least = away;
        best = i;
      }
    });
    return best;
  });
}
