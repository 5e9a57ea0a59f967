import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, isAbsolute, join } from 'node:path';
import { projectRoot } from './project-root';
import { loadDemo } from './demo';
import { seedLibrary } from './seed';

export type Db = Database.Database;

/**
 * Opens a database file and brings it up to date: migrations in one transaction each, after a copy of the
 * file as it was. WAL with full synchronisation, so that what was confirmed survives a kill or a power cut.
 */
export function openDatabase(path: string): Db {
  const existed = path !== ':memory:' && existsSync(path);
  if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true });
  const db = new Database(path);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  migrate(db, existed ? path : undefined);
  seedLibrary(db);
  return db;
}

function migrate(db: Db, backupOf: string | undefined): void {
  const folder = join(projectRoot(), 'src/store/migrations');
  const files = readdirSync(folder)
    .filter((name) => /^\d{3}_.+\.sql$/.test(name))
    .sort();
  const done = db.pragma('user_version', { simple: true }) as number;
  const due = files.filter((name) => Number(name.slice(0, 3)) > done);
  if (due.length === 0) return;
  if (backupOf && done > 0) {
    db.pragma('wal_checkpoint(TRUNCATE)');
    copyFileSync(backupOf, `${backupOf}.before-${due[0]!.slice(0, 3)}`);
  }
  for (const name of due) {
    db.transaction(() => {
      db.exec(readFileSync(join(folder, name), 'utf8'));
      db.pragma(`user_version = ${Number(name.slice(0, 3))}`);
    })();
  }
}

/** One connection for the whole server, kept across reloads of the module. */
const KEPT = Symbol.for('nembrel.db');
type Keeper = { [KEPT]?: Db };

export function database(): Db {
  const keeper = globalThis as Keeper;
  if (!keeper[KEPT]) {
    const wanted = process.env['NEMBREL_DB'] ?? 'data/nembrel.db';
    const db = openDatabase(isAbsolute(wanted) ? wanted : join(projectRoot(), wanted));
    if (process.env['NEMBREL_DEMO'] === '1') loadDemo(db, { onlyIfEmpty: true });
    keeper[KEPT] = db;
  }
  return keeper[KEPT];
}
