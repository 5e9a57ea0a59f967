import Database from 'better-sqlite3';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inject } from 'vitest';
import { describe, expect, it } from 'vitest';
import { addWork, chosenStack, FABRIC, PART, post, send } from './client';

const rectangle = (width: number, height: number) => ({ kind: 'rectangle', width, height, corners: [false, false, false, false], corner: 0 }); // prettier-ignore
const newCloth = async (name: string) => (await post('/api/cloths', { ...FABRIC, name })).body as { id: string; version: number };
const newProject = async (name: string) => (await post('/api/projects', { name })).body as { id: string };

async function collarOf(projectId: string, clothId: string, more: object = {}) {
  const { body, status } = await addWork(projectId, {
    ...{ name: 'Collar', clothId, wish: PART, count: 2, fold: null, allowances: [10, 10, 10, 10] },
    ...{ shape: rectangle(210, 55), stack: await chosenStack(), ...more },
  });
  expect(status).toBe(201);
  return body as { id: string; cutId: string; cut: Record<string, unknown>; job: Record<string, unknown> };
}

/** What a page paints before any script runs, without what is handed to the scripts. */
async function painted(path: string): Promise<string> {
  const html = await (await fetch(inject('base') + path)).text();
  return html.replace(/<astro-island[^>]*>/g, '').replace(/<script[\s\S]*?<\/script>/g, '');
}

describe('what the server paints', () => {
  it.each([
    ['/projects', 'projects', {}],
    ['/cupboard', 'cloths', FABRIC],
  ])('on %s is what is kept at that moment: after an add, a change and a delete', async (path, kind, more) => {
    const name = `Painted ${kind} ${Date.now()}`;
    await painted(path);
    const { id } = (await post(`/api/${kind}`, { ...more, name })).body as { id: string };
    // Long lists show their first page; the search of the page is asked for it.
    const find = async (words: string) => (await painted(path)).includes(words);
    if (kind === 'projects') expect(await find(name)).toBe(true);
    const { body: kept } = await send('GET', `/api/${kind}/${id}`);
    const { createdAt: _c, updatedAt: _u, id: _id, origin: _o, tests: _t, measuredBendingLength: _m, ...fields } = kept;
    const renamed = await send('PUT', `/api/${kind}/${id}`, { ...fields, name: `${name} anew` });
    expect(renamed.status).toBe(200);
    if (kind === 'projects') expect(await find(`${name} anew`)).toBe(true);
    await send('DELETE', `/api/${kind}/${id}`);
    expect(await find(name)).toBe(false);
  });

  it('of a project, its bench and its cutting is what it is called now', async () => {
    const cloth = await newCloth('Painted linen');
    const project = await newProject('Painted before');
    const work = await collarOf(project.id, cloth.id);
    expect(await painted(`/projects/${project.id}?job=${work.id}&stage=pieces`)).toContain('Painted before');
    const { body } = await send('GET', `/api/projects/${project.id}`);
    const { id: _i, createdAt: _c, updatedAt: _u, ...fields } = body;
    await send('PUT', `/api/projects/${project.id}`, { ...fields, name: 'Painted after' });
    const page = await painted(`/projects/${project.id}?job=${work.id}&stage=pieces`);
    expect(page).toContain('Painted after');
    expect(page).not.toContain('Painted before');
    for (const path of ['/bench', '/logbook', '/hoop', '/buy', '/day', '/wet', '/settings'])
      expect((await painted(path)).length).toBeGreaterThan(500);
  });
});

describe('moves at the bench', () => {
  const run = async () => {
    const cloth = await newCloth('Moved linen');
    const work = await collarOf((await newProject('Moves')).id, cloth.id);
    return (await send('POST', `/api/jobs/${work.id}/bench`)).body;
  };
  const move = (id: string, moves: object[]) =>
    post(`/api/bench/${id}/moves`, { moves: moves.map((each, i) => ({ id: `m${Date.now()}${Math.random()}`.slice(0, 40), at: new Date(Date.now() + i).toISOString(), move: each })) }); // prettier-ignore

  it('of two tablets in the same second are both kept, and one that is sent twice counts once', async () => {
    const { id } = await run();
    await Promise.all([
      move(id, [{ kind: 'tick', check: 'one', on: true }]),
      move(id, [{ kind: 'tick', check: 'two', on: true }]),
      move(id, [{ kind: 'next', step: 0 }]),
      move(id, [{ kind: 'next', step: 0 }]),
    ]);
    const { body } = await send('GET', `/api/bench/${id}`);
    expect([...body.state.checks].sort()).toEqual(['one', 'two']);
    expect(body.state.step).toBe(1);
    const same = { moves: [{ id: 'once-only', at: new Date().toISOString(), move: { kind: 'next', step: 1 } }] };
    expect((await post(`/api/bench/${id}/moves`, same)).body.state.step).toBe(2);
    const again = { moves: [{ ...same.moves[0]!, move: { kind: 'next', step: 2 } }] };
    expect((await post(`/api/bench/${id}/moves`, again)).body.state.step).toBe(2);
  });

  it('tell what was found to be wrong, which goes with the job into the log and weighs the next choice', async () => {
    const kept = await run();
    expect(kept.plan.known).toEqual([expect.objectContaining({ 'no-scrap': expect.any(String) })]);
    expect(kept.plan.regions[0][0][0].length).toBeGreaterThan(3);
    await move(kept.id, [{ kind: 'cause', found: 'lifts/moved-warm', work: null, on: true }]);
    const { body } = await send('GET', `/api/bench/${kept.id}`);
    expect(body.state.causes).toEqual([{ found: 'lifts/moved-warm', work: null }]);
    const wrong = await move(kept.id, [{ kind: 'cause', found: 'lifts/gremlins', work: null, on: true }]);
    expect([wrong.status, wrong.body.error.field]).toEqual([400, 'moves[0].move.found']);
    const entry = {
      ...{ jobId: kept.jobId, benchRunId: kept.id, doneOn: '2026-03-02', title: 'Collar', clothName: 'Moved linen' },
      ...{ stackTitle: kept.plan.stackTitle, layerIds: ['a'], outcome: 'poor', causes: ['lifts/moved-warm'] },
      settings: { ironDots: 2, seconds: 10, steam: false, cover: 'cloth' },
      checks: { held: [], failed: ['Edges hold against a fingernail'] },
    };
    expect((await post('/api/log', entry)).body.causes).toEqual(['lifts/moved-warm']);
    // A cloth of the cupboard that lies behind is a layer like any other.
    const underlined = await post('/api/log', { ...entry, benchRunId: null, layerIds: ['cloth:cotton-lawn'] });
    expect([underlined.status, underlined.body.layerIds]).toEqual([201, ['cloth:cotton-lawn']]);
    expect((await post('/api/log', { ...entry, benchRunId: null, layerIds: ['cloth:../x'] })).body.error.field).toBe(
      'layerIds[0]',
    );
    const refused = await post('/api/log', { ...entry, causes: ['gremlins'] });
    expect([refused.status, refused.body.error.field]).toEqual([400, 'causes[0]']);
  });

  it('are refused by name where they cannot be, words of the language included', async () => {
    const { id } = await run();
    for (const kind of ['constructor', 'jump', '__proto__'])
      expect((await move(id, [{ kind }])).body.error.field).toBe('moves[0].move.kind');
    expect((await move(id, [{ kind: 'next', step: -1 }])).body.error.field).toBe('moves[0].move.step');
    expect((await move('gone', [{ kind: 'finish' }])).status).toBe(404);
  });

  it('of the day are made to the plan as it is kept', async () => {
    const day = (moves: object[]) =>
      post('/api/day/moves', { moves: moves.map((each, i) => ({ id: `d${Date.now()}${i}${Math.random()}`.slice(0, 40), at: new Date().toISOString(), move: each })) }); // prettier-ignore
    await day([{ kind: 'anew' }, { kind: 'wish', wishes: { people: 2 } }]);
    await Promise.all([day([{ kind: 'late', id: 'x/1', minutes: 5 }]), day([{ kind: 'late', id: 'x/1', minutes: 5 }])]);
    const { plan } = (await day([{ kind: 'done', id: 'x/0' }])).body;
    expect(plan).toMatchObject({ people: 2, done: ['x/0'], late: [{ id: 'x/1', minutes: 10 }] });
    await day([{ kind: 'anew' }, { kind: 'wish', wishes: { people: 1 } }]);
  });
});

describe('filing', () => {
  const entry = { kind: 'piece', doneOn: '2026-05-02', title: 'Collar', clothName: 'Linen', stackTitle: 'Web', layerIds: [], settings: { ironDots: 0, seconds: 0, steam: false, cover: 'none' }, checks: { held: [], failed: [] }, outcome: 'good' }; // prettier-ignore

  it('a run is filed once for a job, and is not begun again as if it had not been done', async () => {
    const cloth = await newCloth('Filed linen');
    const work = await collarOf((await newProject('Filed')).id, cloth.id);
    const { body: run } = await send('POST', `/api/jobs/${work.id}/bench`);
    await post(`/api/bench/${run.id}/moves`, {
      moves: [{ id: `f${run.id}`, at: new Date().toISOString(), move: { kind: 'finish' } }],
    });
    const board = async () => await painted('/bench');
    expect(await board()).toContain('Done, to be filed');
    expect((await post('/api/log', { ...entry, jobId: work.id, benchRunId: run.id })).status).toBe(201);
    const twice = await post('/api/log', { ...entry, jobId: work.id, benchRunId: run.id });
    expect([twice.status, twice.body.error.field]).toEqual([400, 'benchRunId']);
  });

  it('the logbook is searched by project', async () => {
    const project = await newProject('Lantern searchable');
    const work = await collarOf(project.id, (await newCloth('Log linen')).id);
    await post('/api/log', { ...entry, title: 'Only this one', jobId: work.id });
    const { body } = await send('GET', `/api/log?page=0&project=${project.id}`);
    expect(body.rows.map(({ title }: { title: string }) => title)).toEqual(['Only this one']);
    expect((await send('GET', '/api/log?page=0&search=lantern%20searchable')).body.total).toBe(1);
  });
});

describe('what a scrap found', () => {
  it('belongs to the pair: every other job of it is worked by it, sewn again too', async () => {
    const cloth = await newCloth('Pair linen');
    const project = await newProject('Pair');
    const [first, second] = [await collarOf(project.id, cloth.id), await collarOf(project.id, cloth.id)];
    const { body: scrap } = await post(`/api/jobs/${first.id}/scraps`, { grid: 'seconds' });
    const cell = scrap.plan.cells.at(-1);
    const read = await send('PUT', `/api/scraps/${scrap.id}/cell`, { cell: cell.name, reading: { feel: 'firm', peel: 5, bubbles: 'none', showThrough: 'none', overhangBefore: 44, overhangAfter: 66 }, version: 1 }); // prettier-ignore
    expect(read.status).toBe(200);
    const filed = await send('PUT', `/api/scraps/${scrap.id}/file`, { chosen: cell.name, doneOn: '2026-05-02', version: read.body.version }); // prettier-ignore
    expect(filed.status).toBe(200);
    const seconds = (plan: { steps: { kind: string; seconds: number }[] }) => plan.steps.filter(({ kind }) => kind === 'press').map((step) => step.seconds); // prettier-ignore
    const batch = await post('/api/bench', { jobIds: [first.id, second.id] });
    expect(batch.status).toBe(201);
    expect(new Set(seconds(batch.body.plan))).toEqual(new Set([cell.setting.seconds]));
    const again = (await send('POST', `/api/projects/${project.id}/again`)).body;
    const page = await (await fetch(`${inject('base')}/projects/${again.id}`)).text();
    expect(page).toContain('findings');
    const { body } = await send('GET', `/api/projects/${again.id}/findings`);
    expect(body.findings[0].setting.seconds).toBe(cell.setting.seconds);
  });
});

describe('what is cut', () => {
  it('is neither washed nor cut again', async () => {
    const cloth = await newCloth('Cut linen');
    const work = await collarOf((await newProject('Cut already')).id, cloth.id);
    const titles = async () => (await send('POST', `/api/jobs/${work.id}/bench`)).body;
    const before = await titles();
    const said = (run: typeof before) => run.plan.steps.map(({ title }: { title: string }) => title).join(' | ');
    expect(said(before)).toMatch(/Wash and dry the cloth/);
    await send('DELETE', `/api/bench/${before.id}`);
    for (const [path, fields] of [
      [`/api/cuts/${work.cutId}`, { ...work.cut, done: true }],
      [`/api/jobs/${work.id}`, { ...work.job, cutDone: true }],
    ] as const) {
      const {
        id: _i,
        createdAt: _c,
        updatedAt: _u,
        pieceId: _p,
        cutId: _k,
        position: _o,
        ...body
      } = fields as Record<string, unknown>;
      const answer = await send('PUT', path, { ...body, ...('position' in fields ? { position: (fields as { position: number }).position } : {}) }); // prettier-ignore
      expect([path, answer.status, answer.body.error]).toEqual([path, 200, undefined]);
    }
    expect(said(await titles())).not.toMatch(/Wash and dry the cloth|Cut the|Shrink/);
  });
});

describe('stacks that were put together by hand', () => {
  it('are told apart in the plan, and what the plan gave can be taken back', async () => {
    const project = await newProject('By hand');
    const cloth = await newCloth('Hand linen');
    const own = await collarOf(project.id, cloth.id, { stack: { ...(await chosenStack()), title: 'My own', own: true } });
    const { body: plan } = await post(`/api/projects/${project.id}/plan`, { dropped: [], wanted: [], locked: {} });
    const job = plan.jobs.find(({ id }: { id: string }) => id === own.id);
    expect([job.own, job.now]).toEqual([true, 'My own']);
    const stack = await chosenStack();
    const given = await send('PUT', `/api/projects/${project.id}/stacks`, {
      stacks: [{ jobId: own.id, version: job.version, stack }],
    });
    expect(given.body.jobs[0].stack.title).toBe(stack.title);
    const back = await send('PUT', `/api/projects/${project.id}/stacks`, { stacks: given.body.undo });
    expect(back.body.jobs[0].stack).toMatchObject({ title: 'My own', own: true });
  });

  it.each([
    ['reach of a layer', 'jobs', (job: Record<string, unknown>) => ({ ...job, stack: { ...(job['stack'] as object), layers: [{ ...(job['stack'] as { layers: object[] }).layers[0], extent: 'net' }] } })],
    ['shape of the piece', 'pieces', (piece: Record<string, unknown>) => ({ ...piece, shape: rectangle(300, 55) })],
  ] as const)('a run says so too when the %s was changed', async (_, path, change) => {
    const work = await collarOf((await newProject('Changed')).id, (await newCloth('Changed linen')).id);
    const { body: run } = await send('POST', `/api/jobs/${work.id}/bench`);
    expect(await painted(`/bench/${run.id}`)).not.toContain('changed since this was begun');
    const id = path === 'jobs' ? work.id : (work as unknown as { pieceId: string }).pieceId;
    const { id: _i, projectId: _p, pieceId: _q, cutId: _k, createdAt: _c, updatedAt: _u, ...fields } = (await send('GET', `/api/${path}/${id}`)).body;
    const put = await send('PUT', `/api/${path}/${id}`, change(fields));
    expect([put.status, put.body.error]).toEqual([200, undefined]);
    expect(await painted(`/bench/${run.id}`)).toContain('changed since this was begun');
  }); // prettier-ignore

  it('a run whose job has other layers by now is planned anew', async () => {
    const cloth = await newCloth('Anew linen');
    const work = await collarOf((await newProject('Anew')).id, cloth.id);
    const { body: run } = await send('POST', `/api/jobs/${work.id}/bench`);
    const { id: _i, cutId: _k, createdAt: _c, updatedAt: _u, ...job } = (await send('GET', `/api/jobs/${work.id}`)).body;
    await send('PUT', `/api/jobs/${work.id}`, { ...job, stack: { ...job.stack, title: 'Another title' } });
    expect(await painted(`/bench/${run.id}`)).toContain('changed since this was begun');
    const { body: anew } = await send('POST', `/api/bench/${run.id}/anew`);
    expect(anew.plan.stackTitle).toBe('Another title');
    expect((await send('GET', `/api/bench/${run.id}`)).status).toBe(404);
  });
});

describe('from outside', () => {
  const asked = (path: string) =>
    new Promise<number>((resolve, reject) => {
      const { hostname, port } = new URL(inject('base'));
      const one = request({ host: hostname, port, path }, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      });
      one.on('error', reject);
      one.end();
    });

  it.each([
    '/_image',
    '/%5fimage',
    '/./_image',
    '//_image',
    '/%255fimage',
    '/_IMAGE',
    '/a/../_image',
    '/\\_image',
    '/%2e/_image',
  ])('%s?href=… is not there', async (path) => expect(await asked(`${path}?href=/icon.svg&w=4000&f=png`)).toBe(404));

  it.each([
    ['shape', { shape: { kind: 'constructor' } }],
    ['shape', { shape: { kind: '__proto__' } }],
    ['marks', { marks: [{ kind: 'constructor', at: [0, 0] }] }],
  ])('a %s of a kind that only the language knows is refused', async (field, change) => {
    const project = await newProject('Kinds');
    const { status, body } = await post(`/api/projects/${project.id}/pieces`, { name: 'x', shape: rectangle(100, 100), fold: null, allowances: [5, 5, 5, 5], cuts: [], ...change }); // prettier-ignore
    expect(status).toBe(400);
    expect(body.error.field).toContain(field);
  });

  it('a bundle of a newer version, or of too much, says so in words', async () => {
    const newer = await post('/api/bundle', { format: 'nembrel-bundle', formatVersion: 9 });
    expect(newer.body.error.message).toMatch(/a newer Nembrel wrote this file/);
  });

  it('a backup leaves its triggers and views behind', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'nembrel-backup-test-'));
    try {
      const path = join(folder, 'b.db');
      writeFileSync(path, Buffer.from(await (await fetch(`${inject('base')}/api/backup`)).arrayBuffer()));
      const db = new Database(path);
      db.exec(
        'CREATE TRIGGER evil AFTER INSERT ON project BEGIN DELETE FROM cloth; END; CREATE VIEW peeping AS SELECT * FROM cloth',
      );
      db.close();
      const answer = await fetch(`${inject('base')}/api/backup`, { method: 'POST', body: readFileSync(path) });
      expect(answer.status).toBe(201);
      const before = (await send('GET', '/api/cloths')).body.cloths.length;
      await newProject('After the backup');
      expect((await send('GET', '/api/cloths')).body.cloths).toHaveLength(before);
      writeFileSync(path, Buffer.from(await (await fetch(`${inject('base')}/api/backup`)).arrayBuffer()));
      const again = new Database(path, { readonly: true });
      expect(again.prepare("SELECT name FROM sqlite_master WHERE type IN ('trigger', 'view')").all()).toEqual([]);
      again.close();
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe('while something large is computed', () => {
  /**
   * Asks a light question again and again until something is over. @returns how often it was answered before that.
   * A count and no time: a server that is held answers it once, when the work is done, however fast the machine is.
   */
  async function canary(work: Promise<unknown>): Promise<number> {
    let over = false;
    void work.finally(() => (over = true));
    let answered = 0;
    while (!over) {
      await send('GET', '/api/settings');
      if (!over) answered += 1;
    }
    return answered;
  }
  const star = (corners: number): [number, number][] =>
    Array.from({ length: corners }, (_, i) => {
      const [r, a] = [i % 2 ? 2000 : 1900, (2 * Math.PI * i) / corners];
      return [r * Math.cos(a), r * Math.sin(a)];
    });
  const tasks = Array.from({ length: 300 }, (_, i) => ({ id: `t${i}`, minutes: 1 + (i % 17), uses: ['hands'], after: i % 5 ? [`t${i - 1}`] : [] })); // prettier-ignore

  it.each([
    ['a schedule of 300 tasks', '/api/compute/schedule', { tasks, capacity: { hands: 2 } }],
    ['an inset of 6000 corners', '/api/compute/inset', { outline: star(6000), allowance: 7 }],
    ['iron stops on 4000 corners', '/api/compute/pressplan', { outline: star(4000), plate: { width: 220, height: 110 }, overlap: 15, order: 'one-way', secondsPerStop: 10, moveSeconds: 3 }],
  ])('%s, others are answered', async (_, path, body) => {
    const work = post(path, body);
    const answered = await canary(work);
    expect([200, 400, 413]).toContain((await work).status);
    expect(answered).toBeGreaterThan(1);
  }); // prettier-ignore

  it('a large bundle lets others save in between, and a faulty one changes nothing', async () => {
    const cloths = Array.from({ length: 3000 }, (_, i) => ({ id: `bulk-${i}`, ...FABRIC, name: `Bulk ${i}` }));
    const project = await newProject('Saved meanwhile');
    const faulty = await post('/api/bundle', { format: 'nembrel-bundle', formatVersion: 3, cloths: cloths.slice(0, 50), pieces: [{ id: 'p', projectId: 'nowhere', name: 'x', shape: rectangle(10, 10), allowances: [1, 1, 1, 1] }] }); // prettier-ignore
    expect(faulty.status).toBe(400);
    expect((await send('GET', '/api/cloths/bulk-0')).status).toBe(404);
    let over = false;
    const bringing = post('/api/bundle', { format: 'nembrel-bundle', formatVersion: 3, cloths }).finally(() => (over = true));
    let saved = 0;
    while (!over) {
      const { body } = await send('GET', `/api/projects/${project.id}`);
      const { id: _i, createdAt: _c, updatedAt: _u, ...fields } = body;
      const { status } = await send('PUT', `/api/projects/${project.id}`, { ...fields, note: `note ${saved}` });
      expect([200, 503]).toContain(status);
      if (status === 200) saved += 1;
    }
    expect((await bringing).body.cloths).toBe(3000);
    expect(saved).toBeGreaterThan(0);
    const dropping = Array.from({ length: 3000 }, (_, i) => `bulk-${i}`);
    await post('/api/csv/undo', { kind: 'cloths', ids: dropping });
  });
});
