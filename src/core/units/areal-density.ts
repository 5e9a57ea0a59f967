import { InputError, shown } from '../input-error';
import type { LengthSystem } from './length';

/** One ounce per square yard in g/m²: 28.349523125 g ÷ 0.83612736 m². */
const GSM_PER_OZ_SQYD = 28.349523125 / 0.83612736;

/** One momme in g/m²: 3.75 g per 0.8361 m² of silk by the trade's rounded figure. */
const GSM_PER_MOMME = 4.34;

/** Heavier than any cloth that is sewn; a guard against a slipped decimal point. */
const HEAVIEST_GSM = 5000;

const GSM_PER_UNIT: Record<string, number> = {
  'g/m²': 1,
  'g/m2': 1,
  gsm: 1,
  g: 1,
  'oz/yd²': GSM_PER_OZ_SQYD,
  'oz/yd2': GSM_PER_OZ_SQYD,
  oz: GSM_PER_OZ_SQYD,
  'oz/sqyd': GSM_PER_OZ_SQYD,
  momme: GSM_PER_MOMME,
  mm: GSM_PER_MOMME,
};

/**
 * Reads an areal density and returns g/m². A bare number counts as g/m², or oz/yd² in the inch system.
 *
 * @example parseArealDensity('4 oz', 'metric') // 135.6
 * @throws {InputError} when the text is not a weight of more than 0 and at most 5000 g/m².
 */
export function parseArealDensity(text: string, system: LengthSystem, field = 'arealDensity'): number {
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*([a-z/²2]+)?$/.exec(
    text
      .trim()
      .toLowerCase()
      .replace(/\s*\/\s*/g, '/'),
  );
  const unit = match?.[2] ?? (system === 'inch' ? 'oz' : 'g/m²');
  const scale = GSM_PER_UNIT[unit];
  if (!match || scale === undefined) {
    throw new InputError(field, `write a weight such as 120 g/m², 4 oz/yd² or 16 momme; saw ${shown(text)}`);
  }
  const gsm = Number(match[1]!.replace(',', '.')) * scale;
  if (!(gsm > 0 && gsm <= HEAVIEST_GSM)) {
    throw new InputError(field, `must be more than 0 and at most ${HEAVIEST_GSM} g/m², saw ${shown(text)}`);
  }
  return gsm;
}

/**
 * Writes g/m² in whole grams, or oz/yd² to a tenth.
 *
 * @example formatArealDensity(120, 'metric') // '120 g/m²'
 */
export function formatArealDensity(gsm: number, system: LengthSystem): string {
  if (system === 'inch') return `${(gsm / GSM_PER_OZ_SQYD).toFixed(1)} oz/yd²`;
  return `${Math.round(gsm)} g/m²`;
}
