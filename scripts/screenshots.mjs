// npm run screenshots: one current picture of each main view, from the demo data, into docs/screenshots/.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_SWITCHES } from './chromium-switches.mjs';
import { buildWhenNeeded, findChromium, installPackages, root } from './prepare.mjs';

await installPackages();
await buildWhenNeeded();
const executablePath = findChromium();
if (!executablePath) process.exit(1);
const folder = mkdtempSync(join(tmpdir(), 'nembrel-shots-'));
const server = spawn(process.execPath, ['scripts/serve.mjs', '--demo', '--port', '4396'], {
  cwd: root,
  env: { ...process.env, NEMBREL_DB: join(folder, 'shots.db') },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const base = await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => {
    const at = /(http:\S+)/.exec(String(chunk));
    if (at) resolve(at[1]);
  }),
);

const browser = await chromium.launch({
  executablePath,
  args: CHROMIUM_SWITCHES,
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

async function shoot(name, path, before = async () => undefined) {
  await page.goto(base + path);
  await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0);
  await before();
  await page.waitForTimeout(700);
  await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
}

try {
  await shoot('choose', '/?cloth=tq-harbour-linen&hand=crisp');
  await shoot('projects', '/projects');
  await shoot('project-board', '/projects/tq-waistcoats');
  await shoot('project-scrap', '/projects/tq-waistcoats?job=tq-wc-collar&stage=scrap');
  await shoot('test-bench', '/cupboard/cloths/tq-harbour-linen?test=overhang');
  await shoot('drape', '/?cloth=tq-harbour-linen', async () => {
    await page.getByRole('button', { name: 'See it hang' }).click();
    await page.waitForTimeout(5000);
  });
  // Small pieces of one job side by side on an uncut layer.
  const { settings, version } = await (await fetch(`${base}/api/settings`)).json();
  const send = async (method, path, body) =>
    (await fetch(base + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })).json();
  await send('PUT', '/api/settings', { settings: { ...settings, schools: { order: 'fuse-together' } }, version });
  // Only what reaches the cut edge is fused while it is uncut.
  const { jobs } = await (await fetch(`${base}/api/projects/tq-waistcoats/pieces`)).json();
  const { name, place, wish, stack, glueUp, cutDone, version: kept } = jobs.find(({ id }) => id === 'tq-wc-welt');
  const welt = { name, place, wish, stack, glueUp, cutDone, version: kept };
  const layers = welt.stack.layers.map((layer) => ({ ...layer, extent: 'full' }));
  const full = await send('PUT', '/api/jobs/tq-wc-welt', { ...welt, stack: { ...welt.stack, layers } });
  const sheet = await send('POST', '/api/bench', { jobIds: ['tq-wc-welt'] });
  await shoot('bench-sheet', `/bench/${sheet.id}`, async () => {
    const laying = page.getByRole('heading', { name: /: lay \d+ pieces on / });
    while (!(await laying.isVisible())) {
      await page.keyboard.press('Space');
      await page.waitForTimeout(200);
    }
  });
  await send('DELETE', `/api/bench/${sheet.id}`);
  await send('PUT', '/api/jobs/tq-wc-welt', { ...welt, version: full.version });
  const now = await (await fetch(`${base}/api/settings`)).json();
  await send('PUT', '/api/settings', { settings, version: now.version });
  await shoot('project-plan', '/projects/tq-waistcoats/plan');
  await shoot('project-cut', '/projects/tq-waistcoats?job=tq-wc-collar&stage=cut');
  await shoot('cutting-table', '/tables/tq-waistcoats/layer/medium-firm-non-woven-fusible-62-g', async () => {
    await page.getByRole('button', { name: /Look for a shorter layout/ }).waitFor({ timeout: 30_000 });
  });
  await shoot('remedies', '/remedies?see=lifts');
  await shoot('motif', '/hoop/motifs/tq-motif-anchor?cloth=tq-shirt-lawn', async () => {
    await page.waitForTimeout(4000);
    await page.getByRole('heading', { name: /^What it asks of/ }).evaluate((heading) => scrollTo(0, heading.offsetTop - 330));
  });
  await shoot('hooping-place', '/hoop/jobs/tq-job-napkins');
  await shoot('cupboard', '/cupboard?shelf=layers');
  await shoot('logbook', '/logbook');
  await shoot('wet', '/wet', async () => {
    for (const cloth of ['Straw-yellow poplin', 'Charcoal felted wool']) {
      await page.getByRole('button', { name: 'A length of cloth' }).click();
      await page.getByLabel('Cloth', { exact: true }).last().fill(cloth);
      await page.getByRole('option', { name: cloth, exact: true }).click();
    }
    await page.evaluate(() => scrollTo(0, 0));
  });
  await shoot('day', '/day', async () => {
    for (const job of ['Pocket welt', 'Crown tip', 'Upper edge'])
      await page.getByRole('checkbox', { name: new RegExp(`^${job}`) }).check();
    await page.waitForTimeout(1500);
    await page.evaluate(() => scrollTo(0, 0));
  });
  const run = await (await fetch(`${base}/api/jobs/tq-wc-collar/bench`, { method: 'POST' })).json();
  await shoot('bench-board', '/bench');
  await shoot('bench', `/bench/${run.id}`, async () => {
    const start = page.getByRole('button', { name: 'Set the iron down: start' });
    while (!(await start.isVisible())) {
      await page.keyboard.press('Space');
      await page.waitForTimeout(200);
    }
    await page.keyboard.press('Space');
    await page.waitForTimeout(3200);
  });
} finally {
  await browser.close();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
