import { edgeLength, edgesByRule, pieceSize, type OpenPiece } from '../pieces';
import type { Role } from './part';
import { edgeRuleOf } from './piece-size';
import type { PieceSize } from './protocol';

/** Size of a described piece as the questions of choosing need it. */
export function sizeOfPiece(piece: OpenPiece, role: Role, count: number, trim?: number): PieceSize {
  const { width, height } = pieceSize(piece);
  const rule = edgeRuleOf(role);
  const fold = rule === 'fold' ? piece.fold : undefined;
  return {
    width: Math.max(1, width),
    height: Math.max(1, height),
    count,
    allowance: Math.max(0, ...piece.allowances),
    trim,
    edge: fold ? Math.hypot(fold[1][0] - fold[0][0], fold[1][1] - fold[0][1]) : edgeLength(piece, edgesByRule(piece, rule)),
  };
}
