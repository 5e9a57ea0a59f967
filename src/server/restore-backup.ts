import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { closeDatabase, database, databasePath } from './database';

/**
 * Puts a checked backup in the place of what is kept. What was there stays beside it as `….before-restore`; if the backup cannot be
 * opened after all, it comes back.
 */
export function restoreBackup(path: string): void {
  const target = databasePath();
  const before = `${target}.before-restore`;
  database().pragma('wal_checkpoint(TRUNCATE)');
  closeDatabase();
  copyFileSync(target, before);
  for (const beside of ['-wal', '-shm']) rmSync(target + beside, { force: true });
  try {
    renameSync(path, target);
    database();
  } catch (error) {
    closeDatabase();
    if (existsSync(before)) copyFileSync(before, target);
    database();
    throw error;
  }
}
