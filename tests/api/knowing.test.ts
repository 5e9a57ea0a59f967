import { beforeAll, describe, expect, inject, it } from 'vitest';
import { FABRIC, PART, post, addWork, send } from './client';

const base = { fabric: FABRIC, part: PART };

/** Two layers lie in the cupboard, whatever other tests do. */
beforeAll(async () => {
  for (const id of ['light-woven-fusible-45-g', 'medium-non-woven-fusible-50-g']) {
    const {
      id: _id,
      createdAt: _made,
      updatedAt: _changed,
      origin: _origin,
      ...layer
    } = (await send('GET', `/api/layers/${id}`)).body;
    expect((await send('PUT', `/api/layers/${id}`, { ...layer, inStock: true })).status).toBe(200);
  }
});

describe('POST /api/choose with wishes', () => {
  it('takes wishes, weights, schools and pieces, and tells what each stack needs', async () => {
    const { status, body } = await post('/api/choose', {
      ...base,
      limit: 5,
      wishes: { lead: 'cost' },
      weights: { feel: 2, look: 0 },
      schools: { seam: 'net', heat: 'damp' },
      piece: { width: 460, height: 95, count: 4 },
    });
    expect(status).toBe(200);
    expect(body.piece).toEqual({ width: 460, height: 95, count: 4 });
    for (const stack of body.ranked) {
      expect(stack.needs.minutes).toBeGreaterThan(0);
      expect(stack.criteria.find((each: { id: string }) => each.id === 'look').share).toBe(0);
    }
  });

  it('answers the same with and without a cupboard when no cloth of it is named', async () => {
    const plain = await post('/api/choose', { ...base, limit: 3 });
    expect(plain.body.ranked[0].criteria.some(({ id }: { id: string }) => id === 'at-hand')).toBe(false);
    const mine = await post('/api/choose', { ...base, limit: 3, clothId: 'shirting-poplin' });
    expect(mine.body.ranked[0].criteria.some(({ id }: { id: string }) => id === 'at-hand')).toBe(true);
  });

  it('offers only what is in the cupboard when asked', async () => {
    const { body } = await post('/api/choose', { ...base, limit: 200, wishes: { useMine: true } });
    const { layers } = (await send('GET', '/api/layers')).body as { layers: { id: string; inStock: boolean }[] };
    const mine = new Set(layers.filter(({ inStock }) => inStock).map(({ id }) => id));
    expect(body.ranked.length).toBeGreaterThan(0);
    for (const stack of body.ranked) for (const { materialId } of stack.layers) expect(mine.has(materialId)).toBe(true);
  });

  it.each([
    [{ wishes: { lead: 'fastest' } }, 'wishes.lead'],
    [{ wishes: { cheap: true } }, 'wishes.cheap'],
    [{ weights: { feel: 9 } }, 'weights.feel'],
    [{ weights: { taste: 1 } }, 'weights.taste'],
    [{ schools: { seam: 'glue' } }, 'schools.seam'],
    [{ piece: { width: 0, height: 10, count: 1 } }, 'piece.width'],
    [{ piece: { width: 10, height: 10, count: 1.5 } }, 'piece.count'],
  ])('refuses %j naming %s', async (more, field) => {
    const { status, body } = await post('/api/choose', { ...base, ...more });
    expect(status).toBe(400);
    expect(body.error.field).toBe(field);
  });
});

describe('what if and sensitivity', () => {
  it('tell how a stack would stand, and what to measure', async () => {
    const { body: choice } = await post('/api/choose', { ...base, limit: 1 });
    const { body } = await post('/api/choose/what-if', { ...base, stackId: choice.ranked[0].id });
    const hotter = body.changes.find(({ id }: { id: string }) => id === 'hotter');
    expect(hotter.change).toBe('it is washed hot');
    const anew = await post('/api/choose', { ...base, part: { ...PART, care: 'wash-hot' }, limit: 1 });
    expect(hotter.best.id).toBe(anew.body.ranked[0].id);
    const sure = await post('/api/choose/sensitivity', base);
    expect(sure.status).toBe(200);
    for (const { chance } of sure.body.properties) expect(chance > 0 && chance <= 1).toBe(true);
    expect((await post('/api/choose/what-if', base)).body.error.field).toBe('stackId');
  });
});

describe('POST /api/compute/identify', () => {
  it('narrows and asks on', async () => {
    const start = await post('/api/compute/identify', { answers: {} });
    const next = await post('/api/compute/identify', { answers: { surface: 'pile' } });
    expect(next.body.entropy).toBeLessThan(start.body.entropy);
    expect(next.body.likely[0].name).toMatch(/velvet|corduroy/i);
  });
  it.each([[{}], [{ answers: [] }], [{ answers: { surface: 3 } }], [{ answers: { nose: 'wet' } }]])(
    'refuses %j',
    async (body) => {
      const answer = await post('/api/compute/identify', body);
      expect(answer.status).toBe(400);
      expect(answer.body.error.field).toContain('answers');
    },
  );
});

describe('tests of a cloth', () => {
  const put = (id: string, test: string, body: unknown) => send('PUT', `/api/cloths/${id}/tests/${test}`, body);
  const newCloth = async () =>
    (await post('/api/cloths', { ...FABRIC, name: 'Test cloth' })).body as { id: string; version: number };

  it('keep the readings, set the figure, count for the choice, and can be taken back', async () => {
    const cloth = await newCloth();
    const readings = { way: 'jig', 'length-up1': 50, 'length-up2': 52, 'cross-up1': 44 };
    const saved = await put(cloth.id, 'overhang', { readings, doneOn: '2026-05-02', version: cloth.version });
    expect(saved.status).toBe(200);
    expect(saved.body.tests.overhang).toEqual({ readings, doneOn: '2026-05-02' });
    expect(saved.body.overhang).toBeGreaterThan(44);
    const back = await put(cloth.id, 'overhang', { readings: null, doneOn: '2026-05-03', version: saved.body.version });
    expect(back.body.tests).toEqual({});
    expect(back.body).not.toHaveProperty('overhang');
  });

  it('a stale save is refused with the row as it is now', async () => {
    const cloth = await newCloth();
    const body = { readings: { dots: '2' }, doneOn: '2026-05-02', version: cloth.version };
    expect((await put(cloth.id, 'heat', body)).status).toBe(200);
    const stale = await put(cloth.id, 'heat', { ...body, readings: { dots: '1' } });
    expect(stale.status).toBe(409);
    expect(stale.body.current.ironDots).toBe(2);
  });

  it('a figure that is changed by hand ends its test; others stay', async () => {
    const cloth = await newCloth();
    const one = await put(cloth.id, 'heat', { readings: { dots: '2' }, doneOn: '2026-05-02', version: cloth.version });
    const two = await put(cloth.id, 'shrinkage', {
      readings: { mark: 200, length: 190, finish: 'same' },
      doneOn: '2026-05-02',
      version: one.body.version,
    });
    expect(two.body.shrinkLength).toBeCloseTo(5, 6);
    const { body } = await send('PUT', `/api/cloths/${cloth.id}`, {
      ...FABRIC,
      name: 'Test cloth',
      ironDots: 3,
      version: two.body.version,
    });
    expect(Object.keys(body.tests)).toEqual(['shrinkage']);
    expect(body.shrinkLength).toBeCloseTo(5, 6);
  });

  it.each([
    ['heat', { readings: { dots: '9' } }, 'dots'],
    ['weight', { readings: { mass: 2, width: 100, height: 100 } }, 'pieces'],
    ['weight', { readings: { mass: 'two' } }, 'mass'],
    ['weight', { readings: { mass: 2, width: 100, height: 100, pieces: 1, colour: 'blue' } }, 'colour'],
    ['weight', { readings: [1, 2] }, 'readings'],
    ['weight', { readings: {}, doneOn: 'yesterday' }, 'doneOn'],
  ])('%s refuses %j naming %s', async (test, body, field) => {
    const cloth = await newCloth();
    const answer = await put(cloth.id, test, { doneOn: '2026-05-02', version: cloth.version, ...body });
    expect(answer.status).toBe(400);
    expect(answer.body.error.field).toBe(field);
  });

  it('an unknown test or cloth is 404', async () => {
    const cloth = await newCloth();
    expect((await put(cloth.id, 'taste', { readings: {}, doneOn: '2026-05-02', version: 1 })).status).toBe(404);
    expect((await put('nobody', 'heat', { readings: { dots: '1' }, doneOn: '2026-05-02', version: 1 })).status).toBe(404);
  });
});

describe('tables in and out', () => {
  const count = async () => ((await send('GET', '/api/cloths')).body as { cloths: unknown[] }).cloths.length;

  it('previews without keeping, refuses a faulty table whole, takes the sound rows when told', async () => {
    const text = 'name;weight;iron dots\nHarbour ticking;210;3\nNo weight;;2\nQuay gingham;120;3';
    const before = await count();
    const preview = await post('/api/csv/preview', { kind: 'cloths', text });
    expect(preview.body).toMatchObject({ sound: 2, faulty: 1, mapping: { name: 'name', arealDensity: 'weight' } });
    expect(preview.body.rows[0]).toMatchObject({ row: 3, faults: [{ field: 'arealDensity', message: 'is missing' }] });
    const refused = await post('/api/csv/import', { kind: 'cloths', text });
    expect(refused.status).toBe(400);
    expect(refused.body.error.message).toContain('line 3');
    expect(await count()).toBe(before);
    const taken = await post('/api/csv/import', { kind: 'cloths', text, skipFaulty: true });
    expect(taken.status).toBe(201);
    expect(taken.body).toMatchObject({ added: 2, leftOut: 1, sameName: 0 });
    expect(await count()).toBe(before + 2);
    const again = await post('/api/csv/import', { kind: 'cloths', text, skipFaulty: true, skipSameName: true });
    expect(again.body).toEqual({ added: 0, leftOut: 1, sameName: 2, ids: [] });
    const undone = await post('/api/csv/undo', { kind: 'cloths', ids: taken.body.ids });
    expect(undone.body).toEqual({ removed: 2 });
    expect(await count()).toBe(before);
    expect((await post('/api/csv/undo', { kind: 'cloths', ids: ['nobody'] })).status).toBe(404);
  });

  it('what is saved as a table can be brought in again without a fault', async () => {
    for (const kind of ['cloths', 'layers']) {
      const response = await fetch(`${inject('base')}/api/export/${kind}.csv`);
      expect(response.headers.get('content-type')).toContain('text/csv');
      expect(response.headers.get('content-disposition')).toContain(`${kind}.csv`);
      const preview = await post('/api/csv/preview', { kind, text: await response.text() });
      expect(preview.body.faulty).toBe(0);
      expect(preview.body.sound).toBeGreaterThan(60);
    }
  });

  it.each([
    [{ kind: 'hats', text: 'a' }, 'kind'],
    [{ kind: 'cloths' }, 'text'],
    [{ kind: 'cloths', text: 'name,weight' }, 'text'],
    [{ kind: 'cloths', text: 'a,b\n1,2', mapping: { name: 'c' } }, 'mapping.name'],
    [{ kind: 'cloths', text: 'a,b\n1,2', mapping: ['a'] }, 'mapping'],
  ])('refuses %j naming %s', async (body, field) => {
    const answer = await post('/api/csv/preview', body);
    expect(answer.status).toBe(400);
    expect(answer.body.error.field).toBe(field);
  });

  it('an unknown table is 404, a table too large is refused', async () => {
    expect((await send('GET', '/api/export/hats.csv')).status).toBe(404);
    const huge = await post('/api/csv/preview', { kind: 'cloths', text: `name,weight\n${'x,100\n'.repeat(900_000)}` });
    expect(huge.status).toBe(400);
    expect(huge.body.error.field).toBe('text');
  });
});

describe('prints', () => {
  it.each(['jig', 'swatch', 'gauge'])('%s comes as a PDF for both papers', async (sheet) => {
    for (const paper of ['a4', 'letter']) {
      const response = await fetch(`${inject('base')}/api/prints/${sheet}.pdf?paper=${paper}`);
      expect(response.status).toBe(200);
      expect(response.headers.get('content-type')).toBe('application/pdf');
      expect(
        Buffer.from(await response.arrayBuffer())
          .subarray(0, 5)
          .toString(),
      ).toBe('%PDF-');
    }
  });
  it('unknown sheets and papers are told apart', async () => {
    expect((await send('GET', '/api/prints/tent.pdf')).status).toBe(404);
    expect((await send('GET', '/api/prints/jig.pdf?paper=a0')).body.error.field).toBe('paper');
  });
});

describe('scrap tests', () => {
  const reading = { overhangBefore: 44, overhangAfter: 70, peel: 5, feel: 'crisp' };

  /** A part with its own cloth and a stack, so that nothing else was filed about the pair. */
  async function newPart() {
    const cloth = (await post('/api/cloths', { ...FABRIC, name: 'Scrap cloth' })).body as { id: string };
    const project = (await post('/api/projects', { name: 'Scrap project' })).body as { id: string };
    const { body: choice } = await post('/api/choose', { fabric: FABRIC, part: PART, limit: 60, clothId: cloth.id });
    const stack = choice.ranked.find(
      ({ layers }: { layers: { form: string }[] }) => layers.length === 1 && layers[0]!.form === 'fusible',
    );
    const part = await addWork(project.id, {
      name: 'Scrap collar',
      clothId: cloth.id,
      wish: PART,
      shape: { kind: 'rectangle', width: 400, height: 90, corners: [false, false, false, false], corner: 0 },
      allowances: [10, 10, 10, 10],
      fold: null,
      count: 2,
      stack: {
        title: stack.title,
        layers: stack.layers.map(({ materialId, extent, angle }: Record<string, unknown>) => ({ materialId, extent, angle })),
        predicted: stack.predicted,
        reasons: stack.reasons,
        cautions: stack.cautions,
      },
    });
    expect(part.status).toBe(201);
    return { cloth, part: part.body as { id: string }, stack };
  }

  it('plan, readings, the setting that is taken, the next choice, the wash', async () => {
    const { cloth, part, stack } = await newPart();
    const started = await post(`/api/jobs/${part.id}/scraps`, { grid: 'full' });
    expect(started.status).toBe(201);
    const scrap = started.body;
    expect(scrap.plan.cells.length).toBeGreaterThanOrEqual(6);
    const first = scrap.plan.cells[0].name;
    const good = scrap.plan.cells[4].name;
    const one = await send('PUT', `/api/scraps/${scrap.id}/cell`, {
      cell: first,
      reading: { ...reading, peel: 1 },
      version: scrap.version,
    });
    expect(one.status).toBe(200);
    const two = await send('PUT', `/api/scraps/${scrap.id}/cell`, { cell: good, reading, version: one.body.version });
    const filed = await send('PUT', `/api/scraps/${scrap.id}/file`, {
      chosen: good,
      doneOn: '2026-05-02',
      washDue: '2026-05-09',
      version: two.body.version,
    });
    expect(filed.body).toMatchObject({ chosen: good, filedOn: '2026-05-02', washDue: '2026-05-09', wash: null });

    // The part keeps the setting, and the bench uses it.
    const kept = (await send('GET', `/api/jobs/${part.id}`)).body;
    expect(kept.stack.setting).toEqual({ ...scrap.plan.cells[4].setting, materialId: stack.layers[0].materialId });
    const bench = (await send('POST', `/api/jobs/${part.id}/bench`)).body;
    expect(bench.plan.steps.find(({ kind }: { kind: string }) => kind === 'press').seconds).toBe(
      scrap.plan.cells[4].setting.seconds,
    );

    // The next answer knows of it.
    const { body: next } = await post('/api/choose', { fabric: FABRIC, part: PART, limit: 60, clothId: cloth.id });
    const again = next.ranked.find(({ id }: { id: string }) => id === stack.id);
    expect(again.memory).toMatchObject({ readings: 1, tried: 1 });
    expect(again.memory.share).toBeGreaterThan(0.2);
    expect(Math.abs(again.predicted.bendingLength - 35)).toBeLessThan(Math.abs(stack.predicted.bendingLength - 35));

    // What is filed stays as it was: neither filed twice nor read anew.
    const twice = await send('PUT', `/api/scraps/${scrap.id}/file`, {
      chosen: good,
      doneOn: '2026-05-03',
      version: filed.body.version,
    });
    expect([twice.status, twice.body.error.field]).toEqual([400, 'scrap']);
    const late = await send('PUT', `/api/scraps/${scrap.id}/cell`, { cell: good, reading, version: filed.body.version });
    expect([late.status, late.body.error.field]).toEqual([400, 'scrap']);

    const washed = await send('PUT', `/api/scraps/${scrap.id}/wash`, {
      doneOn: '2026-05-10',
      outcome: 'poor',
      bubbles: 'much',
      note: 'Puckered.',
      version: filed.body.version,
    });
    expect(washed.body.wash).toMatchObject({ outcome: 'poor', bubbles: 'much' });
    const rewashed = await send('PUT', `/api/scraps/${scrap.id}/wash`, {
      doneOn: '2026-05-11',
      outcome: 'good',
      version: washed.body.version,
    });
    expect([rewashed.status, rewashed.body.error.field]).toEqual([400, 'scrap']);
    const { log } = (await send('GET', '/api/log')).body as { log: { jobId: string; title: string }[] };
    expect(log.filter(({ jobId }) => jobId === part.id).map(({ title }) => title)).toEqual([
      'Scrap collar, scrap after the wash',
      `Scrap collar, scrap ${good}`,
    ]);
  });

  it('the bench of a scrap presses every field and leaves the part’s own run alone', async () => {
    const { part } = await newPart();
    const { body: scrap } = await post(`/api/jobs/${part.id}/scraps`, { grid: 'seconds' });
    const own = (await send('POST', `/api/jobs/${part.id}/bench`)).body;
    const bench = (await send('POST', `/api/scraps/${scrap.id}/bench`)).body;
    expect(bench.scrapId).toBe(scrap.id);
    expect(bench.id).not.toBe(own.id);
    const presses = bench.plan.steps.filter(({ kind }: { kind: string }) => kind === 'press');
    expect(presses).toHaveLength(3);
    // One stop each, on a piece of its own, so that the drawing and the counter are right.
    expect(presses.map(({ stops }: { stops: { x: number }[] }) => stops.map(({ x }) => x))).toEqual([[0], [50], [100]]);
    expect((await send('POST', `/api/scraps/${scrap.id}/bench`)).body.id).toBe(bench.id);
    expect((await send('POST', `/api/jobs/${part.id}/bench`)).body.id).toBe(own.id);
    const card = await fetch(`${inject('base')}/api/scraps/${scrap.id}/card.pdf`);
    expect(card.headers.get('content-type')).toBe('application/pdf');
  });

  it('refuses what cannot be, and keeps nothing of it', async () => {
    const { part } = await newPart();
    const { body: scrap } = await post(`/api/jobs/${part.id}/scraps`, { grid: 'one' });
    const cell = (body: unknown) => send('PUT', `/api/scraps/${scrap.id}/cell`, body);
    expect((await cell({ cell: 'C9', reading, version: 1 })).body.error.field).toBe('cell');
    expect((await cell({ cell: 'A1', reading: { ...reading, peel: 6 }, version: 1 })).body.error.field).toBe('reading.peel');
    expect((await cell({ cell: 'A1', reading: { ...reading, feel: 'nice' }, version: 1 })).body.error.field).toBe('reading.feel');
    expect((await cell({ cell: 'A1', reading, version: 7 })).status).toBe(409);
    const file = (body: object) => send('PUT', `/api/scraps/${scrap.id}/file`, { doneOn: '2026-05-02', version: 1, ...body });
    expect((await file({ chosen: 'A1' })).body.error.field).toBe('chosen');
    const wash = await send('PUT', `/api/scraps/${scrap.id}/wash`, { doneOn: '2026-05-02', outcome: 'good', version: 1 });
    expect(wash.body.error.field).toBe('scrap');
    expect((await send('GET', `/api/scraps/${scrap.id}`)).body).toMatchObject({ readings: {}, filedOn: null, version: 1 });
    expect((await post(`/api/jobs/${part.id}/scraps`, { grid: 'huge' })).body.error.field).toBe('grid');
  });

  it('a part without layers cannot be tried yet', async () => {
    const project = (await post('/api/projects', { name: 'Bare project' })).body as { id: string };
    const part = (
      await addWork(project.id, {
        name: 'Bare',
        clothId: 'shirting-poplin',
        wish: PART,
        shape: { kind: 'rectangle', width: 400, height: 90, corners: [false, false, false, false], corner: 0 },
        allowances: [10, 10, 10, 10],
        fold: null,
        count: 2,
      })
    ).body as { id: string };
    const { body } = await post(`/api/jobs/${part.id}/scraps`, { grid: 'one' });
    expect(body.error.field).toBe('stack');
  });

  it('is deleted and taken back', async () => {
    const { part } = await newPart();
    const { body: scrap } = await post(`/api/jobs/${part.id}/scraps`, { grid: 'one' });
    expect((await send('DELETE', `/api/scraps/${scrap.id}`)).status).toBe(200);
    expect((await send('GET', `/api/scraps/${scrap.id}`)).status).toBe(404);
    expect((await send('POST', `/api/scraps/${scrap.id}/restore`)).body.id).toBe(scrap.id);
  });
});

describe('tests of a layer', () => {
  const put = (id: string, test: string, body: unknown) => send('PUT', `/api/layers/${id}/tests/${test}`, body);
  const bought = async () =>
    (await post('/api/layers/bought', { name: 'Market roll', family: 'nonwoven', arealDensity: 40 })).body as {
      id: string;
      version: number;
      thickness: number;
      bendingLength: number;
    };

  it('a new weight moves what is only estimated, and a measured figure stays', async () => {
    const layer = await bought();
    const measured = await put(layer.id, 'thickness', {
      ...{ readings: { layers: 8, height: 4 }, doneOn: '2026-05-02', version: layer.version },
    });
    expect(measured.status).toBe(200);
    expect(measured.body.thickness).toBeCloseTo(0.5, 9);
    expect(measured.body.estimated).not.toContain('thickness');
    const weighed = await put(layer.id, 'weight', {
      ...{ readings: { mass: 8, width: 100, height: 100, pieces: 10 }, doneOn: '2026-05-02', version: measured.body.version },
    });
    expect(weighed.body.arealDensity).toBeCloseTo(80, 6);
    expect(weighed.body.bendingLength).toBeGreaterThan(layer.bendingLength);
    expect(weighed.body.thickness).toBeCloseTo(0.5, 9);
    const back = await put(layer.id, 'thickness', { readings: null, doneOn: '2026-05-03', version: weighed.body.version });
    expect(back.body.thickness).not.toBeCloseTo(0.5, 6);
    expect(back.body.estimated).toContain('thickness');
    expect(Object.keys(back.body.tests)).toEqual(['weight']);
  });

  it('are refused by name, kept through other changes, and gone when their figure is', async () => {
    const layer = await bought();
    const doneOn = '2026-05-02';
    expect((await put(layer.id, 'sniff', { readings: {}, doneOn, version: layer.version })).status).toBe(404);
    const wrong = await put(layer.id, 'heat', { readings: { dots: '7' }, doneOn, version: layer.version });
    expect([wrong.status, wrong.body.error.field]).toEqual([400, 'dots']);
    const saved = await put(layer.id, 'heat', { readings: { dots: '1' }, doneOn, version: layer.version });
    expect(saved.body.leaflet.ironDots).toBe(1);
    const { id, version, origin: _o, tests: _t, createdAt: _c, updatedAt: _u, ...fields } = saved.body;
    const noted = await send('PUT', `/api/layers/${id}`, {
      ...fields,
      note: 'nice',
      fibres: [{ fibre: 'viscose', percent: 100 }],
      version,
    });
    expect(noted.status).toBe(200);
    expect(Object.keys(noted.body.tests)).toEqual(['heat']);
    expect(noted.body.fibres).toEqual([{ fibre: 'viscose', percent: 100 }]);
    const changed = await send('PUT', `/api/layers/${id}`, {
      ...fields,
      leaflet: { ...fields.leaflet, ironDots: 3 },
      version: noted.body.version,
    });
    expect(changed.body.tests).toEqual({});
  });

  it('a layer without a label is told by looks', async () => {
    const { body } = await post('/api/compute/identify', { kind: 'layer', answers: { look: 'loops', glue: 'dots' } });
    expect(body.likely[0].name).toMatch(/tricot|knit|stretch/i);
  });
});
