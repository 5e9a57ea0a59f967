import type { PieceCut } from '../core/workpiece';
import { Table, column, type Kept } from './table';

export interface CutFields extends Omit<PieceCut, 'id'> {
  position: number;
}
export type Cut = CutFields & Kept;

export const cuts = new Table<CutFields>('cut', 'cut', [
  column('pieceId'),
  column('duty'),
  column('clothId'),
  column('count'),
  column('pairs', 'boolean'),
  column('oneWay', 'boolean'),
  column('own', 'json'),
  column('orientation'),
  column('done', 'boolean'),
  column('position'),
]);
