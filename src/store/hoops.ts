import type { Hoop } from '../core/hoop';
import { Table, type Kept } from './table';

export interface HoopFields extends Hoop {
  note: string;
}
export type KeptHoop = HoopFields & Kept;

export const hoops = new Table<HoopFields>('hoop', 'hoop', {
  name: 'plain',
  note: 'plain',
  shape: 'plain',
  fieldWidth: 'plain',
  fieldHeight: 'plain',
  outerWidth: 'plain',
  outerHeight: 'plain',
  clamp: 'plain',
  kind: 'plain',
  mount: 'plain',
  mountSide: 'plain',
});
