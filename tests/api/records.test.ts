import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { NOTHING_NEW } from '../files/counts';
import { describe, expect, it } from 'vitest';
import { chosenStack, FABRIC, PART, post, addWork, send } from './client';
import { startServer } from './server';

const CLOTH = { name: 'Test linen', ...FABRIC };
const PIECE = {
  name: 'Collar',
  wish: PART,
  shape: { kind: 'rectangle', width: 200, height: 80, corners: [false, false, false, false], corner: 0 },
  allowances: [10, 10, 10, 10],
  fold: null,
  count: 2,
};

describe('cloths and layers', () => {
  it('holds the library from the start', async () => {
    expect((await send('GET', '/api/cloths')).body.cloths.length).toBeGreaterThanOrEqual(30);
    expect((await send('GET', '/api/layers')).body.layers.length).toBeGreaterThanOrEqual(60);
    const some = (await send('GET', '/api/layers?family=buckram,mulling')).body.layers as { family: string }[];
    expect(new Set(some.map(({ family }) => family))).toEqual(new Set(['buckram', 'mulling']));
    const wrong = await send('GET', '/api/layers?family=buckram,paper');
    expect([wrong.status, wrong.body.error.field]).toEqual([400, 'family']);
  });

  it('adds, changes, deletes and takes the deletion back', async () => {
    const added = await post('/api/cloths', CLOTH);
    expect(added.status).toBe(201);
    const { id } = added.body;
    const changed = await send('PUT', `/api/cloths/${id}`, { ...CLOTH, name: 'Washed linen', overhang: 48, version: 1 });
    expect(changed.body).toMatchObject({ name: 'Washed linen', overhang: 48, version: 2 });
    expect((await send('DELETE', `/api/cloths/${id}`)).status).toBe(200);
    expect((await send('GET', `/api/cloths/${id}`)).status).toBe(404);
    expect((await send('POST', `/api/cloths/${id}/restore`)).body.name).toBe('Washed linen');
  });

  it('does not overwrite what another tab has saved', async () => {
    const { body } = await post('/api/cloths', CLOTH);
    await send('PUT', `/api/cloths/${body.id}`, { ...CLOTH, name: 'First tab', version: 1 });
    const stale = await send('PUT', `/api/cloths/${body.id}`, { ...CLOTH, name: 'Second tab', version: 1 });
    expect(stale.status).toBe(409);
    expect(stale.body.current).toMatchObject({ name: 'First tab', version: 2 });
    expect((await send('GET', `/api/cloths/${body.id}`)).body.name).toBe('First tab');
  });

  it('refuses nonsense and keeps nothing of it', async () => {
    const before = (await send('GET', '/api/cloths')).body.cloths.length;
    for (const [change, field] of [
      [{ name: '  ' }, 'name'],
      [{ arealDensity: -1 }, 'arealDensity'],
      [{ surface: ['shiny'] }, 'surface[0]'],
      [{ id: 'mine' }, 'id'],
      [{ name: 'a\u0000b' }, 'name'],
    ] as const) {
      const answer = await post('/api/cloths', { ...CLOTH, ...change });
      expect([answer.status, answer.body.error.field]).toEqual([400, field]);
    }
    expect((await send('GET', '/api/cloths')).body.cloths.length).toBe(before);
  });

  it('keeps a name with quotes and semicolons as it is', async () => {
    const name = `O'Hara"; DROP TABLE cloth; --`;
    const { body } = await post('/api/cloths', { ...CLOTH, name });
    expect((await send('GET', `/api/cloths/${body.id}`)).body.name).toBe(name);
  });
});

describe('from a project to the logbook', () => {
  it('projects stand in the order they are put into, without a new version; a new one comes first', async () => {
    const ids: string[] = [];
    for (const name of ['One', 'Two', 'Three']) ids.push((await post('/api/projects', { name })).body.id as string);
    const [one, two, three] = ids as [string, string, string];
    const order = async () =>
      ((await send('GET', '/api/projects?names=yes')).body.projects as { id: string }[])
        .map(({ id }) => id)
        .filter((id) => ids.includes(id));
    expect(await order()).toEqual([three, two, one]);
    expect((await send('PUT', `/api/projects/${one}/place`, { before: three })).status).toBe(200);
    expect(await order()).toEqual([one, three, two]);
    expect((await send('PUT', `/api/projects/${three}/place`, { before: null })).status).toBe(200);
    expect(await order()).toEqual([one, two, three]);
    expect((await send('GET', `/api/projects/${one}`)).body.version).toBe(1);
    ids.push((await post('/api/projects', { name: 'Four' })).body.id as string);
    expect((await order())[0]).toBe(ids[3]);
    expect((await send('PUT', `/api/projects/${one}/place`, { before: 'gone' })).status).toBe(404);
    expect((await send('PUT', `/api/projects/${one}/place`, {})).body.error.field).toBe('before');
    for (const id of ids) await send('DELETE', `/api/projects/${id}`);
  });

  it('goes the whole way: project, part, bench with a resume, log with predicted and measured', async () => {
    const cloth = (await post('/api/cloths', CLOTH)).body;
    const project = (await post('/api/projects', { name: 'Shirt' })).body;
    const part = await addWork(project.id, { ...PIECE, clothId: cloth.id, stack: await chosenStack() });
    expect(part.status).toBe(201);

    const run = (await send('POST', `/api/jobs/${part.body.id}/bench`)).body;
    expect(
      run.plan.steps.some((step: { kind: string; stops?: unknown[] }) => step.kind === 'press' && step.stops!.length > 0),
    ).toBe(true);
    const state = { ...run.state, step: 2, stop: 1, checks: ['Corners hold'] };
    expect((await send('PUT', `/api/bench/${run.id}`, { state, finished: false, version: 1 })).status).toBe(200);
    expect((await send('PUT', `/api/bench/${run.id}`, { state, finished: false, version: 1 })).status).toBe(409);
    const again = (await send('POST', `/api/jobs/${part.body.id}/bench`)).body;
    expect(again).toMatchObject({ id: run.id, state });

    const filed = await post('/api/log', {
      jobId: part.body.id,
      benchRunId: run.id,
      doneOn: '2026-05-31',
      title: 'Collar',
      clothId: cloth.id,
      clothName: cloth.name,
      stackTitle: 'x',
      layerIds: [],
      settings: { ironDots: 2, seconds: 10, steam: false, cover: 'cloth' },
      checks: { held: [], failed: [] },
      outcome: 'good',
      predictedBendingLength: 30,
      predictedLow: 25,
      predictedHigh: 36,
      overhang: 62,
    });
    expect(filed.status).toBe(201);
    expect(filed.body.measuredBendingLength).toBeCloseTo(31, 1);
    expect((await send('GET', '/api/log')).body.log[0]).toMatchObject({ title: 'Collar', predictedBendingLength: 30 });
  });

  it('remembers: what was filed about a cloth changes the next answer about it', async () => {
    const cloth = (await post('/api/cloths', { ...CLOTH, name: 'Remembered linen' })).body;
    const ask = async () =>
      (await post('/api/choose', { fabric: FABRIC, part: PART, limit: 1, clothId: cloth.id })).body.ranked[0];
    const before = await ask();
    await post('/api/log', {
      doneOn: '2026-05-31',
      title: 'Collar',
      clothId: cloth.id,
      clothName: cloth.name,
      stackTitle: before.title,
      layerIds: before.layers.map(({ materialId }: { materialId: string }) => materialId),
      settings: { ironDots: 2, seconds: 10, steam: false, cover: 'cloth' },
      checks: { held: [], failed: [] },
      outcome: 'good',
      overhang: before.predicted.bendingLength * 2.4,
    });
    const after = await ask();
    expect(after.id).toBe(before.id);
    expect(after.memory).toMatchObject({ readings: 1, tried: 1 });
    expect(after.predicted.bendingLength).toBeGreaterThan(before.predicted.bendingLength * 1.05);
    expect(after.predicted.high - after.predicted.low).toBeLessThan((before.predicted.high - before.predicted.low) * 1.2);
    expect((await post('/api/choose', { fabric: FABRIC, part: PART, limit: 1 })).body.ranked[0]).not.toHaveProperty('memory');
  });

  it('says what a part still needs before the bench', async () => {
    const project = (await post('/api/projects', { name: 'Bag' })).body;
    const part = (await addWork(project.id, PIECE)).body;
    expect((await send('POST', `/api/jobs/${part.id}/bench`)).body.error.field).toBe('clothId');
  });

  it.each([
    [{ clothId: 'nowhere' }, 'clothId'],
    [{ allowances: [1, 2, 3] }, 'allowances'],
    [{ shape: { ...PIECE.shape, kind: 'rounded', corners: [true, true, true, true], corner: 90 } }, 'corner'],
    [{ count: 0 }, 'count'],
    [{ fold: 4 }, 'fold'],
  ])('refuses a part with %j naming %s', async (change, field) => {
    const project = (await post('/api/projects', { name: 'Bag' })).body;
    const answer = await addWork(project.id, { ...PIECE, ...change });
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});

describe('settings and bundles', () => {
  it('keeps settings with a version', async () => {
    const { body } = await send('GET', '/api/settings');
    const saved = await send('PUT', '/api/settings', { settings: { ...body.settings, units: 'inch' }, version: body.version });
    expect(saved.body.settings.units).toBe('inch');
    expect((await send('PUT', '/api/settings', { settings: body.settings, version: body.version })).status).toBe(409);
    expect(
      (await send('PUT', '/api/settings', { settings: { ...body.settings, soleWidth: 1 }, version: saved.body.version })).body
        .error.field,
    ).toBe('settings.soleWidth');
  });

  it('brings the demo in once, and gives back a bundle that can be brought in', async () => {
    const first = await send('POST', '/api/demo');
    expect(first.body).toMatchObject({ cloths: 12, projects: 6, pieces: 14, cuts: 17, jobs: 16, log: 34 });
    expect((await send('POST', '/api/demo')).body).toEqual(NOTHING_NEW);
    const { body: bundle } = await send('GET', '/api/bundle');
    expect((await post('/api/bundle', bundle)).status).toBe(201);
  });

  it('brings in all of a bundle or nothing', async () => {
    const bad = {
      format: 'nembrel-bundle',
      formatVersion: 1,
      projects: [{ id: 'half-project', name: 'Half' }],
      parts: [{ id: 'half-piece', projectId: 'not-there', ...PIECE }],
    };
    const answer = await post('/api/bundle', bad);
    expect([answer.status, answer.body.error.field]).toEqual([400, 'pieces[0].projectId']);
    expect((await send('GET', '/api/projects/half-project')).status).toBe(404);
  });
});

describe('a kill at any moment', () => {
  it('loses nothing that was confirmed', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'nembrel-kill-'));
    const file = join(folder, 'kill.db');
    try {
      const names: string[] = [];
      for (let round = 0; round < 3; round++) {
        const server = await startServer(file, 4376);
        for (let i = 0; i < 5; i++) {
          const name = `Cloth ${round}-${i}`;
          const { status } = await send('POST', '/api/cloths', { ...CLOTH, name }, {}, server.base);
          if (status === 201) names.push(name);
        }
        const gone = new Promise((resolve) => server.process.once('close', resolve));
        server.process.kill('SIGKILL');
        await gone;
      }
      expect(names).toHaveLength(15);
      const db = new Database(file, { readonly: true });
      const kept = (db.prepare('SELECT name FROM cloth').all() as { name: string }[]).map(({ name }) => name);
      expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
      db.close();
      expect(kept).toEqual(expect.arrayContaining(names));
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
