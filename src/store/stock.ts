import type { Outline } from '../core/shape';
import type { Db } from './database';
import { Table, type Kept } from './table';

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
  /** Holes and stains in a leftover that may not be used, as its outline lies. */
  spots: Outline[];
  /** Where it is kept. */
  place: string;
  note: string;
  /** Cutting table that left it over. */
  fromTable: string | null;
  /** Cutting table that used it up. */
  usedBy: string | null;
}
export type Stock = StockFields & Kept;

export const stock = new Table<StockFields>('stock', 'roll, sheet or leftover', {
  kind: 'plain',
  ofKind: 'plain',
  ofId: 'plain',
  width: 'plain',
  length: 'plain',
  count: 'plain',
  outline: 'json',
  spots: 'json',
  place: 'plain',
  note: 'plain',
  fromTable: 'plain',
  usedBy: 'plain',
});

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

/** Something that a roll or leftover can be of. */
export interface MaterialName {
  kind: StockFields['ofKind'];
  id: string;
  name: string;
  /** mm; 0 when it is not known. */
  rollWidth: number;
}

/** A cupboard of more layers than this names only those that are at hand or are in use. */
const MOST_NAMED = 600;

/** Cloths, and layers that are no liquid, by name; of very many layers those that are at hand or kept as pieces. */
export function materialNames(db: Db): MaterialName[] {
  const { n } = db.prepare("SELECT count(*) AS n FROM layer WHERE deleted_at IS NULL AND form != 'liquid'").get() as {
    n: number;
  };
  const few = n > MOST_NAMED ? "AND (in_stock = 1 OR id IN (SELECT of_id FROM stock WHERE of_kind = 'layer'))" : '';
  return db
    .prepare(
      `SELECT 'cloth' AS kind, id, name, coalesce(roll_width, 0) AS rollWidth FROM cloth WHERE deleted_at IS NULL
       UNION ALL
       SELECT 'layer', id, name, roll_width FROM layer WHERE deleted_at IS NULL AND form != 'liquid' ${few}
       ORDER BY 1, 3 COLLATE NOCASE`,
    )
    .all() as MaterialName[];
}
