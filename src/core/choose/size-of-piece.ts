import { DEFAULT_LAYER_OUTLINE, pieceSize, placeArea, placeCut, stripRun, type OpenPiece, type Place } from '../pieces';
import type { Role } from '../part';
import { edgeRuleOf } from '../part';
import type { PieceSize } from './protocol';

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
    edge: stripRun(piece, { ...DEFAULT_LAYER_OUTLINE, rule: edgeRuleOf(role), ...(place ? placeCut(place) : {}) }),
    grain: piece.grain,
    ...(area ? { area } : {}),
    ...(place?.kind === 'edges' || place?.kind === 'line' ? { strip: place.width } : {}),
    ...(place?.kind === 'patch' ? { patch: place.size } : {}),
  };
}
