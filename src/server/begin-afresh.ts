import { rmSync } from 'node:fs';
import { closeDatabase, database, databasePath } from './database';

/** Throws away everything of the house in which this is answered, and fills it with the demo's data. */
export function beginAfresh(): void {
  const path = databasePath();
  closeDatabase();
  for (const beside of ['', '-wal', '-shm']) rmSync(path + beside, { force: true });
  database();
}
