import type { Outline } from '../shape';

/**
 * Sole of a household iron by its length and width, mm: a straight-sided heel and a tip drawn from two
 * parabolas. Its origin is the middle of its bounding rectangle; the tip points to the right.
 *
 * @example ironSole(220, 110).length > 6 // true
 */
export function ironSole(length: number, width: number): Outline {
  const half = width / 2;
  const heel = -length / 2;
  const shoulder = length * 0.05;
  const tip = length / 2;
  const steps = 8;
  const lower: Outline = [];
  const upper: Outline = [];
  for (let i = 0; i < steps; i++) {
    const t = i / steps;
    const x = shoulder + (tip - shoulder) * t;
    const y = half * (1 - t * t);
    lower.push([x, -y]);
    upper.unshift([x, y]);
  }
  return [[heel, -half], ...lower, [tip, 0], ...upper, [heel, half]];
}
