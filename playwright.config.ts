import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_SWITCHES } from './scripts/chromium-switches.mjs';

/** The runner reads this file again in each worker; the folder is made once and handed down. */
process.env['NEMBREL_TEST_FOLDER'] ??= mkdtempSync(join(tmpdir(), 'nembrel-browser-'));

/** Each file of tests has a server and a database of its own, so that what one sets does not show in another. The longest first: what is left for the end is short. */
const FILES: [file: string, port: number][] = [
  ['pieces', 4398],
  ['journeys', 4389],
  ['access', 4391],
  ['first-slice', 4392],
  ['heart', 4393],
  ['keeping', 4394],
  ['cutting', 4395],
  ['hoop', 4397],
  ['hoop-sets', 4396],
  ['day', 4399],
  ['wet', 4390],
  ['lan', 4388],
  ['recipes', 4387],
  ['board', 4386],
];
/** Another loopback address stands for the home network there. */
const OUTSIDE = '127.0.0.3';

export default defineConfig({
  testDir: 'tests/browser',
  workers: 2,
  timeout: 180_000,
  // A whole browser can be starved by other work on the machine: tried once more, and told by name at the end.
  retries: 1,
  // A busy machine may take its time; what does not come at all still fails.
  expect: { timeout: 15_000 },
  reporter: [['line'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    // What a browser keeps for itself is tried in one test of its own.
    serviceWorkers: 'block',
    // Nothing fades: what is looked at stands still at once.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env['NEMBREL_CHROMIUM'] ?? '/usr/bin/chromium',
      args: CHROMIUM_SWITCHES,
    },
  },
  projects: FILES.map(([name, port]) => ({
    name,
    testMatch: `${name}.spec.ts`,
    // Views are looked at one by one, and nothing is changed by it: half the time on two cores.
    fullyParallel: name === 'access',
    use: { baseURL: `http://127.0.0.1:${port}` },
  })),
  webServer: FILES.map(([name, port]) => ({
    command: `node scripts/serve.mjs --demo --port ${port}${name === 'lan' ? ' --lan' : ''}`,
    url: `http://127.0.0.1:${port}/api/settings`,
    env: {
      // A folder each: devices and certificate lie beside the database.
      NEMBREL_DB: join(process.env['NEMBREL_TEST_FOLDER']!, name, `${name}.db`),
      ...(name === 'lan' ? { NEMBREL_LAN_ADDRESS: OUTSIDE } : {}),
    },
    reuseExistingServer: false,
  })),
});
