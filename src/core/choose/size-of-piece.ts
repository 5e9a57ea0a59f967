import { edgeLength, edgesByRule, pieceSize, placeArea, type OpenPiece, type Place } from '../pieces';
import type { Role } from './part';
import { edgeRuleOf } from './piece-size';
import type { PieceSize } from './protocol';

/** Length that a strip runs on a piece, mm. */
function stripLength(piece: OpenPiece, role: Role, place: Place | undefined): number {
  if (place?.kind === 'edges') return edgeLength(piece, place.edges);
  if (place?.kind === 'line')
    return Math.hypot(place.line[1][0] - place.line[0][0], place.line[1][1] - place.line[0][1]) + place.width;
  const rule = edgeRuleOf(role);
  const fold = rule === 'fold' ? piece.fold : undefined;
  return fold ? Math.hypot(fold[1][0] - fold[0][0], fold[1][1] - fold[0][1]) : edgeLength(piece, edgesByRule(piece, rule));
}

/**
 * Size of a described piece as the questions of choosing need it, mm.
 *
 * @param count pieces in all @param trim the person's usual trim @param place where the job is done; as the role usually has it otherwise
 * @example sizeOfPiece(piece, 'collar', 2).count // 2
 */
export function sizeOfPiece(piece: OpenPiece, role: Role, count: number, trim?: number, place?: Place): PieceSize {
  const { width, height } = pieceSize(piece);
  const area = place && placeArea(place);
  return {
    width: Math.max(1, width),
    height: Math.max(1, height),
    count,
    allowance: Math.max(0, ...piece.allowances),
    trim,
    edge: stripLength(piece, role, place),
    grain: piece.grain,
    ...(area ? { area } : {}),
    ...(place?.kind === 'edges' || place?.kind === 'line' ? { strip: place.width } : {}),
    ...(place?.kind === 'patch' ? { patch: place.size } : {}),
  };
}
