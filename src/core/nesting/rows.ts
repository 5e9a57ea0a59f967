import { bounds, transformed } from '../shape';
import type { NestPiece, Placement, Unplaced } from './piece';

interface Turned {
  rotation: number;
  minX: number;
  minY: number;
  width: number;
  height: number;
}

interface Row {
  y: number;
  height: number;
  used: number;
}

/** Rounding room when a piece is as wide as the cloth, mm. */
const FIT = 1e-9;

/**
 * Lays pieces in rows across the cloth by their upright rectangles: tallest first, each into the first row
 * with room. Simple, quick and always correct; nesting does better and is judged against it.
 *
 * @param width usable width, mm
 * @param gap room between pieces, mm; none is kept to the edge of the cloth
 * @param limit longest length that may be used, mm
 * @example layRows(pieces, 500, 5, 1000).placements.length // 3
 */
export function layRows(
  pieces: readonly NestPiece[],
  width: number,
  gap: number,
  limit: number,
): { placements: Placement[]; unplaced: Unplaced[] } {
  const jobs = pieces.flatMap((piece) => {
    const turned = bestTurn(piece, width);
    return Array.from({ length: piece.count }, (_, copy) => ({ piece, copy, turned }));
  });
  jobs.sort((a, b) => (b.turned?.height ?? 0) - (a.turned?.height ?? 0) || (b.turned?.width ?? 0) - (a.turned?.width ?? 0));
  const rows: Row[] = [];
  const placements: Placement[] = [];
  const unplaced: Unplaced[] = [];
  for (const { piece, copy, turned } of jobs) {
    const row =
      turned &&
      (rows.find((r) => r.height >= turned.height - FIT && r.used + gap + turned.width <= width + FIT) ??
        newRow(rows, turned, gap, limit));
    if (!turned || !row) {
      unplaced.push({ id: piece.id, copy });
      continue;
    }
    const x = row.used === 0 ? 0 : row.used + gap;
    placements.push({
      id: piece.id,
      copy,
      rotation: turned.rotation,
      flipped: false,
      x: x - turned.minX,
      y: row.y - turned.minY,
    });
    row.used = x + turned.width;
  }
  return { placements, unplaced };
}

/** The allowed turn that fits the width with the least height, so that rows stay low. */
function bestTurn(piece: NestPiece, width: number): Turned | undefined {
  let best: Turned | undefined;
  for (const rotation of piece.rotations) {
    const box = bounds(transformed(piece.outline, false, rotation));
    const turned = { rotation, minX: box.minX, minY: box.minY, width: box.maxX - box.minX, height: box.maxY - box.minY };
    if (turned.width <= width + FIT && (!best || turned.height < best.height - FIT)) best = turned;
  }
  return best;
}

function newRow(rows: Row[], turned: Turned, gap: number, limit: number): Row | undefined {
  const last = rows[rows.length - 1];
  const y = last ? last.y + last.height + gap : 0;
  if (y + turned.height > limit + FIT) return undefined;
  const row = { y, height: turned.height, used: 0 };
  rows.push(row);
  return row;
}
