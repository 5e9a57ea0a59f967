import { InputError, requireNumber } from '../input-error';

/** A cloth or layer as light meets it; what is neither reflected nor let through is swallowed. */
export interface LightSheet {
  /** Share of the light that the solid cloth throws back, 0–1. */
  reflectance: number;
  /** Share that the solid cloth lets through, 0–1. */
  transmittance: number;
  /** Share of its area that is holes, 0–1. */
  openArea?: number | undefined;
}

export interface Opacity {
  /** What is seen over black, divided by what is seen over white, %. */
  opacity: number;
  /** Of the whole pile, over black, 0–1. */
  reflectance: number;
  transmittance: number;
}

/** A white backing, as paper is. */
const WHITE = 0.89;
/** Rounding that two shares of the light may add up to more than all of it by. */
const ROUNDING = 1e-9;

/**
 * How much is seen through a pile of sheets. Light goes to and fro between two sheets, so with the first in front
 * T = T₁T₂/(1 − R₁R₂) and R = R₁ + T₁²R₂/(1 − R₁R₂); a pile is put together from its back. Opacity is the contrast ratio: R over black ÷ R over
 * a white of 0.89, in per cent.
 *
 * @param sheets outermost first
 * @throws {InputError} for shares that cannot be, naming the sheet
 * @example opacityOf([{ reflectance: 0.7, transmittance: 0.25 }]).opacity // about 84
 */
export function opacityOf(sheets: readonly LightSheet[]): Opacity {
  if (sheets.length === 0) throw new InputError('sheets', 'must hold at least one sheet');
  const solid = sheets.map(({ reflectance, transmittance, openArea = 0 }, i) => {
    requireNumber(`sheets[${i}].reflectance`, reflectance, '', { min: 0, max: 1 });
    requireNumber(`sheets[${i}].transmittance`, transmittance, '', { min: 0, max: 1 });
    requireNumber(`sheets[${i}].openArea`, openArea, '', { min: 0, max: 1 });
    if (!(reflectance + transmittance <= 1 + ROUNDING))
      throw new InputError(
        `sheets[${i}].transmittance`,
        `and reflectance must add up to at most 1, saw ${reflectance + transmittance}`,
      );
    return { r: (1 - openArea) * reflectance, t: (1 - openArea) * transmittance + openArea };
  });
  const over = (backing: number) => {
    let [r, t] = [backing, 1];
    for (const sheet of [...solid].reverse()) {
      // Two sheets that throw everything back keep the light between them for ever; none of it comes out.
      const bounced = 1 - sheet.r * r;
      t = bounced > 0 ? (sheet.t * t) / bounced : 0;
      r = bounced > 0 ? sheet.r + (sheet.t ** 2 * r) / bounced : sheet.r;
    }
    return { r, t };
  };
  const black = over(0);
  const white = over(WHITE);
  // What throws nothing back over white either is as dark as can be: nothing is told apart behind it.
  return { opacity: white.r > 0 ? (100 * black.r) / white.r : 100, reflectance: black.r, transmittance: black.t };
}

/** From here on a cloth feels opaque, and veiled, %; below it is seen through. */
export const SHEERNESS_FROM = { opaque: 95, veiled: 80 } as const;

/**
 * How an opacity feels.
 *
 * @param opacity contrast ratio, %; it is judged as it is told, in whole per cent
 * @example sheernessOf(83) // 'veiled'
 */
export function sheernessOf(opacity: number): 'opaque' | 'veiled' | 'sheer' {
  const shown = Math.round(opacity);
  return shown >= SHEERNESS_FROM.opaque ? 'opaque' : shown >= SHEERNESS_FROM.veiled ? 'veiled' : 'sheer';
}
