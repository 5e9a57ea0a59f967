import { intersection, polygonArea, regionArea, selfCrossing, signedArea, unionOf, type Outline, type Point } from '../shape';
import { MARKER } from './card-codes';
import { cleanOutline, type CleanOutline } from './clean-outline';
import { drawnOn, type DrawnOn } from './drawn-on';
import { LEAST_AREA, lookedThrough } from './looked-through';
import { photographed, type Photographed, type Progress } from './photographed';
import type { Picture } from './picture';
import { seenWithin } from './seen-within';
import { evenly, sharpBorder } from './sharp-border';
import { bestSeen, insideBy, sideBySide } from './side-by-side';

/** A piece that was found. */
export interface TracedPiece {
  /** mm, x to the right and y up as the photograph is seen. */
  outline: Outline;
  /** Which of its points are corners. */
  corners: number[];
  /** What is not sure about it, in words. */
  unsure: string[];
  /** What is drawn on it, and its holes and stains. */
  drawn: DrawnOn;
}

export interface Traced {
  /** Largest first. */
  pieces: TracedPiece[];
  cards: { id: number; corners: [Point, Point, Point, Point] }[];
  /** What the cards' corners stand off from where they should be, root mean square, mm. */
  residual: number;
  warnings: string[];
}

/** A border of which less than this share was seen is not one. */
const SEEN = 0.6;
/** Cards that fix the lens too. */
const ENOUGH_CARDS = 3;
/** Told of what is not seen whole. */
const CUT_OFF =
  'Something reaches the picture’s edge and was left out: a piece has to be seen whole, or the rest of it in a second picture that shows two of the same cards.';
/** Corners off by more than this are told, mm. */
const OFF = 0.5;

/** The same spot of the two pictures of it is seen no nearer the rim than this, as a share of the picture. */
const RIM = 0.004;

/**
 * The pieces that lie on a table beside some cards, as outlines: what is not the ground, not a card and not a shadow, its border measured between
 * the pixels, then cleaned into corners, straight edges and smooth curves.
 *
 * @param marker side of a card's black square as measured on the print, mm
 * @throws {InputError} for a picture in which there is nothing to measure
 * @example tracedPieces(picture, 60).pieces.length // 3
 */
export function tracedPieces(picture: Picture, marker = MARKER, progress?: Progress): Traced {
  return tracedTogether([picture], marker, progress);
}

/**
 * As {@link tracedPieces}, from several pictures of one table, so that a piece may be larger than each: they lie on one plane by the cards that
 * they share, and what reaches the rim of one goes on in the next.
 *
 * @param marker side of a card's black square as measured on the print, mm
 * @throws {InputError} for a picture in which there is nothing to measure, and for one that shares no card with those before it
 * @example tracedTogether([picture, picture], 60).pieces.length // 3
 */
export function tracedTogether(pictures: readonly Picture[], marker = MARKER, progress?: Progress): Traced {
  const each = (i: number) => (doing: string, share: number) => progress?.(doing, (i + share) / pictures.length);
  const solved = pictures.map((picture, i) => photographed(picture, marker, { progress: progress && each(i) }));
  const { photos, cards, residual, shared } = sideBySide(solved);
  progress?.('Telling pieces from the table', 0.4);
  const looked = photos.map((photo) => lookedThrough(photo, marker));
  const warnings: string[] = [];
  const rough = looked.length === 1 ? looked[0]!.found : joined(looked.flatMap(({ found }) => found));
  const own = looked.flatMap(({ cards: squares }) => squares);
  const pieces = rough.flatMap((border, i): TracedPiece[] => {
    progress?.('Measuring the borders', 0.5 + (0.5 * i) / rough.length);
    return pieceOf(photos, border, own, warnings);
  });
  // Darker and of the table's own hue: told, so that a grey piece on a white table is not missed without a word.
  if (looked.some(({ shadows }) => shadows))
    warnings.push(
      'What is darker than the table and of the same hue was taken for a shadow. If it is a piece, lay it on a table of another tone.',
    );
  pieces.sort((a, b) => polygonArea(b.outline) - polygonArea(a.outline));
  warnings.push(...troubles(photos, residual, shared, marker));
  if (pieces.length === 0) warnings.push('No piece was found that stands out from the table: lay it on another ground.');
  return { pieces, cards, residual, warnings: [...new Set(warnings)] };
}

/** What the measuring itself has against it. */
function troubles(photos: readonly Photographed[], residual: number, shared: number | undefined, marker: number): string[] {
  const fewest = Math.min(...photos.map(({ cards }) => cards.length));
  return [
    ...(fewest < ENOUGH_CARDS
      ? [
          `Only ${fewest === 1 ? 'one card was' : 'two cards were'} found: the lens is taken as straight. Three or more, round the pieces, measure better.`,
        ]
      : []),
    ...(shared === 1
      ? ['The pictures share one card only: a second one that is seen in both, far from the first, keeps them from turning.']
      : []),
    ...(residual > OFF
      ? [
          `The cards’ corners stand off by ${residual.toFixed(1)} mm: see that the table is flat, that the cards lie flat and that their squares measure ${marker} mm.`,
        ]
      : []),
  ];
}

/** Borders of several pictures made one where they overlap. */
function joined(found: readonly Outline[]): Outline[] {
  return unionOf(found).filter((path) => signedArea(path) > 0);
}

function pieceOf(photos: readonly Photographed[], rough: Outline, cards: readonly Outline[], warnings: string[]): TracedPiece[] {
  const seenBy = (at: Point) => insideBy(bestSeen(photos, at), at);
  if (rough.some((at) => seenBy(at) < RIM)) {
    if (polygonArea(rough) > 4 * LEAST_AREA) warnings.push(CUT_OFF);
    return [];
  }
  if (polygonArea(rough) < LEAST_AREA) return [];
  const { points, seen } = sharpBorder(photos, rough);
  if (seen < SEEN) return [];
  const { outline, corners } = soundOutline(points, rough);
  if (polygonArea(outline) < LEAST_AREA) return [];
  const area = polygonArea(outline);
  // White paper round a card that was cut out wider is no piece.
  if (cards.some((card) => regionArea(intersection([outline], [card])) > 0.5 * Math.min(area, polygonArea(card)))) return [];
  const unsure: string[] = [];
  if (seen < 0.92) unsure.push(`${Math.round(100 * (1 - seen))} % of its border can hardly be told from the table`);
  if (cards.some((card) => regionArea(intersection([outline], [card])) > 20)) unsure.push('it touches a card');
  return [{ outline, corners, unsure, drawn: drawnOn(outline, seenWithin(photos, outline)) }];
}

/** The cleaned outline; where that crosses itself, what was measured, and where that does too, what was first seen. */
function soundOutline(points: Outline, rough: Outline): CleanOutline {
  const clean = cleanOutline(points);
  if (!selfCrossing(clean.outline)) return clean;
  return { outline: selfCrossing(points) ? evenly(rough, 3) : points, corners: [] };
}
