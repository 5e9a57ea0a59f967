import { backupFolderSchema } from '../../../schemas/backups';
import {
  backupFolder,
  backupState,
  keptBackups,
  makeBackup,
  makeDueBackup,
  setBackupFolder,
} from '../../../server/backups/kept-backups';
import { database } from '../../../server/database';
import { deviceOf } from '../../../server/door/the-door';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { RequestError } from '../../../server/errors';

const told = () => {
  const db = database();
  return { ...backupState(db), folder: backupFolder(db), own: backupState(db).folder !== null, backups: keptBackups(db) };
};

/** Backups that were made by themselves, newest first, where they are, and how the last one went. */
export const GET = endpoint(told);

/** Makes the backup of today, in place of one of today that is there; `?due=yes` makes it only where there is none. */
export const POST = endpoint(async ({ url }) => {
  const db = database();
  const now = new Date().toISOString();
  const day = now.slice(0, 10);
  if (url.searchParams.get('due') === 'yes') await makeDueBackup(db, day, now);
  else await makeBackup(db, day, now);
  return told();
});

/** Names the folder that backups are written to. */
export const PUT = jsonEndpoint(backupFolderSchema, ({ folder, version }, { request }) => {
  if (deviceOf(request) !== null) throw new RequestError(403, 'The folder is only changed on the computer that runs Nembrel.');
  setBackupFolder(database(), folder, version);
  return told();
});
