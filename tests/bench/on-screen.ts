import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_SWITCHES } from '../../scripts/chromium-switches.mjs';
import { findChromium } from '../../scripts/prepare.mjs';
import { startServer } from '../api/server';
import { alive, open } from '../browser/open';

/** How many times slower than this machine the processor is made. */
const SLOWED = 4;

const PAGES = [
  '/',
  '/projects',
  '/projects/tq-waistcoats',
  '/cupboard',
  '/bench',
  '/hoop',
  '/hoop/jobs/tq-job-napkins',
  '/logbook',
];

type Touch = [name: string, path: string, touch: (page: Page) => Promise<unknown>];
const stage = (name: string): Touch => [
  `stage ${name}`,
  '/projects/tq-waistcoats?job=tq-wc-collar&stage=pieces',
  (page) =>
    page
      .getByRole('navigation', { name: 'Stages of the project' })
      .getByRole('button', { name: new RegExp(name) })
      .click(),
];
const TOUCHES: readonly Touch[] = [
  ...['Cloth', 'Choose', 'Scrap', 'Cut', 'Apply', 'File'].map(stage),
  ['another job', '/projects/tq-waistcoats?job=tq-wc-collar&stage=pieces', (page) => page.getByRole('button', { name: /^Armhole/ }).click()],
  ['all pieces laid out', '/projects/tq-waistcoats?job=tq-wc-collar&stage=pieces', (page) => page.getByRole('button', { name: 'All pieces laid out' }).click()],
  ['a piece touched', '/projects/tq-waistcoats', (page) => page.getByRole('button', { name: /^Stand collar, / }).click()],
  ['pieces typed in lines', '/projects/tq-waistcoats', (page) => page.getByRole('button', { name: 'Pieces typed in lines' }).click()],
  ['pieces by a recipe', '/projects/tq-waistcoats', (page) => page.getByRole('button', { name: 'Pieces by a recipe' }).click()],
  ['put it to a project', '/?cloth=tq-harbour-linen', (page) => page.getByRole('button', { name: 'Put it to a project' }).first().click()],
  ['cupboard: layers', '/cupboard', (page) => page.getByRole('link', { name: /^Layers/ }).or(page.getByRole('tab', { name: /^Layers/ })).first().click()],
]; // prettier-ignore

/** What a page fetches of scripts, kB as they come over the wire; and what a touch takes until the next picture, ms. */
export interface OnScreen {
  scripts: [path: string, kilobytes: number][];
  touches: [name: string, ms: number][];
}

/** Scripts by page, and touches by the browser's own event timing with the processor slowed; nothing without a browser. */
export async function onScreen(): Promise<OnScreen> {
  const executablePath = findChromium();
  if (!executablePath) return { scripts: [], touches: [] };
  const folder = mkdtempSync(join(tmpdir(), 'nembrel-bench-'));
  const server = await startServer(join(folder, 'bench.db'), 4383, ['--demo']);
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_SWITCHES });
  const fresh = async () => {
    const context = await browser.newContext({
      ...{ viewport: { width: 1280, height: 800 }, baseURL: server.base, serviceWorkers: 'block' },
    });
    return { context, page: await context.newPage() };
  };
  const found: OnScreen = { scripts: [], touches: [] };
  try {
    for (const path of PAGES) {
      const { context, page } = await fresh();
      const sizes: Promise<number>[] = [];
      page.on('requestfinished', (request) => {
        if (new URL(request.url()).pathname.endsWith('.js')) sizes.push(request.sizes().then((size) => size.responseBodySize));
      });
      await open(page, path);
      found.scripts.push([path, (await Promise.all(sizes)).reduce((sum, each) => sum + each, 0) / 1000]);
      await context.close();
    }
    for (const [name, path, touch] of TOUCHES) {
      const { context, page } = await fresh();
      await page.addInitScript(() => {
        const heard = ((window as unknown as { touched: number[] }).touched = []) as number[];
        new PerformanceObserver((list) => heard.push(...list.getEntries().map(({ duration }) => duration))).observe({
          ...{ type: 'event', buffered: true, durationThreshold: 16 },
        } as PerformanceObserverInit);
      });
      await open(page, path);
      const session = await context.newCDPSession(page);
      await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
      await page.evaluate(() => void ((window as unknown as { touched: number[] }).touched.length = 0));
      await touch(page);
      await alive(page);
      // The observer is told after the picture is shown.
      await page.waitForTimeout(300);
      const longest = await page.evaluate(() => Math.max(16, ...(window as unknown as { touched: number[] }).touched));
      found.touches.push([name, longest]);
      await context.close();
    }
  } finally {
    await browser.close();
    server.process.kill();
    rmSync(folder, { recursive: true, force: true });
  }
  return found;
}
