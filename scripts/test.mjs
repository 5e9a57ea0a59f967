// npm test: installs what is missing, then lint, types, unit, endpoint and browser tests. Ends with one summed line.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildWhenNeeded, findChromium, installPackages, root } from './prepare.mjs';

const reports = mkdtempSync(join(tmpdir(), 'nembrel-test-'));
let passed = 0;
let failed = 0;

function run(words, command, args, environment = {}) {
  console.log(`\n== ${words}`);
  return spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...environment } }).status === 0;
}

/** Checks that count as one each, one after the other; what they say is shown when they end, since others run beside them. */
async function checks(list) {
  for (const [words, ...args] of list) {
    const child = spawn(process.execPath, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
    const code = await new Promise((ended) => child.once('close', ended));
    console.log(`\n== ${words}: ${code === 0 ? 'sound' : 'NOT sound'}\n${said.trim()}`);
    if (code === 0) passed += 1;
    else failed += 1;
  }
}

/** Adds a runner's own counts; a runner that broke before it could count is one failure. */
function count(report, read, ran) {
  const file = join(reports, report);
  if (!existsSync(file)) {
    failed += 1;
    return;
  }
  const [good, bad] = read(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  failed += bad;
  // The runner itself can fail although every test passed, for example when a file cannot be read.
  if (!ran && bad === 0) failed += 1;
  if (good + bad === 0) failed += 1;
}

await installPackages();
const node = process.execPath;
console.log('\n== Lint, types and build');
await Promise.all([
  checks([
    ['Lint', 'node_modules/eslint/bin/eslint.js', '.'],
    ['Dead exports', 'node_modules/knip/bin/knip.js', '--include', 'exports,files,dependencies,unlisted'],
    ['Circles', 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs', 'src'],
  ]),
  // The build goes first: types are looked at with what it makes.
  buildWhenNeeded().then(() => checks([['Types', 'node_modules/astro/astro.js', 'check', '--minimumSeverity', 'error']])),
]);

const vitest = run('Unit and endpoint tests', node, [
  'node_modules/vitest/vitest.mjs',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${join(reports, 'vitest.json')}`,
]);
count(
  'vitest.json',
  (r) => [
    r.numPassedTests,
    r.numFailedTests + r.testResults.filter((file) => file.status === 'failed' && file.assertionResults.length === 0).length,
  ],
  vitest,
);

const chromium = findChromium();
if (chromium) {
  const playwright = run('Browser tests', node, ['node_modules/@playwright/test/cli.js', 'test'], {
    NEMBREL_CHROMIUM: chromium,
    PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'playwright.json'),
  });
  count('playwright.json', ({ stats }) => [stats.expected + stats.flaky, stats.unexpected], playwright);
} else {
  failed += 1;
}

rmSync(reports, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
