import { InputError, requireNumber } from '../input-error';
import { findTip, hangFromTip, LONGEST_RATIO } from './hanging-strip';

/** Standard gravity, m/s². */
const GRAVITY = 9.81;

/** The angle of the standard jig, degrees below the horizontal; a strip of twice its bending length meets it. */
export const JIG_ANGLE = 41.5;

const DEGREES = 180 / Math.PI;

/**
 * Bending length from an overhang reading, by the heavy elastica solved backwards.
 *
 * @param overhang arc length past the edge when the tip meets the line, mm
 * @param angle slope of that line below the horizontal, degrees, 1–89
 * @returns bending length c, mm
 * @throws {InputError} `overhang` outside 0–5000 mm, `angle` outside 1–89°
 * @example bendingLengthFromOverhang(40) // 20.0
 */
export function bendingLengthFromOverhang(overhang: number, angle: number = JIG_ANGLE): number {
  requireNumber('overhang', overhang, 'mm', { above: 0, max: 5000 });
  requireNumber('angle', angle, 'degrees', { min: 1, max: 89 });
  if (angle === JIG_ANGLE) return overhang / jigRatio();
  return overhang / ratioAtAngle(angle);
}

/** Overhang ÷ bending length at which the tip's line of sight from the edge has the given slope. */
function ratioAtAngle(angle: number): number {
  const tip = findTip((strip) => Math.atan2(strip.depth, strip.reach) * DEGREES, angle);
  return hangFromTip(tip).ratio;
}

let cachedJigRatio: number | undefined;
function jigRatio(): number {
  cachedJigRatio ??= ratioAtAngle(JIG_ANGLE);
  return cachedJigRatio;
}

/**
 * Overhang reading on the 41.5° jig for a bending length, mm: the inverse of {@link bendingLengthFromOverhang}.
 *
 * @example overhangFromBendingLength(20) // 40.01
 */
export function overhangFromBendingLength(bendingLength: number): number {
  requireNumber('bendingLength', bendingLength, 'mm', { above: 0, max: 2500 });
  return bendingLength * jigRatio();
}

/**
 * Bending length from the fixed-length test: a known length hangs over the edge and its tip is
 * measured below the level of the edge.
 *
 * @param length arc length past the edge, mm
 * @param drop depth of the tip below the edge, mm, less than `length`
 * @returns bending length c, mm
 * @throws {InputError} for values that no hanging strip can have
 * @example bendingLengthFromDrop(100, 30) // 72.82
 */
export function bendingLengthFromDrop(length: number, drop: number): number {
  requireNumber('length', length, 'mm', { above: 0, max: 5000 });
  requireNumber('drop', drop, 'mm', { above: 0 });
  // A drop of less than a two-hundredth of the length cannot be told from level with a ruler, and one of
  // 99.5 % cannot be told from straight down; both ends would turn a reading error into any stiffness.
  if (!(drop >= length * 0.0005)) {
    throw new InputError('drop', `is too small to measure against a length of ${length} mm, saw ${drop}; let more hang over`);
  }
  if (!(drop < length)) throw new InputError('drop', `must be less than the length of ${length} mm, saw ${drop}`);
  const share = drop / length;
  const longest = hangRatioShare(LONGEST_RATIO);
  if (!(share < longest)) {
    throw new InputError('drop', `the strip hangs straight down (${drop} of ${length} mm); let less hang over`);
  }
  const tip = findTip((strip) => strip.depth / strip.ratio, share);
  return length / hangFromTip(tip).ratio;
}

/** Depth ÷ length of a strip that is `ratio` bending lengths long. */
function hangRatioShare(ratio: number): number {
  const tip = findTip((strip) => strip.ratio, ratio);
  const strip = hangFromTip(tip);
  return strip.depth / strip.ratio;
}

/**
 * Flexural rigidity per unit width, G = M g c³.
 *
 * @param arealDensity g/m² @param bendingLength mm @returns µN·m
 * @example flexuralRigidity(150, 20) // 11.77
 */
export function flexuralRigidity(arealDensity: number, bendingLength: number): number {
  // (g/m² → kg/m²: 1e-3) · (mm³ → m³: 1e-9) · (N·m → µN·m: 1e6) = 1e-6
  return arealDensity * GRAVITY * bendingLength ** 3 * 1e-6;
}

/**
 * Bending length in mm of a sheet of rigidity G (µN·m) and areal density (g/m²): the inverse of {@link flexuralRigidity}.
 *
 * @example bendingLengthOf(11.77, 150) // 20
 */
export function bendingLengthOf(rigidity: number, arealDensity: number): number {
  return Math.cbrt(rigidity / (arealDensity * GRAVITY * 1e-6));
}
