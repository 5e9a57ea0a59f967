import { InputError, shown } from '../input-error';

/** The two ways in which people read lengths. */
export type LengthSystem = 'metric' | 'inch';

/** Exactly 25.4 mm, by the definition of the international inch. */
export const MM_PER_INCH = 25.4;

const MM_PER_UNIT: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
  '”': MM_PER_INCH,
  ft: MM_PER_INCH * 12,
  "'": MM_PER_INCH * 12,
  yd: MM_PER_INCH * 36,
  yard: MM_PER_INCH * 36,
  yards: MM_PER_INCH * 36,
};

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Sixteenths as a sewing ruler prints them; those without a glyph of their own are spelled out. */
const SIXTEENTHS = [
  '',
  '1/16',
  '⅛',
  '3/16',
  '¼',
  '5/16',
  '⅜',
  '7/16',
  '½',
  '9/16',
  '⅝',
  '11/16',
  '¾',
  '13/16',
  '⅞',
  '15/16',
] as const;

/** Longer than any roll in a sewing room; keeps a slip of the finger from becoming a kilometre. */
const LONGEST_MM = 200_000;

/**
 * Reads a length as people type it and returns millimetres.
 *
 * Takes decimals with point or comma, whole numbers with a fraction (`1 1/4`, `1¼`, `3/8`), and any of
 * mm, cm, m, in, ", ft, yd. A bare number counts in `system`: millimetres, or inches.
 *
 * @example parseLength('3/8"', 'metric') // 9.525
 * @throws {InputError} when the text is not a length of 0 to 200 m.
 */
export function parseLength(text: string, system: LengthSystem, field = 'length'): number {
  const spelled = text
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (glyph) => ` ${VULGAR[glyph]}`)
    .trim()
    .toLowerCase();
  const match = /^(?:(\d+(?:[.,]\d+)?|[.,]\d+)(?![\d/]))?\s*-?\s*(?:(\d+)\s*[/⁄]\s*(\d+))?\s*([a-z]+|["'″”])?\.?$/.exec(spelled);
  const refuse = () => new InputError(field, `write a length such as 9.5 mm, 20 cm, 3/8" or 1 1/4 in; saw ${shown(text)}`);
  if (!match || (match[1] === undefined && match[2] === undefined)) throw refuse();
  const whole = match[1] === undefined ? 0 : Number(match[1].replace(',', '.'));
  const fraction = match[2] === undefined ? 0 : Number(match[2]) / Number(match[3]);
  const scale = match[4] === undefined ? (system === 'inch' ? MM_PER_INCH : 1) : MM_PER_UNIT[match[4]];
  if (scale === undefined) throw refuse();
  const millimetres = (whole + fraction) * scale;
  if (!(millimetres >= 0 && millimetres <= LONGEST_MM)) {
    throw new InputError(field, `must be between 0 and 200 m, saw ${shown(text)}`);
  }
  return millimetres;
}

/** Rounds inches to the nearest sixteenth and writes them as a ruler reads: `3 ⅜ in`. */
function formatInches(millimetres: number): string {
  const sixteenths = Math.round((Math.abs(millimetres) / MM_PER_INCH) * 16);
  const whole = Math.floor(sixteenths / 16);
  const part = SIXTEENTHS[sixteenths % 16]!;
  const sign = millimetres < 0 && sixteenths > 0 ? '−' : '';
  if (part === '') return `${sign}${whole} in`;
  return `${sign}${whole > 0 ? `${whole} ` : ''}${part} in`;
}

/**
 * Writes a rectangle with both sides in one unit: `45 × 9 cm`, `17 ¾ × 3 ½ in`.
 *
 * @example formatSize(200, 100, 'metric') // '20 × 10 cm'
 */
export function formatSize(width: number, height: number, system: LengthSystem): string {
  if (system === 'inch') return `${formatInches(width).replace(' in', '')} × ${formatInches(height)}`;
  if (Math.max(width, height) < 99.75) return `${trimmed(Math.round(width), 0)} × ${trimmed(Math.round(height), 0)} mm`;
  return `${trimmed(width / 10, 1)} × ${trimmed(height / 10, 1)} cm`;
}

/** Drops trailing zeros: 12.50 → 12.5, 12.0 → 12. */
function trimmed(value: number, digits: number): string {
  return String(Number(value.toFixed(digits))).replace('-', '−');
}

/**
 * Writes a length in millimetres as a sewist reads it.
 *
 * Metric: below 100 mm to half a millimetre, below 1 m in whole centimetres and millimetres, above in
 * metres to the centimetre. Inches: to the nearest 1/16.
 *
 * @example formatLength(85.725, 'inch') // '3 ⅜ in'
 */
export function formatLength(millimetres: number, system: LengthSystem): string {
  if (system === 'inch') return formatInches(millimetres);
  const size = Math.abs(millimetres);
  if (size < 99.75) return `${trimmed(Math.round(millimetres * 2) / 2, 1)} mm`;
  if (size < 999.5) return `${trimmed(Math.round(millimetres) / 10, 1)} cm`;
  return `${trimmed(millimetres / 1000, 2)} m`;
}

/** A length that a ruler's sixteenths say within this is one of them, mm. */
const ON_A_MARK = 0.02;

/**
 * Writes a length for a field that is read back: to a hundredth of a millimetre, in inches by sixteenths where it lies on one and
 * else by thousandths, so that opening and saving a form changes nothing.
 *
 * @example lengthForField(12.7, 'metric') // '12.7 mm'
 * @example lengthForField(12.7, 'inch') // '½ in'
 */
export function lengthForField(millimetres: number, system: LengthSystem): string {
  if (system === 'inch') {
    const sixteenth = MM_PER_INCH / 16;
    const off = millimetres - Math.round(millimetres / sixteenth) * sixteenth;
    if (Math.abs(off) < ON_A_MARK) return formatInches(millimetres);
    return `${trimmed(millimetres / MM_PER_INCH, 3)} in`;
  }
  const size = Math.abs(millimetres);
  if (size < 99.995) return `${trimmed(millimetres, 2)} mm`;
  return size < 999.95 ? `${trimmed(millimetres / 10, 3)} cm` : `${trimmed(millimetres / 1000, 5)} m`;
}

/**
 * Reads a length that was typed in place of another or beside a hint: a bare number counts in the unit that stands there.
 *
 * @param beside the text that it stands in for, such as `26 cm` @throws {InputError} as {@link parseLength}
 * @example parseLengthBeside('26', '30 cm', 'metric') // 260
 */
export function parseLengthBeside(text: string, beside: string, system: LengthSystem, field = 'length'): number {
  const bare = /^[\d.,\s½¼¾⅛⅜⅝⅞⅓⅔/-]+$/.test(text);
  const unit = bare ? (/\d\s*(mm|cm|m|in|ft|yd)\b/.exec(beside)?.[1] ?? /[½¼¾⅛⅜⅝⅞]\s*(in)\b/.exec(beside)?.[1]) : undefined;
  return parseLength(unit ? `${text} ${unit}` : text, system, field);
}

/**
 * Writes an area given in mm²: cm² below a tenth of a square metre, or square inches.
 *
 * @example formatArea(450000, 'metric') // '0.45 m²'
 */
export function formatArea(squareMillimetres: number, system: LengthSystem): string {
  if (system === 'inch') {
    const squareInches = squareMillimetres / MM_PER_INCH ** 2;
    return `${trimmed(squareInches, squareInches < 10 ? 1 : 0)} sq in`;
  }
  const squareCentimetres = squareMillimetres / 100;
  if (squareCentimetres < 1000) return `${trimmed(squareCentimetres, squareCentimetres < 10 ? 1 : 0)} cm²`;
  return `${trimmed(squareCentimetres / 10_000, 2)} m²`;
}

/**
 * A sentence about lengths in millimetres, such as what is wrong with a measure, in the unit of its reader.
 *
 * @example inReadersUnit('must be at most 19.05 mm', 'inch') // 'must be at most ¾ in'
 */
export function inReadersUnit(words: string, system: LengthSystem): string {
  return words.replace(/(\d+(?:\.\d+)?) mm\b(?!²)/g, (_, millimetres: string) => lengthForField(Number(millimetres), system));
}

/** Lengths in a sentence: one, or a range, in millimetres, centimetres or metres; areas are told apart, weights by the area stay. */
const TOLD = /(\d+(?:\.\d+)?)(?:(–| to | or )(\d+(?:\.\d+)?))?\s(mm|cm|m)\b(?!²|\/)/g;
/** An area in a sentence; a weight by the area has its stroke before the unit. */
const SQUARE_METRES = /(\d+(?:\.\d+)?)\sm²/g;
const IN_MM: Readonly<Record<string, number>> = { mm: 1, cm: 10, m: 1000 };
/** Shorter than this is a setting of the machine, which is in millimetres everywhere: the length of a stitch. */
const STITCH_LENGTH = 2;

/**
 * What is told about how a thing is done, in the reader's unit: figures of practice such as “3–6 mm” or “from 40 cm” as a person with a
 * tape in inches would say them, rounded to what hands can keep. Stitch lengths stay as machines have them; cloth and thread by the metre
 * become yards.
 *
 * @example wordsInUnits('Baste 3–6 mm from the edge.', 'inch') // 'Baste ⅛–¼ in from the edge.'
 */
export function wordsInUnits(words: string, system: LengthSystem): string {
  if (system === 'metric') return words;
  return words
    .replace(TOLD, (told: string, first: string, between: string | undefined, second: string | undefined, unit: string) => {
      const sizes = [first, second].filter((each) => each !== undefined).map((each) => Number(each) * IN_MM[unit]!);
      if (unit === 'm') return `${sizes.map((size) => eighths(size / 914.4)).join(between ?? '')} yd`;
      if (sizes.length === 1 && sizes[0]! < STITCH_LENGTH) return told;
      const [from, to] = sizes.map((size) => handInches(size));
      return to === undefined || to === from ? `${from} in` : `${from}${between}${to} in`;
    })
    .replace(SQUARE_METRES, (_, squareMetres: string) => formatArea(Number(squareMetres) * 1e6, system))
    .replace(/half a metre/g, 'half a yard')
    .replace(/a metre/g, 'a yard');
}

/** Inches as hands keep them: sixteenths below 6 mm, eighths to a hand's width unless it is a round figure, halves and wholes beyond. */
function handInches(millimetres: number): string {
  const step = millimetres < 6 ? 1 / 16 : millimetres < 150 && millimetres % 50 > 0 ? 1 / 8 : millimetres < 400 ? 1 / 2 : 1;
  const inches = Math.max(step, Math.round(millimetres / MM_PER_INCH / step) * step);
  return formatInches(inches * MM_PER_INCH).replace(' in', '');
}

/** A number of yards, up to the next eighth: what is told is enough. */
function eighths(yards: number): string {
  return formatInches((Math.ceil(yards * 8) / 8) * MM_PER_INCH).replace(' in', '');
}
