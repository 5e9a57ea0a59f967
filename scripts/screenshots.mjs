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
  await shoot('choose-embroidery', '/?cloth=terry-towelling&role=embroidery&stitches=9000');
  await shoot('projects', '/projects');
  await shoot('project-pieces', '/projects/tq-waistcoats?job=tq-wc-front&stage=pieces');
  await shoot('project-choose', '/projects/tq-waistcoats?job=tq-wc-front&stage=choose');
  await shoot('project-scrap', '/projects/tq-waistcoats?job=tq-wc-collar&stage=scrap');
  await shoot('test-bench', '/cupboard/cloths/tq-harbour-linen?test=overhang');
  await shoot('identify', '/cupboard/identify', async () => {
    for (const answer of ['flat and even', 'three sheets (15 g)', 'slanting lines'])
      await page
        .getByRole('button', { name: answer, exact: true })
        .click({ timeout: 3000 })
        .catch(() => undefined);
  });
  await shoot('drape', '/?cloth=tq-harbour-linen', async () => {
    await page.getByRole('button', { name: 'See it hang' }).click();
    await page.waitForTimeout(5000);
  });
  await shoot('project-plan', '/projects/tq-waistcoats/plan');
  await shoot('project-cut', '/projects/tq-waistcoats?job=tq-wc-collar&stage=cut');
  await shoot('cutting-table', '/tables/tq-waistcoats/layer/medium-firm-non-woven-fusible-62-g', async () => {
    await page.getByRole('button', { name: /Look for a shorter layout/ }).waitFor({ timeout: 30_000 });
  });
  await shoot('outline', '/projects/tq-waistcoats?job=tq-wc-front&stage=pieces', async () => {
    await page.getByRole('button', { name: 'Change the outline' }).click();
  });
  await shoot('motif', '/hoop/motifs/tq-motif-anchor?cloth=tq-shirt-lawn', async () => {
    await page.waitForTimeout(4000);
    await page.getByRole('heading', { name: /^What it asks of/ }).evaluate((heading) => scrollTo(0, heading.offsetTop - 330));
  });
  await shoot('hooping-place', '/hoop/jobs/tq-job-napkins');
  await shoot('cupboard', '/cupboard?shelf=layers');
  await shoot('logbook', '/logbook');
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
