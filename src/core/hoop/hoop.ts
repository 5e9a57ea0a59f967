import { InputError, requireNumber } from '../input-error';
import { transformed, type Outline, type Point } from '../shape';

export const HOOP_SHAPES = ['rectangle', 'oval'] as const;
export const HOOP_KINDS = ['screw', 'magnetic'] as const;
export const MOUNTS = ['arm', 'bar'] as const;
export const SIDES = ['left', 'right', 'top', 'bottom'] as const;

/** A hoop of the person's own. mm. */
export interface Hoop {
  name: string;
  shape: (typeof HOOP_SHAPES)[number];
  /** What the needle reaches. */
  fieldWidth: number;
  fieldHeight: number;
  /** Outside of the ring. */
  outerWidth: number;
  outerHeight: number;
  /** Width of the ring that lies on the cloth. */
  clamp: number;
  kind: (typeof HOOP_KINDS)[number];
  /** What carries it: the arm of a single-needle machine, or a bar. */
  mount: (typeof MOUNTS)[number];
  mountSide: (typeof SIDES)[number];
}

/** Where a hoop lies on the cloth: its middle, mm, and its turn, degrees counter-clockwise. */
export interface HoopPlace {
  x: number;
  y: number;
  angle: number;
}

/** Lines of a hoop round its middle. */
export interface HoopOutlines {
  field: Outline;
  /** Inside of the ring. */
  inner: Outline;
  outer: Outline;
}

/** Corners of a rectangular ring are rounded by this share of its shorter side, those of the field not at all. */
const ROUNDING = 0.12;
const CORNER_STEPS = 6;
const OVAL_STEPS = 72;

/**
 * Checks that a hoop can be: the field lies inside the ring.
 *
 * @throws {InputError} naming the field
 * @example requireHoop(hoop).clamp // 14
 */
export function requireHoop(hoop: Hoop): Hoop {
  for (const field of ['fieldWidth', 'fieldHeight', 'outerWidth', 'outerHeight'] as const)
    requireNumber(field, hoop[field], 'mm', { min: 20, max: 2000 });
  requireNumber('clamp', hoop.clamp, 'mm', { min: 2, max: 100 });
  for (const [outer, field] of [
    ['outerWidth', 'fieldWidth'],
    ['outerHeight', 'fieldHeight'],
  ] as const)
    if (hoop[outer] < hoop[field] + 2 * hoop.clamp)
      throw new InputError(
        outer,
        `must be at least the field and the clamp on both sides, ${hoop[field] + 2 * hoop.clamp} mm, saw ${hoop[outer]}`,
      );
  return hoop;
}

/**
 * Lines of a hoop where it lies, or round the origin.
 *
 * @example hoopOutlines(hoop).field.length // 4
 */
export function hoopOutlines(hoop: Hoop, { x, y, angle }: HoopPlace = { x: 0, y: 0, angle: 0 }): HoopOutlines {
  const there = (outline: Outline) => transformed(outline, false, angle, x, y);
  const ring = (width: number, height: number) =>
    hoop.shape === 'oval' ? oval(width, height) : rounded(width, height, ROUNDING * Math.min(width, height));
  return {
    field: there(hoop.shape === 'oval' ? oval(hoop.fieldWidth, hoop.fieldHeight) : rounded(hoop.fieldWidth, hoop.fieldHeight, 0)),
    inner: there(ring(hoop.outerWidth - 2 * hoop.clamp, hoop.outerHeight - 2 * hoop.clamp)),
    outer: there(ring(hoop.outerWidth, hoop.outerHeight)),
  };
}

/**
 * Middle of the side on which the hoop is carried, where it lies.
 *
 * @example mountPoint(hoop, { x: 0, y: 0, angle: 0 }) // [ -73, 0 ]
 */
export function mountPoint(hoop: Hoop, { x, y, angle }: HoopPlace): Point {
  const [w, h] = [hoop.outerWidth / 2, hoop.outerHeight / 2];
  const at: Record<Hoop['mountSide'], Point> = { left: [-w, 0], right: [w, 0], top: [0, h], bottom: [0, -h] };
  return transformed([at[hoop.mountSide]], false, angle, x, y)[0]!;
}

function oval(width: number, height: number): Outline {
  return Array.from({ length: OVAL_STEPS }, (_, i): Point => {
    const t = (2 * Math.PI * i) / OVAL_STEPS;
    return [(width / 2) * Math.cos(t), (height / 2) * Math.sin(t)];
  });
}

function rounded(width: number, height: number, radius: number): Outline {
  const corners: [number, number, number][] = [
    [1, 1, 0],
    [-1, 1, 90],
    [-1, -1, 180],
    [1, -1, 270],
  ];
  return corners.flatMap(([sx, sy, from]) => {
    const centre: Point = [sx * (width / 2 - radius), sy * (height / 2 - radius)];
    if (radius === 0) return [centre];
    return Array.from({ length: CORNER_STEPS + 1 }, (_, k): Point => {
      const t = ((from + (90 * k) / CORNER_STEPS) * Math.PI) / 180;
      return [centre[0] + radius * Math.cos(t), centre[1] + radius * Math.sin(t)];
    });
  });
}
