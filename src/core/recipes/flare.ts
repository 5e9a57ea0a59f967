import { InputError, requireNumber } from '../input-error';
import { bounds, drawShape, outset } from '../shape';

/** What a flare is drawn from. mm. */
export interface FlareInput {
  /** How many full circles go round the waist: ½ for a half circle, 2 for a double one. */
  circles: number;
  /** Length of the seam that the flare is sewn to. */
  waist: number;
  /** From that seam to the finished hem. */
  length: number;
  /** Seam allowance on every edge. */
  allowance: number;
}

/** The lines of a flare, mm. */
export interface Flare {
  /** Radius of the waist seam, and of the finished hem. */
  innerRadius: number;
  outerRadius: number;
  /** Length of the finished hem. */
  hem: number;
  /** Braid for it, with one join. */
  braid: number;
}

/** What each join of a braid takes, mm. */
export const BRAID_JOIN = 20;
/** Largest and least measures, mm. */
const LONGEST = 20_000;
const MOST_CIRCLES = 12;

/**
 * A flare of n circles onto a waist w: r = w/(2πn) at the seam line, R = r + length, hem 2πnR, and braid that long plus a join.
 *
 * @throws {InputError} naming the measure that does not work; `allowance` where it reaches past the middle of the circle
 * @example flare({ circles: 1, waist: 700, length: 500, allowance: 10 }).innerRadius // 111.4
 */
export function flare({ circles, waist, length, allowance }: FlareInput): Flare {
  requireNumber('circles', circles, '', { above: 0, max: MOST_CIRCLES });
  requireNumber('waist', waist, 'mm', { above: 0, max: LONGEST });
  requireNumber('length', length, 'mm', { above: 0, max: LONGEST });
  requireNumber('allowance', allowance, 'mm', { min: 0, max: 500 });
  const innerRadius = waist / (2 * Math.PI * circles);
  if (!(innerRadius > allowance))
    throw new InputError(
      'allowance',
      `must be less than the radius of the waist, ${innerRadius.toFixed(1)} mm: take fewer circles; saw ${allowance} mm`,
    );
  const outerRadius = innerRadius + length;
  const hem = 2 * Math.PI * circles * outerRadius;
  return { innerRadius, outerRadius, hem, braid: hem + BRAID_JOIN };
}

/** Equal sectors that a flare is cut as. */
export interface FlareSectors {
  count: number;
  /** Degrees. */
  angle: number;
  /** Width of cloth that one takes, with allowances, mm. */
  width: number;
  /** Direction of the grain, degrees counter-clockwise from its middle: 90 for a half circle laid along the selvedge. */
  grain: 0 | 90;
}

/** No sector is wider than this: beyond a half circle its sides turn back towards each other, degrees. */
const WIDEST = 180;
/** With more than this it is no flare any more. */
const MOST_SECTORS = 48;

/**
 * The fewest equal sectors in which a flare can be cut from cloth of this width, the middle of each along the grain. Where the cloth is
 * too narrow for the length itself it says so: no number of sectors helps then.
 *
 * @param width of the cloth that can be used, mm @param hem allowance at the hem, mm; that of the seams if it is not given
 * @throws {InputError} as {@link flare}, and `width` where even the narrowest sector is wider
 * @example flareSectors({ circles: 1, waist: 700, length: 500, allowance: 10 }, 1400).count // 2
 */
export function flareSectors(input: FlareInput, width: number, hem: number = input.allowance): FlareSectors {
  requireNumber('width', width, 'mm', { above: 0, max: LONGEST });
  requireNumber('hem', hem, 'mm', { min: 0, max: 500 });
  const { innerRadius, outerRadius } = flare(input);
  const whole = 360 * input.circles;
  let narrowest = Infinity;
  for (let count = Math.ceil(whole / WIDEST); count <= MOST_SECTORS; count++) {
    const angle = whole / count;
    const { outline, edges } = drawShape({ kind: 'sector', inner: innerRadius, outer: outerRadius, angle });
    // The first edge of a sector is its outer one.
    const cut = outset(
      outline,
      edges.map((edge) => (edge === 0 ? hem : input.allowance)),
    );
    const box = bounds(cut.outline);
    narrowest = box.maxX - box.minX;
    if (narrowest <= width) return { count, angle, width: narrowest, grain: 0 };
    // A half circle may lie with its straight side along the selvedge: its grain then runs along that side.
    const deep = box.maxY - box.minY;
    if (angle === WIDEST && deep <= width) return { count, angle, width: deep, grain: 90 };
  }
  throw new InputError('width', `is too narrow for a flare like this, which takes ${Math.ceil(narrowest)} mm; saw ${width} mm`);
}

/** A flare of one circle in one piece: a ring that is slit once. mm, degrees. */
export interface SlitRing {
  angle: number;
  innerRadius: number;
  outerRadius: number;
  /** Length of the finished hem. */
  hem: number;
  /** Width of cloth that it takes, with allowances. */
  width: number;
}

/** The allowances at the slit are kept this far apart, mm. */
const SLIT = 1;
/** A ring leaves at least this much open, degrees. */
const NEARLY_CLOSED = 349;

/**
 * One circle cut as a ring with one slit. The allowances of the slit are cut out of the ring itself, so that it is a little less than
 * round: with g half of what is left open, the seam's radius is r = w / (2π − 2g), and the two cut lines stay clear of each other from
 * the waist's own cut line outward where tan g ≥ a / √((r − a)² − a²).
 *
 * @param input as for {@link flare}; only one circle has a slit @param width of the cloth that can be used, mm @param hem allowance there, mm
 * @returns null where the cloth is too narrow, or the waist too small for its allowances
 * @throws {InputError} as {@link flare}
 * @example slitRing({ circles: 1, waist: 420, length: 400, allowance: 10 }, 1400)?.angle // about 338
 */
export function slitRing(input: FlareInput, width: number, hem: number = input.allowance): SlitRing | null {
  const { allowance, waist, length } = input;
  let innerRadius = flare(input).innerRadius;
  if (input.circles !== 1) return null;
  let open = 0;
  for (let round = 0; round < 40; round++) {
    const clear = (innerRadius - allowance) ** 2 - allowance ** 2;
    if (!(innerRadius > 2 * allowance && clear > 0)) return null;
    const least = ((360 - NEARLY_CLOSED) / 2) * (Math.PI / 180);
    open = Math.max(least, Math.atan2(allowance + SLIT / 2, Math.sqrt(clear)));
    innerRadius = waist / (2 * Math.PI - 2 * open);
  }
  const outerRadius = innerRadius + length;
  const takes = 2 * (outerRadius + hem);
  const turn = 2 * Math.PI - 2 * open;
  return takes > width
    ? null
    : { angle: (turn * 180) / Math.PI, innerRadius, outerRadius, hem: turn * outerRadius, width: takes };
}
