import { mkdtempSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { InputError } from '../../core/input-error';
import { drill } from '../../store/backup-drill';
import { answer } from './answer';

/** Tries, in a scratch file, whether everything could be brought back. */
void answer(async ({ path }: { path: string }) => {
  const folder = mkdtempSync(join(dirname(path), '.drill-'));
  try {
    return await drill(path, join(folder, 'scratch.db'));
  } catch (error) {
    throw error instanceof InputError ? error : new InputError('backup', (error as Error).message);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
