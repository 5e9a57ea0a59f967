import type { Statement } from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
import { NotFoundError, StaleError } from './errors';
import type { Db } from './database';

/** What every kept row has besides its own fields. */
export interface Kept {
  id: string;
  version: number;
  createdAt: string;
  updatedAt: string;
}

/** How a value is kept: as it is, as JSON, or as 1 and 0. */
type ColumnKind = 'plain' | 'json' | 'boolean';
type KindOf<V> = [V] extends [boolean] ? 'boolean' : [V] extends [string | number] ? 'plain' : 'json';

/**
 * The one description of a record's columns, by its own type: a field that is forgotten, and one that is kept in another way than its
 * type asks for, is a type error. `?` stands where null means that the property is absent.
 */
export type Columns<T> = {
  [K in keyof Required<T>]: object extends Pick<T, K & keyof T>
    ? `${KindOf<NonNullable<Required<T>[K]>>}?`
    : KindOf<NonNullable<Required<T>[K]>>;
};

/** Prepared statements that a table keeps for a connection. */
const MOST_STATEMENTS = 60;

/** A property and the column it is kept in: the same name in snake case. */
interface Column {
  property: string;
  column: string;
  kind: ColumnKind;
  optional: boolean;
}

function columnsOf(described: Readonly<Record<string, string>>): Column[] {
  return Object.entries(described).map(([property, kind]) => ({
    property,
    column: property.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`),
    kind: kind.replace('?', '') as ColumnKind,
    optional: kind.endsWith('?'),
  }));
}

export type Value = string | number | null;

function toColumn(kind: ColumnKind, value: unknown): Value {
  if (value === undefined || value === null) return null;
  if (kind === 'json') return JSON.stringify(value);
  if (kind === 'boolean') return value ? 1 : 0;
  return value as Value;
}

function fromColumn(kind: ColumnKind, value: Value): unknown {
  if (value === null) return null;
  if (kind === 'json') return JSON.parse(value as string) as unknown;
  if (kind === 'boolean') return value === 1;
  return value;
}

/**
 * Plain SQL over one table of versioned rows: list, get, insert, update with a version check, delete that can
 * be taken back. `T` is the row's own fields.
 */
export class Table<T extends object> {
  constructor(
    private readonly name: string,
    /** What one row is called in a message. */
    private readonly thing: string,
    described: Columns<T>,
  ) {
    this.columns = columnsOf(described);
  }

  private readonly columns: readonly Column[];

  /** Rows by connection, with what other connections (`seen`) and this one (`writes`) had written by then. */
  private readonly kept = new WeakMap<Db, { rows: (T & Kept)[]; seen: number; writes: number }>();
  private writes = 0;
  private readonly statements = new WeakMap<Db, Map<string, Statement>>();

  private read(row: Record<string, Value>): T & Kept {
    const record: Record<string, unknown> = {
      id: row['id'],
      version: row['version'],
      createdAt: row['created_at'],
      updatedAt: row['updated_at'],
    };
    for (const { property, column: name, kind, optional } of this.columns) {
      const value = fromColumn(kind, row[name] ?? null);
      if (value !== null || !optional) record[property] = value;
    }
    return record as T & Kept;
  }

  list(
    db: Db,
    where = '1',
    params: readonly Value[] = [],
    order = 'name COLLATE NOCASE, id',
    { limit = -1, offset = 0 }: { limit?: number; offset?: number } = {},
  ): (T & Kept)[] {
    const rows = this.statement(
      db,
      `SELECT * FROM ${this.name} WHERE deleted_at IS NULL AND ${where} ORDER BY ${order} LIMIT ? OFFSET ?`,
    ).all(...params, limit, offset) as Record<string, Value>[];
    return rows.map((row) => this.read(row));
  }

  /** How many rows there are. */
  count(db: Db, where = '1', params: readonly Value[] = []): number {
    const sql = `SELECT count(*) AS n FROM ${this.name} WHERE deleted_at IS NULL AND ${where}`;
    return (this.statement(db, sql).get(...params) as { n: number }).n;
  }

  /** Rows by id, in one question; those that are not there are left out. */
  byIds(db: Db, ids: readonly string[]): (T & Kept)[] {
    if (ids.length === 0) return [];
    const sql = `SELECT * FROM ${this.name} WHERE deleted_at IS NULL AND id IN (SELECT value FROM json_each(?))`;
    return (this.statement(db, sql).all(JSON.stringify(ids)) as Record<string, Value>[]).map((row) => this.read(row));
  }

  /** A statement of this connection, prepared once. */
  private statement(db: Db, sql: string): Statement {
    let own = this.statements.get(db);
    if (!own) this.statements.set(db, (own = new Map()));
    let found = own.get(sql);
    if (!found) {
      // A search has its own text for every number of words; the oldest go when there are very many.
      if (own.size >= MOST_STATEMENTS) own.delete(own.keys().next().value!);
      own.set(sql, (found = db.prepare(sql)));
    }
    return found;
  }

  /** All rows as they are now, read once until somebody writes: what is asked with every question. Not to be changed. */
  all(db: Db): readonly (T & Kept)[] {
    const seen = db.pragma('data_version', { simple: true }) as number;
    const kept = this.kept.get(db);
    // What is not confirmed yet may be taken back.
    if (db.inTransaction) return this.list(db);
    if (kept && kept.seen === seen && kept.writes === this.writes) return kept.rows;
    const rows = this.list(db);
    this.kept.set(db, { rows, seen, writes: this.writes });
    return rows;
  }

  find(db: Db, id: string): (T & Kept) | undefined {
    const row = this.statement(db, `SELECT * FROM ${this.name} WHERE id = ? AND deleted_at IS NULL`).get(id) as
      Record<string, Value> | undefined;
    return row && this.read(row);
  }

  /** @throws {NotFoundError} */
  get(db: Db, id: string): T & Kept {
    const found = this.find(db, id);
    if (!found) throw new NotFoundError(this.thing);
    return found;
  }

  insert(db: Db, fields: T, { id = randomUUID(), at = new Date().toISOString() }: { id?: string; at?: string } = {}): T & Kept {
    const names = ['id', 'created_at', 'updated_at', ...this.columns.map((c) => c.column)];
    const values = [id, at, at, ...this.values(fields)];
    this.writes++;
    db.prepare(`INSERT INTO ${this.name} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`).run(...values);
    return this.get(db, id);
  }

  /** Rows by id, deleted ones too: what still points to them has to find them. */
  evenDeleted(db: Db, ids: Iterable<string>): (T & Kept)[] {
    const rows = db
      .prepare(`SELECT * FROM ${this.name} WHERE id IN (SELECT value FROM json_each(?)) ORDER BY id`)
      .all(JSON.stringify([...ids])) as Record<string, Value>[];
    return rows.map((row) => this.read(row));
  }

  /** Inserts a row under its id, or puts it in the place of a deleted one of that id. */
  bringIn(db: Db, fields: T, id: string): T & Kept {
    const deleted = db.prepare(`SELECT version FROM ${this.name} WHERE id = ? AND deleted_at IS NOT NULL`).get(id) as
      { version: number } | undefined;
    if (!deleted) return this.insert(db, fields, { id });
    this.restore(db, id);
    return this.update(db, id, fields, deleted.version);
  }

  /**
   * Saves all fields if the row still has the given version.
   *
   * @throws {StaleError} with the row as it is now @throws {NotFoundError}
   */
  update(db: Db, id: string, fields: T, version: number): T & Kept {
    this.writes++;
    const sets = [...this.columns.map((c) => `${c.column} = ?`), 'updated_at = ?', 'version = version + 1'];
    const { changes } = db
      .prepare(`UPDATE ${this.name} SET ${sets.join(', ')} WHERE id = ? AND version = ? AND deleted_at IS NULL`)
      .run(...this.values(fields), new Date().toISOString(), id, version);
    if (changes === 0) throw new StaleError(this.get(db, id));
    return this.get(db, id);
  }

  remove(db: Db, id: string): void {
    this.writes++;
    const { changes } = db
      .prepare(`UPDATE ${this.name} SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL`)
      .run(new Date().toISOString(), id);
    if (changes === 0) throw new NotFoundError(this.thing);
  }

  /** Takes a deletion back; who looks for what was written since sees it. */
  restore(db: Db, id: string): T & Kept {
    this.writes++;
    const back = `UPDATE ${this.name} SET deleted_at = NULL, updated_at = ? WHERE id = ? AND deleted_at IS NOT NULL`;
    db.prepare(back).run(new Date().toISOString(), id);
    return this.get(db, id);
  }

  private values(fields: T): Value[] {
    const record = fields as Record<string, unknown>;
    return this.columns.map(({ property, kind }) => toColumn(kind, record[property]));
  }
}
