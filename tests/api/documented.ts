import { readFileSync } from 'node:fs';

/** Examples of docs/api.md that can be sent as they stand. */
export const documented = readFileSync('docs/api.md', 'utf8');

/** Body of the first example that follows a line with this method and path. */
export function example(heading: string): object {
  const after = documented.slice(documented.indexOf(heading) + heading.length);
  const start = after.indexOf('{');
  let depth = 0;
  for (let i = start; i < after.length; i++) {
    if (after[i] === '{') depth++;
    if (after[i] === '}') depth--;
    if (depth === 0) return JSON.parse(after.slice(start, i + 1)) as object;
  }
  throw new Error(`no example after ${heading}`);
}
