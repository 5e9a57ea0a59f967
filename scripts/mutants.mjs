// npm run mutants [-- PATTERN]: puts faults into a copy of the project, one at a time, and counts those that the tests notice.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FAULTS } from './mutants/faults.mjs';
import { installPackages, root } from './prepare.mjs';

await installPackages();
const [pattern = ''] = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), 'nembrel-mutants-'));
const PARTS = ['src', 'tests', 'scripts', 'public', 'docs', 'demo', 'package.json', 'package-lock.json', 'tsconfig.json', 'vitest.config.ts', 'astro.config.mjs']; // prettier-ignore
for (const part of PARTS) cpSync(join(root, part), join(folder, part), { recursive: true });
symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));

const run = (...args) =>
  spawnSync(process.execPath, args, { cwd: folder, encoding: 'utf8', timeout: 1_200_000, env: { ...process.env, CI: '1' } });
const tests = (projects, filters) =>
  run('node_modules/vitest/vitest.mjs', 'run', '--bail=1', ...projects.flatMap((name) => ['--project', name]), ...filters);

/** Whether the tests fail with a fault; those that ought to notice are asked first, then all. */
function noticed({ tests: first, api }) {
  if (api) {
    const built = run('node_modules/astro/astro.js', 'build');
    if (built.status !== 0) return true;
    return tests(['api'], first.split(' ')).status !== 0;
  }
  if (tests(['unit', 'ui'], first.split(' ')).status !== 0) return true;
  return tests(['unit', 'ui'], []).status !== 0;
}

let [caught, missed, stale] = [0, 0, 0];
/** Noticed and all, by the folder that a fault stands in. */
const folders = new Map();
try {
  // Tests that fail anyway notice nothing.
  const before = tests(['unit', 'ui'], []);
  if (before.status !== 0) {
    rmSync(folder, { recursive: true, force: true });
    console.error(`Without any fault the tests fail in the copy:\n${before.stdout.slice(-2000)}`);
    process.exit(1);
  }
  for (const fault of FAULTS) {
    if (!`${fault.file} ${fault.from}`.includes(pattern)) continue;
    const path = join(folder, fault.file);
    const source = readFileSync(path, 'utf8');
    if (!source.includes(fault.from)) {
      console.log(`not there any more: ${fault.file}: ${fault.from}`);
      stale += 1;
      continue;
    }
    writeFileSync(
      path,
      source.replace(fault.from, () => fault.to),
    );
    const found = noticed(fault);
    writeFileSync(path, source);
    if (found) caught += 1;
    else missed += 1;
    const of = fault.file
      .split('/')
      .slice(1, 3)
      .join('/')
      .replace(/\/[^/]*\.tsx?$/, '');
    const [good, all] = folders.get(of) ?? [0, 0];
    folders.set(of, [good + (found ? 1 : 0), all + 1]);
    console.log(`${found ? 'noticed' : 'NOT NOTICED'}  ${fault.file}: ${fault.from.split('\n')[0].slice(0, 90)}`);
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
// A whole run is written down.
if (pattern === '') {
  const figures = join(root, 'docs/benchmarks.md');
  const each = [...folders].sort(([a], [b]) => (a < b ? -1 : 1)).map(([of, [good, all]]) => `${of} ${good} of ${all}`);
  const words = `${caught} of ${caught + missed} were noticed, ${Math.round((100 * caught) / (caught + missed))} %; at least 85 % are wanted. By folder: ${each.join(', ')}.`;
  writeFileSync(figures, readFileSync(figures, 'utf8').replace(/\d+ of \d+ were noticed.*/, words));
}
console.log(`\n${caught} of ${caught + missed} faults noticed (${Math.round((100 * caught) / (caught + missed))} %)`);
// A fault that no longer applies tests nothing: the list is put right before anything is concluded from it.
if (stale > 0) {
  console.error(`${stale} faults do not apply any more.`);
  process.exitCode = 1;
}
