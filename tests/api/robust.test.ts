import { cutPieceOf } from '../../src/core/workpiece';
import { request } from 'node:http';
import { inject } from 'vitest';
import { describe, expect, it } from 'vitest';
import { clothMaterial, fingerprint, tableList } from '../../src/core/cutlist';
import { FABRIC, post, addWork, send } from './client';

const dxf = (...values: (string | number)[]) =>
  ['0', 'SECTION', '2', 'ENTITIES', ...values, '0', 'ENDSEC', '0', 'EOF'].join('\n');
const upload = async (path: string, body: string | ArrayBuffer) => {
  const response = await fetch(inject('base') + path, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/octet-stream' },
  });
  return { status: response.status, body: (await response.json()) as { error?: { message: string; field: string | null } } };
};

describe('drawings that ask for too much', () => {
  it.each([
    ['an arc of a million turns', dxf(0, 'ARC', 10, 0, 20, 0, 40, 50, 50, 50, 51, '1e9')],
    ['a circle as large as the sky', dxf(0, 'CIRCLE', 10, 0, 20, 0, 40, '1e14')],
    ['a circle larger still', dxf(0, 'CIRCLE', 10, 0, 20, 0, 40, '1e308')],
    ['a bulge', dxf(0, 'LWPOLYLINE', 70, 1, 10, 0, 20, 0, 42, '1e14', 10, 100, 20, 0, 42, '1e14', 10, 100, 20, 100)],
  ])('%s is refused in words at once, and nothing else falls over', async (_, drawing) => {
    const { status, body } = await upload('/api/outlines', drawing);
    expect([200, 400]).toContain(status);
    if (status === 400) expect(body.error!.message.length).toBeGreaterThan(10);
    expect((await send('GET', '/api/settings')).status).toBe(200);
  });

  it('a full turn is a full circle, however many turns it is written as', async () => {
    const [one, many] = await Promise.all(
      [360, 360 * 7 + 360].map((end) => upload('/api/outlines', dxf(0, 'ARC', 10, 0, 20, 0, 40, 50, 50, 0, 51, end - 1))),
    );
    expect(one!.status).toBe(many!.status);
  });
});

describe('addresses and methods', () => {
  it.each([
    ['PATCH', '/api/settings'],
    ['POST', '/api/settings'],
    ['DELETE', '/api/bin'],
    ['PUT', '/api/needs'],
  ])('%s %s is not answered there, and says so', async (method, path) => {
    const { status, body } = await send(method, path, method === 'DELETE' ? undefined : {});
    expect(status).toBe(405);
    expect(body.error.message).toMatch(new RegExp(`^${method} is not answered (here|at this address)`));
  });

  it('TRACE is refused, and the image address of the framework is not open', async () => {
    const url = new URL(inject('base'));
    const status = await new Promise<number>((resolve, reject) => {
      const asked = request({ host: url.hostname, port: url.port, path: '/api/settings', method: 'TRACE' }, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      });
      asked.on('error', reject);
      asked.end();
    });
    expect(status).toBe(405);
    expect((await fetch(`${inject('base')}/_image?href=/icon.svg&w=4000`)).status).toBe(404);
  });

  it('a request that breaks off leaves nothing behind and no one waiting', async () => {
    for (let i = 0; i < 5; i++) {
      const abort = new AbortController();
      const body = new ReadableStream({
        start: (stream) => stream.enqueue(new TextEncoder().encode('{"name": "half a cl')),
      });
      const sent = fetch(`${inject('base')}/api/cloths`, {
        ...{ method: 'POST', body, signal: abort.signal, headers: { 'content-type': 'application/json' } },
        duplex: 'half',
      } as RequestInit);
      setTimeout(() => abort.abort(), 20);
      await expect(sent).rejects.toThrow();
    }
    expect((await send('GET', '/api/cloths?page=0&search=half')).body.total).toBe(0);
  });
});

describe('a stitch file’s map', () => {
  it('is refused where its cells would be too many', async () => {
    const { status, body } = await upload(
      '/api/compute/stitches?cell=1',
      'x_mm,y_mm,command\n0,0,stitch\n9000,9000,stitch\n4500,200,stitch\n',
    );
    expect(status).toBe(400);
    expect(body.error!.field).toMatch(/cell|file|stitches/);
  });
});

describe('a layout in which one piece lies on another', () => {
  const options = {
    ...{ method: 'cut-first', glueUp: false, gap: 0, margin: 0, squaring: 0, folded: false, shrink: false },
    ...{ rollWidth: null, seconds: 1, seed: 1 },
  };
  async function scene() {
    const cloth = (await post('/api/cloths', { name: 'Overlap linen', ...FABRIC, rollWidth: 1400 })).body;
    const project = (await post('/api/projects', { name: 'Overlaps' })).body as { id: string };
    const part = (
      await addWork(project.id, {
        ...{ name: 'Flap', clothId: cloth.id, count: 2, allowances: [0, 0, 0, 0], fold: null },
        wish: { role: 'tab', cut: 'straight', stretch: 'any', care: 'wash-warm' },
        shape: { kind: 'rectangle', width: 200, height: 100, corners: [false, false, false, false], corner: 0 },
      })
    ).body;
    const roll = (await post('/api/stock', { kind: 'roll', ofKind: 'cloth', ofId: cloth.id, width: 1400, length: 3000 })).body;
    const own = { ...options, stockIds: [roll.id] };
    const { items } = tableList(
      [cutPieceOf(part.piece, part.cut, 1)],
      clothMaterial(cloth),
      own as unknown as Parameters<typeof tableList>[2],
      null,
      6,
    );
    const placement = (copy: number, y: number) => ({ id: items[0]!.id, copy, rotation: 0, flipped: false, x: 200, y });
    const table = (...placements: object[]) => ({
      ...{ ofKind: 'cloth', ofId: cloth.id, options: own, locked: [], fingerprint: fingerprint(items), workIds: [part.cutId] },
      laid: [{ sourceId: roll.id, placements, length: 700, density: 0.1 }],
    });
    return { project, part, table, placement };
  }

  it('is not kept, new or changed, whoever sends it', async () => {
    const { project, table, placement } = await scene();
    const over = await post(`/api/projects/${project.id}/tables`, table(placement(0, 200), placement(1, 250)));
    expect([over.status, over.body.error.field]).toEqual([400, 'laid[0].placements[0]']);
    const beside = await post(`/api/projects/${project.id}/tables`, table(placement(0, -30)));
    expect(beside.status).toBe(400);
    const twice = await post(`/api/projects/${project.id}/tables`, table(placement(0, 200), placement(0, 600)));
    expect(twice.body.error.message).toContain('once more');
    const turned = await post(`/api/projects/${project.id}/tables`, table({ ...placement(0, 200), rotation: 45 }));
    expect(turned.body.error.message).toContain('grain');
    const good = await post(`/api/projects/${project.id}/tables`, table(placement(0, 200), placement(1, 600)));
    expect(good.status).toBe(201);
    const changed = await send('PUT', `/api/tables/${good.body.id}`, {
      ...table(placement(0, 200), placement(1, 250)),
      version: good.body.version,
    });
    expect(changed.status).toBe(400);
  });

  it('or whose pieces were changed since is not printed', async () => {
    const { project, part, table, placement } = await scene();
    const kept = (await post(`/api/projects/${project.id}/tables`, table(placement(0, 200), placement(1, 600)))).body;
    const files = ['layout.pdf', 'templates.pdf', 'list.pdf'];
    for (const file of files) expect((await send('GET', `/api/tables/${kept.id}/files/${file}`)).status).toBe(200);
    const wider = { ...part.piece, shape: { ...part.piece.shape, width: 420 } };
    for (const gone of ['id', 'projectId', 'createdAt', 'updatedAt', 'deletedAt']) delete wider[gone];
    expect((await send('PUT', `/api/pieces/${part.pieceId}`, wider)).status).toBe(200);
    for (const file of files) {
      const { status, body } = await send('GET', `/api/tables/${kept.id}/files/${file}`);
      expect(status).toBe(400);
      expect(body.error.message).toMatch(/changed/);
    }
  });
});

describe('what is kept', () => {
  it('is listed by pages', async () => {
    const first = (await send('GET', '/api/layers?page=0&size=3&sort=name')).body;
    const second = (await send('GET', '/api/layers?size=3&sort=name&page=1')).body;
    expect([first.rows.length, second.rows.length]).toEqual([3, 3]);
    expect(first.total).toBe(second.total);
    expect(first.rows.at(-1).name.toLowerCase() < second.rows[0].name.toLowerCase()).toBe(true);
    expect((await send('GET', '/api/layers?page=0&sort=secret')).body.error.field).toBe('sort');
  });

  it('deleted is in the bin, and not after it was taken back', async () => {
    const cloth = (await post('/api/cloths', { name: 'Binned cloth', ...FABRIC })).body;
    await send('DELETE', `/api/cloths/${cloth.id}`);
    const found = async () =>
      (await send('GET', '/api/bin')).body.deleted.find(({ id }: { id: string }) => id === cloth.id) as { restore: string };
    const { restore } = await found();
    expect((await send('POST', restore)).status).toBe(200);
    expect(await found()).toBeUndefined();
  });

  it('comes back as it was from a backup; what is none leaves it as it is', async () => {
    const backup = await (await fetch(`${inject('base')}/api/backup`)).arrayBuffer();
    const later = (await post('/api/cloths', { name: 'After the backup', ...FABRIC })).body;
    for (const wrong of ['dear diary', backup.slice(0, backup.byteLength / 2)])
      expect((await upload('/api/backup', wrong)).status).toBe(400);
    expect((await send('GET', `/api/cloths/${later.id}`)).status).toBe(200);
    expect((await upload('/api/backup', backup)).status).toBe(201);
    expect((await send('GET', `/api/cloths/${later.id}`)).status).toBe(404);
  });
});

it('a table that is pasted is bounded before it is read, and others are answered meanwhile', async () => {
  const pasted = post('/api/csv/preview', { kind: 'cloths', text: ','.repeat(4_900_000) });
  const others = await Promise.all([1, 2, 3].map(() => send('GET', '/api/settings')));
  expect(others.map(({ status }) => status)).toEqual([200, 200, 200]);
  const { status, body } = await pasted;
  expect([status, body.error.field]).toEqual([400, 'text']);
});
