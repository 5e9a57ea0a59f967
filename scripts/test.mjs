// npm test: installs what is missing, then lint, types, unit, endpoint and browser tests. Ends with one summed line.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildWhenNeeded, findChromium, installPackages, root } from './prepare.mjs';

const reports = mkdtempSync(join(tmpdir(), 'nembrel-test-'));
let passed = 0;
let failed = 0;
/** What failed, by name: told once more just above the sum, where a long run is read first. */
const failures = [];
/** What passed at its second try only: it passed, and somebody should look at it. */
const unsteady = [];

/** Runs before everybody’s eyes. */
async function run(args, environment = {}) {
  const child = spawn(process.execPath, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...environment } });
  return (await new Promise((ended) => child.once('close', ended))) === 0;
}

/** Runs beside something else: what it says is kept, and shown when it has ended. */
async function aside(args) {
  const child = spawn(process.execPath, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (said += data));
  const code = await new Promise((ended) => child.once('close', ended));
  return { sound: code === 0, said: said.trim() };
}

function fail(name, why = '') {
  failed += 1;
  failures.push(why ? `${name}\n${why.split('\n').slice(0, 12).join('\n')}` : name);
}

/** Checks that count as one each, one after the other; what they say is shown when they end, since others run beside them. */
async function checks(list) {
  for (const [words, ...args] of list) {
    const { sound, said } = await aside(args);
    console.log(`\n== ${words}: ${sound ? 'sound' : 'NOT sound'}\n${said}`);
    if (sound) passed += 1;
    else fail(words, said);
  }
}

/** Adds a runner's own counts; a runner that broke before it could count is one failure. `read` tells how many passed, and what failed. */
function count(report, read, ran) {
  const file = join(reports, report);
  if (!existsSync(file)) {
    fail(`${report} was not written`);
    return;
  }
  const [good, bad] = read(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  for (const { name, why } of bad) fail(name, why);
  // The runner itself can fail although every test passed, for example when a file cannot be read.
  if (!ran && bad.length === 0) fail(`${report}: the runner failed, though no test did`);
  if (good + bad.length === 0) fail(`${report}: no test was run`);
}

/** The failed tests of Vitest's report; a file that could not be read at all is one. */
function failedInVitest({ testResults }) {
  return testResults.flatMap((file) => {
    if (file.status === 'failed' && file.assertionResults.length === 0) return [{ name: file.name, why: file.message }];
    return file.assertionResults
      .filter(({ status }) => status === 'failed')
      .map(({ fullName, failureMessages }) => ({ name: `${file.name}: ${fullName}`, why: failureMessages.join('\n') }));
  });
}

/** Names of the tests that passed at their second try. */
function unsteadyInPlaywright({ suites = [], specs = [], file = '' }) {
  const own = specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky')).map(({ title }) => `${file}: ${title}`);
  return [...own, ...suites.flatMap(unsteadyInPlaywright)];
}

/** The failed tests of Playwright's report, whose suites lie in each other. */
function failedInPlaywright({ suites = [], specs = [], file = '' }) {
  const own = specs
    .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected'))
    .map(({ title, tests }) => ({
      name: `${file}: ${title}`,
      why: tests.flatMap(({ results }) => results.map(({ error }) => error?.message ?? '')).join('\n'),
    }));
  return [...own, ...suites.flatMap(failedInPlaywright)];
}

const vitest = (report, ...projects) => [
  'node_modules/vitest/vitest.mjs',
  'run',
  ...projects.map((name) => `--project=${name}`),
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${join(reports, report)}`,
];
const readVitest = (report) => [report.numPassedTests, failedInVitest(report)];

await installPackages();
console.log('\n== Lint and build');
await Promise.all([
  checks([
    ['Lint', 'node_modules/eslint/bin/eslint.js', '.'],
    ['Dead exports', 'node_modules/knip/bin/knip.js', '--include', 'exports,files,dependencies,unlisted'],
    ['Circles', 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs', 'src'],
  ]),
  buildWhenNeeded(),
]);

// Endpoints wait for one server, one after the other: that leaves room for the others beside them. Types are looked at with what the build made.
console.log('\n== Unit, component and endpoint tests; types');
const [own, endpoints] = await Promise.all([
  run(vitest('unit.json', 'unit', 'ui')),
  aside(vitest('api.json', 'api')),
  checks([['Types', 'node_modules/astro/astro.js', 'check', '--minimumSeverity', 'error']]),
]);
console.log(endpoints.said);
count('unit.json', readVitest, own);
count('api.json', readVitest, endpoints.sound);

const chromium = findChromium();
if (chromium) {
  console.log('\n== Browser tests');
  const playwright = await run(['node_modules/@playwright/test/cli.js', 'test'], {
    NEMBREL_CHROMIUM: chromium,
    PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'playwright.json'),
  });
  const read = (report) => {
    unsteady.push(...unsteadyInPlaywright(report));
    return [report.stats.expected + report.stats.flaky, failedInPlaywright(report)];
  };
  count('playwright.json', read, playwright);
} else {
  fail('No Chromium: the browser tests did not run');
}

rmSync(reports, { recursive: true, force: true });
if (unsteady.length > 0) console.log(`\n== Passed at the second try only\n${unsteady.join('\n')}`);
if (failures.length > 0) console.log(`\n== What failed\n${failures.join('\n\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
