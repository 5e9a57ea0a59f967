import { requireNumber } from '../input-error';
import type { Fabric } from '../cloth';
import type { Outline, Point } from '../shape';

/** Share that is lost each way, 0–0.4: along the grain and across it. */
export interface Shrinkage {
  length: number;
  cross: number;
}

/** What heavy starch takes from a cloth both ways: 10 to 15 mm of half a metre, in one direction. */
const STARCH = 0.025;

/**
 * What a cloth will still lose between cutting and the finished piece: its shrinkage in the wash unless it was washed
 * before, and what wet starching takes.
 *
 * @param starched whether the whole piece is soaked in starch before it is sewn
 * @example shrinkageOf({ shrinkLength: 3, shrinkCross: 1, prewashed: true }, false) // { length: 0, cross: 0 }
 */
export function shrinkageOf(cloth: Pick<Fabric, 'shrinkLength' | 'shrinkCross' | 'prewashed'>, starched: boolean): Shrinkage {
  const washed = cloth.prewashed === true;
  return {
    length: (washed ? 0 : (cloth.shrinkLength ?? 0) / 100) + (starched ? STARCH : 0),
    cross: washed ? 0 : (cloth.shrinkCross ?? 0) / 100,
  };
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
