import type { PatternPiece } from '../core/workpiece';
import { Table, type Kept } from './table';

export interface PieceFields extends Omit<PatternPiece, 'id'> {
  /** Where it stands among the pieces of its project. */
  position: number;
}
export type Piece = PieceFields & Kept;

export const pieces = new Table<PieceFields>('piece', 'piece', {
  projectId: 'plain',
  name: 'plain',
  shape: 'json',
  line: 'plain',
  allowances: 'json',
  fold: 'plain',
  grain: 'plain',
  marks: 'json',
  position: 'plain',
});
