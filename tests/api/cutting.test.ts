import { describe, expect, inject, it } from 'vitest';
import { readCodes } from '../files/pdf-codes';
import { BUY, fingerprint, shoppingQuestion, tableList, type TableMaterial } from '../../src/core/cutlist';
import { tablePlans } from '../../src/core/cutplan';
import type { WaitingHere } from '../../src/server/leftover-fits';
import { cutPieceOf } from '../../src/core/workpiece';
import { drawShape, type PieceShape } from '../../src/core/shape';
import { lengthOf, linesOf } from '../files/pdf-lines';
import { addWork, FABRIC, post, send } from './client';
import { pieceOf } from './samples';

const RECTANGLE = (width: number, height: number) => ({
  kind: 'rectangle',
  width,
  height,
  corners: [false, false, false, false],
  corner: 0,
});
const WISH = { role: 'tab', cut: 'straight', stretch: 'any', care: 'wash-warm' };

const OPTIONS = {
  method: 'cut-first',
  glueUp: false,
  gap: 0,
  margin: 0,
  squaring: 20,
  folded: false,
  shrink: false,
  rollWidth: null,
  stockIds: [] as string[],
  seconds: 1,
  seed: 1,
};

/** A cloth, a project with one part of it, and a roll of it. */
async function scene(count = 1) {
  const cloth = (await post('/api/cloths', { name: 'Table linen', ...FABRIC, rollWidth: 1400 })).body as { id: string };
  const project = (await post('/api/projects', { name: 'Table runners' })).body as { id: string };
  const part = (
    await addWork(project.id, {
      name: 'Runner end',
      clothId: cloth.id,
      wish: WISH,
      shape: RECTANGLE(200, 100),
      allowances: [0, 0, 0, 0],
      fold: null,
      count,
    })
  ).body as { id: string; cutId: string; pieceId: string };
  const roll = (
    await post('/api/stock', { kind: 'roll', ofKind: 'cloth', ofId: cloth.id, width: 1400, length: 3000, place: 'shelf' })
  ).body as { id: string };
  return { cloth, project, part, roll };
}
type Scene = Awaited<ReturnType<typeof scene>>;

const tableOf = ({ cloth, part, roll }: Scene, changes: object = {}) => ({
  ofKind: 'cloth',
  ofId: cloth.id,
  options: { ...OPTIONS, stockIds: [roll.id] },
  laid: [
    {
      sourceId: roll.id,
      placements: [{ id: `${part.cutId}/cloth/0`, copy: 0, rotation: 0, flipped: false, x: 0, y: 0 }],
      length: 100,
      density: 0.14,
    },
  ],
  locked: [],
  fingerprint: 'as it was laid',
  workIds: [part.cutId],
  ...changes,
});
const LEFTOVER = { outline: [[200, 0], [1400, 0], [1400, 100], [200, 100]], place: 'box' }; // prettier-ignore

describe('rolls, sheets and leftovers', () => {
  it('are kept, changed, thrown away and brought back', async () => {
    const { roll, cloth } = await scene();
    const changed = await send('PUT', `/api/stock/${roll.id}`, {
      ...{ kind: 'roll', ofKind: 'cloth', ofId: cloth.id, width: 1400, length: 2500 },
      version: 1,
    });
    expect(changed.body).toMatchObject({ length: 2500, version: 2 });
    expect((await send('DELETE', `/api/stock/${roll.id}`)).status).toBe(200);
    expect((await send('GET', `/api/stock/${roll.id}`)).status).toBe(404);
    expect((await send('POST', `/api/stock/${roll.id}/restore`)).body.length).toBe(2500);
  });

  const square = [[0, 0], [50, 0], [50, 50], [0, 50]]; // prettier-ignore
  it.each([
    ['ofId', { kind: 'roll', ofId: 'nowhere', width: 900, length: 100 }],
    ['width', { kind: 'roll', width: 0, length: 100 }],
    ['outline', { kind: 'roll', width: 50, length: 50, outline: square }],
    ['outline', { kind: 'leftover', width: 50, length: 90, outline: square }],
    ['spots', { kind: 'roll', width: 50, length: 50, spots: [square] }],
    ['spots[1]', { kind: 'leftover', width: 50, length: 90, spots: [square, square.map(([x, y]) => [x! + 60, y])] }],
    ['spots[0]', { kind: 'leftover', width: 50, length: 90, spots: [[[0, 0], [10, 10], [10, 0], [0, 10]]] }], // prettier-ignore
    ['kind', { kind: 'bolt', width: 50, length: 90 }],
  ])('refuse a wrong %s', async (field, wrong) => {
    const { cloth } = await scene();
    const { status, body } = await post('/api/stock', { ofKind: 'cloth', ofId: cloth.id, ...wrong });
    expect([status, body.error.field]).toEqual([400, field]);
  });
});

describe('a leftover with a hole', () => {
  const hole = [[700, 40], [740, 40], [740, 80], [700, 80]]; // prettier-ignore
  it('keeps it, lays nothing on it, and what is left of the leftover has it still', async () => {
    const it = await scene();
    const { body: kept } = await post('/api/stock', {
      ...{ kind: 'leftover', ofKind: 'cloth', ofId: it.cloth.id, width: 1400, length: 300, spots: [hole] },
    });
    expect(kept.spots).toEqual([hole]);
    const onIt = (x: number, y: number) =>
      tableOf(it, {
        options: { ...OPTIONS, stockIds: [kept.id] },
        laid: [
          {
            ...{ sourceId: kept.id, length: 100, density: 0.14 },
            placements: [{ id: `${it.part.cutId}/cloth/0`, copy: 0, rotation: 0, flipped: false, x, y }],
          },
        ],
      });
    const cut = { doneOn: '2026-10-04', keep: [] as object[] };
    const { body: table } = await post(`/api/projects/${it.project.id}/tables`, onIt(620, 10));
    const spoilt = await post(`/api/tables/${table.id}/done`, { ...cut, version: table.version });
    expect([spoilt.status, spoilt.body.error.message]).toEqual([400, expect.stringMatching(/over a spot that may not be used/)]);
    const { body: moved } = await send('PUT', `/api/tables/${table.id}`, { ...onIt(0, 0), version: table.version });
    const outline = [[600, 0], [1400, 0], [1400, 300], [600, 300]]; // prettier-ignore
    const done = await post(`/api/tables/${table.id}/done`, {
      ...{ ...cut, version: moved.version },
      keep: [{ outline, spots: [hole, hole.map(([x, y]) => [x! - 300, y])], place: 'box' }],
    });
    const left = (await send('GET', `/api/stock/${done.body.done.keptIds[0]}`)).body;
    // The second spot lay on what was cut away.
    expect(left.spots).toHaveLength(1);
    expect(left.spots[0].map(([x, y]: [number, number]) => [x, y]).sort()).toEqual(
      [[100, 40], [140, 40], [140, 80], [100, 80]].sort(),
    ); // prettier-ignore
  });
});

describe('cutting tables', () => {
  it('go the whole way: laid, cut, the roll drawn down, a leftover put away, all of it taken back', async () => {
    const it = await scene();
    const table = (await post(`/api/projects/${it.project.id}/tables`, tableOf(it))).body;
    const length = async () => (await send('GET', `/api/stock/${it.roll.id}`)).body.length as number;

    const done = await post(`/api/tables/${table.id}/done`, { doneOn: '2026-10-04', keep: [LEFTOVER], version: table.version });
    expect(done.body.done).toMatchObject({ doneOn: '2026-10-04', drawn: [{ stockId: it.roll.id, length: 120 }] });
    expect(await length()).toBe(2880);
    const kept = (await send('GET', `/api/stock/${done.body.done.keptIds[0]}`)).body;
    expect(kept).toMatchObject({ kind: 'leftover', width: 1200, length: 100, place: 'box', usedBy: null });
    // Kept where it lies on its own, not where it lay on the roll.
    expect(kept.outline[0]).toEqual([0, 0]);

    const again = await post(`/api/tables/${table.id}/done`, { doneOn: '2026-10-04', keep: [], version: done.body.version });
    expect([again.status, again.body.error.field]).toEqual([400, 'version']);
    const back = await post(`/api/tables/${table.id}/undo`, { version: done.body.version });
    expect(back.body.done).toBeNull();
    expect(await length()).toBe(3000);
    expect((await send('GET', `/api/stock/${kept.id}`)).status).toBe(404);
  });

  it('use a leftover up, after which neither a second table nor an undo can touch it', async () => {
    const it = await scene(2);
    const first = (await post(`/api/projects/${it.project.id}/tables`, tableOf(it))).body;
    const done = (await post(`/api/tables/${first.id}/done`, { doneOn: '2026-10-04', keep: [LEFTOVER], version: 1 })).body;
    const [leftoverId] = done.done.keptIds as [string];
    const from = (projectId: string) =>
      post(`/api/projects/${projectId}/tables`, {
        ...tableOf(it, { options: { ...OPTIONS, stockIds: [leftoverId] } }),
        laid: [{ sourceId: leftoverId, placements: [], length: 90, density: 0 }],
      });
    const other = (await post('/api/projects', { name: 'Other runners' })).body as { id: string };
    const second = (await from(it.project.id)).body;
    const third = (await from(other.id)).body;
    expect((await post(`/api/tables/${second.id}/done`, { doneOn: '2026-10-05', keep: [], version: 1 })).status).toBe(200);
    const late = await post(`/api/tables/${third.id}/done`, { doneOn: '2026-10-05', keep: [], version: 1 });
    expect([late.status, late.body.error.field]).toEqual([400, 'options.stockIds']);
    expect((await send('GET', `/api/tables/${third.id}`)).body.done).toBeNull();
    const undo = await post(`/api/tables/${first.id}/undo`, { version: done.version });
    expect([undo.status, undo.body.error.field]).toEqual([400, 'done']);
    // Refused as a whole: the roll is as it was after the cut.
    expect((await send('GET', `/api/stock/${it.roll.id}`)).body.length).toBe(2880);
  });

  it('refuse a stale save and a stale cut, and show what is kept', async () => {
    const it = await scene();
    const table = (await post(`/api/projects/${it.project.id}/tables`, tableOf(it))).body;
    const saved = await send('PUT', `/api/tables/${table.id}`, { ...tableOf(it, { locked: ['x'] }), version: 1 });
    expect(saved.body.version).toBe(2);
    const stale = await send('PUT', `/api/tables/${table.id}`, { ...tableOf(it), version: 1 });
    expect([stale.status, stale.body.current.locked]).toEqual([409, ['x']]);
    const cut = await post(`/api/tables/${table.id}/done`, { doneOn: '2026-10-04', keep: [], version: 1 });
    expect([cut.status, cut.body.current.version]).toEqual([409, 2]);
    expect((await send('GET', `/api/stock/${it.roll.id}`)).body.length).toBe(3000);
  });

  it('give the open one to whoever starts a second of the same cloth', async () => {
    const it = await scene();
    const first = (await post(`/api/projects/${it.project.id}/tables`, tableOf(it))).body;
    const second = (await post(`/api/projects/${it.project.id}/tables`, tableOf(it))).body;
    expect(second.id).toBe(first.id);
  });

  it('name what is wrong with them', async () => {
    const it = await scene();
    const send = async (changes: object) => {
      const { status, body } = await post(`/api/projects/${it.project.id}/tables`, tableOf(it, changes));
      return [status, body.error.field];
    };
    expect(await send({ options: { ...OPTIONS, stockIds: ['nowhere'] } })).toEqual([400, 'options.stockIds[0]']);
    expect(await send({ options: { ...OPTIONS, gap: -1 } })).toEqual([400, 'options.gap']);
    expect(await send({ ofId: 'nowhere' })).toEqual([400, 'ofId']);
    expect(await send({ extra: 1 })).toEqual([400, 'extra']);
  });
});

interface Read {
  pieces: { name: string; shape: PieceShape }[];
  warnings: { message: string }[];
  error: { message: string; field: string };
}

/** Sends the bytes of a drawing. */
async function outlinesOf(body: string | Uint8Array): Promise<{ status: number; body: Read }> {
  const response = await fetch(`${inject('base')}/api/outlines`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: body as BodyInit,
  });
  return { status: response.status, body: (await response.json()) as Read };
}
const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">${inside}</svg>`; // prettier-ignore

describe('drawings', () => {
  it('give their pieces in millimetres', async () => {
    const { status, body } = await outlinesOf(svg('<rect id="Tab" width="60" height="20"/>'));
    expect(status).toBe(200);
    expect(body.pieces).toHaveLength(1);
    expect(body.pieces[0]!.name).toBe('Tab');
  });

  const bomb = `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">${Array.from({ length: 9 }, (_, i) => `<!ENTITY a${i + 1} "${`&a${i || ''};`.repeat(10)}">`).join('')}]>`;
  it.each([
    ['nothing at all', ''],
    ['noise', new Uint8Array(2000).map((_, i) => (i * 7919) % 256)],
    ['an SVG that ends early', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0L10'],
    ['an entity bomb', `${bomb}${svg('<text>&a9;</text>')}`],
    ['a DXF that ends early', '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n4\n10\n0'],
  ])('answer %s clearly', async (_, file) => {
    const { status, body } = await outlinesOf(file);
    expect(status).toBe(400);
    expect(body.error.message).not.toMatch(/Error:|undefined| at /);
    expect(body.error.message.length).toBeGreaterThan(10);
  });

  it.each([
    ['coordinates that are no numbers', svg('<path d="M0 0 L NaN 10 L 10 10 Z"/>')],
    ['a line without area', svg('<path d="M0 0L10 0L20 0Z"/>')],
  ])('with %s have no pieces, and say why', async (_, file) => {
    const { status, body } = await outlinesOf(file);
    expect([status, body.pieces]).toEqual([200, []]);
    expect(body.warnings[0]!.message.length).toBeGreaterThan(10);
  });

  it('take no script along', async () => {
    const { status, body } = await outlinesOf(
      svg('<script>alert(1)</script><rect id="&lt;img onerror=x&gt;" onclick="x()" width="60" height="20"/>'),
    );
    expect(status).toBe(200);
    expect(JSON.stringify(body)).not.toMatch(/alert|onclick|script/);
  });

  it('of fifty megabytes are refused', async () => {
    expect((await outlinesOf(new Uint8Array(50 * 1024 * 1024))).status).toBe(413);
  });

  it('bring several pieces into a project at once, or none', async () => {
    const { project, cloth } = await scene();
    const piece = (name: string, width: number) =>
      pieceOf({
        ...{ name, clothId: cloth.id, wish: WISH, shape: RECTANGLE(width, 50) },
        ...{ allowances: [5, 5, 5, 5], fold: null, count: 1 },
      });
    const many = (pieces: object[]) => post(`/api/projects/${project.id}/pieces/many`, { pieces });
    const count = async () => (await send('GET', `/api/projects/${project.id}/pieces`)).body.pieces.length as number;
    const bad = await many([piece('Good', 90), piece('Bad', -1)]);
    expect([bad.status, bad.body.error.field]).toEqual([400, 'pieces[1].shape.width']);
    expect(await count()).toBe(1);
    expect((await many([piece('Left', 90), piece('Right', 90)])).status).toBe(201);
    expect(await count()).toBe(3);
  });
});

describe('files', () => {
  const file = async (path: string) => {
    const response = await fetch(inject('base') + path);
    return {
      status: response.status,
      type: response.headers.get('content-type'),
      bytes: new Uint8Array(await response.arrayBuffer()),
    };
  };

  it('of a piece can be brought in again without loss', async () => {
    const { part } = await scene();
    for (const kind of ['svg', 'dxf'] as const) {
      const { status, bytes } = await file(`/api/cuts/${part.cutId}/files/piece.${kind}`);
      expect(status).toBe(200);
      const { body } = await outlinesOf(bytes);
      const [x, y] = [0, 1].map((axis) => {
        const along = drawShape(body.pieces[0]!.shape).outline.map((point) => point[axis]!);
        return Math.max(...along) - Math.min(...along);
      });
      expect(Math.abs(x! - 200)).toBeLessThan(0.01);
      expect(Math.abs(y! - 100)).toBeLessThan(0.01);
    }
  });

  it('of a piece at full size carry a square of 50 mm', async () => {
    const { part, project } = await scene();
    for (const paper of ['a4', 'letter', 'a3']) {
      const { type, bytes } = await file(`/api/cuts/${part.cutId}/files/template.pdf?paper=${paper}`);
      expect(type).toContain('application/pdf');
      expect(linesOf(Buffer.from(bytes)).filter((line) => Math.abs(lengthOf(line) - 50) < 0.001).length).toBeGreaterThanOrEqual(
        4,
      );
      expect(readCodes(Buffer.from(bytes))).toEqual([`${inject('base')}/projects/${project.id}?job=${part.cutId}&stage=cut`]);
    }
    expect((await file(`/api/cuts/${part.cutId}/files/template.pdf?paper=b5`)).status).toBe(400);
    expect((await file(`/api/cuts/${part.cutId}/files/nothing.pdf`)).status).toBe(404);
  });

  it('of a table come in each form', async () => {
    const it = await scene();
    const { pieces, cuts } = (await send('GET', `/api/projects/${it.project.id}/pieces`)).body;
    const part = cutPieceOf(pieces[0], cuts[0], 1);
    const cloth = (await send('GET', `/api/cloths/${it.cloth.id}`)).body;
    const material = { kind: 'cloth', id: cloth.id, fabric: cloth } as TableMaterial;
    const { items } = tableList([part], material, OPTIONS as unknown as Parameters<typeof tableList>[2], null, 6);
    const placements = [{ id: items[0]!.id, copy: 0, rotation: 0, flipped: false, x: 0, y: 0 }];
    const laid = [{ sourceId: it.roll.id, placements, length: 100, density: 0.14 }];
    const sent = tableOf(it, { laid, fingerprint: fingerprint(items) });
    const table = (await post(`/api/projects/${it.project.id}/tables`, sent)).body;
    for (const [name, type] of [
      ['list.pdf', 'application/pdf'],
      ['templates.pdf', 'application/pdf'],
      ['layout.pdf', 'application/pdf'],
      ['layout.svg', 'image/svg+xml'],
      ['layout.dxf', 'dxf'],
    ] as const) {
      const answer = await file(`/api/tables/${table.id}/files/${name}`);
      expect([name, answer.status]).toEqual([name, 200]);
      expect(answer.type).toContain(type);
      if (name === 'templates.pdf')
        expect(readCodes(Buffer.from(answer.bytes))).toEqual([`${inject('base')}/tables/${it.project.id}/cloth/${it.cloth.id}`]);
    }
  });
});

describe('what still fits on a leftover', () => {
  const leftover = async (ofId: string, width: number, length: number) =>
    (await post('/api/stock', { kind: 'leftover', ofKind: 'cloth', ofId, width, length })).body as { id: string };
  const waiting = async (id: string) =>
    (await send('GET', `/api/stock/${id}/fits`)).body as { waiting: WaitingHere[]; trim: number };
  /** As the screen lays it: each piece by itself, on this piece of cloth alone. */
  const laidOn = async (id: string) => {
    const { waiting: all, trim } = await waiting(id);
    return all.flatMap(({ need }) => {
      const { question } = shoppingQuestion(need, trim);
      const sources = question!.sources.filter((source) => source.id !== BUY);
      return question!.pieces.map((piece) => {
        const plan = [...tablePlans({ ...question!, sources, pieces: [piece], seconds: 0.2 })].at(-1)!;
        return plan.laid.reduce((sum, { placements }) => sum + placements.length, 0);
      });
    });
  };

  it('is told by project: as many as there is room for, none where there is none, nothing once it is cut', async () => {
    const { cloth, project, part } = await scene(9);
    const small = await leftover(cloth.id, 190, 95);
    const large = await leftover(cloth.id, 450, 330);
    expect((await waiting(large.id)).waiting.map(({ projectId, need }) => [projectId, need.stock.map(({ id }) => id)])).toEqual([
      [project.id, [large.id]],
    ]);
    // Two beside each other, three above each other, with room between them.
    expect(await laidOn(large.id)).toEqual([6]);
    expect(await laidOn(small.id)).toEqual([0]);
    const elsewhere = await leftover('cotton-lawn', 450, 330);
    expect((await waiting(elsewhere.id)).waiting.map(({ projectId }) => projectId)).not.toContain(project.id);
    const rows = (await send('GET', `/api/projects/${project.id}/pieces`)).body as {
      cuts: Record<string, unknown>[];
      jobs: Record<string, unknown>[];
    };
    const { id: _id, pieceId: _p, createdAt: _c, updatedAt: _u, ...cut } = rows.cuts[0]!;
    expect((await send('PUT', `/api/cuts/${part.cutId}`, { ...cut, done: true })).status).toBe(200);
    expect((await waiting(large.id)).waiting).toEqual([]);
    expect((await send('GET', '/api/stock/nothing/fits')).status).toBe(404);
  });
});
