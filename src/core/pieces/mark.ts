import type { Outline, Point } from '../shape';

/** What a mark on a piece says. */
export const MARK_KINDS = [
  'notch',
  'drill',
  'centre-front',
  'centre-back',
  'side',
  'quarter',
  'snap',
  'buttonhole',
  'dart',
  'fold-line',
  'zip',
  'slash',
] as const;
export type MarkKind = (typeof MARK_KINDS)[number];
export const MARK_WORDS: Record<MarkKind, string> = {
  notch: 'notch',
  drill: 'point',
  'centre-front': 'centre front',
  'centre-back': 'centre back',
  side: 'side',
  quarter: 'quarter point',
  snap: 'snap or ring',
  buttonhole: 'buttonhole',
  dart: 'dart',
  'fold-line': 'fold line',
  zip: 'zip window',
  slash: 'slash',
};
/** What is written beside a mark where words have no room. */
export const MARK_LETTERS: Partial<Record<MarkKind, string>> = {
  'centre-front': 'CF',
  'centre-back': 'CB',
  side: 'S',
  quarter: 'Q',
};

/** A place on a piece that is marked, in the coordinates of its shape, mm. */
export interface Mark {
  kind: MarkKind;
  /** Where it is; of a dart the middle of its mouth, of a slash its beginning at the edge, of a line or window one end. */
  at: Point;
  /** Point of a dart or slash, other end of a fold line or zip window. */
  to?: Point;
  /** Width of a dart at its mouth, of a zip window, mm. */
  width?: number;
}

/** Marks that run to another place. */
const RUNNING: readonly MarkKind[] = ['dart', 'fold-line', 'zip', 'slash'];
/** Marks that have a width. */
const WIDE: readonly MarkKind[] = ['dart', 'zip'];

/** Whether a kind of mark runs from one place to another. @example runsOn('dart') // true */
export function runsOn(kind: MarkKind): boolean {
  return RUNNING.includes(kind);
}

/** Whether a kind of mark ends in a point inside the piece. @example hasPoint('slash') // true */
export function hasPoint(kind: MarkKind): boolean {
  return kind === 'dart' || kind === 'slash';
}

/** Whether a kind of mark has a width. @example isWide('fold-line') // false */
export function isWide(kind: MarkKind): boolean {
  return WIDE.includes(kind);
}

/** A mark with every place of it moved. @example movedMark({ kind: 'notch', at: [1, 2] }, ([x, y]) => [x + 1, y]).at // [2, 2] */
export function movedMark(mark: Mark, move: (point: Point) => Point): Mark {
  return { ...mark, at: move(mark.at), ...(mark.to ? { to: move(mark.to) } : {}) };
}

/**
 * The lines that are drawn for a mark, mm: the two legs of a dart, which are equally long, the fold line, the slash, the frame of a zip window.
 * Marks that are a place only have none. Screen, prints and files draw these.
 *
 * @example markLines({ kind: 'dart', at: [0, 0], to: [0, 90], width: 20 }) // [[[-10, 0], [0, 90], [10, 0]]]
 */
export function markLines({ kind, at, to, width = 0 }: Mark): Outline[] {
  if (!to || !runsOn(kind)) return [];
  const length = Math.hypot(to[0] - at[0], to[1] - at[1]);
  if (length === 0) return [];
  const half = width / 2;
  const across: Point = [(half * (to[1] - at[1])) / length, (-half * (to[0] - at[0])) / length];
  const beside = ([x, y]: Point, side: 1 | -1): Point => [x + side * across[0], y + side * across[1]];
  if (kind === 'dart') return [[beside(at, -1), to, beside(at, 1)]];
  if (kind === 'fold-line' || kind === 'slash') return [[at, to]];
  const corner = beside(at, -1);
  return [[corner, beside(to, -1), beside(to, 1), beside(at, 1), corner]];
}
