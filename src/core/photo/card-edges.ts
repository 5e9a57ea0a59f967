import type { Point } from '../shape';
import { FIELDS, isWhite } from './card-codes';
import { fitted } from './equations';
import { homographyOf, inverseOf, mapped, type Homography } from './homography';
import { crossingOf, lineThrough, middleOf, type Line } from './lines';
import { Sampler, type Picture } from './picture';
import type { SeenCard } from './find-cards';

/** Cards whose corners are crossings of edges that were measured between the pixels. */
export interface SharpCards {
  cards: SeenCard[];
  /** To which stored values are raised so that a printed field is as wide black as white. */
  exponent: number;
}

/** Places along a side that are looked at, and how far from its ends they stay, as a share of it. */
const PLACES = 24;
const FROM_END = 0.06;

/**
 * Corners to a tenth of a pixel or better: each side is a line through places where black turns to white, and corners are where two
 * sides cross. How a picture keeps its grey moves such a place a little towards the dark; the fields inside tell by how much, since
 * black ones must be as wide as white ones.
 *
 * @param trimmed a card that has no white on its upper and right side: its fields inside and its other two sides say where it is
 * @example sharpened(picture, []).cards // []
 */
export function sharpened(picture: Picture, cards: readonly SeenCard[], trimmed?: number): SharpCards {
  if (cards.length === 0) return { cards: [], exponent: 1 };
  // The shift is nearly straight in the exponent between values as they are stored and about the light they stand for.
  const shifts = EXPONENTS.map((exponent) => {
    const sampler = new Sampler(picture, exponent);
    const whole = cards.filter(({ id }) => id !== trimmed);
    const sharp = whole.map((card) => sharpCard(sampler, sharpCard(sampler, card)));
    const all = sharp.flatMap((card) => innerShifts(sampler, card));
    return all.reduce((sum, { up, down }) => sum + up * down, 0) / (all.reduce((sum, { up }) => sum + up * up, 0) || 1);
  });
  const [low, high] = [shifts[0]!, shifts[1]!];
  const share = Math.abs(high - low) > 1e-6 ? Math.max(0, Math.min(1, low / (low - high))) : 0.5;
  const exponent = EXPONENTS[0] + share * (EXPONENTS[1] - EXPONENTS[0]);
  const sampler = new Sampler(picture, exponent);
  const sharp = (card: SeenCard) =>
    card.id === trimmed ? byItsFields(sampler, byItsFields(sampler, card)) : sharpCard(sampler, sharpCard(sampler, card));
  return { cards: cards.map(sharp), exponent };
}

/** Where along a border of two fields it is looked, in fields. */
const LANES = [0.25, 0.5, 0.75];

/** A card's corners from the borders of its fields and from its left and its lower side. */
function byItsFields(sampler: Sampler, card: SeenCard): SeenCard {
  const { id, corners } = card;
  const map = homographyOf(UNIT, corners);
  if (!map) return card;
  /** Places that were measured, and the line of the card's grid that each lies on. */
  const found: { at: Point; across: boolean; line: number }[] = [];
  for (const across of [false, true])
    for (let line = 0; line <= FIELDS; line++)
      for (let lane = 0; lane < FIELDS; lane++) {
        const white = (l: number) => {
          if (l < 0 || l >= FIELDS) return across ? l >= FIELDS : l < 0;
          return across ? isWhite(id, l, lane) : isWhite(id, lane, l);
        };
        const [before, after] = [white(line - 1), white(line)];
        const trimmedSide = across ? line === 0 : line === FIELDS;
        if (before === after || trimmedSide) continue;
        for (const beside of LANES) {
          const spot = (l: number): Point => (across ? [lane + beside, l] : [l, lane + beside]);
          const { at, towards, field } = direction(map, spot(line), spot(line + 0.05));
          const sign = after ? 1 : -1;
          const off = turnsLight(sampler, at, [sign * towards[0], sign * towards[1]], Math.max(1.5, 0.45 * field));
          if (off !== undefined)
            found.push({ at: [at[0] + off * sign * towards[0], at[1] + off * sign * towards[1]], across, line });
        }
      }
  if (found.length < 12) return sharpCard(sampler, card);
  const start = corners.flat();
  const best = fitted((unknowns) => {
    const own = homographyOf(
      UNIT,
      [0, 2, 4, 6].map((i): Point => [unknowns[i]!, unknowns[i + 1]!]),
    );
    if (!own) return found.map(() => 1e3);
    const back = inverseOf(own);
    return found.map(({ at, across, line }) => {
      const off = mapped(back, at)[across ? 1 : 0] - line;
      // What stands off by more than a third of a field was read wrongly.
      return Math.max(-0.3, Math.min(0.3, off));
    });
  }, start);
  return { id, corners: [0, 2, 4, 6].map((i): Point => [best[i]!, best[i + 1]!]) as SeenCard['corners'] };
}

const EXPONENTS = [1, 2.2] as const;

function sharpCard(sampler: Sampler, card: SeenCard): SeenCard {
  const { corners } = card;
  const field = corners.reduce((sum, [x, y], i) => {
    const [u, v] = corners[(i + 1) % 4]!;
    return sum + Math.hypot(u - x, v - y) / (4 * FIELDS);
  }, 0);
  const reach = Math.max(2, Math.min(0.7 * field, 14));
  const sides = corners.map((from, i) => sideThrough(sampler, from, corners[(i + 1) % 4]!, reach));
  const next = corners.map((corner, i) => {
    const [before, after] = [sides[(i + 3) % 4], sides[i]];
    return (before && after && crossingOf(before, after)) ?? corner;
  });
  return { ...card, corners: next as SeenCard['corners'] };
}

/** A line through the places where it turns from dark inside to light outside; corners run clockwise as seen, so outside is on the left. */
function sideThrough(sampler: Sampler, from: Point, to: Point, reach: number): Line | undefined {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const along: Point = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const outward: Point = [along[1], -along[0]];
  const points: Point[] = [];
  for (let i = 0; i < PLACES; i++) {
    const share = FROM_END + ((1 - 2 * FROM_END) * i) / (PLACES - 1);
    const at: Point = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    const off = turnsLight(sampler, at, outward, reach);
    if (off !== undefined) points.push([at[0] + off * outward[0], at[1] + off * outward[1]]);
  }
  return sideOf(points);
}

/**
 * How far along a direction it turns from dark to light, half way between the two; undefined where it does not.
 *
 * @param reach how far it is looked either way, pixels
 */
function turnsLight(sampler: Sampler, at: Point, towards: Point, reach: number): number | undefined {
  const step = 0.25;
  const n = Math.round(reach / step);
  const values = Array.from({ length: 2 * n + 1 }, (_, i) => {
    const off = (i - n) * step;
    return sampler.grey([at[0] + off * towards[0], at[1] + off * towards[1]]);
  });
  const third = Math.max(2, Math.floor(n * 0.6));
  const dark = middleOf(values.slice(0, third))!;
  const light = middleOf(values.slice(-third))!;
  if (!(light - dark > 0.05)) return undefined;
  const half = (dark + light) / 2;
  let best: number | undefined;
  for (let i = 0; i < 2 * n; i++) {
    const [a, b] = [values[i]!, values[i + 1]!];
    if (a < half !== b < half && b > a) {
      const off = (i - n + (half - a) / (b - a)) * step;
      if (best === undefined || Math.abs(off) < Math.abs(best)) best = off;
    }
  }
  return best;
}

/** The line through some points, three times: from the second on without those that stand far off. */
function sideOf(points: readonly Point[]): Line | undefined {
  let used = points;
  let line: Line | undefined;
  for (let round = 0; round < 3 && used.length >= 5; round++) {
    line = lineThrough(used);
    const { at, along } = line;
    const offs = points.map(([x, y]) => Math.abs((x - at[0]) * along[1] - (y - at[1]) * along[0]));
    const limit = Math.max(0.15, 2.5 * middleOf(offs)!);
    used = points.filter((_, i) => offs[i]! <= limit);
  }
  return line;
}

/**
 * How far the fields' borders inside a card stand off where its corners say, against by how much they would for a shift of one pixel
 * towards the dark.
 */
function innerShifts(sampler: Sampler, { id, corners }: SeenCard): { up: number; down: number }[] {
  const map = homographyOf(UNIT, corners);
  if (!map) return [];
  const found: { up: number; down: number }[] = [];
  for (const across of [false, true])
    for (let line = 1; line < FIELDS; line++)
      for (let lane = 0; lane < FIELDS; lane++) {
        const [before, after] = across
          ? [isWhite(id, line - 1, lane), isWhite(id, line, lane)]
          : [isWhite(id, lane, line - 1), isWhite(id, lane, line)];
        if (before === after) continue;
        const spot = (l: number): Point => (across ? [lane + 0.5, l] : [l, lane + 0.5]);
        const { at, towards, field } = direction(map, spot(line), spot(line + 0.05));
        const sign = after ? 1 : -1;
        const off = turnsLight(sampler, at, [sign * towards[0], sign * towards[1]], Math.max(1.5, 0.45 * field));
        if (off === undefined) continue;
        // Measured corners are moved as well: by one outward at either end.
        const share = line / FIELDS;
        found.push({ up: after ? 2 * (1 - share) : 2 * share, down: -off });
      }
  return found;
}

const UNIT: Point[] = [[0, 0], [FIELDS, 0], [FIELDS, FIELDS], [0, FIELDS]]; // prettier-ignore

function direction(map: Homography, spot: Point, beyond: Point): { at: Point; towards: Point; field: number } {
  const at = mapped(map, spot);
  const [u, v] = mapped(map, beyond);
  const length = Math.hypot(u - at[0], v - at[1]);
  return { at, towards: [(u - at[0]) / length, (v - at[1]) / length], field: length / 0.05 };
}
