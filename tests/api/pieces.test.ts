import { describe, expect, inject, it } from 'vitest';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { addWork, chosenStack, FABRIC, PART, post, send } from './client';
import { seamRuns } from '../../src/core/seams';
import { lengthOf, pathsOf } from '../files/pdf-lines';
import { wordsOf } from '../files/pdf-text';
import { pieceOf } from './samples';

const RECTANGLE = { kind: 'rectangle', width: 300, height: 100, corners: [false, false, false, false], corner: 0 };
const PIECE = {
  name: 'Front',
  shape: RECTANGLE,
  allowances: [10, 10, 10, 10],
  fold: null,
  clothId: 'shirting-poplin',
  count: 2,
  wish: PART,
};
const WISH = { role: 'collar', stretch: 'any', care: 'wash-warm' };

async function project(more: object = {}) {
  return (await post('/api/projects', { name: 'Pieces', ...more })).body as { id: string; version: number };
}
const put = (path: string, row: Record<string, unknown>, change: object) => {
  const { id: _id, createdAt: _c, updatedAt: _u, projectId: _p, pieceId: _i, cutId: _k, ...body } = row;
  return send('PUT', path, { ...body, ...change });
};

describe('the small drawings', () => {
  /** Outlines of a drawing, each path a list of its closed lines. */
  const drawn = async (path: string): Promise<[number, number][][][]> => {
    const answer = await fetch(`${inject('base')}${path}`);
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'image/svg+xml']);
    const svg = await answer.text();
    return [...svg.matchAll(/<path d="([^"]+)"/g)].map(([, d]) =>
      d!
        .split('Z')
        .filter((line) => line !== '')
        .map((line) =>
          line
            .slice(1)
            .split('L')
            .map((pair) => pair.split(' ').map(Number) as [number, number]),
        ),
    );
  };
  const size = (line: [number, number][]) =>
    [0, 1].map((k) => Math.round(Math.max(...line.map((at) => at[k]!)) - Math.min(...line.map((at) => at[k]!))));

  it('show every cut to scale, with what is done where; a tall piece lies along the table', async () => {
    const { id } = await project();
    const first = (await addWork(id, PIECE)).body;
    await addWork(id, { ...PIECE, name: 'Strap', shape: { ...RECTANGLE, width: 50, height: 400 } });
    const paths = await drawn(`/api/projects/${id}/drawing.svg`);
    // Each is cut as it is typed, and a job without layers is where they will lie: inside the seam.
    expect(paths.map((lines) => size(lines[0]!))).toEqual([
      [300, 100],
      [280, 80],
      [400, 50],
      [380, 30],
    ]);
    // The two lie clear of each other.
    const [front, , strap] = paths.map(([line]) => line!);
    const low = (line: [number, number][]) => Math.max(...line.map(([, y]) => y));
    const high = (line: [number, number][]) => Math.min(...line.map(([, y]) => y));
    const left = (line: [number, number][]) => Math.min(...line.map(([x]) => x));
    const right = (line: [number, number][]) => Math.max(...line.map(([x]) => x));
    expect(high(strap!) > low(front!) || left(strap!) > right(front!)).toBe(true);
    // A job is drawn alone on its piece; with layers it shows them.
    await put(`/api/jobs/${first.id}`, first.job, { stack: await chosenStack() });
    expect((await drawn(`/api/jobs/${first.id}/drawing.svg`)).map((lines) => size(lines[0]!)[0])).toEqual([
      300,
      expect.any(Number),
    ]);
    expect((await fetch(`${inject('base')}/api/jobs/nowhere/drawing.svg`)).status).toBe(404);
    expect((await fetch(`${inject('base')}/api/projects/nowhere/drawing.svg`)).status).toBe(404);
  });
});

describe('what a job would need of a stack', () => {
  it('is what the shopping list says once it has it', async () => {
    const { id } = await project();
    const job = (await addWork(id, PIECE)).body;
    const stack = await chosenStack();
    await post('/api/stock', {
      ofKind: 'layer',
      ofId: stack.layers[0].materialId,
      kind: 'roll',
      place: 'test box',
      width: 900,
      length: 1234,
    });
    const asked = await post(`/api/jobs/${job.id}/needs`, { stacks: [{ layers: stack.layers }] });
    expect(asked.status).toBe(200);
    await put(`/api/jobs/${job.id}`, job.job, { stack });
    const { needs } = (await send('GET', `/api/needs?project=${id}`)).body;
    const listed = needs.filter((need: { material: { kind: string } }) => need.material.kind === 'layer');
    const bare = (need: { works: object[] }) => ({
      ...need,
      works: need.works.map((work) => ({ ...work, stack: null, jobVersion: null })),
    });
    expect(asked.body.needs[0].map(bare)).toEqual(listed.map(bare));
    expect(listed[0].stock).toContainEqual(expect.objectContaining({ place: 'test box', length: 1234 }));
    expect(listed[0].works[0].stack.layers).toEqual(asked.body.needs[0][0].works[0].stack.layers);
  });

  it('is asked of a job that is there, for stacks that can be read', async () => {
    const { id } = await project();
    const job = (await addWork(id, PIECE)).body;
    const { layers } = await chosenStack();
    expect((await post('/api/jobs/nobody/needs', { stacks: [{ layers }] })).status).toBe(404);
    for (const [body, field] of [
      [{ stacks: [] }, 'stacks'],
      [{ stacks: [{ layers: [] }] }, 'stacks[0].layers'],
      [{ stacks: [{ layers: [{ ...layers[0], extent: 'most' }] }] }, 'stacks[0].layers[0].extent'],
    ] as const) {
      const { status, body: said } = await post(`/api/jobs/${job.id}/needs`, body);
      expect([status, said.error.field]).toEqual([400, field]);
    }
    // A bottle is not cut.
    const starch = [{ materialId: LIBRARY_LAYERS.find(({ form }) => form === 'liquid')!.id, extent: 'full', angle: 0 }];
    expect((await post(`/api/jobs/${job.id}/needs`, { stacks: [{ layers: starch }] })).body).toEqual({ needs: [[]] });
  });
});

describe('a piece, its cuts and its jobs', () => {
  it('are added together, and each is found and kept by itself', async () => {
    const { id } = await project();
    const added = await addWork(id, PIECE);
    const { pieces, cuts, jobs } = (await send('GET', `/api/projects/${id}/pieces`)).body;
    expect([pieces.length, cuts.length, jobs.length]).toEqual([1, 1, 1]);
    expect(cuts[0]).toMatchObject({ duty: 'shell', clothId: 'shirting-poplin', count: 2, own: null, done: false });
    expect(jobs[0]).toMatchObject({ place: { kind: 'usual' }, wish: WISH, stack: null, cutDone: false });
    const renamed = await put(`/api/pieces/${added.body.pieceId}`, pieces[0], { name: 'Left front' });
    expect([renamed.status, renamed.body.name, renamed.body.version]).toEqual([200, 'Left front', 2]);
    expect((await put(`/api/pieces/${added.body.pieceId}`, pieces[0], { name: 'Late' })).status).toBe(409);
  });

  it('keep every kind of mark as it was put', async () => {
    const { id } = await project();
    const marks = [
      { kind: 'dart', at: [60, 0], to: [64, 45], width: 18 },
      { kind: 'fold-line', at: [0, 12.7], to: [300, 12.7] },
      { kind: 'zip', at: [40, 80], to: [260, 80], width: 10 },
      { kind: 'quarter', at: [75, 0] },
      { kind: 'snap', at: [150, 50] },
    ];
    const { body } = await addWork(id, { ...PIECE, marks });
    const kept = (await send('GET', `/api/projects/${id}/pieces`)).body.pieces.find(
      (each: { id: string }) => each.id === body.pieceId,
    );
    expect(kept.marks).toEqual(marks);
  });

  it('can be many: the lining has allowances of its own, one cut two jobs', async () => {
    const { id } = await project();
    const { body } = await addWork(id, PIECE);
    const lining = await post(`/api/pieces/${body.pieceId}/cuts`, {
      ...{ duty: 'lining', clothId: 'cotton-lawn', count: 2, orientation: 'bias', own: [null, 0, null, 25] },
      jobs: [{ place: { kind: 'whole' }, wish: WISH }],
    });
    expect(lining.status).toBe(201);
    expect(lining.body.cuts[0]).toMatchObject({ own: [null, 0, null, 25], orientation: 'bias' });
    const job = await post(`/api/cuts/${lining.body.cuts[0].id}/jobs`, {
      ...{ name: 'slash', place: { kind: 'line', line: [[100, 0], [100, 40]], width: 20 }, wish: { ...WISH, role: 'godet-slash' } }, // prettier-ignore
    });
    expect(job.status).toBe(201);
    expect(job.body.position).toBeGreaterThan(lining.body.jobs[0].position);
  });

  it.each<[words: string, change: object, field: RegExp]>([
    ['allowances of its own for other edges', { cuts: [{ count: 1, orientation: 'straight', own: [1, 2] }] }, /^cuts\[0\]\.own/],
    ['a duty that there is not', { cuts: [{ count: 1, orientation: 'straight', duty: 'sail' }] }, /^cuts\[0\]\.duty/],
    ['a grain that there is not', { cuts: [{ count: 1, orientation: 'up' }] }, /^cuts\[0\]\.orientation/],
    ['a cloth that is not there', { cuts: [{ count: 1, orientation: 'straight', clothId: 'none' }] }, /^cuts\[0\]\.clothId/],
    ['an edge that the piece does not have', { cuts: [{ count: 1, orientation: 'straight', jobs: [{ place: { kind: 'edges', edges: [7], width: 9 }, wish: WISH }] }] }, /^cuts\[0\]\.jobs\[0\]\.place\.edges\[0\]/], // prettier-ignore
    ['a dart that points nowhere', { marks: [{ kind: 'dart', at: [10, 0], width: 20 }] }, /^marks\[0\]\.to/],
    ['a dart without a width', { marks: [{ kind: 'dart', at: [10, 0], to: [10, 40] }] }, /^marks\[0\]\.width/],
    ['a mark that there is not', { marks: [{ kind: 'moon', at: [10, 0] }] }, /^marks\[0\]\.kind/],
    ['a notch with a width', { marks: [{ kind: 'notch', at: [10, 0], width: 3 }] }, /^marks\[0\]/],
    ['a place that there is not', { cuts: [{ count: 1, orientation: 'straight', jobs: [{ place: { kind: 'moon' }, wish: WISH }] }] }, /^cuts\[0\]\.jobs\[0\]\.place\.kind/], // prettier-ignore
    ['a wish with a grain', { cuts: [{ count: 1, orientation: 'straight', jobs: [{ place: { kind: 'usual' }, wish: PART }] }] }, /^cuts\[0\]\.jobs\[0\]\.wish\.cut/], // prettier-ignore
  ])('refuse %s by its field, and add nothing', async (_, change, field) => {
    const { id } = await project();
    const { cuts: _cuts, ...piece } = pieceOf(PIECE);
    const { status, body } = await post(`/api/projects/${id}/pieces`, { ...piece, ...change });
    expect([status, body.error.field]).toEqual([400, expect.stringMatching(field)]);
    expect((await send('GET', `/api/projects/${id}/pieces`)).body.pieces).toEqual([]);
  });

  it('keep the shape of a piece whose cuts have allowances of their own for its edges', async () => {
    const { id } = await project();
    const { body } = await addWork(id, PIECE);
    await put(`/api/cuts/${body.cutId}`, body.cut, { own: [0, null, null, null] });
    const circle = { shape: { kind: 'circle', diameter: 200 }, allowances: [10] };
    const { status, body: answer } = await put(`/api/pieces/${body.pieceId}`, body.piece, circle);
    expect([status, answer.error.field]).toEqual([400, 'shape']);
    expect(answer.error.message).toMatch(/shell .* take these off first/);
  });

  it('are deleted and taken back each by itself', async () => {
    const { id } = await project();
    const { body } = await addWork(id, PIECE);
    for (const path of [`/api/jobs/${body.id}`, `/api/cuts/${body.cutId}`, `/api/pieces/${body.pieceId}`]) {
      expect((await send('DELETE', path)).status).toBe(200);
      expect((await send('GET', path)).status).toBe(404);
      expect((await send('POST', `${path}/restore`)).status).toBe(200);
      expect((await send('GET', path)).status).toBe(200);
    }
  });

  it('are copied, and a project is sewn again, with what was chosen and nothing that was done', async () => {
    const { id } = await project({ makes: 3, notions: [{ name: 'zip', count: 1, there: true }] });
    const { body } = await addWork(id, { ...PIECE, stack: await chosenStack() });
    await put(`/api/jobs/${body.id}`, body.job, { cutDone: true });
    await put(`/api/cuts/${body.cutId}`, body.cut, { done: true });
    const copy = (await send('POST', `/api/pieces/${body.pieceId}/copy`)).body;
    expect(copy.pieces[0]).toMatchObject({ name: 'Front, copy', shape: RECTANGLE });
    expect([copy.cuts[0].done, copy.jobs[0].cutDone, copy.jobs[0].stack.title]).toEqual([false, false, body.job.stack.title]);
    const again = (await send('POST', `/api/projects/${id}/again`)).body;
    expect(again).toMatchObject({ name: 'Pieces, again', makes: 3, notions: [{ name: 'zip', there: false }] });
    const { pieces, cuts, jobs } = (await send('GET', `/api/projects/${again.id}/pieces`)).body;
    expect(pieces.map(({ name }: { name: string }) => name)).toEqual(['Front', 'Front, copy']);
    expect([...cuts.map((cut: { done: boolean }) => cut.done), ...jobs.map((job: { cutDone: boolean }) => job.cutDone)]).toEqual([false, false, false, false]); // prettier-ignore
  });
});

describe('one plan for a project', () => {
  it('takes few materials, follows what is said, and is given to all jobs or none', async () => {
    const { id } = await project();
    for (const role of ['collar', 'cuff', 'button-band']) await addWork(id, { ...PIECE, name: role, wish: { ...PART, role } });
    await addWork(id, { ...PIECE, name: 'Bare', clothId: null });
    const plan = (await post(`/api/projects/${id}/plan`, {})).body;
    expect([plan.jobs.length, plan.waiting, plan.exact]).toEqual([3, ['Bare'], true]);
    expect(plan.materials.length).toBeLessThanOrEqual(2);
    const [first] = plan.materials;
    const without = (await post(`/api/projects/${id}/plan`, { dropped: [first.id] })).body;
    expect(without.materials.map((each: { id: string }) => each.id)).not.toContain(first.id);
    const job = plan.jobs[0];
    const other = job.others.at(-1).id;
    const held = (await post(`/api/projects/${id}/plan`, { locked: { [job.id]: other } })).body;
    expect(held.jobs[0].stack.id).toBe(other);

    const stackOf = ({ title, layers, predicted, reasons, cautions }: Record<string, object[]>) => ({
      ...{ title, predicted, reasons, cautions },
      layers: (layers as { materialId: string; extent: string; angle: number }[]).map(({ materialId, extent, angle }) => ({ materialId, extent, angle })), // prettier-ignore
    });
    const stacks = plan.jobs.map((each: { id: string; version: number; stack: never }) => ({ jobId: each.id, version: each.version, stack: stackOf(each.stack) })); // prettier-ignore
    const stale = [stacks[0], { ...stacks[1], version: 9 }];
    expect((await send('PUT', `/api/projects/${id}/stacks`, { stacks: stale })).status).toBe(409);
    expect((await send('GET', `/api/jobs/${stacks[0].jobId}`)).body.stack).toBeNull();
    expect((await send('PUT', `/api/projects/${id}/stacks`, { stacks })).status).toBe(200);
    expect((await send('GET', `/api/jobs/${stacks[0].jobId}`)).body.stack.title).toBe(plan.jobs[0].stack.title);
  });

  it.each([
    [{ locked: { nobody: 'x' } }, 'locked.nobody'],
    [{ locked: [] }, 'locked'],
    [{ dropped: 'all' }, 'dropped'],
  ])('refuses %j', async (body, field) => {
    const { id } = await project();
    const answer = await post(`/api/projects/${id}/plan`, body);
    expect([answer.status, answer.body.error.field]).toEqual([400, field]);
  });
});

describe('seams', () => {
  it('compare the edges of two cuts of a project, with every layer that runs into them', async () => {
    const { id } = await project();
    const stack = { ...(await chosenStack()), layers: [{ materialId: 'light-woven-fusible-45-g', extent: 'full', angle: 0 }] };
    const band = (await addWork(id, { ...PIECE, stack })).body;
    const edge = (await addWork(id, { ...PIECE, name: 'Edge', shape: { ...RECTANGLE, width: 310 } })).body;
    const seam = { firstCut: band.cutId, firstEdges: [0], secondCut: edge.cutId, secondEdges: [0] };
    const kept = await post(`/api/projects/${id}/seams`, seam);
    expect([kept.status, kept.body.compared.fit, kept.body.compared.gives]).toEqual([201, 'ease', 'second']);
    expect(kept.body.compared.difference).toBeCloseTo(-10, 6);
    expect(kept.body.first.pile.map(({ name }: { name: string }) => name)).toEqual([
      'Shirting poplin',
      'Light woven fusible, 45 g',
    ]);
    expect(kept.body.second.pile).toHaveLength(1);
    // Sewn again, the seam is there between the new pieces.
    const again = (await post(`/api/projects/${id}/again`, {})).body.id as string;
    const [copied] = (await send('GET', `/api/projects/${again}/seams`)).body.seams;
    expect(copied.compared).toEqual(kept.body.compared);
    expect(copied.seam.firstCut).not.toBe(band.cutId);
    const other = await project();
    const away = await post(`/api/projects/${other.id}/seams`, seam);
    expect([away.status, away.body.error.field]).toEqual([400, 'firstCut']);
    const wrong = await post(`/api/projects/${id}/seams`, { ...seam, secondEdges: [4] });
    expect([wrong.status, wrong.body.error.field]).toEqual([400, 'secondEdges[0]']);
  });
});

describe('a seam that is mended', () => {
  const seamOf = async () => {
    const { id } = await project();
    const front = (await addWork(id, PIECE)).body;
    const edge = (await addWork(id, { ...PIECE, name: 'Edge', shape: { ...RECTANGLE, width: 312 } })).body;
    const seam = { firstCut: front.cutId, firstEdges: [0], secondCut: edge.cutId, secondEdges: [0] };
    return { id, edge, judged: (await post(`/api/projects/${id}/seams`, seam)).body };
  };
  const mend = ({ seam, first, second }: { seam: { id: string }; first: Side; second: Side }, body: object) =>
    post(`/api/seams/${seam.id}/mend`, { versions: [first.piece, second.piece], ...body });
  interface Side {
    piece: { id: string; version: number };
    length: number;
  }

  it('has one side as long as the other, and is put back by the piece as it was', async () => {
    const { id, edge, judged } = await seamOf();
    expect(judged.walk.stretches).toHaveLength(1);
    const { status, body } = await mend(judged, { how: 'length', side: 'second', at: 'end' });
    expect([status, body.seams[0].compared.fit]).toEqual([200, 'fits']);
    expect(body.seams[0].second.length).toBeCloseTo(judged.first.length, 1);
    expect(body.seams[0].first.length).toBe(judged.first.length);
    // What is drawn is what was measured: the cut of the piece comes in its new shape.
    const cut = body.cuts.find(({ pieceId }: { pieceId: string }) => pieceId === edge.pieceId);
    expect(seamRuns(cut, [0])[0]!.length).toBe(body.seams[0].second.length);
    const now = body.pieces.find((piece: { id: string }) => piece.id === edge.pieceId);
    const was = body.before.find((piece: { id: string }) => piece.id === edge.pieceId);
    expect((await put(`/api/pieces/${now.id}`, now, { shape: was.shape, marks: was.marks })).status).toBe(200);
    const [again] = (await send('GET', `/api/projects/${id}/seams`)).body.seams;
    expect(again.second.length).toBe(judged.second.length);
  });

  it('is marked in quarters on both sides, which are walked from mark to mark then', async () => {
    const { judged } = await seamOf();
    const { body } = await mend(judged, { how: 'quarters' });
    expect(body.pieces.map(({ marks }: { marks: object[] }) => marks.length)).toEqual([3, 3]);
    const { stretches } = body.seams[0].walk;
    expect(stretches).toHaveLength(4);
    for (const { difference } of stretches) expect(difference).toBeCloseTo(-3, 6);
  });

  it('is printed as a paper tape: strips that add up to each edge', async () => {
    const { judged } = await seamOf();
    await mend(judged, { how: 'quarters' });
    const answer = await fetch(`${inject('base')}/api/seams/${judged.seam.id}/tape.pdf?paper=a4`);
    const bytes = new Uint8Array(await answer.arrayBuffer());
    const strips = pathsOf(bytes)
      .filter(({ lines, dash }) => dash.length === 0 && lines.length === 4)
      .map(({ lines }) => lines.map(lengthOf).sort((a, b) => b - a))
      .filter(([, , a]) => Math.abs(a! - 16) < 0.01);
    expect(strips.reduce((sum, [long]) => sum + long!, 0)).toBeCloseTo(judged.first.length + judged.second.length, 1);
    const words = (await wordsOf(bytes)).join(' ').replace(/\s+/g, ' ');
    expect(words.match(/quarter point, /g)).toHaveLength(6);
    // In the units that the house is set to, which another test may have changed.
    expect(words).toMatch(/quarter point, (14 cm|5 ½ in)/);
    expect(words).toMatch(/ends at (29\.2 cm|11 ½ in)/);
  });

  it('any edge is printed as a paper tape: as one line where edges meet, else each by itself', async () => {
    const { id } = (await post('/api/projects', { name: 'Taped' })).body as { id: string };
    const shape = { kind: 'rectangle', width: 300, height: 110, corners: [false, false, false, false], corner: 0 };
    const { body: made } = await addWork(id, { name: 'Yoke', clothId: null, wish: PART, shape, allowances: [10, 10, 10, 10], fold: null, count: 1 }); // prettier-ignore
    const strips = async (edges: string) => {
      const answer = await fetch(`${inject('base')}/api/cuts/${made.cutId}/tape.pdf?paper=a4&edges=${edges}`);
      const bytes = new Uint8Array(await answer.arrayBuffer());
      return {
        lengths: pathsOf(bytes)
          .filter(({ lines, dash }) => dash.length === 0 && lines.length === 4)
          .map(({ lines }) => lines.map(lengthOf).sort((a, b) => b - a))
          .filter(([, , width]) => Math.abs(width! - 16) < 0.01)
          .map(([long]) => long!),
        words: (await wordsOf(bytes)).join(' ').replace(/\s+/g, ' '),
      };
    };
    // Cut 300 × 110, sewn 280 × 90; a sheet takes 174 mm of a strip.
    const bottom = await strips('0');
    expect(bottom.lengths.reduce((sum, each) => sum + each, 0)).toBeCloseTo(280, 1);
    expect(bottom.words).toMatch(/Yoke, bottom, strip 1 of 2/);
    const corner = await strips('0,1');
    expect(corner.lengths.reduce((sum, each) => sum + each, 0)).toBeCloseTo(370, 1);
    expect(corner.words.match(/ends at/g)).toHaveLength(1);
    const apart = await strips('0,2');
    expect(apart.lengths.reduce((sum, each) => sum + each, 0)).toBeCloseTo(560, 1);
    expect(apart.words.match(/ends at/g)).toHaveLength(2);
    for (const wrong of ['', '9', 'a'])
      expect((await send('GET', `/api/cuts/${made.cutId}/tape.pdf?edges=${wrong}`)).body.error.field).toBe('edges');
  });

  it('is not mended from a screen that shows older pieces, nor by more than can be', async () => {
    const { judged } = await seamOf();
    expect((await mend(judged, { how: 'quarters' })).status).toBe(200);
    expect((await mend(judged, { how: 'length', side: 'first' })).status).toBe(409);
    const wrong = await mend(judged, { how: 'by eye' });
    expect([wrong.status, wrong.body.error.field]).toEqual([400, 'how']);
  });
});

describe('a piece that gets another shape', () => {
  const circle = { kind: 'circle', diameter: 200 };
  it('keeps the edges that its jobs lie along, or says which job is in the way', async () => {
    const { id } = await project();
    const { body } = await addWork(id, PIECE);
    const place = { kind: 'edges', edges: [2], width: 12 };
    const job = (await post(`/api/cuts/${body.cutId}/jobs`, { name: 'stay', place, wish: WISH })).body;
    const [piece] = (await send('GET', `/api/projects/${id}/pieces`)).body.pieces;
    const refused = await put(`/api/pieces/${piece.id}`, piece, { shape: circle, allowances: [10] });
    expect([refused.status, refused.body.error.field, refused.body.error.message]).toEqual([400, 'shape', expect.stringContaining('“stay”')]); // prettier-ignore
    expect((await put(`/api/jobs/${job.id}`, job, { place: { kind: 'usual' } })).status).toBe(200);
    expect((await put(`/api/pieces/${piece.id}`, piece, { shape: circle, allowances: [10] })).status).toBe(200);
  });

  it('says of a seam along an edge that is gone that it cannot be compared', async () => {
    const { id } = await project();
    const [a, b] = [(await addWork(id, PIECE)).body, (await addWork(id, { ...PIECE, name: 'Edge' })).body];
    await post(`/api/projects/${id}/seams`, { firstCut: a.cutId, firstEdges: [3], secondCut: b.cutId, secondEdges: [3] });
    const piece = (await send('GET', `/api/pieces/${a.pieceId}`)).body;
    expect((await put(`/api/pieces/${a.pieceId}`, piece, { shape: circle, allowances: [10] })).status).toBe(200);
    const [seam] = (await send('GET', `/api/projects/${id}/seams`)).body.seams;
    expect([seam.compared, seam.fault]).toEqual([null, expect.stringContaining('edges of Front that were sewn are gone')]);
  });
});

describe('the pile in a seam', () => {
  const layer = (extent: string, cut?: object) => ({
    materialId: 'light-woven-fusible-45-g',
    extent,
    angle: 0,
    ...(cut ? { cut } : {}),
  });
  const pileAt = async (layers: object[], edge: number) => {
    const { id } = await project();
    const stack = { ...(await chosenStack()), layers };
    const one = (await addWork(id, { ...PIECE, stack })).body;
    const two = (await addWork(id, { ...PIECE, name: 'Edge' })).body;
    const seam = { firstCut: one.cutId, firstEdges: [edge], secondCut: two.cutId, secondEdges: [edge] };
    return (await post(`/api/projects/${id}/seams`, seam)).body;
  };

  it.each([
    ['a strip on the edge that is sewn', [layer('strip', { edges: [2] })], 2, 2],
    ['a strip on another edge', [layer('strip', { edges: [2] })], 0, 1],
    ['a layer to the seam line', [layer('net')], 0, 1],
    ['one trimmed to 4 mm in an allowance of 10 mm', [layer('trimmed', { trim: 4 })], 0, 2],
    ['one trimmed to 12 mm', [layer('trimmed', { trim: 12 })], 0, 1],
  ])('holds what runs into it: %s', async (_words, layers, edge, count) => {
    const judged = await pileAt(layers, edge);
    expect(judged.first.pile).toHaveLength(count);
    expect(judged.thicknessKnown).toBe(true);
  });

  it('is not told as if it were known where a cloth is missing', async () => {
    const { id } = await project();
    const [a, b] = [(await addWork(id, PIECE)).body, (await addWork(id, { ...PIECE, name: 'Bare', clothId: null })).body];
    const seam = { firstCut: a.cutId, firstEdges: [0], secondCut: b.cutId, secondEdges: [0] };
    expect((await post(`/api/projects/${id}/seams`, seam)).body.thicknessKnown).toBe(false);
  });
});

describe('a run of many', () => {
  it('copies keeps every tick, and is filed with all of them', async () => {
    const { id } = await project();
    const work = (await addWork(id, { ...PIECE, count: 60, stack: await chosenStack() })).body;
    const run = (await post(`/api/jobs/${work.id}/bench`, {})).body;
    const checks: string[] = run.plan.steps.flatMap((step: { checks?: string[] }) => step.checks ?? []);
    expect(checks.filter((check) => check.startsWith('Piece '))).toHaveLength(60);
    const state = { ...run.state, step: run.plan.steps.length - 1, checks };
    const kept = await send('PUT', `/api/bench/${run.id}`, { state, finished: true, version: run.version });
    expect([kept.status, kept.body.state.checks]).toEqual([200, checks]);
    const entry = {
      ...{ jobId: work.id, benchRunId: run.id, doneOn: '2026-01-02', title: 'Front', clothName: 'Poplin', stackTitle: 'A layer' },
      ...{ layerIds: [], settings: { ironDots: 1, seconds: 10, steam: false, cover: 'none' }, outcome: 'good', note: '' },
      checks: { held: [...new Set(checks)], failed: [] },
    };
    expect((await post('/api/log', entry)).status).toBe(201);
  });

  it('jobs that are called alike tells them apart, in every step and box', async () => {
    const stack = await chosenStack();
    const [one, two] = [await project({ name: 'Choir' }), await project({ name: 'Stage' })];
    const jobIds = [];
    for (const { id } of [one, two]) jobIds.push((await addWork(id, { ...PIECE, stack })).body.id);
    const run = (await post('/api/bench', { jobIds })).body;
    expect(run.plan.works.map(({ name }: { name: string }) => name)).toEqual(['Front (Choir)', 'Front (Stage)']);
    const boxes = run.plan.steps.flatMap((step: { checks?: string[] }) => step.checks ?? []);
    expect(new Set(boxes).size).toBe(boxes.length);
  });
});

describe('a batch', () => {
  it('is one run; a job that is not ready or already under way is named', async () => {
    const { id } = await project();
    const stack = await chosenStack();
    const [a, b, bare] = [
      (await addWork(id, { ...PIECE, stack })).body.id as string,
      (await addWork(id, { ...PIECE, name: 'Cuff', stack })).body.id as string,
      (await addWork(id, { ...PIECE, name: 'Bare' })).body.id as string,
    ];
    const missing = await post('/api/bench', { jobIds: [a, bare] });
    expect([missing.status, missing.body.error.field]).toEqual([400, 'jobIds[1].stack']);
    const run = await post('/api/bench', { jobIds: [a, b] });
    expect([run.status, run.body.plan.works.map((work: { jobId: string }) => work.jobId)]).toEqual([201, [a, b]]);
    expect((await send('GET', '/api/bench')).body.runs.map((each: { id: string }) => each.id)).toContain(run.body.id);
    const twice = await post('/api/bench', { jobIds: [b, a] });
    expect([twice.status, twice.body.error.field]).toEqual([400, 'jobIds[0].run']);
    expect((await post('/api/bench', { jobIds: [] })).status).toBe(400);
  });
});

describe('a layer that was bought', () => {
  it('is kept with the figures of its family at its weight, and serves like any other', async () => {
    const bought = await post('/api/layers/bought', {
      name: 'Market firm',
      family: 'firm-nonwoven',
      arealDensity: 200,
      tones: ['dark'],
    });
    expect(bought.status).toBe(201);
    expect(bought.body).toMatchObject({
      inStock: true,
      origin: 'own',
      estimated: ['thickness', 'bendingLength', 'membraneStiffness'],
    });
    const ask = (materialId: string) =>
      post('/api/choose/judge', {
        fabric: FABRIC,
        part: { ...PART, role: 'bag-panel' },
        layers: [{ materialId, extent: 'net' }],
      });
    const [own, library] = [await ask(bought.body.id), await ask('firm-non-woven-sew-in-200-g')];
    expect(own.body.predicted).toEqual(library.body.predicted);
    // What its own leaflet says goes before what its kind usually asks.
    const told = { name: 'Read', family: 'nonwoven', arealDensity: 40, leaflet: { seconds: 17, cover: 'damp-cloth' } };
    const read = (await post('/api/layers/bought', told)).body;
    expect(read.leaflet).toMatchObject({ seconds: 17, cover: 'damp-cloth' });
    expect(read.leaflet.ironDots).toBeGreaterThan(0);
    expect((await post('/api/layers/bought', { ...told, leaflet: { seconds: -1 } })).body.error.field).toBe('leaflet.seconds');
    expect((await post('/api/layers/bought', { name: 'x', family: 'firm-nonwoven', arealDensity: 0 })).body.error.field).toBe(
      'arealDensity',
    );
  });
});
