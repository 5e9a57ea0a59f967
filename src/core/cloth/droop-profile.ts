import { InputError, requireNumber } from '../input-error';
import { findTip, hangFromTip, LONGEST_RATIO } from './hanging-strip';

/** Points in a profile, the edge included; 121 keep the chord within 0.1 % of a curve that turns at once. */
const POINTS = 121;

/**
 * The curve in which a strip hangs over a table edge.
 *
 * @param bendingLength mm
 * @param length arc length that hangs over, mm, at most 200 bending lengths
 * @returns points [x, y] in mm, x away from the table, y downward, the first [0, 0], equally spaced along
 *   the strip; the polyline is exactly as long as the strip, because cloth does not stretch when it droops
 * @throws {InputError} when a value is not positive, or the strip is longer than the model solves
 * @example droopProfile(20, 40).at(-1).map(Math.round) // [ 29, 26 ]
 */
export function droopProfile(bendingLength: number, length: number): [number, number][] {
  requireNumber('bendingLength', bendingLength, 'mm', { above: 0, max: 5000 });
  requireNumber('profileLength', length, 'mm', { above: 0, max: 10_000 });
  const ratio = length / bendingLength;
  if (!(ratio <= LONGEST_RATIO)) {
    const longest = Math.floor(bendingLength * LONGEST_RATIO);
    throw new InputError(
      'profileLength',
      `must be at most ${Math.floor(longest)} mm for so soft a strip (200 bending lengths), saw ${length}`,
    );
  }
  const tip = findTip((strip) => strip.ratio, ratio);
  const us: number[] = [];
  const phis: number[] = [];
  const slopes: number[] = [];
  hangFromTip(tip, (u, phi, slope) => {
    us.push(u);
    phis.push(phi);
    slopes.push(slope);
  });
  const total = us[us.length - 1]!;
  const step = length / (POINTS - 1);
  const points: [number, number][] = [[0, 0]];
  let x = 0;
  let y = 0;
  let k = us.length - 1;
  for (let i = 0; i < POINTS - 1; i++) {
    // The slope at the middle of each piece, walking from the edge (u = total) to the tip (u = 0).
    const u = total * (1 - (i + 0.5) / (POINTS - 1));
    while (k > 1 && us[k - 1]! > u) k--;
    const phi = hermite(us[k - 1]!, phis[k - 1]!, slopes[k - 1]!, us[k]!, phis[k]!, slopes[k]!, u);
    x += step * Math.sin(phi);
    y += step * Math.cos(phi);
    points.push([x, y]);
  }
  return points;
}

/** Cubic through two points with the given slopes. */
function hermite(x0: number, y0: number, d0: number, x1: number, y1: number, d1: number, x: number): number {
  const h = x1 - x0;
  const t = (x - x0) / h;
  const s = 1 - t;
  return y0 * s * s * (1 + 2 * t) + d0 * h * s * s * t + y1 * t * t * (3 - 2 * t) - d1 * h * t * t * s;
}
