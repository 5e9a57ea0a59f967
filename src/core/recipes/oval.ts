import { InputError, requireNumber } from '../input-error';
import { CHORD_ERROR } from '../shape';
import type { Point } from '../shape';

/** An ellipse: half its length and half its width, mm. The length lies upright, along y. */
export interface Oval {
  halfLength: number;
  halfWidth: number;
}

/** The arithmetic–geometric mean doubles its good digits with every step: eight are more than a number holds. */
const STEPS = 8;

/**
 * Perimeter of an ellipse, mm: 2πa (1 − Σ 2ⁿ⁻¹ cₙ²/a²) / agm(a, b), Gauss's arithmetic–geometric mean.
 *
 * @example ovalPerimeter({ halfLength: 50, halfWidth: 50 }) // 314.2
 */
export function ovalPerimeter({ halfLength, halfWidth }: Oval): number {
  let a = Math.max(halfLength, halfWidth);
  let b = Math.min(halfLength, halfWidth);
  let sum = (a * a + b * b) / 2;
  let power = 0.5;
  for (let n = 0; n < STEPS; n++) {
    const c = (a - b) / 2;
    [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
    power *= 2;
    sum -= power * c * c;
  }
  return (2 * Math.PI * sum) / a;
}

/**
 * The oval with this perimeter and this shape.
 *
 * @param perimeter mm @param ratio length ÷ width
 * @throws {InputError}
 * @example ovalOf(600, 1.2).halfLength // about 104
 */
export function ovalOf(perimeter: number, ratio: number): Oval {
  requireNumber('perimeter', perimeter, 'mm', { above: 0 });
  requireNumber('ratio', ratio, '', { above: 0 });
  const halfWidth = perimeter / ovalPerimeter({ halfLength: ratio, halfWidth: 1 });
  return { halfLength: ratio * halfWidth, halfWidth };
}

/**
 * Least radius of curvature of an oval, at the ends of its longer axis, mm: a line drawn further inside than this crosses itself.
 *
 * @example sharpest({ halfLength: 50, halfWidth: 50 }) // 50
 */
export function sharpest({ halfLength, halfWidth }: Oval): number {
  return Math.min(halfLength, halfWidth) ** 2 / Math.max(halfLength, halfWidth);
}

/** Points of a line beside an oval, in quarters that begin at the front, right, back and left. */
export type Quarters = [Point[], Point[], Point[], Point[]];

/**
 * The line that runs beside an oval at a distance: its length is the oval's and 2π times the distance. Four quarters, counter-clockwise
 * from the right side over the front, so that each begins where a mark stands: side, front, side, back. No chord lies further from the
 * line than a drawn line may.
 *
 * @param distance outward, mm; negative inside, less than the oval's sharpest radius
 * @example besideOval({ halfLength: 100, halfWidth: 80 }, 5)[1][0] // [0, 105]
 */
export function besideOval(oval: Oval, distance: number): Quarters {
  const { halfLength, halfWidth } = oval;
  // An ellipse and its parallel deviate from a chord by no more than the circle around both does at equal steps of its parameter.
  const radius =
    Math.max(halfLength, halfWidth) + Math.max(0, distance) * (Math.max(halfLength, halfWidth) / Math.min(halfLength, halfWidth));
  const steps = Math.max(4, Math.ceil(Math.PI / 4 / Math.acos(1 - CHORD_ERROR / Math.max(radius, 2 * CHORD_ERROR))));
  const at = (quarter: number, k: number): Point => {
    const t = (Math.PI / 2) * (quarter + k / steps);
    const [cos, sin] = [Math.cos(t), Math.sin(t)];
    // The normal of the ellipse at the parameter t.
    const [nx, ny] = [halfLength * cos, halfWidth * sin];
    const length = Math.hypot(nx, ny);
    return [halfWidth * cos + (distance * nx) / length, halfLength * sin + (distance * ny) / length];
  };
  const quarter = (q: number): Point[] => Array.from({ length: steps }, (_, k) => at(q, k));
  return [quarter(0), quarter(1), quarter(2), quarter(3)];
}

/** How a head was measured; a diameter that was not read is 0. mm. */
export interface HeadReadings {
  /** Round the head, and its length ÷ its width where neither was read. */
  head: number;
  oval: number;
  headLength: number;
  headWidth: number;
}

/** An oval further from round than this is no head. */
const MOST_OVAL = 2;

/**
 * The oval of a head: from both of its diameters; from its circumference and one of them; or from its circumference and a ratio.
 *
 * @returns its circumference, mm, and length ÷ width
 * @throws {InputError} naming the reading that cannot be
 * @example headOval({ head: 570, oval: 1.2, headLength: 195, headWidth: 160 }).head // 558.9
 */
export function headOval({ head, oval, headLength, headWidth }: HeadReadings): { head: number; oval: number } {
  if (headLength === 0 && headWidth === 0) return { head, oval };
  if (headLength > 0 && headWidth > 0) {
    const ratio = headLength / headWidth;
    if (!(ratio >= 1 && ratio <= MOST_OVAL))
      throw new InputError(
        'headWidth',
        `must be no more than the head is long, ${headLength} mm, and no less than half of it; saw ${headWidth} mm`,
      );
    return { head: ovalPerimeter({ halfLength: headLength / 2, halfWidth: headWidth / 2 }), oval: ratio };
  }
  // The longer the oval, the longer its length and the shorter its width at one circumference: the ratio is found by halving.
  const of = (ratio: number) => {
    const found = ovalOf(head, ratio);
    return headLength > 0 ? 2 * found.halfLength - headLength : headWidth - 2 * found.halfWidth;
  };
  const field = headLength > 0 ? 'headLength' : 'headWidth';
  if (of(1) > 0 || of(MOST_OVAL) < 0)
    throw new InputError(field, `does not go with a head of ${head} mm round, saw ${headLength || headWidth} mm`);
  let [low, high] = [1, MOST_OVAL];
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (of(middle) > 0) high = middle;
    else low = middle;
  }
  return { head, oval: (low + high) / 2 };
}
