import { describe, expect, it } from 'vitest';
import { addWork, FABRIC, PART, post, send } from './client';

const asked = {
  ...{ fabric: FABRIC, part: PART, layers: [{ materialId: 'light-woven-fusible-45-g', extent: 'trimmed' }], count: 2 },
  piece: { outline: [[0, 0], [450, 0], [450, 90], [0, 90]], allowances: 10 },
}; // prettier-ignore

describe('POST /api/compute/work', () => {
  it('tells techniques, amounts of all copies, steps and minutes', async () => {
    const { status, body } = await post('/api/compute/work', asked);
    expect(status).toBe(200);
    expect(body.techniques).toEqual([{ id: 'fused-all-over', words: 'fused all over', layer: 0 }]);
    expect(body.amounts).toContainEqual({ layer: 0, kind: 'area', amount: 2 * 438 * 78 });
    expect(body.steps.every(({ title, stage, kind }: Record<string, string>) => title && stage && kind)).toBe(true);
    expect(body.minutes.hands).toBeGreaterThan(5);
    expect(body.minutes.waits).toBeGreaterThanOrEqual(5);
  });

  it.each([
    ['piece.allowances', { piece: { ...asked.piece, allowances: [10, 10] } }],
    ['piece.outline', { piece: { outline: [[0, 0], [10, 10], [10, 0], [0, 10]] } }],
    ['piece.place.edges[0]', { piece: { ...asked.piece, place: { kind: 'edges', edges: [4], width: 20 } } }],
    ['piece.place.kind', { piece: { ...asked.piece, place: { kind: 'constructor' } } }],
    ['layers[0].materialId', { layers: [{ materialId: 'no-such-layer', extent: 'full' }] }],
    ['layers[0].join', { layers: [{ materialId: 'light-woven-fusible-45-g', extent: 'full', join: 'sew-in' }] }],
    ['count', { count: 0 }],
    ['schools.heat', { schools: { heat: 'volcano' } }],
  ])('refuses by the name of %s', async (field, change) => {
    const { status, body } = await post('/api/compute/work', { ...asked, ...change });
    expect([status, body.error.field]).toEqual([400, field]);
  }); // prettier-ignore

  it('works a giant outline out beside the server', async () => {
    const outline = Array.from({ length: 4000 }, (_, i) => {
      const r = 400 + (i % 2) * 3;
      return [r * Math.cos((i * Math.PI) / 2000), r * Math.sin((i * Math.PI) / 2000)];
    });
    const { status, body } = await post('/api/compute/work', { ...asked, piece: { outline, allowances: 5 } });
    expect(status).toBe(200);
    expect(body.amounts.find(({ kind }: { kind: string }) => kind === 'area').amount).toBeGreaterThan(900_000);
  });
});

describe('small cut pieces at the bench', () => {
  it('are pressed several under one sole, as many as lie free under it; each copy once', async () => {
    const { body: project } = await post('/api/projects', { name: 'Six tabs', note: '' });
    const { body: cloth } = await post('/api/cloths', { ...FABRIC, name: 'Tab cloth' });
    const shape = { kind: 'rectangle', width: 60, height: 50, corners: [false, false, false, false], corner: 0 };
    const stack = {
      title: 'Light woven fusible',
      layers: [{ materialId: 'light-woven-fusible-45-g', extent: 'trimmed', angle: 0 }],
    };
    const predicted = { bendingLength: 30, low: 25, high: 35, rigidity: 20, arealDensity: 160, thickness: 0.5 };
    const added = await addWork(project.id, {
      ...{ name: 'Tab', shape, line: 'cut', allowances: [5, 5, 5, 5], fold: null, marks: [], clothId: cloth.id, count: 6 },
      ...{ wish: PART, stack: { ...stack, predicted, reasons: [], cautions: [] } },
    });
    expect(added.status).toBe(201);
    const { body: run } = await post('/api/bench', { jobIds: [added.body.id] });
    const { steps, sheets } = run.plan as {
      steps: { kind: string; stops?: object[] }[];
      sheets: { pieces: { name: string }[] }[];
    };
    const presses = steps.filter(({ kind }) => kind === 'press');
    expect(presses.length).toBeLessThan(6);
    expect(presses).toHaveLength(sheets.length);
    for (const { stops } of presses) expect(stops).toHaveLength(1);
    const names = sheets.flatMap(({ pieces }) => pieces.map(({ name }) => name)).sort();
    expect(names).toEqual(['Tab 1', 'Tab 2', 'Tab 3', 'Tab 4', 'Tab 5', 'Tab 6']);
    await send('DELETE', `/api/projects/${project.id}?version=${project.version}`);
  });
});

describe('what is done with a sheet', () => {
  it('takes its own steps along and no others: a braid in the hem is still sewn', async () => {
    const { body: project } = await post('/api/projects', { name: 'Peplum', note: '' });
    const { body: cloth } = await post('/api/cloths', { ...FABRIC, name: 'Peplum cloth' });
    const shape = { kind: 'rectangle', width: 300, height: 200, corners: [false, false, false, false], corner: 0 };
    const layers = [
      { materialId: 'light-non-woven-fusible-32-g', extent: 'full', angle: 0 },
      { materialId: 'soft-horsehair-braid-15-mm', extent: 'strip', angle: 0 },
    ];
    const predicted = { bendingLength: 30, low: 25, high: 35, rigidity: 20, arealDensity: 160, thickness: 0.5 };
    const stack = { title: 'Web and braid', layers, schools: { order: 'fuse-together' }, predicted, reasons: [], cautions: [] };
    const added = await addWork(project.id, {
      ...{ name: 'Panel', shape, line: 'cut', allowances: [10, 10, 10, 10], fold: null, marks: [], clothId: cloth.id, count: 4 },
      ...{ wish: { ...PART, role: 'whole-panel' }, stack },
    });
    expect(added.status).toBe(201);
    const { body: run } = await post('/api/bench', { jobIds: [added.body.id] });
    const titles = (run.plan.steps as { title: string }[]).map(({ title }) => title);
    expect(titles.some((title) => /: lay \d pieces on /.test(title))).toBe(true);
    expect(titles.filter((title) => /into the hem$/.test(title))).toHaveLength(1);
    await send('DELETE', `/api/projects/${project.id}?version=${project.version}`);
  });
});
