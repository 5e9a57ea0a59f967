import Database from 'better-sqlite3';
import { InputError } from '../core/input-error';
import { migrationsThere, type Db } from './database';

/** What a backup holds, in numbers that a person can check. */
export interface BackupCount {
  cloths: number;
  layers: number;
  projects: number;
  log: number;
  motifs: number;
}

/**
 * Copies everything that is kept into one file, while the application goes on: all tables as they are, settings, bench runs and what
 * was deleted included.
 */
export async function writeBackup(db: Db, path: string): Promise<void> {
  await db.backup(path);
  // A copy of one file: without a second one beside it that would have to travel with it.
  const copy = new Database(path);
  copy.pragma('journal_mode = DELETE');
  copy.close();
}

/**
 * Whether a file is a whole backup of ours, and what is in it.
 *
 * @throws {InputError} when it is no database, is damaged, is of something else, or of a newer version
 */
export function checkBackup(path: string): BackupCount {
  let db: Db;
  try {
    db = new Database(path, { readonly: true, fileMustExist: true });
    db.pragma('schema_version');
  } catch {
    throw new InputError('file', 'is no backup: it is not a database file, or it is cut short');
  }
  try {
    const [{ integrity_check: state } = { integrity_check: 'unknown' }] = db.pragma('integrity_check(1)') as {
      integrity_check: string;
    }[];
    if (state !== 'ok') throw new InputError('file', 'is damaged; take another backup');
    const tables = new Set(
      (db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as { name: string }[]).map(({ name }) => name),
    );
    const missing = ['cloth', 'layer', 'project', 'log_entry', 'setting', 'seeded'].find((name) => !tables.has(name));
    if (missing) throw new InputError('file', `is a database of something else: it has no table “${missing}”`);
    const version = db.pragma('user_version', { simple: true }) as number;
    const newest = Math.max(...migrationsThere());
    if (version > newest)
      throw new InputError(
        'file',
        `was made by a newer Nembrel (version ${version}, this one knows up to ${newest}); update first`,
      );
    if ((db.pragma('foreign_key_check') as unknown[]).length > 0)
      throw new InputError('file', 'is damaged: some of its records point to others that are missing');
    const count = (table: string) =>
      tables.has(table)
        ? (db.prepare(`SELECT count(*) AS n FROM ${table} WHERE deleted_at IS NULL`).get() as { n: number }).n
        : 0;
    return {
      cloths: count('cloth'),
      layers: count('layer'),
      projects: count('project'),
      log: count('log_entry'),
      motifs: count('motif'),
    };
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw new InputError('file', 'is damaged or no backup of Nembrel');
  } finally {
    db.close();
  }
}

/**
 * Leaves of a checked backup only what is our own: triggers and views, which would act by themselves once it is opened, are taken out.
 *
 * @returns the names of what was taken out
 */
export function keepOwnSchema(path: string): string[] {
  const db = new Database(path);
  try {
    const strange = db
      .prepare(
        "SELECT type, name FROM sqlite_master WHERE type IN ('trigger', 'view') OR sql LIKE 'CREATE VIRTUAL%' ORDER BY type",
      )
      .all() as { type: string; name: string }[];
    for (const { type, name } of strange) db.exec(`DROP ${type.toUpperCase()} IF EXISTS "${name.replaceAll('"', '""')}"`);
    return strange.map(({ name }) => name);
  } finally {
    db.close();
  }
}
