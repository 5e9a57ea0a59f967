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

describe('a hat whose layers are pieces of their own', () => {
  const PREDICTED = { bendingLength: 60, low: 50, high: 70, rigidity: 300, arealDensity: 300, thickness: 1 };
  const circle = (radius: number) => ({ kind: 'ellipse', width: 2 * radius, height: 2 * radius });
  const tip = (duty: string, radius: number, clothId: string | null, materialId?: string) => ({
    ...{ name: 'Tip', shape: circle(radius), line: 'sew', allowances: [10], fold: null, grain: 0, marks: [] },
    cuts: [
      {
        ...{ duty, clothId, count: 1, orientation: 'bias' },
        jobs: materialId
          ? [
              {
                ...{ name: '', place: { kind: 'whole' }, wish: { role: 'hat-tip', stretch: 'any', care: 'none' } },
                stack: {
                  ...{ title: materialId, layers: [{ materialId, extent: 'full', angle: 0 }], predicted: PREDICTED },
                  ...{ reasons: [], cautions: [] },
                },
              },
            ]
          : [],
      },
    ],
  });

  /** Two hats in one project, one size apart, each from the inside out. */
  async function hats() {
    const { body: project } = await post('/api/projects', { name: 'Two caps', note: '' });
    const felts = await Promise.all(['Small cap felt', 'Large cap felt'].map((name) => post('/api/cloths', { ...FABRIC, name })));
    const pieces = [90, 94].flatMap((radius, i) => [
      tip('base', radius, null, 'fine-buckram-150-g'),
      tip('soft-interlining', radius + 0.2, null, 'soft-flannel-mulling-170-g'),
      tip('shell', radius + 0.5, felts[i]!.body.id),
    ]);
    const added = await post(`/api/projects/${project.id}/pieces/many`, { pieces });
    expect(added.status, JSON.stringify(added.body)).toBe(201);
    const jobs = added.body.jobs as { id: string }[];
    return { project, bases: [jobs[0]!.id, jobs[2]!.id], mulling: jobs[1]!.id };
  }

  it('has one bench: mulling onto the base, the cloth over both; each hat with its own cloth', async () => {
    const { bases } = await hats();
    const [first, second] = await Promise.all(bases.map((id) => post(`/api/jobs/${id}/bench`, undefined)));
    expect(first!.status, JSON.stringify(first!.body)).toBe(200);
    expect([first, second].map((run) => run!.body.plan.clothName)).toEqual(['Small cap felt', 'Large cap felt']);
    const titles = first!.body.plan.steps.map(({ title }: { title: string }) => title).join('\n');
    expect(titles).toMatch(/Catch .*mulling.* to the base\nDraw the cloth over it/);
  });

  it('tells where the mulling is worked, and has only the bases on the board', async () => {
    const { project, bases, mulling } = await hats();
    const refused = await post(`/api/jobs/${mulling}/bench`, undefined);
    expect(refused.status).toBe(400);
    expect(refused.body.error.message).toContain('worked together with “Tip, base”');
    const { body: needs } = await send('GET', `/api/needs?project=${project.id}`);
    // Both are caught by hand all round: thread is counted.
    expect(needs.others.thread).toBeGreaterThan(2 * 2.2 * Math.PI * 180);
    expect(bases).toHaveLength(2);
  });
});
