import { InputError } from '../input-error';
import type { Point } from '../shape';
import { movedCamera, seenAt, type Solved } from './camera';
import type { Photographed } from './photographed';

/** Photographs of one table, on one plane. */
export interface SideBySide extends Pick<Solved, 'cards' | 'residual'> {
  photos: Photographed[];
  /** Fewest cards by which a picture lies on those before it; undefined for a single picture. */
  shared: number | undefined;
}

/** Cards that two pictures share and that do not fit on each other by more than this were moved between them, mm. */
const MOVED = 4;

/**
 * Lays photographs of one table on the plane of the first: each by the cards that it shares with those before it, by least squares over their
 * corners (a turn and a move; the scale is the cards' own).
 *
 * @throws {InputError} for a picture that shares no card, or whose cards lay elsewhere
 * @example sideBySide([photo]).photos.length // 1
 */
export function sideBySide(photos: readonly Photographed[]): SideBySide {
  const [first, ...others] = photos as [Photographed, ...Photographed[]];
  const laid = [first];
  const cards = [...first.cards];
  let { residual } = first;
  let shared: number | undefined;
  others.forEach((photo, i) => {
    const field = `picture[${i + 1}]`;
    const pairs = photo.cards.flatMap(({ id, corners }) => {
      const there = cards.find((card) => card.id === id);
      return there ? corners.map((from, k) => ({ from, to: there.corners[k]! })) : [];
    });
    if (pairs.length === 0)
      throw new InputError(
        field,
        `must show a card that a picture before it shows too; found card ${photo.cards.map(({ id }) => id).join(', ')}`,
      );
    const { turn, move, off } = motionOf(pairs);
    if (!(off < MOVED))
      throw new InputError(field, 'must show the same cards at the same places: one of them was moved between the pictures');
    const on = onto(turn, move);
    const moved = photo.cards.map(({ id, corners }) => ({ id, corners: corners.map(on) as typeof corners }));
    laid.push({ ...photo, camera: movedCamera(photo.camera, turn, move), cards: moved });
    cards.push(...moved.filter(({ id }) => !cards.some((card) => card.id === id)));
    residual = Math.max(residual, photo.residual, off);
    shared = Math.min(shared ?? Infinity, pairs.length / 4);
  });
  return { photos: laid, cards, residual, shared };
}

/**
 * How far inside a picture a point of the plane is seen, as a share of its shorter side; negative beyond its rim.
 *
 * @param at mm
 * @example insideBy(photo, [300, 200]) > 0 // true
 */
export function insideBy({ camera, picture: { width, height } }: Photographed, at: Point): number {
  const [x, y] = seenAt(camera, at);
  return Math.min(x, y, width - x, height - y) / Math.min(width, height);
}

/**
 * The picture in which a point of the plane is seen farthest from the rim.
 *
 * @param at mm
 * @example bestSeen([photo], [300, 200]) === photo // true
 */
export function bestSeen(photos: readonly Photographed[], at: Point): Photographed {
  const [first, ...others] = photos as [Photographed, ...Photographed[]];
  if (others.length === 0) return first;
  return others.reduce(
    (best, photo) => {
      const inside = insideBy(photo, at);
      return inside > best.inside ? { photo, inside } : best;
    },
    { photo: first, inside: insideBy(first, at) },
  ).photo;
}

const onto =
  (turn: number, [dx, dy]: Point) =>
  ([x, y]: Point): Point => [x * Math.cos(turn) - y * Math.sin(turn) + dx, x * Math.sin(turn) + y * Math.cos(turn) + dy];

/** The turn, radians, and the move after it that lay points on others, and what is left between them, root mean square. */
function motionOf(pairs: readonly { from: Point; to: Point }[]): { turn: number; move: Point; off: number } {
  const middle = (of: 'from' | 'to') =>
    [0, 1].map((k) => pairs.reduce((sum, pair) => sum + pair[of][k]!, 0) / pairs.length) as Point;
  const [a, b] = [middle('from'), middle('to')];
  let [dot, cross] = [0, 0];
  for (const { from, to } of pairs) {
    const [x, y, u, v] = [from[0] - a[0], from[1] - a[1], to[0] - b[0], to[1] - b[1]];
    dot += x * u + y * v;
    cross += x * v - y * u;
  }
  const turn = Math.atan2(cross, dot);
  const [x, y] = onto(turn, [0, 0])(a);
  const move: Point = [b[0] - x, b[1] - y];
  const on = onto(turn, move);
  const squares = pairs.map(({ from, to }) => {
    const [u, v] = on(from);
    return (u - to[0]) ** 2 + (v - to[1]) ** 2;
  });
  return { turn, move, off: Math.sqrt(squares.reduce((sum, each) => sum + each, 0) / squares.length) };
}
