import { InputError } from '../input-error';
import type { Outline, Point } from '../shape';
import { seenAt } from './camera';
import { FIELDS, MARGIN_FIELDS } from './card-codes';
import { groundOf } from './ground';
import type { Photographed } from './photographed';
import { borderOnPlane } from './sharp-border';
import { opened, spotsOf } from './spots';

/** Smallest piece that is told, mm². */
export const LEAST_AREA = 300;
/** What is thinner than this is a line on the table, mm. */
const THIN = 3.2;
/** White that may be left round a card whose margin was cut wide, mm. */
const WIDE_CUT = 3;

/** What a picture shows, on the plane. */
export interface Looked {
  /** Rough borders of what stands out. */
  found: Outline[];
  /** Squares that its cards take up. */
  cards: Outline[];
  /** Something was taken for a shadow that lies by no piece. */
  shadows: boolean;
}

/**
 * What stands out from the table in a picture: not the ground, not a card, not a shadow.
 *
 * @param marker side of a card's black square as measured on the print, mm
 * @example lookedThrough(photo, 60).found.length > 0 // true
 */
export function lookedThrough(photo: Photographed, marker: number): Looked {
  const { small } = photo;
  const reach = marker / 2 + (marker * MARGIN_FIELDS) / FIELDS;
  const cards = photo.cards.map(({ corners }) => squareRound(corners, reach + WIDE_CUT));
  const blank = blankedBy(photo, cards);
  const seeds = photo.cards.flatMap(({ corners }) => ringPoints(corners, reach + WIDE_CUT + 4).map((at) => inSmall(photo, at)));
  const { width, height, differs } = groundOf(small, blank, seeds);
  const perPixel = millimetresPerPixel(photo);
  const brush = Math.max(1, THIN / 2 / perPixel);
  const least = Math.max(12, (0.6 * LEAST_AREA) / perPixel ** 2);
  const sure = spotsOf(opened(masked(differs, 1), width, height, brush), width, height, least);
  const near = new Uint8Array(width * height);
  for (const { pixels } of sure) for (const at of pixels) near[at] = 1;
  const shadows = spotsOf(opened(masked(differs, 2), width, height, brush), width, height, least).some(
    ({ pixels, cutOff }) => !cutOff && !touches(pixels, near, width, height),
  );
  const found = sure.map(({ border }) =>
    borderOnPlane(
      photo,
      border.map(([x, y]): Point => [x * small.by, y * small.by]),
    ),
  );
  return { found, cards, shadows };
}

const masked = (differs: Uint8Array, value: number) => differs.map((each) => (each === value ? 1 : 0));

function touches(pixels: readonly number[], near: Uint8Array, width: number, height: number): boolean {
  return pixels.some((at) => {
    const [x, y] = [at % width, Math.floor(at / width)];
    for (let dy = -2; dy <= 2; dy++)
      for (let dx = -2; dx <= 2; dx++) {
        const [u, v] = [x + dx, y + dy];
        if (u >= 0 && v >= 0 && u < width && v < height && near[v * width + u] === 1) return true;
      }
    return false;
  });
}

/** The square about a card's middle, so far from it on each side. */
function squareRound(corners: readonly Point[], reach: number): Outline {
  const [a, b, c, d] = corners as [Point, Point, Point, Point];
  const centre: Point = [(a[0] + b[0] + c[0] + d[0]) / 4, (a[1] + b[1] + c[1] + d[1]) / 4];
  const half = Math.hypot(b[0] - a[0], b[1] - a[1]) / 2;
  return [a, b, c, d].map(([x, y]): Point => [
    centre[0] + ((x - centre[0]) * reach) / half,
    centre[1] + ((y - centre[1]) * reach) / half,
  ]);
}

function ringPoints(corners: readonly Point[], reach: number): Point[] {
  const square = squareRound(corners, reach);
  return square.flatMap(([x, y], i) => {
    const [u, v] = square[(i + 1) % 4]!;
    return Array.from({ length: 24 }, (_, k): Point => [x + ((u - x) * k) / 24, y + ((v - y) * k) / 24]);
  });
}

function inSmall({ camera, small }: Photographed, at: Point): Point {
  const [x, y] = seenAt(camera, at);
  return [x / small.by - 0.5, y / small.by - 0.5];
}

/** Pixels of the small picture that show a card. */
function blankedBy(photo: Photographed, squares: readonly Outline[]): Uint8Array {
  const { width, height } = photo.small;
  const blank = new Uint8Array(width * height);
  for (const square of squares) {
    // Sides may be bent by the lens: a few points along each.
    const seen = square.flatMap(([x, y], i) => {
      const [u, v] = square[(i + 1) % 4]!;
      return Array.from({ length: 6 }, (_, k) => inSmall(photo, [x + ((u - x) * k) / 6, y + ((v - y) * k) / 6]));
    });
    const top = Math.max(0, Math.ceil(Math.min(...seen.map(([, y]) => y))));
    const bottom = Math.min(height - 1, Math.floor(Math.max(...seen.map(([, y]) => y))));
    for (let y = top; y <= bottom; y++) {
      const crossings = seen.flatMap(([ax, ay], i) => {
        const [bx, by] = seen[(i + 1) % seen.length]!;
        return ay > y === by > y ? [] : [ax + ((y - ay) / (by - ay)) * (bx - ax)];
      });
      const [left, right] = [Math.min(...crossings), Math.max(...crossings)];
      for (let x = Math.max(0, Math.ceil(left)); x <= Math.min(width - 1, right); x++) blank[y * width + x] = 1;
    }
  }
  return blank;
}

/** mm of the plane in one pixel of the small picture, about the cards. */
function millimetresPerPixel(photo: Photographed): number {
  const { camera, cards, small } = photo;
  const [first, second] = [cards[0]!.corners[0], cards[0]!.corners[2]];
  const [a, b] = [seenAt(camera, first), seenAt(camera, second)];
  const pixels = Math.hypot(b[0] - a[0], b[1] - a[1]) / small.by;
  if (!(pixels > 0)) throw new InputError('picture', 'must show the cards from above');
  return Math.hypot(second[0] - first[0], second[1] - first[1]) / pixels;
}
