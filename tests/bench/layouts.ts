/** Layouts as a script asks for them, judged, beside rows of upright rectangles of the same pieces. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { layRows } from '../../src/core/nesting';
import { bounds, polygonArea, transformed } from '../../src/core/shape';
import { startServer } from '../api/server';
import { judge, type JudgedPlan } from '../layouts/judge';
import { garments, hollowJigsaw, jigsaw, rectangles, type LayoutSet } from '../layouts/sets';

const SEEDS = [1, 2, 3];
/** Share of the cloth that is wanted within 20 s. */
const SETS: { make: (seed: number) => LayoutSet; floor: number }[] = [
  { make: (seed) => rectangles(seed, 12), floor: 0.9 },
  { make: (seed) => rectangles(seed, 24), floor: 0.9 },
  { make: (seed) => rectangles(seed, 40), floor: 0.9 },
  { make: (seed) => jigsaw(seed, 12), floor: 0.82 },
  { make: (seed) => jigsaw(seed, 24), floor: 0.82 },
  { make: (seed) => jigsaw(seed, 40), floor: 0.82 },
  { make: (seed) => hollowJigsaw(seed, 4, 4), floor: 0.82 },
  { make: (seed) => garments(seed, 12), floor: 0.8 },
  { make: (seed) => garments(seed, 24), floor: 0.8 },
  { make: (seed) => garments(seed, 40), floor: 0.8 },
];

/** Density of rows of upright rectangles: what laying without nesting comes to. */
function rowsDensity({ pieces, width }: LayoutSet): number {
  const { placements } = layRows(pieces, width, 0, Infinity);
  const outlines = new Map(pieces.map(({ id, outline }) => [id, outline]));
  let length = 0;
  let area = 0;
  for (const { id, rotation, flipped, x, y } of placements) {
    const outline = outlines.get(id)!;
    length = Math.max(length, bounds(transformed(outline, flipped, rotation, x, y)).maxY);
    area += polygonArea(outline);
  }
  return area / (width * length);
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

/** A table of how dense the layouts are after 2 s and 20 s, means over three sets of each kind. */
export async function layoutTable(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'nembrel-bench-'));
  const server = await startServer(join(folder, 'bench.db'), 4383);
  const density = async ({ width, pieces }: LayoutSet, seconds: number, seed: number): Promise<number> => {
    const answer = await fetch(`${server.base}/api/compute/cutplan`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ width, gap: 0, pieces, seconds, seed }),
    });
    const plan = (await answer.json()) as JudgedPlan;
    const faults = judge(width, 0, pieces, plan);
    if (faults.length > 0) throw new Error(`a layout does not hold: ${faults.join('; ')}`);
    return plan.density;
  };
  const lines: string[] = [];
  const sewn: number[] = [];
  try {
    for (const { make, floor } of SETS) {
      const found: { rows: number; quick: number; long: number }[] = [];
      for (const seed of SEEDS) {
        const set = make(seed);
        found.push({ rows: rowsDensity(set), quick: await density(set, 2, seed), long: await density(set, 20, seed) });
      }
      const long = mean(found.map((each) => each.long));
      if (make(1).name.includes('garment')) sewn.push(...found.map((each) => each.long));
      lines.push(
        `| ${make(1).name} | ${percent(mean(found.map(({ rows }) => rows)))} | ${percent(mean(found.map(({ quick }) => quick)))} | ${percent(long)} | ${percent(Math.min(...found.map((each) => each.long)))} | ${percent(1 / long - 1)} | ${percent(floor)} |`,
      );
      console.log(lines.at(-1));
    }
  } finally {
    server.process.kill();
    rmSync(folder, { recursive: true, force: true });
  }
  return `| set | rows of rectangles | within 2 s | within 20 s | worst of three | longer than the bound | wanted |
|---|---:|---:|---:|---:|---:|---:|
${lines.join('\n')}

All garment-like sets together, within 20 s: ${percent(mean(sewn))}; the worst of them ${percent(Math.min(...sewn))}.`;
}
