import { requireNumber } from '../input-error';
import type { Fabric } from '../cloth';
import { isSoaked, type Material } from '../layers';
import type { Outline, Point } from '../shape';

/** Share that is lost each way, 0–0.4: along the grain and across it. */
export interface Shrinkage {
  length: number;
  cross: number;
}

/** A heavy wetting that shrinks a cloth, as shares along and across its grain, and whether it comes before the pieces are cut. */
export interface Treatment extends Shrinkage {
  when: 'before' | 'after';
}

/** What heavy starch takes from a cloth: 10 to 15 mm of half a metre, in one direction. */
const HEAVY = 0.025;
/** Shrinkage that can be worked with; a reading beyond it was a slip. */
const MOST = 0.3;

/**
 * What the liquids of a stack do to the size of a cloth: nothing as a mist; damp or wet through they shrink it, as was read on this pair
 * before, or as is usual.
 *
 * @param stack materials as they are used @param cutAlready whether pieces are cut before they are treated
 * @param shrank what was read on the same cloth and stack, %
 * @example treatmentBy([joinedAs(starch, 'full')], false) // { when: 'before', length: 0.025, cross: 0 }
 */
export function treatmentBy(
  stack: readonly Material[],
  cutAlready: boolean,
  shrank: readonly { along: number | null; across: number | null }[] = [],
): Treatment | undefined {
  const heavy = stack.some((material) => material.form === 'liquid' && DRENCHING.includes(material.family) && !isMist(material));
  if (!heavy) return undefined;
  const mean = (way: 'along' | 'across', usual: number) => {
    const read = shrank.flatMap((each) => each[way] ?? []);
    const share = read.length === 0 ? usual : read.reduce((sum, each) => sum + each, 0) / read.length / 100;
    return Math.min(MOST, Math.max(0, share));
  };
  return { when: cutAlready ? 'after' : 'before', length: mean('along', HEAVY), cross: mean('across', 0) };
}

/** Liquids of which more than a mist makes a cloth smaller. */
const DRENCHING: readonly Material['family'][] = ['starch', 'liquid-stabilizer'];

const isMist = (material: Material) => !isSoaked(material) && (material.use === undefined || material.use.join === 'liquid');

/** Share of its length by which a layer that has to be shrunk before use becomes shorter. */
const PRE_SHRINK = 0.03;

/**
 * Share of its length that a layer loses before anything is cut from it.
 *
 * @example layerShrinkage({ preShrink: true }) // 0.03
 */
export function layerShrinkage({ preShrink }: Pick<Material, 'preShrink'>): number {
  return preShrink ? PRE_SHRINK : 0;
}

/**
 * What a cloth will still lose between cutting and the finished piece: its shrinkage in the wash unless it was washed
 * before, and what a heavy wetting takes that comes after cutting.
 *
 * @example shrinkageOf({ shrinkLength: 3, shrinkCross: 1, prewashed: true }) // { length: 0, cross: 0 }
 */
export function shrinkageOf(
  cloth: Pick<Fabric, 'shrinkLength' | 'shrinkCross' | 'prewashed'>,
  treatment?: Treatment | null,
): Shrinkage {
  const washed = cloth.prewashed === true;
  const after = treatment?.when === 'after' ? treatment : { length: 0, cross: 0 };
  return {
    length: (washed ? 0 : (cloth.shrinkLength ?? 0) / 100) + after.length,
    cross: (washed ? 0 : (cloth.shrinkCross ?? 0) / 100) + after.cross,
  };
}

/**
 * What a cloth loses before the pieces are cut from it, by a heavy wetting of the whole length.
 *
 * @example shrunkBefore({ when: 'after', length: 0.03, cross: 0 }) // { length: 0, cross: 0 }
 */
export function shrunkBefore(treatment: Treatment | null | undefined): Shrinkage {
  return treatment?.when === 'before' ? { length: treatment.length, cross: treatment.cross } : { length: 0, cross: 0 };
}

/**
 * An outline that has its size once it has shrunk: size ÷ (1 − shrinkage), along the grain and across it, about the
 * origin.
 *
 * @param outline mm @param grain direction of the grain line, degrees counter-clockwise from upright
 * @example polygonArea(enlarged(square(100), { length: 0.2, cross: 0 }, 0)) // 12500
 */
export function enlarged(outline: Outline, { length, cross }: Shrinkage, grain: number): Outline {
  requireNumber('length', length, '', { min: -0.1, max: 0.4 });
  requireNumber('cross', cross, '', { min: -0.1, max: 0.4 });
  const angle = (grain * Math.PI) / 180;
  const along: Point = [-Math.sin(angle), Math.cos(angle)];
  const across: Point = [along[1], -along[0]];
  return outline.map(([x, y]): Point => {
    const p = (x * along[0] + y * along[1]) / (1 - length);
    const q = (x * across[0] + y * across[1]) / (1 - cross);
    return [p * along[0] + q * across[0], p * along[1] + q * across[1]];
  });
}
