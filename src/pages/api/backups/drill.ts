import { noteBackups } from '../../../server/backups/kept-backups';
import { database, databasePath } from '../../../server/database';
import { endpoint } from '../../../server/endpoint';
import { inThread } from '../../../server/threads/in-thread';
import type { Drilled } from '../../../store/backup-drill';

const SECONDS = 300;

/** Tries in a scratch file whether everything could be brought back, table by table. */
export const POST = endpoint(async ({ request }) => {
  const found = await inThread<Drilled>('backup-drill', { path: databasePath() }, { signal: request.signal, seconds: SECONDS });
  const drill = { at: new Date().toISOString(), ...found };
  noteBackups(database(), { drill });
  return drill;
});
