/** A trouble with the database file, in words that a person can act on. */
export class DatabaseError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'DatabaseError';
  }
}

type Coded = Error & { code?: string };

/** What to say for each kind of trouble that the driver or the file system tells of. */
const WORDS: [code: RegExp, words: (path: string) => string][] = [
  [
    /^SQLITE_NOTADB/,
    (path) => `${path} is no database file. It was not touched. Name another file with NEMBREL_DB, or move this one away.`,
  ],
  [
    /^SQLITE_CORRUPT/,
    (path) =>
      `${path} is damaged. It was not changed. Bring a backup back: copy it over this file, or start with NEMBREL_DB=/path/to/the/backup.`,
  ],
  [
    /^SQLITE_(BUSY|LOCKED)/,
    (path) => `${path} is held by another program. Close the other Nembrel or whatever has it open, and start again.`,
  ],
  [
    /^(SQLITE_READONLY|SQLITE_CANTOPEN|EACCES|EPERM|EROFS)/,
    (path) =>
      `${path} cannot be opened for writing. Look at the rights of the file and its folder, or name another place with NEMBREL_DB.`,
  ],
  [/^(SQLITE_FULL|ENOSPC)/, (path) => `The disk that holds ${path} is full. Nothing was lost; make room and start again.`],
  [
    /^(SQLITE_IOERR|EIO)/,
    (path) => `${path} could not be read or written: the disk reports an error. Copy the file to another disk first.`,
  ],
  [/^(ENOTDIR|EISDIR|ENOENT)/, (path) => `${path} is not a place where a file can be kept. Name another one with NEMBREL_DB.`],
];

/** The same trouble in plain words; what is not known is handed on as it is. */
export function plainTrouble(error: unknown, path: string): Error {
  if (error instanceof DatabaseError) return error;
  const code = (error as Coded).code ?? '';
  const words = WORDS.find(([pattern]) => pattern.test(code))?.[1];
  return words ? new DatabaseError(words(path)) : (error as Error);
}

/** Something else is being written, such as a large file that is brought in: it is over soon. */
export function isBusy(error: unknown): boolean {
  return /^SQLITE_(BUSY|LOCKED)/.test((error as Coded).code ?? '');
}

/** Plain words for a write that failed while the application runs; undefined for anything else. */
export function writeTrouble(error: unknown): string | undefined {
  const code = (error as Coded).code ?? '';
  if (/^(SQLITE_FULL|ENOSPC)/.test(code)) return 'The disk is full. Nothing of this was saved; make room and save again.';
  if (/^SQLITE_READONLY/.test(code)) return 'The database may not be written to. Nothing of this was saved.';
  if (/^SQLITE_(CORRUPT|IOERR)/.test(code))
    return 'The database file is damaged or its disk fails. Nothing of this was saved; bring a backup back.';
  return undefined;
}
