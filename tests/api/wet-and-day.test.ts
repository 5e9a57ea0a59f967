import { describe, expect, it } from 'vitest';
import { addWork, FABRIC, post, send } from './client';

describe('POST /api/compute/liquid', () => {
  const piece = (id: string, more: object = {}) => ({ id, area: 100_000, arealDensity: 150, tone: 'mid', ...more });

  it('counts by mass: area × areal density × pick-up', async () => {
    const pieces = [piece('dark', { tone: 'dark' }), piece('light', { tone: 'light', area: 200_000 }), piece('mid')];
    const { body } = await post('/api/compute/liquid', { pieces, method: 'soak', mlPerPull: 0.8, strength: 0.3 });
    // 15 g, 30 g and 15 g of cloth, wet through with as much.
    expect(body.millilitres).toBeCloseTo(60, 9);
    expect(body.pulls).toBe(75);
    expect([body.concentrate, body.water].map((ml) => Math.round(ml * 1e6) / 1e6)).toEqual([18, 42]);
    expect(body.order).toEqual(['light', 'mid', 'dark']);
    expect(body.perPiece.map((each: { millilitres: number }) => each.millilitres)).toEqual([15, 30, 15]);
    const mist = await post('/api/compute/liquid', { pieces, method: 'mist' });
    expect(mist.body.millilitres / 60).toBeGreaterThanOrEqual(0.15);
    expect(mist.body.millilitres / 60).toBeLessThanOrEqual(0.25);
    expect(mist.body).not.toHaveProperty('pulls');
  });

  it.each([
    [{ pieces: [piece('a'), piece('a')], method: 'soak' }, 'pieces[1].id'],
    [{ pieces: [piece('a', { tone: 'pink' })], method: 'soak' }, 'pieces[0].tone'],
    [{ pieces: [piece('a')], method: 'dip' }, 'method'],
    [{ pieces: [piece('a')], method: 'mist', mlPerPull: 0 }, 'mlPerPull'],
    [{ pieces: [piece('a')], method: 'mist', strength: 1.5 }, 'strength'],
  ])('refuses %j, naming %s', async (body, field) => {
    const answer = await post('/api/compute/liquid', body);
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});

describe('POST /api/compute/drying', () => {
  const cotton = { water: 142, sides: 2, temperature: 20, humidity: 50, airSpeed: 0, arealDensity: 142 };

  it('a soaked quilting cotton is dry in about 70 minutes indoors, and damp in 10 to 15 outdoors', async () => {
    const { body } = await post('/api/compute/drying', cotton);
    expect(body.rate).toBeGreaterThan(110);
    expect(body.rate).toBeLessThan(140);
    expect(body.minutesToDry).toBeGreaterThan(60);
    expect(body.minutesToDry).toBeLessThan(80);
    const outdoors = await post('/api/compute/drying', { ...cotton, temperature: 25, humidity: 40, airSpeed: 2 });
    expect(outdoors.body.rate).toBeGreaterThan(2 * 210);
    expect(outdoors.body.rate).toBeLessThan(2 * 250);
    expect(outdoors.body.minutesToDamp).toBeGreaterThan(10);
    expect(outdoors.body.minutesToDamp).toBeLessThan(15);
  });

  it('is slower on a table, in damp air and with more water; what is damp already is damp at once', async () => {
    const minutes = async (more: object) => (await post('/api/compute/drying', { ...cotton, ...more })).body.minutesToDry;
    const usual = await minutes({});
    expect(await minutes({ sides: 1 })).toBeCloseTo(2 * usual, 6);
    expect(await minutes({ humidity: 80 })).toBeGreaterThan(usual);
    expect(await minutes({ water: 200 })).toBeGreaterThan(usual);
    const damp = (await post('/api/compute/drying', { ...cotton, water: 30 })).body;
    expect(damp.minutesToDamp).toBe(0);
    expect(damp.minutesToDry).toBeGreaterThan(0);
  });

  it.each([
    ['sides', 3],
    ['humidity', 100],
    ['temperature', 90],
    ['arealDensity', 0],
  ])('refuses %s of %s', async (field, value) => {
    const answer = await post('/api/compute/drying', { ...cotton, [field]: value });
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});

describe('POST /api/compute/schedule', () => {
  const task = (id: string, minutes: number, uses: string[] = [], after: string[] = []) => ({ id, minutes, uses, after });

  it('fills waiting with other work', async () => {
    const tasks = [
      task('spray', 5, ['hands']),
      task('dry', 40, [], ['spray']),
      task('press', 10, ['hands', 'iron'], ['dry']),
      task('fuse', 25, ['hands', 'iron']),
      task('baste', 15, ['hands']),
    ];
    const { body } = await post('/api/compute/schedule', { tasks, capacity: { hands: 1, iron: 1 } });
    expect(body.makespan).toBe(55);
  });

  it.each([
    [[task('a', 5, [], ['b']), task('b', 5, [], ['a'])], {}, /^tasks\[[01]\]\.after/],
    [[task('a', 5, [], ['ghost'])], {}, /^tasks\[0\]\.after\[0\]/],
    [[task('a', 5, ['iron'])], {}, /^tasks\[0\]\.uses\[0\]/],
    [[task('a', 5, ['iron'])], { iron: 0 }, /^tasks\[0\]\.uses\[0\]/],
    [[task('a', 5), task('a', 6)], {}, /^tasks\[1\]\.id/],
    [[task('a', -1)], {}, /^tasks\[0\]\.minutes/],
  ])('refuses %j with %j', async (tasks, capacity, field) => {
    const answer = await post('/api/compute/schedule', { tasks, capacity });
    expect(answer.status).toBe(400);
    expect(answer.body.error.field).toMatch(field);
  });
});

describe('POST /api/compute/opacity', () => {
  it('follows light to and fro between two sheets', async () => {
    const [first, second] = [
      { reflectance: 0.5, transmittance: 0.4 },
      { reflectance: 0.6, transmittance: 0.1 },
    ];
    const { body } = await post('/api/compute/opacity', { sheets: [first, second] });
    expect(body.transmittance).toBeCloseTo((0.4 * 0.1) / (1 - 0.5 * 0.6), 12);
    expect(body.reflectance).toBeCloseTo(0.5 + (0.4 ** 2 * 0.6) / (1 - 0.5 * 0.6), 12);
  });

  it('sheer is far from opaque, two layers less so; holes let through', async () => {
    const opacity = async (...sheets: object[]) => (await post('/api/compute/opacity', { sheets })).body.opacity;
    const sheer = { reflectance: 0.3, transmittance: 0.55 };
    const opaque = { reflectance: 0.7, transmittance: 0.05 };
    expect(await opacity(sheer)).toBeLessThan(70);
    expect(await opacity(sheer, sheer)).toBeGreaterThan(await opacity(sheer));
    expect(await opacity(opaque)).toBeGreaterThan(95);
    expect(await opacity({ ...opaque, openArea: 0.2 })).toBeLessThan(90);
    expect(await opacity({ ...opaque, openArea: 0.2 }, opaque)).toBeGreaterThan(95);
  });

  it('refuses more light than there is', async () => {
    const answer = await post('/api/compute/opacity', { sheets: [{ reflectance: 0.7, transmittance: 0.5 }] });
    expect([answer.status, answer.body.error.field]).toEqual([400, 'sheets[0].transmittance']);
  });
});

/** A job that is soaked, begun at the bench. */
async function soakedJob() {
  const cloth = (await post('/api/cloths', { ...FABRIC, name: 'Soaked cotton' })).body as { id: string };
  const project = (await post('/api/projects', { name: 'Own times' })).body as { id: string };
  const wish = { role: 'printing', cut: 'straight', stretch: 'any', care: 'none' };
  const layers = [{ materialId: 'starch', join: 'full', extent: 'full', angle: 0 }];
  const { body: judged } = await post('/api/choose/judge', { fabric: FABRIC, part: wish, layers });
  const { title, predicted, reasons, cautions } = judged;
  const { body: job } = await addWork(project.id, {
    ...{ name: 'Print', clothId: cloth.id, wish, count: 1, fold: null, allowances: [0, 0, 0, 0] },
    shape: { kind: 'rectangle', width: 300, height: 400, corners: [false, false, false, false], corner: 0 },
    stack: { title, layers, predicted, reasons, cautions },
  });
  return { run: (await send('POST', `/api/jobs/${job.id}/bench`)).body, jobId: job.id as string };
}

const LOG = {
  ...{
    kind: 'piece',
    title: 'Print',
    clothName: 'Soaked cotton',
    stackTitle: 'Starch',
    layerIds: ['starch__full'],
    outcome: 'good',
  },
  ...{ settings: { ironDots: 2, seconds: 0, steam: false, cover: 'none' }, checks: { held: [], failed: [] }, note: '' },
};

describe('own times', () => {
  type Step = { id: string; until?: string; seconds: number };

  it('cloth that hung half as long again is given more time the next time, and never all at once', async () => {
    const { run } = await soakedJob();
    const at = run.plan.steps.findIndex(({ until }: Step) => until === 'damp');
    const reckoned = run.plan.steps[at].seconds as number;
    const hung = [{ step: at, seconds: 1.5 * reckoned, found: 'right' }];
    const done = { state: { ...run.state, step: run.plan.steps.length - 1, hung }, finished: true, version: run.version };
    expect((await send('PUT', `/api/bench/${run.id}`, done)).status).toBe(200);
    const next = (await soakedJob()).run;
    const longer = (next.plan.steps.find(({ until }: Step) => until === 'damp').seconds as number) / reckoned;
    expect(longer).toBeGreaterThan(1.05);
    expect(longer).toBeLessThan(1.4);
    // Finished once more, it counts once.
    const again = await send('PUT', `/api/bench/${run.id}`, { ...done, version: run.version + 1 });
    expect(again.status).toBe(200);
    const third = (await soakedJob()).run.plan.steps.find(({ until }: Step) => until === 'damp').seconds as number;
    expect(third / reckoned).toBeCloseTo(longer, 2);
  });

  it('refuses stamps and hangings that cannot be', async () => {
    const { run } = await soakedJob();
    const put = (state: object) =>
      send('PUT', `/api/bench/${run.id}`, { state: { ...run.state, ...state }, version: run.version });
    expect((await put({ hung: [{ step: 0, seconds: -1, found: 'right' }] })).body.error.field).toBe('state.hung[0].seconds');
    expect((await put({ hung: [{ step: 0, seconds: 1, found: 'soggy' }] })).body.error.field).toBe('state.hung[0].found');
    expect((await put({ stamps: [{ step: 0, at: 'noon' }] })).body.error.field).toBe('state.stamps[0].at');
  });
});

describe('the day that is planned', () => {
  const plan = { jobIds: [], runIds: [], hoopingIds: ['h'], people: 1, irons: 1, evening: 120, aim: 'board-free', from: '19:30', done: ['a/0'], late: [{ id: 'a/1', minutes: 5 }] }; // prettier-ignore

  it('is one for every tablet; a stale one is told what is kept', async () => {
    const { version } = (await send('GET', '/api/day')).body;
    const saved = await send('PUT', '/api/day', { plan, version });
    expect(saved.body).toEqual({ plan, version: version + 1 });
    const stale = await send('PUT', '/api/day', { plan: { ...plan, people: 2 }, version });
    expect([stale.status, stale.body.current.plan.people]).toEqual([409, 1]);
    expect((await send('GET', '/api/day')).body.plan).toEqual(plan);
  });

  it('goes on with a job that was begun meanwhile, and not with one that is filed', async () => {
    const { run, jobId } = await soakedJob();
    const planned = { ...plan, jobIds: [jobId], runIds: [], done: [], late: [] };
    const { version } = (await send('GET', '/api/day')).body;
    await send('PUT', '/api/day', { plan: planned, version });
    const now = (await send('GET', '/api/day/now')).body;
    expect([now.now.run, now.open]).toEqual([run.id, [run.id]]);
    // While that run waits there is nothing else to do.
    expect((await send('GET', `/api/day/now?without=${run.id}`)).body.now).toBeNull();
    await send('PUT', `/api/bench/${run.id}`, { state: run.state, finished: true, version: run.version });
    const filed = { ...LOG, jobId, doneOn: '2026-05-02' };
    expect((await post('/api/log', filed)).status).toBe(201);
    expect((await send('GET', '/api/day/now')).body.now).toBeNull();
  });

  it('says what now; what was planned and is gone by now does no harm', async () => {
    const { version } = (await send('GET', '/api/day')).body;
    const gone = { ...plan, jobIds: ['gone-job'], runIds: ['gone-run'], done: [], late: [] };
    await send('PUT', '/api/day', { plan: gone, version });
    expect((await send('GET', '/api/day/now')).body).toEqual({ now: null, next: null, alongside: [], open: [] });
  });

  it.each([
    [{ from: '25:00' }, 'plan.from'],
    [{ people: 9 }, 'plan.people'],
    [{ late: [{ id: 'a', minutes: -5 }] }, 'plan.late[0].minutes'],
    [{ evening: null }, 'plan.evening'],
  ])('refuses %j', async (change, field) => {
    const { version } = (await send('GET', '/api/day')).body;
    const answer = await send('PUT', '/api/day', { plan: { ...plan, ...change }, version });
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});

describe('the bottle of a liquid', () => {
  it('is kept under the layer, outlives a change of the layer, and is told on the list with what is missing', async () => {
    const { body: layer } = await send('GET', '/api/layers/starch');
    const kept = await send('PUT', '/api/bottles/starch', { strength: 0.5, left: 3, mlPerPull: 0.8, version: layer.version });
    expect(kept.body).toMatchObject({ id: 'starch', strength: 0.5, left: 3, mlPerPull: 0.8, version: layer.version + 1 });
    const stale = await send('PUT', '/api/bottles/starch', { left: 9, version: layer.version });
    expect(stale.status).toBe(409);
    const { createdAt: _c, updatedAt: _u, origin: _o, id: _id, ...fields } = (await send('GET', '/api/layers/starch')).body;
    expect((await send('PUT', '/api/layers/starch', { ...fields, note: 'from the market' })).status).toBe(200);
    expect((await send('GET', '/api/bottles/starch')).body).toMatchObject({ strength: 0.5, left: 3 });
  });

  it.each([
    ['strength', { strength: 1.2 }],
    ['left', { left: -1 }],
    ['mlPerPull', { mlPerPull: 0 }],
  ])('refuses %s that cannot be', async (field, wrong) => {
    const { version } = (await send('GET', '/api/bottles/starch')).body;
    const answer = await send('PUT', '/api/bottles/starch', { ...wrong, version });
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });

  it('is none of a layer that is no liquid', async () => {
    const { layers } = (await send('GET', '/api/layers')).body;
    const roll = layers.find(({ form }: { form: string }) => form === 'fusible');
    expect((await send('GET', `/api/bottles/${roll.id}`)).status).toBe(404);
  });
});
