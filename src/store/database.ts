import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { projectRoot } from './project-root';
import { DatabaseError, plainTrouble } from './database-trouble';

export type Db = Database.Database;

/**
 * How long a write waits for another one, ms. The driver waits in its thread, and the server answers nobody meanwhile: what is held longer is
 * told as busy, and the screens send it again.
 */
const PATIENCE = 400;

/** Opens a connection to a file that is known to be up to date: WAL with full synchronisation, references kept. */
export function connect(path: string, patience = PATIENCE): Db {
  const db = new Database(path);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma(`busy_timeout = ${patience}`);
  return db;
}

/**
 * Opens a database file and brings it up to date: migrations in one transaction each, after a copy of the
 * file as it was. What was confirmed survives a kill or a power cut.
 *
 * @throws {DatabaseError} in plain words, with the path and what to do
 */
export function openDatabase(path: string): Db {
  let db: Db | undefined;
  try {
    const existed = path !== ':memory:' && existsSync(path);
    if (path !== ':memory:') mkdirSync(dirname(path), { recursive: true });
    db = connect(path);
    if (existed) requireOurs(db, path);
    migrate(db, existed ? path : undefined);
    return db;
  } catch (error) {
    db?.close();
    throw plainTrouble(error, path);
  }
}

/** Numbers of the migrations that there are. */
export function migrationsThere(): number[] {
  return migrationFiles().map((name) => Number(name.slice(0, 3)));
}

function migrationFiles(): string[] {
  return readdirSync(migrationFolder())
    .filter((name) => /^\d{3}_.+\.sql$/.test(name))
    .sort();
}

function migrationFolder(): string {
  return join(projectRoot(), 'src/store/migrations');
}

/** A file of something else, or of a newer version, is left as it is. @throws {DatabaseError} */
function requireOurs(db: Db, path: string): void {
  const version = db.pragma('user_version', { simple: true }) as number;
  const newest = Math.max(...migrationsThere());
  if (version > newest)
    throw new DatabaseError(
      `${path} was written by a newer Nembrel (version ${version}; this one knows up to ${newest}). It was not touched. Update Nembrel, or name another file with NEMBREL_DB.`,
    );
  const tables = (db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as { name: string }[]).map(
    ({ name }) => name,
  );
  if (tables.length > 0 && !tables.includes('cloth'))
    throw new DatabaseError(
      `${path} is a database of another program. It was not touched. Name another file with NEMBREL_DB, or move this one away.`,
    );
}

function migrate(db: Db, backupOf: string | undefined): void {
  const done = db.pragma('user_version', { simple: true }) as number;
  const due = migrationFiles().filter((name) => Number(name.slice(0, 3)) > done);
  if (due.length === 0) return;
  if (backupOf && done > 0) {
    db.pragma('wal_checkpoint(TRUNCATE)');
    copyFileSync(backupOf, `${backupOf}.before-${due[0]!.slice(0, 3)}`);
  }
  // A table that others point to can only be rebuilt while nobody watches; what points where is checked before anything is kept.
  db.pragma('foreign_keys = OFF');
  for (const name of due) {
    try {
      db.transaction(() => {
        db.exec(readFileSync(join(migrationFolder(), name), 'utf8'));
        const [broken] = db.pragma('foreign_key_check') as { table: string; parent: string }[];
        if (broken) throw new Error(`a row of ${broken.table} would point to no ${broken.parent}`);
        db.pragma(`user_version = ${Number(name.slice(0, 3))}`);
      }).immediate();
    } catch (error) {
      const kept = backupOf && done > 0 ? ` A copy from before is ${backupOf}.before-${due[0]!.slice(0, 3)}.` : '';
      throw new DatabaseError(
        `${backupOf ?? 'The database'} could not be brought up to date: the step ${name} failed (${(error as Error).message}). Nothing of that step was kept.${kept} Start the older Nembrel, or bring a backup back.`,
      );
    }
  }
  db.pragma('foreign_keys = ON');
}
