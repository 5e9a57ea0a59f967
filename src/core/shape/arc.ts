import type { Outline, Point } from './polygon';

/** Most deviation of the polygon from a true curve, mm: a tenth of what scissors can follow. */
export const CHORD_ERROR = 0.02;

/**
 * Steps in which an arc is drawn so that no chord lies further from it than {@link CHORD_ERROR}.
 *
 * @example arcSteps(100, Math.PI / 2) > 3 // true
 */
export function arcSteps(radius: number, angle: number): number {
  // Sagitta of a chord: r (1 − cos(α/2)) ≤ error.
  const half = Math.acos(Math.max(0, 1 - CHORD_ERROR / Math.max(radius, CHORD_ERROR)));
  return Math.min(MOST_STEPS, Math.max(2, Math.ceil(Math.abs(angle) / 2 / half)));
}

/** A full circle of a hundred metres takes fewer; a slip of a figure must not make more points than memory holds. */
const MOST_STEPS = 20_000;

/**
 * Points on an arc, both ends included.
 *
 * @param centre mm @param radius mm @param from @param to radians, counter-clockwise from x when `to` is larger
 * @example arcPoints([0, 0], 10, 0, Math.PI / 2).at(-1).map(Math.round) // [ 0, 10 ]
 */
export function arcPoints(centre: Point, radius: number, from: number, to: number): Outline {
  const steps = arcSteps(radius, to - from);
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const a = from + ((to - from) * i) / steps;
    return [centre[0] + radius * Math.cos(a), centre[1] + radius * Math.sin(a)];
  });
}

/**
 * Points on the arc from a to b that bulges to the right of that direction by `sagitta` (to the left where it is
 * negative), both ends included. Radius from chord c and sagitta s: (c²/4 + s²) / 2s.
 *
 * @example bulgingArc([0, 0], [10, 0], 0).length // 2
 */
export function bulgingArc(a: Point, b: Point, sagitta: number): Outline {
  const chord = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const s = Math.abs(sagitta);
  if (s < CHORD_ERROR / 10) return [a, b];
  const radius = (chord * chord) / 8 / s + s / 2;
  const half = Math.atan2(chord / 2, radius - s);
  const side = Math.sign(sagitta);
  const middle: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const right: Point = [(b[1] - a[1]) / chord, -(b[0] - a[0]) / chord];
  const centre: Point = [middle[0] - side * (radius - s) * right[0], middle[1] - side * (radius - s) * right[1]];
  const start = Math.atan2(side * right[1], side * right[0]);
  const points = arcPoints(centre, radius, start - side * half, start + side * half);
  points[0] = a;
  points[points.length - 1] = b;
  return points;
}

/** A sagitta of less than this share of the chord makes no difference to the length that a number could hold. */
const FLAT = 1e-9;

/**
 * Length of an arc with this chord and sagitta, mm.
 *
 * @example arcLength(10, 5) // 15.71
 */
export function arcLength(chord: number, sagitta: number): number {
  if (sagitta <= FLAT * chord) return chord;
  const radius = (chord * chord) / 8 / sagitta + sagitta / 2;
  return 2 * radius * Math.atan2(chord / 2, radius - sagitta);
}

/**
 * Chord of an arc of this length and sagitta, mm, by halving: the length grows with the chord.
 *
 * @example chordOf(15.70796, 5) // 10
 */
export function chordOf(length: number, sagitta: number): number {
  let low = 0;
  let high = length;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (arcLength(middle, sagitta) < length) low = middle;
    else high = middle;
  }
  return high;
}
