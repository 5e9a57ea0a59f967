import type { Family, Material } from '../layers';
import type { Point } from '../shape';
import type { EdgeRule } from './strip-edges';

/** How one layer of a part is cut, where it differs from the usual. */
export interface LayerCut {
  /** How far a trimmed layer stays inside the cut edge, mm. */
  trim?: number;
  /** Edges of the shape that a strip runs along; those of the rule when none is named. */
  edges?: number[];
  /** A line that a strip lies along instead of an edge: a slash, mm. */
  line?: [Point, Point];
  /** Width of a strip, mm: all of it, with what lies past the seam line. */
  width?: number;
  /** How far a strip reaches past the seam line into the allowance, mm; as its kind usually does when it is not said. */
  past?: number;
  /** How far a strip along a line reaches past the ends of the line, mm; half its width when it is not said. */
  pastEnds?: number;
  /** Middle of a patch or a field, mm; the point of a line, or the middle of the piece, when it is not said. */
  at?: Point;
  /** Edge length of a patch, mm. */
  size?: number;
  /** Sheet for the hoop as it is cut, mm; the field and a margin when it is not said. */
  sheet?: { width: number; height: number };
  /** Corners where two allowances meet are cut off at the seam, so that they can be turned. */
  clipped?: boolean;
}

/** Where a stiff base runs into a seam: at its outside, round its opening, or at its two ends only. */
export type BaseJoins = 'outside' | 'opening' | 'ends';

export interface LayerOutlineOptions extends LayerCut {
  trim: number;
  width: number;
  size: number;
  /** Stitched field, mm, when the layer is a sheet for the hoop. */
  field?: { width: number; height: number };
  /** Sheet beyond the field on every side, mm. */
  fieldMargin: number;
  /** Where a strip runs when no edge is chosen. */
  rule: EdgeRule;
  /** Which seams a stiff base runs into; it ends at the seam line of every other edge. All of them when it is not said. */
  joins?: BaseJoins;
}

export const DEFAULT_LAYER_OUTLINE: LayerOutlineOptions = { trim: 6, width: 30, size: 50, fieldMargin: 40, rule: 'top' };

/** A strip that is to be caught in its seam reaches this far past the line, mm. */
const CAUGHT = 3;

/**
 * How far a strip reaches past the seam line, mm: a stay lies across it, its middle on the line; any other is just caught; one in a hem
 * begins at the hem's fold.
 *
 * @param width of the strip, mm
 * @example pastSeam({ family: 'stay-tape' }, 12, { rule: 'longest' }) // 6
 */
export function pastSeam(
  { family }: { family?: Family | undefined },
  width: number,
  { past, rule }: Pick<LayerOutlineOptions, 'past' | 'rule'>,
): number {
  if (past !== undefined) return Math.min(past, width);
  if (rule === 'hem') return 0;
  return family === 'stay-tape' ? width / 2 : Math.min(CAUGHT, width);
}

/** Materials sold by the metre of a narrow width are used as they come, not cut to a shape, mm. */
const TAPE_WIDTH = 200;

/**
 * Whether a material is used off the reel in its own width. mm.
 *
 * @example isTape({ rollWidth: 25 }) // true
 */
export function isTape(material: Pick<Material, 'rollWidth'>): boolean {
  return material.rollWidth > 0 && material.rollWidth <= TAPE_WIDTH;
}
