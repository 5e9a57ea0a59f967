import { createHash } from 'node:crypto';
import { checkBackup, keepOwnSchema } from './backup';
import { connect, openDatabase, type Db } from './database';

/** What a drill found to be the same. */
export interface Drilled {
  tables: number;
  rows: number;
}

/** Names of the tables of a database, in order. */
function tablesOf(db: Db): string[] {
  return (
    db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name").all() as {
      name: string;
    }[]
  ).map(({ name }) => name);
}

/** A short print of all that a table holds, whatever the order of its rows, and how many there are. */
export function printOf(db: Db, table: string): { rows: number; print: string } {
  const sum = Buffer.alloc(32);
  let rows = 0;
  for (const row of db.prepare(`SELECT * FROM "${table}"`).raw().iterate() as IterableIterator<unknown[]>) {
    const hash = createHash('sha256');
    for (const value of row) hash.update(Buffer.isBuffer(value) ? value : `${typeof value}:${String(value)}`).update('\u0000');
    hash.digest().forEach((byte, i) => (sum[i]! ^= byte));
    rows++;
  }
  return { rows, print: sum.toString('hex') };
}

/**
 * Tries whether everything could be brought back: copies what is kept at one moment, treats the copy as a backup that is restored into a
 * scratch file, and compares every table, row by row.
 *
 * @param scratch a file that is not there yet @throws {Error} naming the table that differs
 */
export async function drill(path: string, scratch: string): Promise<Drilled> {
  const live = connect(path);
  try {
    // One moment: what is written meanwhile is not seen by it.
    live.exec('BEGIN');
    live.prepare('SELECT count(*) FROM setting').get();
    await live.backup(scratch);
    checkBackup(scratch);
    keepOwnSchema(scratch);
    const restored = openDatabase(scratch);
    try {
      const tables = tablesOf(live);
      const there = tablesOf(restored);
      const missing = tables.find((table) => !there.includes(table));
      if (missing) throw new Error(`The table “${missing}” would be missing.`);
      let rows = 0;
      for (const table of tables) {
        const [own, back] = [printOf(live, table), printOf(restored, table)];
        if (own.rows !== back.rows || own.print !== back.print)
          throw new Error(`The table “${table}” would come back differently.`);
        rows += own.rows;
      }
      return { tables: tables.length, rows };
    } finally {
      restored.close();
    }
  } finally {
    live.close();
  }
}
