import type { PatternPiece } from '../core/workpiece';
import { Table, column, type Kept } from './table';

export interface PieceFields extends Omit<PatternPiece, 'id'> {
  /** Where it stands among the pieces of its project. */
  position: number;
}
export type Piece = PieceFields & Kept;

export const pieces = new Table<PieceFields>('piece', 'piece', [
  column('projectId'),
  column('name'),
  column('shape', 'json'),
  column('line'),
  column('allowances', 'json'),
  column('fold'),
  column('grain'),
  column('marks', 'json'),
  column('position'),
]);
