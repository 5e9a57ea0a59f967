import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_SWITCHES } from './scripts/chromium-switches.mjs';

const PORT = 4391;
/** The runner reads this file again in each worker; the folder is made once and handed down. */
process.env['NEMBREL_TEST_DB'] ??= join(mkdtempSync(join(tmpdir(), 'nembrel-browser-')), 'browser.db');

export default defineConfig({
  testDir: 'tests/browser',
  workers: 1,
  timeout: 60_000,
  reporter: [['line'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['NEMBREL_CHROMIUM'] ?? '/usr/bin/chromium',
      args: CHROMIUM_SWITCHES,
    },
  },
  webServer: {
    command: `node scripts/serve.mjs --demo --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/settings`,
    env: { NEMBREL_DB: process.env['NEMBREL_TEST_DB'] },
    reuseExistingServer: false,
  },
});
