import { isAbsolute, join } from 'node:path';
import { openDatabase, type Db } from '../store/database';
import { loadDemo } from '../store/demo';
import { projectRoot } from '../store/project-root';
import { forgetOldMoves } from '../store/moves';
import { seedLibrary } from '../store/seed';
import { otherHouse } from './house';

/** Opens a database file with the library in it. @throws {DatabaseError} */
export function openSeeded(path: string): Db {
  const db = openDatabase(path);
  seedLibrary(db);
  forgetOldMoves(db);
  return db;
}

/** One connection for each house, kept across reloads of the module. */
const KEPT = Symbol.for('nembrel.db');
type Keeper = { [KEPT]?: Map<string, Db> };
const connections = (): Map<string, Db> => ((globalThis as Keeper)[KEPT] ??= new Map());

/** Where the database file of the house is in which this is answered. */
export function databasePath(): string {
  const wanted = otherHouse()?.path ?? process.env['NEMBREL_DB'] ?? 'data/nembrel.db';
  return isAbsolute(wanted) ? wanted : join(projectRoot(), wanted);
}

/** @throws {DatabaseError} */
export function database(): Db {
  const path = databasePath();
  const open = connections();
  let db = open.get(path);
  if (!db) {
    db = openSeeded(path);
    if (otherHouse() || process.env['NEMBREL_DEMO'] === '1') loadDemo(db, { onlyIfEmpty: true });
    open.set(path, db);
  }
  return db;
}

/** Closes the connection; the next question opens it again. */
export function closeDatabase(): void {
  const path = databasePath();
  connections().get(path)?.close();
  connections().delete(path);
}
