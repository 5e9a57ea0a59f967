import { existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, isAbsolute, join } from 'node:path';
import { InputError } from '../../core/input-error';
import { writeBackup, type BackupCount } from '../../store/backup';
import type { Db } from '../../store/database';
import { NotFoundError } from '../../store/errors';
import { readSettingRow, writeSettingRow } from '../../store/setting-row';
import { databasePath } from '../database';
import { inThread } from '../threads/in-thread';
import { backupName, dayOf, outdated } from './which-stay';

/** What is kept of backups that are made by themselves. */
export interface BackupState {
  /** Where they are written; beside the database when nobody named a folder. */
  folder: string | null;
  /** The last that was made, and looked through after it was written. */
  made: { at: string; name: string } | null;
  /** Why the last one could not be made. */
  trouble: string | null;
  /** When it was tried last whether everything could be brought back. */
  drill: { at: string; tables: number; rows: number } | null;
}

/** One backup in the folder. */
export interface KeptBackup {
  name: string;
  day: string;
  /** Bytes. */
  size: number;
}

const KEY = 'backups';
const NONE: BackupState = { folder: null, made: null, trouble: null, drill: null };
/** Looking through a backup may take so long, s. */
const SECONDS = 120;

export function backupState(db: Db): BackupState & { version: number } {
  const { value, version } = readSettingRow<BackupState>(db, KEY);
  return { ...NONE, ...value, version };
}

/** Keeps a change of what is known; who asked a moment ago is not told off for it. */
export function noteBackups(db: Db, change: Partial<BackupState>): void {
  const { version, ...state } = backupState(db);
  writeSettingRow(db, KEY, { ...state, ...change }, version, () => backupState(db));
}

/** Names another folder, which is made and written to as a test; null for the one beside the database. @throws {InputError} {StaleError} */
export function setBackupFolder(db: Db, folder: string | null, version: number): void {
  if (folder !== null) {
    if (!isAbsolute(folder)) throw new InputError('folder', `must be a whole path, saw ${JSON.stringify(folder.slice(0, 100))}`);
    try {
      mkdirSync(folder, { recursive: true });
      rmSync(mkdtempSync(join(folder, '.nembrel-')), { recursive: true });
    } catch (problem) {
      throw new InputError(
        'folder',
        `cannot be made or written to (${(problem as NodeJS.ErrnoException).code ?? 'unknown'}); name one that is there`,
      );
    }
  }
  const { version: _version, ...state } = backupState(db);
  writeSettingRow(db, KEY, { ...state, folder }, version, () => backupState(db));
}

/** Name of the database's file. */
const base = (): string => basename(databasePath(), '.db');

export function backupFolder(db: Db): string {
  return backupState(db).folder ?? join(dirname(databasePath()), `${base()}-backups`);
}

/** Backups in the folder, newest first. */
export function keptBackups(db: Db): KeptBackup[] {
  const folder = backupFolder(db);
  if (!existsSync(folder) || !statSync(folder).isDirectory()) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const day = dayOf(base(), name);
      return day === undefined ? [] : [{ name, day, size: statSync(join(folder, name)).size }];
    })
    .sort((a, b) => b.day.localeCompare(a.day));
}

/** Path of a backup of the list. @throws {NotFoundError} for any other name */
export function backupPath(db: Db, name: string): string {
  if (!keptBackups(db).some((kept) => kept.name === name)) throw new NotFoundError('backup');
  return join(backupFolder(db), name);
}

const making = new WeakMap<Db, Promise<void>>();

/**
 * Makes the backup of a day: written beside its place, looked through, then put there; after it the outdated ones go. Whoever asks while
 * one is made waits for that one. What stands in the way is noted, and told where backups are shown.
 */
export function makeBackup(db: Db, day: string, now: string): Promise<void> {
  const known = making.get(db);
  if (known) return known;
  const own = made(db, day, now).finally(() => making.delete(db));
  making.set(db, own);
  return own;
}

async function made(db: Db, day: string, now: string): Promise<void> {
  const folder = backupFolder(db);
  const name = backupName(base(), day);
  const next = join(folder, `.${name}.part`);
  try {
    mkdirSync(folder, { recursive: true });
    await writeBackup(db, next);
    await inThread<BackupCount>('check-backup', { path: next }, { signal: new AbortController().signal, seconds: SECONDS });
    renameSync(next, join(folder, name));
    for (const old of outdated(base(), readdirSync(folder))) rmSync(join(folder, old), { force: true });
    noteBackups(db, { made: { at: now, name }, trouble: null });
  } catch (problem) {
    removeQuietly(next);
    noteBackups(db, { trouble: troubleWords(folder, problem as NodeJS.ErrnoException) });
  }
}

/** What is half written goes; a folder that is gone has nothing of it. */
function removeQuietly(path: string): void {
  try {
    rmSync(path, { force: true });
  } catch {
    // What cannot be reached cannot be tidied up; the next backup writes over it.
  }
}

const UNREACHABLE = 'it cannot be reached; is the disk plugged in?';
const FORBIDDEN = 'it may not be written to';
/** Errors of the file system in words. */
const REASONS = new Map([
  ['ENOSPC', 'the disk is full'],
  ...['EACCES', 'EPERM', 'EROFS'].map((code) => [code, FORBIDDEN] as const),
  ...['ENOENT', 'ENOTDIR', 'ENODEV', 'EIO'].map((code) => [code, UNREACHABLE] as const),
]);

/** What stood in the way, and what happens next. */
function troubleWords(folder: string, { code, message }: NodeJS.ErrnoException): string {
  const why = REASONS.get(code ?? '') ?? message;
  return `No backup could be made in ${folder} (${why}). It is tried again every hour; those that are there stay.`;
}

/** Makes the backup of the day unless there is one. */
export async function makeDueBackup(db: Db, day: string, now: string): Promise<void> {
  if (!keptBackups(db).some((kept) => kept.day === day)) await makeBackup(db, day, now);
}
