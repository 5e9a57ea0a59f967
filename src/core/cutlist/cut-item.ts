import type { NestPiece } from '../nesting';
import type { Mark, GrainCut } from '../pieces';
import type { Outline, Point } from '../shape';

/** One shape that is cut from a material, as often as needed, with all that its drawing shows. */
export interface CutItem {
  /** Part, layer and number of the outline; unique in a list. */
  id: string;
  workId: string;
  /** Of the second half of a pair: the item of the first; null otherwise. */
  twinOf: string | null;
  /** Name of the piece. */
  name: string;
  /** Counter-clockwise, as it lies on the table at no turn, mm; a ring is slit open, so that others can be laid inside it. */
  outline: Outline;
  /** The line that is cut: as `outline`, without such a slit. */
  edge: Outline;
  /** Openings, clockwise. */
  holes: Outline[];
  /** Seam lines, for the drawing. */
  seam: Outline[];
  marks: Mark[];
  count: number;
  /** Number that its first copy has within the part: mirrored halves of pairs are numbered on. */
  first: number;
  /** Which of the pieces into which a layer falls, as a letter; empty when it is one. */
  letter: string;
  /** Turns in which it is tried, degrees. */
  rotations: number[];
  /** It has no direction to keep: by hand it may be turned to any angle. */
  free: boolean;
  /** Whether it may be cut either face up: no glue side, no right side, no pair. */
  flip: boolean;
  /** It is the mirror image of the pattern. */
  mirrored: boolean;
  /** Direction of the grain line, degrees counter-clockwise from upright; null where there is none. */
  grain: number | null;
  /** How the piece lies to the grain, for the words beside the arrow. */
  cut: GrainCut;
  /** It lies one way up only: a print or a nap. */
  oneWay: boolean;
  /** The line at which it lies on folded cloth; null where there is none. */
  fold: [Point, Point] | null;
}

/** What has to be cut from one material. */
export interface CutList {
  items: CutItem[];
  /** Pieces that nothing is cut for, with the reason. */
  faults: { workId: string; name: string; why: 'vanishes' | 'shape' }[];
  /** Layers that fall apart into several pieces. */
  splits: { workId: string; name: string; pieces: number }[];
  /** Running metres of a tape, mm; 0 for anything else. */
  tape: number;
}

/**
 * Turns that a search looks at for a free piece, by how many copies there are in all: with few of them leaning ones save
 * cloth (a fiftieth of it with eight), with many the search finds less in the same time than with quarter turns alone.
 */
const SEARCHED_TURNS = [
  { copies: 14, turns: 12 },
  { copies: 18, turns: 8 },
  { copies: Infinity, turns: 4 },
];

/**
 * The same list as the layout search takes it.
 *
 * @example cutPieces([cutItem])[0].id // 'a'
 */
export function cutPieces(items: readonly CutItem[]): NestPiece[] {
  const all = items.reduce((sum, { count }) => sum + count, 0);
  const { turns } = SEARCHED_TURNS.find(({ copies }) => all <= copies)!;
  return items.map(({ id, outline, count, rotations, free, flip }) => ({
    ...{ id, outline, count, flip },
    rotations: free ? rotations.slice(0, turns) : rotations,
  }));
}

/**
 * What a copy is called on the table and in print, such as “Hood side 3”.
 *
 * @example copyName({ name: 'Cuff', first: 0, letter: '' }, 1) // 'Cuff 1'
 */
export function copyName({ name, first, letter }: Pick<CutItem, 'name' | 'first' | 'letter'>, copy: number): string {
  return `${name} ${first + copy}${letter}`;
}
