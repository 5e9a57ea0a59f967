import { checkBackup, keepOwnSchema } from '../../store/backup';
import { answer } from './answer';

/** Looks a backup through before it takes the place of anything, and leaves of it only what is our own. */
void answer(({ path }: { path: string }) => {
  const count = checkBackup(path);
  keepOwnSchema(path);
  return count;
});
