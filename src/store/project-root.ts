import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Folder that holds our package.json, seen from the source as well as from the built server. */
export function projectRoot(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  for (;;) {
    const file = join(folder, 'package.json');
    if (existsSync(file) && (JSON.parse(readFileSync(file, 'utf8')) as { name?: string }).name === 'nembrel') return folder;
    const parent = dirname(folder);
    if (parent === folder) return process.cwd();
    folder = parent;
  }
}
