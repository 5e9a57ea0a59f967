import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

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
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `node scripts/serve.mjs --demo --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/settings`,
    env: { NEMBREL_DB: process.env['NEMBREL_TEST_DB'] },
    reuseExistingServer: false,
  },
});
