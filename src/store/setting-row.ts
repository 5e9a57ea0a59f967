import type { Db } from './database';
import { StaleError } from './errors';

/** One value that the house keeps under a name, with its version; version 0 is the state before the first save. */
export interface SettingRow<T> {
  value: T | undefined;
  version: number;
}

export function readSettingRow<T>(db: Db, key: string): SettingRow<T> {
  const row = db.prepare('SELECT value, version FROM setting WHERE key = ?').get(key) as
    { value: string; version: number } | undefined;
  return row ? { value: JSON.parse(row.value) as T, version: row.version } : { value: undefined, version: 0 };
}

/**
 * Keeps a value if nobody else did meanwhile, and reads it back.
 *
 * @param read what is kept now, as the caller tells it @throws {StaleError} with that
 */
export function writeSettingRow<T, R extends { version: number }>(
  db: Db,
  key: string,
  value: T,
  version: number,
  read: () => R,
): R {
  return db
    .transaction(() => {
      const current = read();
      if (current.version !== version) throw new StaleError(current);
      db.prepare(
        `INSERT INTO setting (key, value, version, updated_at) VALUES (?, ?, 1, ?)
       ON CONFLICT (key) DO UPDATE SET value = excluded.value, version = version + 1, updated_at = excluded.updated_at`,
      ).run(key, JSON.stringify(value), new Date().toISOString());
      return read();
    })
    .immediate();
}
