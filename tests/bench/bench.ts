/** Times what a person would wait for, as ratios to a baseline of plain arithmetic run in the same process. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import { chromium } from '@playwright/test';
import { choose, sensitivity, whatIf, type Part } from '../../src/core/choose';
import { bendingLengthFromOverhang, droopProfile } from '../../src/core/cloth';
import { cutPlan } from '../../src/core/nesting';
import { advance, layFlat } from '../../src/core/drape';
import { identify } from '../../src/core/identify';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import type { Material } from '../../src/core/layers';
import { clothInPlane, driftMap, hoopOver, windowAround, type Hoop } from '../../src/core/hoop';
import { stitchedMotif } from '../../src/core/motif';
import { tracedPieces, tracedTogether } from '../../src/core/photo';
import { ironSole, pressPlan } from '../../src/core/press';
import { inset, type Outline } from '../../src/core/shape';
import { readTable, writeTable } from '../../src/formats/csv';
import { readPhoto } from '../../src/formats/photo';
import { mappedMotif, readMotif, writeExchange } from '../../src/formats/stitches';
import { CHROMIUM_SWITCHES } from '../../scripts/chromium-switches.mjs';
import { findChromium } from '../../scripts/prepare.mjs';
import { startServer } from '../api/server';
import { tabletop } from '../files/photo-scenes';
import { layoutTable } from './layouts';
import { onScreen } from './on-screen';
import { promisedSize } from './promised-size';

/** A library of any size: the starting library again and again, each round a little heavier. */
function library(size: number): Material[] {
  return Array.from({ length: size }, (_, i) => {
    const layer = LIBRARY_LAYERS[i % LIBRARY_LAYERS.length]!;
    const round = Math.floor(i / LIBRARY_LAYERS.length);
    return { ...layer, id: `${layer.id}-${round}`, arealDensity: layer.arealDensity * (1 + round / 100) };
  });
}

const cloth = LIBRARY_CLOTHS.find(({ id }) => id === 'cotton-lawn')!;
const collar: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const stitching: Part = { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const bagPanel: Part = { role: 'bag-panel', cut: 'straight', stretch: 'any', care: 'none' };
const curve: Outline = Array.from({ length: 200 }, (_, i) => [
  200 * Math.cos((i * Math.PI) / 100),
  120 * Math.sin((i * Math.PI) / 100),
]);
const pieces = Array.from({ length: 40 }, (_, i) => ({
  id: `p${i}`,
  outline: [
    [0, 0],
    [60 + 7 * i, 0],
    [60 + 7 * i, 40 + 3 * i],
    [0, 40 + 3 * i],
  ] as Outline,
  count: 1,
  rotations: [0, 180],
}));
const sole = ironSole(220, 115);
const small = library(500);
const sheet = layFlat({ bendingLength: 25, shearStiffness: 40, arealDensity: 170 }, 'round', 400, 24);
const photograph = tabletop({ table: 'wood', across: 4000, rays: 1, noise: 0.01, pieces: [{ outline: [[122, 133], [420, 121], [421, 343], [222, 352]], colour: [0.8, 0.78, 0.74] }] }); // prettier-ignore
const sample = readPhoto(readFileSync('public/samples/pieces.jpg'));
const manyCloths = writeTable(
  'cloths',
  Array.from({ length: 1000 }, (_, i) => ({ ...LIBRARY_CLOTHS[i % LIBRARY_CLOTHS.length]!, note: '' })),
);
const manyLayers = library(10_000);
const block = (side: number, spacing: number, stitchLength: number): Parameters<typeof stitchedMotif>[1] => [
  {
    outlines: [
      [
        [0, 0],
        [side, 0],
        [side, side],
        [0, side],
      ],
    ],
    stitching: { kind: 'fill', spacing, stitchLength, angle: 20 },
  },
];
/** Two hundred thousand stitches, and an ordinary motif of eight thousand. */
const manyStitches = writeExchange(stitchedMotif('large', block(200, 0.2, 1)));
const motif = stitchedMotif('ordinary', block(100, 0.4, 3));
const hoop: Hoop = {
  ...{ name: 'hoop', shape: 'rectangle', fieldWidth: 130, fieldHeight: 180, outerWidth: 180, outerHeight: 236, clamp: 16 },
  ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
};
const ground = { outline: curve, obstacles: [], marks: false };
const place = { x: 40, y: 10, angle: 20, flipped: false };

/** A million sines: what the machine does with plain arithmetic, the yardstick for all ratios. */
function baseline(): number {
  let sum = 0;
  for (let i = 0; i < 1_000_000; i++) sum += Math.sin(i);
  return sum;
}

const bench = new Bench({ time: 400, warmupTime: 150 });
bench
  .add('baseline: a million sines', () => void baseline())
  .add('choose over 500 materials, collar', () => void choose(cloth, collar, small))
  .add('choose over 500 materials, bag panel with combined stacks', () => void choose(cloth, bagPanel, small))
  .add('choose over 500 materials, embroidery', () => void choose(cloth, stitching, small))
  .add('choose over 10 000 materials, collar', () => void choose(cloth, collar, manyLayers))
  .add('what would change if, one stack, starting library', () => void whatIf(cloth, collar, LIBRARY_LAYERS, {}, 'none'))
  .add('what to measure next, starting library', () => void sensitivity(cloth, collar, LIBRARY_LAYERS, {}))
  .add('identify: likelihoods and the next question', () => void identify(LIBRARY_CLOTHS, { surface: 'flat' }))
  .add('drape, one step of a net of 24 × 24 cells', () => void advance(sheet, 1))
  .add('table of 1000 cloths, read and checked', () => void readTable('cloths', manyCloths))
  .add('bending length from an overhang at 60°', () => void bendingLengthFromOverhang(60, 60))
  .add('droop curve, 60 mm of poplin', () => void droopProfile(21, 60))
  .add('inset of a curve with 200 corners', () => void inset(curve, 10))
  .add('stitch file of 200 000 stitches, read and mapped', () => void mappedMotif(readMotif(manyStitches)))
  .add('pieces in a photograph of 12 megapixels', () => void tracedPieces(photograph))
  .add('pieces in two photographs of 2 megapixels that share cards', () => void tracedTogether([sample, sample]))
  .add('elastic ground under a motif, 48 cells', () => {
    driftMap({ motif, window: windowAround(motif)!, inPlane: clothInPlane(cloth), rigidity: 10, taut: true });
  })
  .add('hoop laid over a motif, with what is in the way', () => void hoopOver(curve.slice(0, 60), hoop, ground, place))
  .add('first layout of 40 pieces', () => void cutPlan({ width: 900, gap: 3, seconds: 0, pieces }, () => 0))
  .add(
    'iron stops on a curve with 200 corners',
    () =>
      void pressPlan({
        outline: curve,
        plate: { outline: sole },
        overlap: 15,
        order: 'centre-out',
        secondsPerStop: 10,
        moveSeconds: 3,
      }),
  );
await bench.run();

const median = (name: string): number => {
  const result = bench.tasks.find((task) => task.name === name)?.result as { latency?: { p50: number } } | undefined;
  return result?.latency?.p50 ?? NaN;
};
const base = median('baseline: a million sines');

/** Pages from the running server, the demo loaded. */
async function pageTimes(): Promise<[string, number][]> {
  const folder = mkdtempSync(join(tmpdir(), 'nembrel-bench-'));
  const server = await startServer(join(folder, 'bench.db'), 4381, ['--demo']);
  const times: [string, number][] = [];
  for (const path of ['/', '/projects', '/projects/tq-waistcoats?stage=cut', '/cupboard?shelf=layers', '/logbook', '/settings']) {
    const runs: number[] = [];
    for (let i = 0; i < 15; i++) {
      const start = performance.now();
      await (await fetch(server.base + path)).text();
      if (i >= 3) runs.push(performance.now() - start);
    }
    runs.sort((a, b) => a - b);
    times.push([`page ${path}, from the request to its last byte`, runs[Math.floor(runs.length / 2)]!]);
  }
  server.process.kill();
  rmSync(folder, { recursive: true, force: true });
  return times;
}

/** Frames a second of the hang simulator while its weight slider moves back and forth, in a real browser. */
async function hangFrames(): Promise<number> {
  const executablePath = findChromium();
  if (!executablePath) return NaN;
  const folder = mkdtempSync(join(tmpdir(), 'nembrel-bench-'));
  const server = await startServer(join(folder, 'bench.db'), 4382, ['--demo']);
  const browser = await chromium.launch({ executablePath, args: CHROMIUM_SWITCHES });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.base}/?cloth=tq-harbour-linen`);
    await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0);
    await page.getByRole('button', { name: 'See it hang' }).click();
    await page
      .getByText(/shadow \d+ %/)
      .first()
      .waitFor();
    return await page.evaluate(async () => {
      const slider = [...document.querySelectorAll<HTMLInputElement>('dialog input[type=range]')].at(-1)!;
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      // The one with layers: the bare cloth does not change with the slider.
      const canvas = [...document.querySelectorAll('canvas')].at(-1)!;
      let drawn = 0;
      const clear = CanvasRenderingContext2D.prototype.clearRect;
      CanvasRenderingContext2D.prototype.clearRect = function (...box) {
        if (this.canvas === canvas) drawn++;
        clear.apply(this, box);
      };
      const start = performance.now();
      while (performance.now() - start < 4000) {
        const at = (performance.now() - start) / 4000;
        set.call(slider, String(Math.round(20 * (1 + Math.sin(at * 12))) * 5));
        slider.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise((resolve) => setTimeout(resolve, 60));
      }
      return drawn / ((performance.now() - start) / 1000);
    });
  } finally {
    await browser.close();
    server.process.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}
const frames = await hangFrames();
const layouts = await layoutTable();
const screen = await onScreen();
const tableOf = (rows: readonly [string, number][], digits = 0) =>
  rows.map(([name, figure]) => `| ${name} | ${figure.toFixed(digits)} |`).join('\n');
const large = (await promisedSize())
  .map(({ name, ms, bytes }) => `| ${name} | ${ms.toFixed(0)} | ${(ms / base).toFixed(2)} | ${Math.ceil(bytes / 1000)} kB |`)
  .join('\n');

const rows: [string, number][] = [
  ...bench.tasks.map((task): [string, number] => [task.name, median(task.name)]),
  ...(await pageTimes()),
];
const shown = (ms: number) => (ms >= 10 ? ms.toFixed(0) : ms.toFixed(2));
const table = rows.map(([name, ms]) => `| ${name} | ${shown(ms)} | ${(ms / base).toFixed(3)} |`).join('\n');
const file = new URL('../../docs/benchmarks.md', import.meta.url);
/** Counted by another run, and kept. */
const noticed = /\d+ of \d+ were noticed.*/.exec(readFileSync(file, 'utf8'))?.[0] ?? '';
const text = `# Benchmarks

Made by \`npm run bench\` on ${cpus().length} × ${cpus()[0]!.model.trim()}, Node ${process.version}. Medians. The ratio is to a baseline run in
the same process at the same time, so that figures from different machines can be compared.

| what | ms | ratio to the baseline |
|---|---:|---:|
${table}

The hang simulator drew ${Number.isFinite(frames) ? Math.round(frames) : 'an unknown number of'} frames a second of each sheet while its slider moved, two sheets at once, in headless Chromium without a
graphics card; 30 are promised.

Promised: choose over 500 materials under 10 ms, a droop curve under 1 ms, a file of 200 000 stitches read and mapped within 300 ms, a picture of 12 megapixels in under 3 s, any screen usable within a second.

## At the promised size

10 000 layers, 5 000 entries in the logbook, 1 000 projects, in a database that \`scripts/make-large.ts\` makes; bytes as they come over the wire.
Wanted: a page under 300 ms and 150 kB, choosing under 100 ms.

| what | ms | ratio to the baseline | on the wire |
|---|---:|---:|---:|
${large}

Answers of \`/api/choose\` are counted before compression.

## On the screen

What a page fetches of scripts when it is opened, compressed. Wanted: under 150 kB.

| page | kB |
|---|---:|
${tableOf(screen.scripts)}

From a touch to the next picture, by the browser's own event timing (steps of 8 ms), the processor slowed four times, headless Chromium without a graphics card. Wanted: under 200 ms.

| touch | ms |
|---|---:|
${tableOf(screen.touches)}

## Noticed faults

\`npm run mutants\` puts the faults of \`scripts/mutants/faults.mjs\` into a copy, one at a time, and asks the tests. ${noticed}

## Layouts

Share of the cloth that is covered, through \`POST /api/compute/cutplan\`, each a mean of three sets; every layout was judged by a checker that
shares no code with the search. Rows of upright rectangles are the yardstick. The bound is the area of the pieces over the
width: no layout is shorter. Rectangles and jigsaws were cut from a full strip, so that for them the bound can be reached; for
garment pieces nobody knows how near to it the best layout comes.

${layouts}
`;
writeFileSync(file, text);
console.log(text);
