import type { Hoop } from '../core/hoop';
import { Table, column, type Kept } from './table';

export interface HoopFields extends Hoop {
  note: string;
}
export type KeptHoop = HoopFields & Kept;

export const hoops = new Table<HoopFields>('hoop', 'hoop', [
  column('name'),
  column('note'),
  column('shape'),
  column('fieldWidth'),
  column('fieldHeight'),
  column('outerWidth'),
  column('outerHeight'),
  column('clamp'),
  column('kind'),
  column('mount'),
  column('mountSide'),
]);
