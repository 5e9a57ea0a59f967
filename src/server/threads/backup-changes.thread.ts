import { changesSince } from '../../store/backup-changes';
import { checkBackup } from '../../store/backup';
import { connect } from '../../store/database';
import { answer } from './answer';

/** What has changed since a backup: both are read from files, beside the server. */
void answer(({ path, backup }: { path: string; backup: string }) => {
  const count = checkBackup(backup);
  const db = connect(path);
  try {
    return { count, changes: changesSince(db, backup) };
  } finally {
    db.close();
  }
});
