import type { Db } from './database';

/** Something that was deleted and can be taken back. */
export interface Deleted {
  kind: DeletedKind;
  id: string;
  name: string;
  /** Where it belongs, such as the project of a piece; empty where that says nothing. */
  of: string;
  deletedAt: string;
  /** Where it is taken back. */
  restore: string;
}

/** So long a deletion is shown, days. */
const BIN_DAYS = 30;
const MOST_SHOWN = 500;

/** Every kind that can be deleted: its table, what names a row, what it belongs to, and its address. */
const KINDS = {
  project: { table: 'project', name: 't.name', of: "''", address: 'projects' },
  piece: { table: 'piece', name: 't.name', of: '(SELECT name FROM project p WHERE p.id = t.project_id)', address: 'pieces' },
  cut: { table: 'cut', name: 't.duty', of: '(SELECT name FROM piece p WHERE p.id = t.piece_id)', address: 'cuts' },
  seam: {
    table: 'seam',
    name: "coalesce(nullif(t.note, ''), 'a seam')",
    of: '(SELECT name FROM project p WHERE p.id = t.project_id)',
    address: 'seams',
  },
  job: {
    table: 'job',
    name: "coalesce(nullif(t.name, ''), json_extract(t.wish, '$.role'))",
    of: '(SELECT p.name FROM cut c JOIN piece p ON p.id = c.piece_id WHERE c.id = t.cut_id)',
    address: 'jobs',
  },
  cloth: { table: 'cloth', name: 't.name', of: "''", address: 'cloths' },
  layer: { table: 'layer', name: 't.name', of: "''", address: 'layers' },
  stock: { table: 'stock', name: 't.kind', of: 't.place', address: 'stock' },
  log: { table: 'log_entry', name: 't.title', of: 't.cloth_name', address: 'log' },
  scrap: { table: 'scrap', name: 't.stack_title', of: 't.cloth_name', address: 'scraps' },
  hoop: { table: 'hoop', name: 't.name', of: "''", address: 'hoops' },
  motif: { table: 'motif', name: 't.name', of: "''", address: 'motifs' },
  hooping: { table: 'hooping', name: 't.name', of: "''", address: 'hoopings' },
} as const;
export type DeletedKind = keyof typeof KINDS;

/** What was deleted within the last thirty days, newest first. @param now ISO time */
export function deletedRows(db: Db, now: string): Deleted[] {
  const since = new Date(Date.parse(now) - BIN_DAYS * 86_400_000).toISOString();
  const queries = Object.entries(KINDS).map(
    ([kind, { table, name, of, address }]) =>
      `SELECT '${kind}' AS kind, t.id AS id, ${name} AS name, coalesce(${of}, '') AS "of", t.deleted_at AS deletedAt,
        '/api/${address}/' || t.id || '/restore' AS restore
       FROM ${table} t WHERE t.deleted_at >= :since`,
  );
  return db.prepare(`${queries.join(' UNION ALL ')} ORDER BY deletedAt DESC LIMIT ${MOST_SHOWN}`).all({ since }) as Deleted[];
}
