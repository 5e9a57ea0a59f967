import type { Outline } from '../core/shape';
import type { Db } from './database';
import { Table, column, type Kept } from './table';

export const STOCK_KINDS = ['roll', 'sheet', 'leftover'] as const;
export const MATERIAL_KINDS = ['layer', 'cloth'] as const;

/** Cloth or a layer that is there: a roll, a stack of sheets, a leftover of any outline. mm. */
export interface StockFields {
  kind: (typeof STOCK_KINDS)[number];
  ofKind: (typeof MATERIAL_KINDS)[number];
  /** Id of the cloth or layer. */
  ofId: string;
  width: number;
  /** What is left on a roll; the length of a sheet or a leftover. */
  length: number;
  /** Sheets; 1 for anything else. */
  count: number;
  /** Outline of a leftover, the face as it lies in the cupboard. */
  outline: Outline | null;
  /** Where it is kept. */
  place: string;
  note: string;
  /** Cutting table that left it over. */
  fromTable: string | null;
  /** Cutting table that used it up. */
  usedBy: string | null;
}
export type Stock = StockFields & Kept;

export const stock = new Table<StockFields>('stock', 'roll, sheet or leftover', [
  column('kind'),
  column('ofKind'),
  column('ofId'),
  column('width'),
  column('length'),
  column('count'),
  column('outline', 'json'),
  column('place'),
  column('note'),
  column('fromTable'),
  column('usedBy'),
]);

const THERE = 'used_by IS NULL AND (kind != ? OR length > 0) AND count > 0';

/** Everything that is there, leftovers first, the largest of them first. */
export function stockThere(db: Db): Stock[] {
  return stock.list(db, THERE, ['roll'], "kind = 'leftover' DESC, width * length DESC, id");
}

/** What is there of one cloth or layer. */
export function stockOf(db: Db, ofKind: StockFields['ofKind'], ofId: string): Stock[] {
  return stock.list(
    db,
    `of_kind = ? AND of_id = ? AND ${THERE}`,
    [ofKind, ofId, 'roll'],
    "kind = 'leftover' DESC, width * length DESC, id",
  );
}
