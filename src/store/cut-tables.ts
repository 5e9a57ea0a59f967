import type { TableOptions } from '../core/cutlist';
import type { Laid } from '../core/cutplan';
import type { Db } from './database';
import type { StockFields } from './stock';
import { Table, type Kept } from './table';

/** What was done when it was cut, so that it can be taken back. */
export interface TableDone {
  /** Local date. */
  doneOn: string;
  /** Stock that was used up. */
  usedIds: string[];
  /** Lengths that were cut off rolls, mm. */
  drawn: { stockId: string; length: number }[];
  /** Sheets that were used. */
  sheets: { stockId: string; count: number }[];
  /** Leftovers that were put away. */
  keptIds: string[];
  /** Parts that were marked as cut with it. */
  workIds: string[];
}

export interface CutTableFields {
  projectId: string;
  ofKind: StockFields['ofKind'];
  ofId: string;
  options: TableOptions;
  laid: Laid[];
  /** Copies that stay where they are: `source id copy`. */
  locked: string[];
  /** Of the pieces that were laid: when it differs, they have changed since. */
  fingerprint: string;
  workIds: string[];
  done: TableDone | null;
}
export type CutTable = CutTableFields & Kept;

export const cutTables = new Table<CutTableFields>('cut_table', 'cutting table', {
  projectId: 'plain',
  ofKind: 'plain',
  ofId: 'plain',
  options: 'json',
  laid: 'json',
  locked: 'json',
  fingerprint: 'plain',
  workIds: 'json',
  done: 'json',
});

export function tablesOfProject(db: Db, projectId: string): CutTable[] {
  return cutTables.list(db, 'project_id = ?', [projectId], 'created_at, id');
}
