import { describe, expect, it } from 'vitest';
import { FABRIC, PART, post, send } from './client';

const SQUARE = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
];

describe('POST /api/compute/flare and /hat', () => {
  it('give the lines of a flare, and its sectors where the cloth is named', async () => {
    const asked = { circles: 0.5, waist: 700, length: 400, allowance: 10 };
    const { status, body } = await post('/api/compute/flare', asked);
    expect(status).toBe(200);
    expect(Object.keys(body).sort()).toEqual(['braid', 'hem', 'innerRadius', 'outerRadius']);
    expect(body.innerRadius).toBeCloseTo(700 / Math.PI, 9);
    expect(body.hem).toBeCloseTo(Math.PI * (700 / Math.PI + 400), 6);
    expect((await post('/api/compute/flare', { ...asked, width: 1400 })).body.sectors).toMatchObject({ count: 1, angle: 180 });
    const refused = await post('/api/compute/flare', { ...asked, circles: 9, waist: 300 });
    expect([refused.status, refused.body.error.field]).toEqual([400, 'allowance']);
  });

  it('give every piece of every layer of a hat', async () => {
    const layers = [
      { id: 'in', duty: 'lining', thickness: 0.2 },
      { id: 'stiff', duty: 'base', thickness: 1 },
      { id: 'out', duty: 'shell', thickness: 2 },
    ];
    const asked = { head: 560, ease: 10, oval: 1.25, bandHeight: 80, brimWidth: 70, allowance: 12, layers };
    const { status, body } = await post('/api/compute/hat', asked);
    expect(status).toBe(200);
    expect(body.pieces).toHaveLength(9);
    for (const { id } of layers) {
      const joints = body.pieces
        .filter(({ layer }: { layer: string }) => layer === id)
        .map(({ joint }: { joint: number }) => joint);
      expect(Math.max(...joints) - Math.min(...joints)).toBeLessThan(0.5);
    }
    const refused = await post('/api/compute/hat', { ...asked, layers: layers.filter(({ duty }) => duty !== 'base') });
    expect([refused.status, refused.body.error.field]).toEqual([400, 'layers']);
    const unknown = await post('/api/compute/hat', { ...asked, layers: [{ id: 'x', duty: 'felt', thickness: 1 }] });
    expect([unknown.status, unknown.body.error.field]).toEqual([400, 'layers[0].duty']);
  });
});

describe('POST /api/compute/droop', () => {
  it('gives bending length, rigidity and a profile of its own length', async () => {
    const { status, body } = await post('/api/compute/droop', { arealDensity: 150, overhang: 40, profileLength: 80 });
    expect(status).toBe(200);
    expect(body.bendingLength).toBeCloseTo(20, 1);
    expect(body.rigidity).toBeCloseTo(11.8, 1);
    expect(body.profile[0]).toEqual([0, 0]);
    const length = body.profile
      .slice(1)
      .reduce(
        (sum: number, [x, y]: [number, number], i: number) => sum + Math.hypot(x - body.profile[i][0], y - body.profile[i][1]),
        0,
      );
    expect(length).toBeCloseTo(80, 6);
  });
  it('takes the fixed-length form', async () => {
    const { body } = await post('/api/compute/droop', { arealDensity: 150, length: 100, drop: 50 });
    expect(body.bendingLength).toBeCloseTo(58.2, 0);
    expect(body).not.toHaveProperty('profile');
  });
  it.each([
    [{ overhang: 40 }, 'arealDensity'],
    [{ arealDensity: -150, overhang: 40 }, 'arealDensity'],
    [{ arealDensity: '150', overhang: 40 }, 'arealDensity'],
    [{ arealDensity: null, overhang: 40 }, 'arealDensity'],
    [{ arealDensity: 150 }, 'overhang'],
    [{ arealDensity: 150, overhang: 0 }, 'overhang'],
    [{ arealDensity: 150, overhang: [40] }, 'overhang'],
    [{ arealDensity: 150, overhang: 40, angle: 90 }, 'angle'],
    [{ arealDensity: 150, overhang: 40, drop: 3 }, 'drop'],
    [{ arealDensity: 150, length: 100 }, 'drop'],
    [{ arealDensity: 150, drop: 10 }, 'length'],
    [{ arealDensity: 150, length: 100, drop: 100 }, 'drop'],
    [{ arealDensity: 150, overhang: 40, weight: 3 }, 'weight'],
    [{ arealDensity: 150, overhang: 40, profileLength: 1e6 }, 'profileLength'],
    [[], 'body'],
    ['{"arealDensity": 1', 'body'],
  ])('refuses %j naming %s', async (body, field) => {
    const answer = await post('/api/compute/droop', body);
    expect(answer.status).toBe(400);
    expect(answer.body.error.field).toBe(field);
    expect(answer.body.error.message).toContain(field);
  });
});

describe('POST /api/compute/inset', () => {
  it('takes one allowance or one per edge', async () => {
    expect((await post('/api/compute/inset', { outline: SQUARE, allowance: 10 })).body).toMatchObject({
      area: 3200,
      removedArea: 2800,
    });
    expect((await post('/api/compute/inset', { outline: SQUARE, allowance: [10, 0, 5, 20] })).body.area).toBe(3600);
    expect((await post('/api/compute/inset', { outline: SQUARE, allowance: 40 })).body).toEqual({
      outlines: [],
      area: 0,
      removedArea: 6000,
    });
  });
  it.each([
    [{ outline: SQUARE, allowance: [1, 2] }, 'allowance'],
    [{ outline: SQUARE, allowance: -1 }, 'allowance'],
    [{ outline: SQUARE, allowance: 'wide' }, 'allowance'],
    [{ outline: SQUARE.slice(0, 2), allowance: 1 }, 'outline'],
    [
      {
        outline: [
          [0, 0],
          [1, 'a'],
          [2, 2],
        ],
        allowance: 1,
      },
      'outline[1]',
    ],
    [
      {
        outline: [
          [0, 0],
          [10, 10],
          [10, 0],
          [0, 10],
        ],
        allowance: 1,
      },
      'outline',
    ],
    [{ allowance: 1 }, 'outline'],
    [{ outline: { a: 1 }, allowance: 1 }, 'outline'],
  ])('refuses %j naming %s', async (body, field) => {
    const answer = await post('/api/compute/inset', body);
    expect(answer.status).toBe(400);
    expect(answer.body.error.field).toBe(field);
  });
});

describe('POST /api/compute/cutplan and pressplan', () => {
  it('lays pieces and counts what is placed', async () => {
    const { body } = await post('/api/compute/cutplan', {
      width: 500,
      gap: 3,
      seconds: 1,
      pieces: [{ id: 'front', outline: SQUARE, count: 6, rotations: [0, 180] }],
    });
    expect(body.placements).toHaveLength(6);
    expect(body.unplaced).toEqual([]);
    expect(body.density).toBeCloseTo((6 * 6000) / (500 * body.length), 9);
  });
  it('names nested fields', async () => {
    const piece = { id: 'a', outline: SQUARE, count: 1, rotations: [0] };
    const ask = (change: object) =>
      post('/api/compute/cutplan', { width: 500, gap: 3, seconds: 1, pieces: [piece, { ...piece, id: 'b', ...change }] });
    expect((await ask({ count: 0 })).body.error.field).toBe('pieces[1].count');
    expect((await ask({ outline: [[0, 0]] })).body.error.field).toBe('pieces[1].outline');
    expect((await ask({ colour: 'red' })).body.error.field).toBe('pieces[1].colour');
    expect((await ask({ id: 'a' })).body.error.field).toBe('pieces[1].id');
  });
  it('covers a piece with iron stops', async () => {
    const { body } = await post('/api/compute/pressplan', {
      outline: [
        [0, 0],
        [500, 0],
        [500, 300],
        [0, 300],
      ],
      plate: { width: 200, height: 100 },
      overlap: 15,
      order: 'centre-out',
      secondsPerStop: 10,
      moveSeconds: 2,
    });
    expect(body.coverage).toBeGreaterThanOrEqual(0.995);
    expect(body.seconds).toBe(body.stops.length * 12 - 2);
  });
  it('refuses work that is too large', async () => {
    const huge = await post('/api/compute/pressplan', {
      outline: [
        [0, 0],
        [50_000, 0],
        [50_000, 50_000],
        [0, 50_000],
      ],
      plate: { width: 20, height: 20 },
      overlap: 1,
      order: 'one-way',
      secondsPerStop: 1,
      moveSeconds: 1,
    });
    expect(huge.status).toBe(400);
    const long = await post('/api/compute/inset', JSON.stringify({ outline: SQUARE, allowance: 1, pad: 'x'.repeat(2_000_000) }));
    expect(long.status).toBe(413);
  });
});

describe('POST /api/choose', () => {
  it('answers on a database that holds only the library, in the fixed form', async () => {
    const { status, body } = await post('/api/choose', { fabric: FABRIC, part: PART, limit: 5 });
    expect(status).toBe(200);
    expect(body.ranked).toHaveLength(5);
    const [best] = body.ranked;
    expect(Object.keys(best)).toEqual(
      expect.arrayContaining(['id', 'title', 'layers', 'score', 'predicted', 'criteria', 'reasons', 'cautions', 'steps']),
    );
    expect(Object.keys(best.predicted)).toEqual(
      expect.arrayContaining(['bendingLength', 'low', 'high', 'rigidity', 'arealDensity', 'thickness']),
    );
    expect(Object.keys(best.layers[0])).toEqual(expect.arrayContaining(['family', 'form', 'material', 'extent']));
    for (const stack of body.ruledOut) expect(stack.why.length).toBeGreaterThan(10);
  });
  it.each([
    [{ fabric: { ...FABRIC, construction: 'felt' }, part: PART }, 'fabric.construction'],
    [{ fabric: { ...FABRIC, arealDensity: undefined }, part: PART }, 'fabric.arealDensity'],
    [{ fabric: FABRIC, part: { ...PART, role: 'sleeve' } }, 'part.role'],
    [{ fabric: FABRIC, part: { ...PART, avoid: ['heat'] } }, 'part.avoid[0]'],
    [{ fabric: FABRIC, part: { ...PART, embroidery: { stitches: 0, width: 1, height: 1 } } }, 'part.embroidery.stitches'],
    [{ fabric: FABRIC }, 'part'],
    [{ fabric: FABRIC, part: PART, limit: 0 }, 'limit'],
    [{ fabric: FABRIC, part: PART, colour: 1 }, 'colour'],
  ])('refuses %j naming %s', async (body, field) => {
    const answer = await post('/api/choose', body);
    expect(answer.status).toBe(400);
    expect(answer.body.error.field).toBe(field);
  });
});

describe('who may ask', () => {
  const body = { outline: SQUARE, allowance: 1 };
  it.each<[string, Record<string, string>, number]>([
    ['a script without an Origin', {}, 200],
    ['our own page', { origin: 'OWN' }, 200],
    ['a page of another site', { origin: 'http://example.org' }, 403],
    ['a sandboxed page', { origin: 'null' }, 403],
    ['another port of this machine', { origin: 'http://127.0.0.1:9' }, 403],
    ['our page over another scheme', { origin: 'https://127.0.0.1:4371' }, 403],
    ['a browser that says it is cross-site', { 'sec-fetch-site': 'cross-site' }, 403],
  ])('%s', async (_words, headers, status) => {
    const own = headers['origin'] === 'OWN' ? { origin: new URL((await import('vitest')).inject('base')).origin } : headers;
    expect((await send('POST', '/api/compute/inset', body, own)).status).toBe(status);
  });
  it('refuses a foreign Host', async () => {
    const { request } = await import('node:http');
    const { inject } = await import('vitest');
    const { hostname, port } = new URL(inject('base'));
    const status = await new Promise<number>((resolve, reject) => {
      const outgoing = request(
        {
          hostname,
          port,
          path: '/api/compute/inset',
          method: 'POST',
          headers: { host: 'evil.example', 'content-type': 'application/json' },
        },
        (answer) => resolve(answer.statusCode!),
      );
      outgoing.on('error', reject);
      outgoing.end(JSON.stringify(body));
    });
    expect(status).toBe(403);
  });
  it('takes JSON only where JSON is due', async () => {
    expect((await send('POST', '/api/compute/inset', JSON.stringify(body), { 'content-type': 'text/plain' })).status).toBe(415);
    expect(
      (await send('POST', '/api/compute/inset', JSON.stringify(body), { 'content-type': 'application/x-www-form-urlencoded' }))
        .status,
    ).toBe(415);
  });
  it('answers what is not there without showing its insides', async () => {
    const missing = await send('GET', '/api/nothing');
    expect(missing.status).toBe(404);
    expect(missing.body.error.message).not.toMatch(/\/|stack|at /);
  });
  it('sends a policy even with an address that cannot be read', async () => {
    const { request } = await import('node:http');
    const { inject } = await import('vitest');
    const { hostname, port } = new URL(inject('base'));
    const answer = await new Promise<{ status: number; policy: unknown }>((resolve, reject) => {
      const outgoing = request({ hostname, port, path: '/%' }, (incoming) => {
        incoming.resume();
        resolve({ status: incoming.statusCode!, policy: incoming.headers['content-security-policy'] });
      });
      outgoing.on('error', reject);
      outgoing.end();
    });
    expect(answer.status).toBe(400);
    expect(answer.policy).toContain("frame-ancestors 'none'");
  });
  it.each(['/', '/projects', '/cupboard', '/logbook', '/settings', '/nowhere', '/projects/nowhere', '/bench/nowhere'])(
    'sends a strict policy with %s',
    async (path) => {
      const { inject } = await import('vitest');
      const response = await fetch(inject('base') + path);
      const policy = response.headers.get('content-security-policy') ?? '';
      expect(policy).toContain("default-src 'none'");
      const scripts = /script-src ([^;]*)/.exec(policy)![1]!;
      expect(scripts).not.toContain('unsafe');
      expect(response.headers.get('x-content-type-options')).toBe('nosniff');
      expect(response.status).toBe(path.endsWith('nowhere') ? 404 : 200);
    },
  );
});

describe('/api/compute/recipe', () => {
  it('lists what can be made, and what each asks for', async () => {
    const { recipes } = (await send('GET', '/api/compute/recipe')).body;
    expect(recipes.map(({ id }: { id: string }) => id)).toEqual(expect.arrayContaining(['flare', 'godet', 'waistband', 'hat']));
    for (const { fields } of recipes)
      for (const { field, kind, start, min, max } of fields) {
        expect(typeof field).toBe('string');
        expect(['length', 'number', 'yes']).toContain(kind);
        expect(start).toBeGreaterThanOrEqual(min);
        expect(start).toBeLessThanOrEqual(max);
      }
  });

  it('gives pieces, edges and seams of a full circle', async () => {
    const { body } = await post('/api/compute/recipe', {
      recipe: 'flare',
      values: { circles: 1, waist: 700, length: 500, clothWidth: 900, braid: 1 },
    });
    const [sector] = body.pieces;
    expect(sector.count).toBeGreaterThan(1);
    expect(sector.edges).toHaveLength(4);
    expect(body.seams).toEqual([{ first: { piece: sector.id, edges: [1] }, second: { piece: sector.id, edges: [3] } }]);
    expect(body.facts.find(({ words }: { words: string }) => words.startsWith('Hem')).length).toBeCloseTo(3841.6, 0);
  });

  it.each([
    [{ recipe: 'trousers', values: {} }, 'recipe'],
    [{ recipe: 'constructor', values: {} }, 'recipe'],
    [{ recipe: 'flare', values: { waist: -1 } }, 'values.waist'],
    [{ recipe: 'flare', values: { waist: 'long' } }, 'values.waist'],
    [{ recipe: 'flare', values: { girth: 700 } }, 'values.girth'],
    [{ recipe: 'flare', values: [] }, 'values'],
  ])('refuses %j, naming %s', async (body, field) => {
    const answer = await post('/api/compute/recipe', body);
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});
