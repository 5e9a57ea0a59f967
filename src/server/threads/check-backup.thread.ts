import { checkBackup } from '../../store/backup';
import { answer } from './answer';

/** Looks a backup through before it takes the place of anything. */
void answer(({ path }: { path: string }) => checkBackup(path));
