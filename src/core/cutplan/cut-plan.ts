import { InputError, requireNumber } from '../input-error';
import { bounds, polygonArea, requireOutline, transformed } from '../shape';
import { layRows, type CutPiece, type Placement } from './rows';

export interface CutPlanOptions {
  /** Usable width of the cloth, mm. */
  width: number;
  /** Longest length that may be used, mm. */
  length?: number;
  /** Room between pieces, mm. */
  gap: number;
  pieces: readonly CutPiece[];
  /** Time allowed, s. */
  seconds: number;
  seed?: number;
}

export interface CutPlan {
  /** Largest y that is used, mm. */
  length: number;
  /** Placed piece area ÷ (width × length), 0–1. */
  density: number;
  placements: Placement[];
  unplaced: { id: string; copy: number }[];
}

/** More copies than this in one plan are refused. */
export const MOST_COPIES = 2000;

/**
 * Lays pieces on a length of cloth. x runs across the width from 0, y along the length from 0.
 *
 * @throws {InputError} naming the field, nested ones as `pieces[2].outline`
 */
export function cutPlan(options: CutPlanOptions): CutPlan {
  const { width, gap, pieces, seconds } = options;
  requireNumber('width', width, 'mm', { above: 0, max: 20_000 });
  if (options.length !== undefined) requireNumber('length', options.length, 'mm', { above: 0, max: 200_000 });
  requireNumber('gap', gap, 'mm', { min: 0, max: 1000 });
  requireNumber('seconds', seconds, 's', { min: 0, max: 60 });
  requirePieces(pieces);

  const { placements, unplaced } = layRows(pieces, width, gap, options.length ?? 200_000);
  return { ...measurePlan(pieces, placements, width), placements, unplaced };
}

function requirePieces(pieces: readonly CutPiece[]): void {
  const seen = new Set<string>();
  let copies = 0;
  pieces.forEach((piece, i) => {
    if (seen.has(piece.id))
      throw new InputError(`pieces[${i}].id`, `must be different for every piece, saw ${JSON.stringify(piece.id)} twice`);
    seen.add(piece.id);
    requireOutline(piece.outline, `pieces[${i}].outline`);
    requireNumber(`pieces[${i}].count`, piece.count, 'copies', { min: 1, max: MOST_COPIES });
    if (piece.rotations.length === 0) throw new InputError(`pieces[${i}].rotations`, 'must hold at least one angle');
    piece.rotations.forEach((r, k) => requireNumber(`pieces[${i}].rotations[${k}]`, r, 'degrees', { min: -360, max: 360 }));
    copies += piece.count;
  });
  if (copies > MOST_COPIES) throw new InputError('pieces', `must be at most ${MOST_COPIES} copies in all, saw ${copies}`);
}

/** Length and density of a layout, from its placements alone. */
export function measurePlan(
  pieces: readonly CutPiece[],
  placements: readonly Placement[],
  width: number,
): { length: number; density: number } {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  let length = 0;
  let area = 0;
  for (const { id, flipped, rotation, x, y } of placements) {
    const { outline } = byId.get(id)!;
    length = Math.max(length, bounds(transformed(outline, flipped, rotation, x, y)).maxY);
    area += polygonArea(outline);
  }
  return { length, density: length > 0 ? area / (width * length) : 0 };
}
