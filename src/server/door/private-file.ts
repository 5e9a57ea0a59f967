import { chmodSync, closeSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';

/** What is kept in a file of its owner's; nothing where there is none, or none that can be read. */
export function readPrivate<T>(file: string): T | undefined {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as T;
  } catch {
    return undefined;
  }
}

/** Writes a file that only its owner may read; killed at any moment, the old one or the new one is there. */
export function writePrivate(file: string, value: unknown): void {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const next = `${file}.next`;
  const open = openSync(next, 'w', 0o600);
  try {
    writeSync(open, JSON.stringify(value));
    fsyncSync(open);
  } finally {
    closeSync(open);
  }
  chmodSync(next, 0o600);
  renameSync(next, file);
}
