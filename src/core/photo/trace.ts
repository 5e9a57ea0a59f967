import { InputError } from '../input-error';
import { intersection, polygonArea, regionArea, selfCrossing, type Outline, type Point } from '../shape';
import { seenAt } from './camera';
import { FIELDS, MARGIN_FIELDS, MARKER } from './card-codes';
import { cleanOutline, type CleanOutline } from './clean-outline';
import { groundOf } from './ground';
import { photographed, type Photographed, type Progress } from './photographed';
import type { Picture } from './picture';
import { borderOnPlane, evenly, sharpBorder } from './sharp-border';
import { opened, spotsOf, type Spot } from './spots';

/** A piece that was found. */
export interface TracedPiece {
  /** mm, x to the right and y up as the photograph is seen. */
  outline: Outline;
  /** Which of its points are corners. */
  corners: number[];
  /** What is not sure about it, in words. */
  unsure: string[];
}

export interface Traced {
  /** Largest first. */
  pieces: TracedPiece[];
  cards: { id: number; corners: [Point, Point, Point, Point] }[];
  /** What the cards' corners stand off from where they should be, root mean square, mm. */
  residual: number;
  warnings: string[];
}

/** Smallest piece that is told, mm². */
const LEAST_AREA = 300;
/** What is thinner than this is a line on the table, mm. */
const THIN = 3.2;
/** White that may be left round a card whose margin was cut wide, mm. */
const WIDE_CUT = 3;
/** A border of which less than this share was seen is not one. */
const SEEN = 0.6;
/** Cards that fix the lens too. */
const ENOUGH_CARDS = 3;
/** Corners off by more than this are told, mm. */
const OFF = 0.5;

/**
 * The pieces that lie on a table beside some cards, as outlines: what is not the ground, not a card and not a shadow, its border measured between
 * the pixels, then cleaned into corners, straight edges and smooth curves.
 *
 * @param marker side of a card's black square as measured on the print, mm
 * @throws {InputError} for a picture in which there is nothing to measure
 * @example tracedPieces(picture, 60).pieces.length // 3
 */
export function tracedPieces(picture: Picture, marker = MARKER, progress?: Progress): Traced {
  const photo = photographed(picture, marker, { progress });
  const { cards, residual, small } = photo;
  progress?.('Telling pieces from the table', 0.4);
  const reach = marker / 2 + (marker * MARGIN_FIELDS) / FIELDS;
  const own = cards.map(({ corners }) => squareRound(corners, reach + WIDE_CUT));
  const blank = blankedBy(photo, own);
  const seeds = cards.flatMap(({ corners }) => ringPoints(corners, reach + WIDE_CUT + 4).map((at) => inSmall(photo, at)));
  const { width, height, differs } = groundOf(small, blank, seeds);
  const perPixel = millimetresPerPixel(photo);
  const brush = Math.max(1, THIN / 2 / perPixel);
  const least = Math.max(12, (0.6 * LEAST_AREA) / perPixel ** 2);
  const sure = spotsOf(opened(masked(differs, 1), width, height, brush), width, height, least);
  const near = new Uint8Array(width * height);
  for (const { pixels } of sure) for (const at of pixels) near[at] = 1;
  const warnings: string[] = [];
  const pieces = sure.flatMap((spot, i): TracedPiece[] => {
    progress?.('Measuring the borders', 0.5 + (0.5 * i) / sure.length);
    return pieceOf(photo, spot, perPixel, own, warnings);
  });
  // Darker and of the table's own hue: told, so that a grey piece on a white table is not missed without a word.
  const shadows = spotsOf(opened(masked(differs, 2), width, height, brush), width, height, least).filter(
    ({ pixels, cutOff }) => !cutOff && !touches(pixels, near, width, height),
  );
  if (shadows.length > 0)
    warnings.push(
      'What is darker than the table and of the same hue was taken for a shadow. If it is a piece, lay it on a table of another tone.',
    );
  pieces.sort((a, b) => polygonArea(b.outline) - polygonArea(a.outline));
  if (cards.length < ENOUGH_CARDS)
    warnings.push(
      `Only ${cards.length === 1 ? 'one card was' : 'two cards were'} found: the lens is taken as straight. Three or more, round the pieces, measure better.`,
    );
  if (residual > OFF)
    warnings.push(
      `The cards’ corners stand off by ${residual.toFixed(1)} mm: see that the table is flat, that the cards lie flat and that their squares measure ${marker} mm.`,
    );
  if (pieces.length === 0) warnings.push('No piece was found that stands out from the table: lay it on another ground.');
  return { pieces, cards, residual, warnings: [...new Set(warnings)] };
}

function pieceOf(
  photo: Photographed,
  spot: Spot,
  perPixel: number,
  cards: readonly Outline[],
  warnings: string[],
): TracedPiece[] {
  const { small } = photo;
  if (spot.cutOff) {
    if (spot.pixels.length * perPixel ** 2 > 4 * LEAST_AREA)
      warnings.push('Something reaches the picture’s edge and was left out: a piece has to be seen whole.');
    return [];
  }
  const rough = borderOnPlane(
    photo,
    spot.border.map(([x, y]): Point => [x * small.by, y * small.by]),
  );
  if (polygonArea(rough) < LEAST_AREA) return [];
  const { points, seen } = sharpBorder(photo, rough);
  if (seen < SEEN) return [];
  const { outline, corners } = soundOutline(points, rough);
  if (polygonArea(outline) < LEAST_AREA) return [];
  const area = polygonArea(outline);
  // White paper round a card that was cut out wider is no piece.
  if (cards.some((card) => regionArea(intersection([outline], [card])) > 0.5 * Math.min(area, polygonArea(card)))) return [];
  const unsure: string[] = [];
  if (seen < 0.92) unsure.push(`${Math.round(100 * (1 - seen))} % of its border can hardly be told from the table`);
  if (cards.some((card) => regionArea(intersection([outline], [card])) > 20)) unsure.push('it touches a card');
  return [{ outline, corners, unsure }];
}

/** The cleaned outline; where that crosses itself, what was measured, and where that does too, what was first seen. */
function soundOutline(points: Outline, rough: Outline): CleanOutline {
  const clean = cleanOutline(points);
  if (!selfCrossing(clean.outline)) return clean;
  return { outline: selfCrossing(points) ? evenly(rough, 3) : points, corners: [] };
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
