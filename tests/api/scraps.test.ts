import { describe, expect, inject, it } from 'vitest';
import { addWork, post, send } from './client';
import { FABRIC, PART } from './samples';

interface Stack {
  title: string;
  layers: { materialId: string; extent: string; angle: number; join?: string }[];
  predicted: object;
  reasons: string[];
  cautions: string[];
}

/** A stack as the engine judges it for a cloth, in the form in which it is kept. */
async function judged(
  clothId: string,
  part: object,
  layers: { materialId: string; extent: string; join?: string }[],
): Promise<Stack> {
  const { body } = await post('/api/choose/judge', { fabric: FABRIC, part, layers, clothId });
  const { title, predicted, reasons, cautions } = body as Stack;
  return { title, layers: layers.map((layer) => ({ angle: 0, ...layer })), predicted, reasons, cautions };
}

const BIAS = { role: 'bias-piece', cut: 'bias', stretch: 'any', care: 'wash-warm' };
const READ = { overhangBefore: 44, overhangAfter: 70, feel: 'crisp' };

async function newCloth(): Promise<string> {
  return ((await post('/api/cloths', { ...FABRIC, name: 'Scrap cloth' })).body as { id: string }).id;
}

async function newJob(clothId: string, wish: object, stack: Stack | null): Promise<{ id: string }> {
  const project = (await post('/api/projects', { name: 'Scrap project' })).body as { id: string };
  const { status, body } = await addWork(project.id, {
    ...{ name: 'Patch', clothId, wish: wish as Record<string, unknown>, count: 24, fold: null, stack },
    shape: { kind: 'rectangle', width: 110, height: 110, corners: [false, false, false, false], corner: 0 },
    allowances: [6, 6, 6, 6],
  });
  expect(status).toBe(201);
  return body as { id: string };
}

/** Keeps readings one after the other, and files the last state. */
async function readAndFile(id: string, readings: Record<string, object>, chosen: string) {
  let version = 1;
  for (const [cell, reading] of Object.entries(readings)) {
    const { status, body } = await send('PUT', `/api/scraps/${id}/cell`, { cell, reading, version });
    expect(status).toBe(200);
    version = (body as { version: number }).version;
  }
  return send('PUT', `/api/scraps/${id}/file`, { chosen, doneOn: '2026-05-02', version });
}

describe('a spray scrap', () => {
  it('gives the job the dose and rounds that hold, as the engine judges them, and the pair remembers it', async () => {
    const clothId = await newCloth();
    const stack = await judged(clothId, BIAS, [{ materialId: 'starch', extent: 'full' }]);
    const job = await newJob(clothId, BIAS, stack);
    const { body: scrap, status } = await post(`/api/jobs/${job.id}/scraps`, { grid: 'spray', rounds: 2 });
    expect(status).toBe(201);
    expect(scrap.plan.cells.map(({ dose }: { dose: object }) => dose)).toContainEqual({ join: 'damp', rounds: 2 });
    const pulled = (biasAfter: number) => ({ ...READ, biasBefore: 12, biasAfter });
    const filed = await readAndFile(scrap.id, { A1: pulled(10), B1: pulled(8), B2: pulled(4) }, 'B2');
    expect(filed.body).toMatchObject({ chosen: 'B2', layerIds: ['starch__damp'] });

    const kept = (await send('GET', `/api/jobs/${job.id}`)).body.stack;
    expect(kept.layers).toEqual([{ materialId: 'starch', extent: 'full', angle: 0, join: 'damp' }]);
    expect(kept.setting).toMatchObject({ materialId: 'starch', rounds: 2 });
    const again = await judged(clothId, BIAS, [{ materialId: 'starch', extent: 'full', join: 'damp' }]);
    expect(kept.title).toBe(again.title);
    // Its steps go twice over.
    const { plan } = (await send('POST', `/api/jobs/${job.id}/bench`)).body;
    const wet = plan.steps.filter(({ id }: { id: string }) => id.endsWith('-wet'));
    expect(wet.map(({ title }: { title: string }) => title.split(':')[0])).toEqual(['Round 1 of 2', 'Round 2 of 2']);
    // The logbook says which dose it was.
    const { log } = (await send('GET', '/api/log')).body;
    const entry = log.find(({ jobId }: { jobId: string }) => jobId === job.id);
    expect([entry.layerIds, entry.note.startsWith('sprayed damp, two rounds')]).toEqual([['starch__damp'], true]);

    // Another job of the same pair has it from the start, one with another dose has not.
    const other = await newJob(clothId, BIAS, null);
    const { body: fresh } = await send('GET', `/api/jobs/${other.id}`);
    const { id: _id, cutId: _cut, createdAt: _c, updatedAt: _u, ...fields } = fresh;
    const taken = await send('PUT', `/api/jobs/${other.id}`, { ...fields, stack: again });
    expect(taken.body.stack.setting).toMatchObject({ materialId: 'starch', rounds: 2 });
    const light = await send('PUT', `/api/jobs/${other.id}`, { ...fields, stack, version: taken.body.version });
    expect(light.body.stack.setting).toBeUndefined();
  });

  it('a dose that went wrong is not taken for the next job', async () => {
    const clothId = await newCloth();
    const stack = await judged(clothId, BIAS, [{ materialId: 'starch', extent: 'full' }]);
    const job = await newJob(clothId, BIAS, stack);
    const { body: scrap } = await post(`/api/jobs/${job.id}/scraps`, { grid: 'spray', rounds: 1 });
    await readAndFile(scrap.id, { A1: { ...READ, showThrough: 'much', biasBefore: 12, biasAfter: 3 } }, 'A1');
    const other = await newJob(clothId, BIAS, null);
    const { id: _id, cutId: _cut, createdAt: _c, updatedAt: _u, ...fields } = (await send('GET', `/api/jobs/${other.id}`)).body;
    expect((await send('PUT', `/api/jobs/${other.id}`, { ...fields, stack })).body.stack.setting).toBeUndefined();
  });

  it('its bench wets every dose first, and its card has a line for each', async () => {
    const clothId = await newCloth();
    const job = await newJob(clothId, BIAS, await judged(clothId, BIAS, [{ materialId: 'starch', extent: 'full' }]));
    const { body: scrap } = await post(`/api/jobs/${job.id}/scraps`, { grid: 'spray', rounds: 3 });
    const bench = (await send('POST', `/api/scraps/${scrap.id}/bench`)).body;
    expect(bench.plan.steps.filter(({ id }: { id: string }) => id.endsWith('-wet'))).toHaveLength(9);
    const card = await fetch(`${inject('base')}/api/scraps/${scrap.id}/card.pdf`);
    expect(card.headers.get('content-type')).toBe('application/pdf');
  });

  it('is refused where nothing is sprayed, and for rounds that cannot be', async () => {
    const clothId = await newCloth();
    const fused = await judged(clothId, PART, [{ materialId: 'light-woven-fusible-45-g', extent: 'full' }]);
    const job = await newJob(clothId, PART, fused);
    expect((await post(`/api/jobs/${job.id}/scraps`, { grid: 'spray' })).body.error.field).toBe('grid');
    expect((await post(`/api/jobs/${job.id}/scraps`, { grid: 'spray', rounds: 4 })).body.error.field).toBe('rounds');
  });
});

describe('stacks side by side', () => {
  const layersOf = ['light-woven-fusible-45-g', 'medium-woven-fusible-60-g', 'starch'];

  it('the one that wins becomes the job’s own, with its setting, and is filed as what it is', async () => {
    const clothId = await newCloth();
    const [own, other, third] = (await Promise.all(
      layersOf.map((materialId) => judged(clothId, PART, [{ materialId, extent: 'full' }])),
    )) as [Stack, Stack, Stack];
    const job = await newJob(clothId, PART, own);
    const { body: scrap, status } = await post(`/api/jobs/${job.id}/scraps`, { grid: 'candidates', stacks: [own, other, third] });
    expect(status).toBe(201);
    expect(scrap.plan.cells).toHaveLength(3);
    const bench = (await send('POST', `/api/scraps/${scrap.id}/bench`)).body;
    const pressed = bench.plan.steps.filter(({ kind }: { kind: string }) => kind === 'press');
    expect(pressed.map(({ title }: { title: string }) => title.slice(0, 2))).toEqual(['A1', 'A2']);
    const filed = await readAndFile(
      scrap.id,
      { A1: { ...READ, peel: 5 }, A2: { ...READ, peel: 5, overhangAfter: 80 }, A3: READ },
      'A2',
    );
    expect(filed.body).toMatchObject({ stackTitle: other.title, layerIds: [layersOf[1]] });
    const kept = (await send('GET', `/api/jobs/${job.id}`)).body.stack;
    expect(kept).toMatchObject({ title: other.title, setting: { materialId: layersOf[1] } });
    const { log } = (await send('GET', '/api/log')).body;
    const entry = log.find(({ jobId }: { jobId: string }) => jobId === job.id);
    expect(entry).toMatchObject({ layerIds: [layersOf[1]], stackTitle: other.title, overhang: 80 });
    expect(entry.predictedBendingLength).toBe((other.predicted as { bendingLength: number }).bendingLength);
  });

  it('are two to four, of what is in the cupboard, and travel in a bundle', async () => {
    const clothId = await newCloth();
    const own = await judged(clothId, PART, [{ materialId: layersOf[0]!, extent: 'full' }]);
    const job = await newJob(clothId, PART, own);
    const start = (stacks?: unknown[]) =>
      post(`/api/jobs/${job.id}/scraps`, { grid: 'candidates', ...(stacks ? { stacks } : {}) });
    expect((await start()).body.error.field).toBe('stacks');
    expect((await start([own])).body.error.field).toBe('stacks');
    expect((await start(Array(5).fill(own))).body.error.field).toBe('stacks');
    const unknown = { ...own, layers: [{ materialId: 'no-such-layer', extent: 'full', angle: 0 }] };
    expect((await start([own, unknown])).body.error.field).toBe('stacks[1].layers[0].materialId');
    const { body: scrap } = await start([own, own]);
    const { body: bundle } = await send('GET', '/api/bundle');
    const [travelled] = bundle.scraps.filter(({ id }: { id: string }) => id === scrap.id);
    expect(travelled.plan.stacks).toHaveLength(2);
    expect((await post('/api/bundle', { ...bundle, ...Object.fromEntries(Object.keys(bundle).filter((key) => Array.isArray(bundle[key]) && key !== 'scraps').map((key) => [key, []])), scraps: [travelled] })).status).toBeLessThan(300); // prettier-ignore
  });
});
