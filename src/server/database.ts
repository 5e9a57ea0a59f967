import { isAbsolute, join } from 'node:path';
import { openDatabase, type Db } from '../store/database';
import { loadDemo } from '../store/demo';
import { projectRoot } from '../store/project-root';
import { forgetOldMoves } from '../store/moves';
import { seedLibrary } from '../store/seed';

/** Opens a database file with the library in it. @throws {DatabaseError} */
export function openSeeded(path: string): Db {
  const db = openDatabase(path);
  seedLibrary(db);
  forgetOldMoves(db);
  return db;
}

/** One connection for the whole server, kept across reloads of the module. */
const KEPT = Symbol.for('nembrel.db');
type Keeper = { [KEPT]?: Db };

/** Where the database file is. */
export function databasePath(): string {
  const wanted = process.env['NEMBREL_DB'] ?? 'data/nembrel.db';
  return isAbsolute(wanted) ? wanted : join(projectRoot(), wanted);
}

/** @throws {DatabaseError} */
export function database(): Db {
  const keeper = globalThis as Keeper;
  if (!keeper[KEPT]) {
    const db = openSeeded(databasePath());
    if (process.env['NEMBREL_DEMO'] === '1') loadDemo(db, { onlyIfEmpty: true });
    keeper[KEPT] = db;
  }
  return keeper[KEPT];
}

/** Closes the connection; the next question opens it again. */
export function closeDatabase(): void {
  const keeper = globalThis as Keeper;
  keeper[KEPT]?.close();
  delete keeper[KEPT];
}
