import { backupPath } from '../../../../server/backups/kept-backups';
import { database, databasePath } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { inThread } from '../../../../server/threads/in-thread';

const SECONDS = 60;

/** What a backup holds, and what has changed since it was made, in words. */
export const GET = endpoint(({ params, request }) => {
  const backup = backupPath(database(), params['name']!);
  return inThread('backup-changes', { path: databasePath(), backup }, { signal: request.signal, seconds: SECONDS });
});
