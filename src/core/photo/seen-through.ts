import { InputError } from '../input-error';
import { opacityOf } from '../seethrough';
import type { Point } from '../shape';
import { seenAt } from './camera';
import { FIELDS, isWhite, MARGIN_FIELDS, MARKER } from './card-codes';
import { leastSquares } from './equations';
import { middleOf } from './lines';
import { photographed, type Photographed, type Progress } from './photographed';
import { lightOf, type Picture } from './picture';

/** A cloth as light meets it, seen over white and black. */
export interface SeenThrough {
  /** What is seen over black, divided by what is seen over white, %. */
  opacity: number;
  /** Shares of the light, 0–1. */
  reflectance: number;
  transmittance: number;
  warnings: string[];
}

/** The card beside which the fields stand. */
const FIELD_CARD = 8;
/** Light that printed white and printed black throw back. */
const WHITE = 0.89;
const BLACK = 0.05;
/** The fields, from the black square's right side, as shares of it: white from 10 to 70 of 60 mm, black from 70 to 130. */
const FIELD = { white: [1 / 6, 7 / 6], black: [7 / 6, 13 / 6] } as const;
/** What is read of a field: well inside its upper and its lower half, as shares of its height, and of its width. */
const UPPER = [0.6, 0.92] as const;
const LOWER = [0.1, 0.4] as const;
const ACROSS = [0.15, 0.85] as const;

/**
 * How much is seen through a swatch that covers the lower half of a white and a black field beside card 8. The picture's gamma is undone;
 * card, margin and bare fields, of which the light that they throw back is known, tell the light over the print; what comes from the covered
 * fields then gives R and T of the cloth: seen over a backing g it throws back R + T² g / (1 − R g).
 *
 * @param marker side of a card's black square as measured on the print, mm
 * @throws {InputError} where the fields are not seen
 * @example Math.round(swatchSeen(fieldsPicture, 60).opacity) // 78
 */
export function swatchSeen(picture: Picture, marker = MARKER, progress?: Progress): SeenThrough {
  const photo = photographed(picture, marker, { upright: FIELD_CARD, progress });
  progress?.('Reading the fields', 0.7);
  const bare = {
    white: readOf(photo, marker, FIELD.white, UPPER),
    black: readOf(photo, marker, FIELD.black, UPPER),
  };
  const covered = {
    white: readOf(photo, marker, FIELD.white, LOWER),
    black: readOf(photo, marker, FIELD.black, LOWER),
  };
  if (!(middle(bare.white) > 2.5 * middle(bare.black)))
    throw new InputError('picture', 'must show a bare white and a bare black field beside card 8, above the swatch');
  const light = lightOver([...known(photo, marker), ...readings(bare.white, WHITE), ...readings(bare.black, BLACK)]);
  const over = (read: readonly Read[]) => middle(read.map(({ at, value }) => ({ at, value: value / light(at) })));
  const [white, black] = [over(covered.white), over(covered.black)];
  const warnings: string[] = [];
  if (saturated(photo, marker)) warnings.push('The white is too light to be measured: take the picture with less light.');
  if (black > white + 0.02)
    throw new InputError('picture', 'must show the swatch over the lower half of both fields, flat on them');
  const { reflectance, transmittance } = sheetOf(white, Math.min(black, white));
  if (Math.abs(white - WHITE) < 0.03 && Math.abs(black - BLACK) < 0.02)
    warnings.push('Nothing seems to cover the lower half of the fields.');
  return { opacity: opacityOf([{ reflectance, transmittance }]).opacity, reflectance, transmittance, warnings };
}

/** Light that was read at a place of the plane; the origin is the card's upper right corner. */
interface Read {
  at: Point;
  value: number;
}

const middle = (read: readonly Read[]) => middleOf(read.map(({ value }) => value)) ?? NaN;
const readings = (read: readonly Read[], share: number) => read.map((each) => ({ ...each, share }));

/** Light at some places of a field: of its width the middle, of its height what is asked for. */
function readOf(photo: Photographed, marker: number, field: readonly [number, number], rows: readonly [number, number]): Read[] {
  const all: Read[] = [];
  const n = 14;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      const across = ACROSS[0] + ((ACROSS[1] - ACROSS[0]) * (i + 0.5)) / n;
      const up = rows[0] + ((rows[1] - rows[0]) * (j + 0.5)) / n;
      const at: Point = [marker * (field[0] + across * (field[1] - field[0])), marker * (up - 1)];
      const value = lightAt(photo, at);
      if (value === undefined) throw new InputError('picture', 'must show both fields beside card 8 whole');
      all.push({ at, value });
    }
  return all;
}

/** Light from the pixel that shows a place, as grey; the middle of many is taken afterwards. */
function lightAt({ camera, picture }: Photographed, at: Point): number | undefined {
  const [x, y] = seenAt(camera, at);
  const [i, j] = [Math.floor(x), Math.floor(y)];
  const { width, height, data } = picture;
  if (i < 0 || j < 0 || i >= width || j >= height) return undefined;
  const from = (j * width + i) * 4;
  return 0.3 * lightOf(data[from]!) + 0.59 * lightOf(data[from + 1]!) + 0.11 * lightOf(data[from + 2]!);
}

/** Light from the card's own fields and its white margin, whose shares are known. */
function known(photo: Photographed, marker: number): (Read & { share: number })[] {
  const field = marker / FIELDS;
  const all: (Read & { share: number })[] = [];
  for (let row = -MARGIN_FIELDS; row < FIELDS + MARGIN_FIELDS; row++)
    for (let column = -MARGIN_FIELDS; column < FIELDS; column++) {
      const margin = row < 0 || column < 0 || row >= FIELDS;
      const share = margin || isWhite(FIELD_CARD, row, column) ? WHITE : BLACK;
      for (const dy of [0.35, 0.65])
        for (const dx of [0.35, 0.65]) {
          const at: Point = [(column + dx) * field - marker, -(row + dy) * field];
          const value = lightAt(photo, at);
          if (value !== undefined) all.push({ at, value, share });
        }
    }
  return all;
}

/** Light over the print, as a surface: what is read divided by the share that is thrown back there; twice, without what does not fit. */
function lightOver(all: readonly (Read & { share: number })[]): (at: Point) => number {
  const terms = ([x, y]: Point) => [1, x / 100, y / 100, (x / 100) ** 2];
  let used = all;
  let factors: number[] = [0, 0, 0, 0];
  for (let round = 0; round < 3; round++) {
    const found = leastSquares(used.map(({ at, value, share }) => [...terms(at).map((term) => term * share), value]));
    if (!found) throw new InputError('picture', 'must show card 8 and its fields in even light');
    factors = found;
    const off = (each: Read & { share: number }) =>
      Math.abs(each.value - each.share * terms(each.at).reduce((sum, term, i) => sum + term * factors[i]!, 0));
    const offs = all.map(off).sort((a, b) => a - b);
    const limit = Math.max(0.01, 3 * offs[offs.length >> 1]!);
    used = all.filter((each) => off(each) <= limit);
  }
  return (at) =>
    Math.max(
      1e-3,
      terms(at).reduce((sum, term, i) => sum + term * factors[i]!, 0),
    );
}

function saturated(photo: Photographed, marker: number): boolean {
  const read = readOf(photo, marker, FIELD.white, UPPER);
  return read.filter(({ value }) => value > 0.985).length > read.length / 2;
}

/**
 * R and T of one sheet from what it throws back over white and over black: for a share R, T² follows from either; R is where both agree.
 */
function sheetOf(white: number, black: number): { reflectance: number; transmittance: number } {
  const squared = (r: number, over: number, backing: number) => ((over - r) * (1 - r * backing)) / backing;
  // What it throws back of its own is at most what is seen over black; the less, the more of the black's light came through it.
  let [low, high] = [0, black];
  for (let i = 0; i < 60; i++) {
    const r = (low + high) / 2;
    if (squared(r, black, BLACK) > squared(r, white, WHITE)) low = r;
    else high = r;
  }
  const reflectance = Math.max(0, Math.min(1, (low + high) / 2));
  const transmittance = Math.sqrt(Math.max(0, squared(reflectance, white, WHITE)));
  return { reflectance, transmittance: Math.max(0, Math.min(1 - reflectance, transmittance)) };
}
