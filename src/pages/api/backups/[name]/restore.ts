import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { backupPath } from '../../../../server/backups/kept-backups';
import { database, databasePath } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { restoreBackup } from '../../../../server/restore-backup';
import { inThread } from '../../../../server/threads/in-thread';
import type { BackupCount } from '../../../../store/backup';

const SECONDS = 120;

/** Brings a backup of the list back; it stays in the list, and what was here stays beside the database. */
export const POST = endpoint(async ({ params, request }) => {
  const backup = backupPath(database(), params['name']!);
  const folder = mkdtempSync(join(dirname(databasePath()), '.restore-'));
  try {
    const path = join(folder, 'backup.db');
    copyFileSync(backup, path);
    const count = await inThread<BackupCount>('check-backup', { path }, { signal: request.signal, seconds: SECONDS });
    restoreBackup(path);
    return count;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
