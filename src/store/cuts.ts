import type { PieceCut } from '../core/workpiece';
import { Table, type Kept } from './table';

export interface CutFields extends Omit<PieceCut, 'id'> {
  position: number;
}
export type Cut = CutFields & Kept;

export const cuts = new Table<CutFields>('cut', 'cut', {
  pieceId: 'plain',
  duty: 'plain',
  clothId: 'plain',
  count: 'plain',
  pairs: 'boolean',
  oneWay: 'boolean',
  own: 'json',
  orientation: 'plain',
  done: 'boolean',
  position: 'plain',
});
