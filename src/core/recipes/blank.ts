import { grainLine, openPiece } from '../pieces';
import { bounds, transformed } from '../shape';
import type { RecipePiece } from './recipe';

/** A blank is cut to whole steps of this, mm. */
const STEP = 5;

/**
 * The rectangle of cloth, its sides along and across the grain, out of which a piece can be cut: what is treated, or carried to the table,
 * before the piece is cut to its line.
 *
 * @returns mm, up to the next 5 mm
 * @example blankOf(recipePiece).along > 0 // true
 */
export function blankOf(piece: RecipePiece): { across: number; along: number } {
  const { outline } = openPiece({ ...piece, line: 'sew', fold: null });
  const upright = -grainLine({ cut: piece.cuts[0]?.orientation ?? 'straight', grain: piece.grain });
  const { minX, maxX, minY, maxY } = bounds(transformed(outline, false, upright));
  const whole = (mm: number) => STEP * Math.ceil((mm - 1e-6) / STEP);
  return { across: whole(maxX - minX), along: whole(maxY - minY) };
}
