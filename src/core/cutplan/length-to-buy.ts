import { requireNumber } from '../input-error';
import { formatLength, MM_PER_INCH, type LengthSystem } from '../units';

export interface LengthToBuy {
  /** What the layout uses after shrinking, mm. */
  needed: number;
  /** With shrinkage and squaring, mm. */
  withAllowances: number;
  /** Rounded up to how shops cut, mm. */
  buy: number;
}

/** Shops cut by ten centimetres, or by the eighth of a yard. */
const SHOP_STEP: Record<LengthSystem, number> = { metric: 100, inch: (36 * MM_PER_INCH) / 8 };

/** What an uneven end costs when it is squared, mm. */
export const SQUARING = 30;

/**
 * Length to buy for a layout: size ÷ (1 − shrinkage), plus squaring the end, rounded up to the shop's step.
 *
 * @param layoutLength mm @param shrinkage share lost in the wash, 0–0.3
 * @example lengthToBuy(980, 0, 'metric').buy // 1100
 */
export function lengthToBuy(
  layoutLength: number,
  shrinkage: number,
  system: LengthSystem,
  squaring: number = SQUARING,
): LengthToBuy {
  requireNumber('layoutLength', layoutLength, 'mm', { min: 0 });
  requireNumber('shrinkage', shrinkage, '', { min: 0, max: 0.3 });
  if (layoutLength === 0) return { needed: 0, withAllowances: 0, buy: 0 };
  const withAllowances = layoutLength / (1 - shrinkage) + squaring;
  return { needed: layoutLength, withAllowances, buy: asShopsCut(withAllowances, system) };
}

/**
 * A length rounded up to how shops cut, mm.
 *
 * @example asShopsCut(1010, 'metric') // 1100
 */
export function asShopsCut(length: number, system: LengthSystem): number {
  const step = SHOP_STEP[system];
  return Math.ceil(length / step - 1e-9) * step;
}

const EIGHTHS = ['', ' ⅛', ' ¼', ' ⅜', ' ½', ' ⅝', ' ¾', ' ⅞'];

/**
 * A length as it is asked for in a shop: metres and centimetres, or yards and eighths.
 *
 * @param length rounded up as shops cut, mm
 * @example shopWords(1257.3, 'inch') // '1 ⅜ yd'
 */
export function shopWords(length: number, system: LengthSystem): string {
  if (system === 'metric') return formatLength(length, system);
  const eighths = Math.round(length / SHOP_STEP.inch);
  const [yards, rest] = [Math.floor(eighths / 8), EIGHTHS[eighths % 8]!];
  return `${yards === 0 && rest ? rest.trim() : `${yards}${rest}`} yd`;
}
