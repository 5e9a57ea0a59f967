import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { sewnOutline } from '../../src/core/pieces';
import { EDGE_RECIPES, edgeRecipeOf, recipeOf, RECIPES, type EdgeKind } from '../../src/core/recipes';
import type { Piece } from '../../src/store/pieces';
import { recipePieces } from '../../src/views/project/recipe-pieces';
import { FABRIC, post, send } from './client';

const kindOf = (id: string) => RECIPES.find((each) => each.id === id)!;
let clothId: string;
beforeAll(async () => {
  clothId = (await post('/api/cloths', { ...FABRIC, name: 'Recipe cloth' })).body.id;
});

/** A project with the pieces that a recipe makes of some measures. */
async function made(kind: string, measures: Record<string, number>) {
  const { body: project } = await post('/api/projects', { name: `${kind} of the test`, note: '' });
  const pieces = recipePieces(
    recipeOf(kindOf(kind), measures),
    { cloths: { shell: clothId, lining: clothId }, layers: {} },
    'wash-warm',
  );
  const answer = await post(`/api/projects/${project.id}/pieces/many`, { pieces, recipe: { kind, measures } });
  expect(answer.status, JSON.stringify(answer.body)).toBe(201);
  const { body } = await send('GET', `/api/projects/${project.id}/recipes`);
  return {
    project: project.id as string,
    recipe: body.recipes[0] as { id: string; version: number; notes: string[] },
    rows: answer.body,
  };
}
const rowsOf = async (project: string) => (await send('GET', `/api/projects/${project}/pieces`)).body;
/** What pieces are, without their ids. */
const shown = ({ pieces, cuts, jobs }: { pieces: Piece[]; cuts: Record<string, unknown>[]; jobs: Record<string, unknown>[] }) =>
  pieces
    .map((piece) => ({
      ...{ name: piece.name, shape: piece.shape, allowances: piece.allowances, grain: piece.grain, marks: piece.marks },
      cuts: cuts
        .filter(({ pieceId }) => pieceId === piece.id)
        .map(({ id, duty, count, orientation }) => ({
          ...{ duty, count, orientation },
          jobs: jobs.filter(({ cutId }) => cutId === id).map(({ name, place }) => ({ name, place })),
        })),
    }))
    .sort((a, b) => a.name.localeCompare(b.name) || JSON.stringify(a).localeCompare(JSON.stringify(b)));
const changed = (id: string, measures: Record<string, number>, version = 1) =>
  send('PUT', `/api/recipes/${id}`, { measures, version });
const without = (row: Record<string, unknown>, ...fields: string[]) =>
  Object.fromEntries(
    Object.entries(row).filter(([field]) => ![...fields, 'id', 'createdAt', 'updatedAt', 'deletedAt'].includes(field)),
  );

describe('a recipe that stays with its pieces', () => {
  it.each([
    ['flare', { circles: 1, waist: 700, length: 300 }, { circles: 1.5, waist: 640, length: 450, lined: 0 }],
    ['flare', { braid: 1, interfaced: 0 }, { braid: 0, interfaced: 1, clothWidth: 500 }],
    ['flare', { lined: 1, ring: 0 }, { lined: 0, ring: 1, waist: 900, length: 200 }],
    ['waistband', {}, { waist: 810 }],
    ['cuff', {}, {}],
    ['godet', { slash: 300 }, { slash: 420, adds: 260 }],
    ['hat', { brimWidth: 60 }, { brimWidth: 0, head: 590 }],
    ['hat', { brimWidth: 0, interlining: 0 }, { brimWidth: 70 }],
    ['hat', {}, { domed: 1, gores: 8, dip: 35, taper: 20 }],
    ['flare', { circles: 1 }, { circles: 1, behind: 90 }],
    ['tray', {}, { lid: 1 }],
    ['gusset-bag', {}, { flap: 200, zip: 180, tabs: 2, pocket: 150 }],
  ] as const)('%s: changed, it is what the same measures typed anew make', async (kind, from, to) => {
    const target = { ...from, ...to } as Record<string, number>;
    const { project, recipe } = await made(kind, from);
    const answer = await changed(recipe.id, target);
    expect(answer.status, JSON.stringify(answer.body)).toBe(200);
    const anew = await made(kind, target);
    expect(shown(await rowsOf(project))).toEqual(shown(await rowsOf(anew.project)));
    // And back again.
    await changed(recipe.id, from, 2);
    expect(shown(await rowsOf(project))).toEqual(shown(await rowsOf((await made(kind, from)).project)));
  });

  it('enters its seams, and they fit before and after', async () => {
    const fits = async (project: string) => {
      const { seams } = (await send('GET', `/api/projects/${project}/seams`)).body as { seams: { compared: { difference: number }; fault: string | null }[] };
      return seams.map(({ compared, fault }) => [fault, Math.abs(compared.difference) < 0.5]);
    };
    const { project, recipe } = await made('hat', { brimWidth: 60 });
    const before = await fits(project);
    expect(before.length).toBeGreaterThan(6);
    expect(before.every(([fault, fit]) => fault === null && fit)).toBe(true);
    await changed(recipe.id, { brimWidth: 0, head: 540 });
    const after = await fits(project);
    expect(after.length).toBeLessThan(before.length);
    expect(after.every(([fault, fit]) => fault === null && fit)).toBe(true);
  });

  it('leaves what was done by hand where it fits, and names what does not', async () => {
    const { project, recipe, rows } = await made('waistband', {});
    const [piece] = rows.pieces;
    const mark = { kind: 'notch', at: [piece.shape.width ? piece.shape.width - 5 : 700, 10] };
    const byHand = {
      ...without(piece, 'projectId'),
      ...{ name: 'Best waistband', allowances: piece.allowances.map((mm: number, i: number) => (i === 1 ? 17 : mm)), marks: [...piece.marks, mark] },
    };
    expect((await send('PUT', `/api/pieces/${piece.id}`, byHand)).status).toBe(200);
    const { body } = await changed(recipe.id, { waist: 500, allowance: 14 });
    const [now] = (await rowsOf(project)).pieces;
    // The edge that was set by hand stays; the others follow the recipe.
    const plain = recipeOf(kindOf('waistband'), { waist: 500, allowance: 14 }).pieces[0]!.allowances;
    expect([now.name, now.allowances]).toEqual(['Best waistband', plain.map((mm, i) => (i === 1 ? 17 : mm))]);
    expect((await rowsOf(project)).cuts.map((cut: { clothId: string }) => cut.clothId)).toEqual([clothId]);
    expect(now.marks).not.toContainEqual(mark);
    expect(body.words).toEqual([expect.stringMatching(/“Best waistband” lost a mark that would lie outside/)]);
  });

  it('says so where a piece is cut already, and where one goes', async () => {
    const { recipe, rows } = await made('hat', { brimWidth: 60 });
    const cut = rows.cuts[0];
    await send('PUT', `/api/cuts/${cut.id}`, { ...without(cut, 'pieceId'), done: true });
    const { body } = await changed(recipe.id, { brimWidth: 0, head: 560 });
    expect(body.words.filter((words: string) => /is cut already/.test(words))).toHaveLength(1);
    expect(body.words.filter((words: string) => /“Brim” is not part of it/.test(words)).length).toBeGreaterThan(2);
  });

  it('refuses by the measure, a stale change and what it does not make; nothing changes', async () => {
    const { project, recipe } = await made('waistband', {});
    const before = shown(await rowsOf(project));
    expect((await changed(recipe.id, { waist: -3 })).body.error.field).toBe('measures.waist');
    expect((await changed(recipe.id, { waist: 700 }, 7)).status).toBe(409);
    expect((await send('PUT', `/api/recipes/${recipe.id}`, { measures: { waist: 'wide' }, version: 1 })).body.error.field).toBe('measures');
    expect(shown(await rowsOf(project))).toEqual(before);
    const pieces = recipePieces(recipeOf(kindOf('hat'), {}), { cloths: {}, layers: {} }, 'none').slice(1);
    expect((await post(`/api/projects/${project}/pieces/many`, { pieces, recipe: { kind: 'hat', measures: {} } })).body.error.field).toBe('recipe');
    expect((await post(`/api/projects/${project}/pieces/many`, { pieces, recipe: { kind: 'constructor', measures: {} } })).body.error.field).toBe('recipe.kind');
  });

  it('goes along when the project is sewn again, and is forgotten by itself', async () => {
    const { project, recipe } = await made('waistband', {});
    const { body: again } = await post(`/api/projects/${project}/again`, undefined);
    const { recipes: copied } = (await send('GET', `/api/projects/${again.id}/recipes`)).body;
    expect(copied).toHaveLength(1);
    await changed(copied[0].id, { waist: 900 });
    expect(shown(await rowsOf(project))).not.toEqual(shown(await rowsOf(again.id)));
    expect((await send('DELETE', `/api/recipes/${recipe.id}`)).status).toBe(200);
    expect((await send('GET', `/api/projects/${project}/recipes`)).body.recipes).toEqual([]);
    expect((await rowsOf(project)).pieces).toHaveLength(1);
  });

  it('follows through any chain of measures to the same pieces', async () => {
    const measures = fc.record({ waist: fc.integer({ min: 400, max: 1200 }), length: fc.integer({ min: 100, max: 900 }), circles: fc.constantFrom(0.5, 1, 2) });
    await fc.assert(
      fc.asyncProperty(fc.array(measures, { minLength: 2, maxLength: 4 }), async (chain) => {
        const { project, recipe } = await made('flare', chain[0]!);
        for (const [i, each] of chain.slice(1).entries()) await changed(recipe.id, each, i + 1);
        const anew = await made('flare', chain.at(-1)!);
        expect(shown(await rowsOf(project))).toEqual(shown(await rowsOf(anew.project)));
      }),
      { numRuns: 8 },
    );
  });
}); // prettier-ignore

describe('what is made from the edges of a piece', () => {
  const SKIRT = {
    name: 'Skirt front',
    // Waist above, hem below, sides that run out. Edges: hem, right side, waist, left side.
    shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [500, 0] }, { from: [420, 600] }, { from: [80, 600] }] },
    ...{ line: 'sew', allowances: [30, 15, 10, 15], fold: null, grain: 0, marks: [] },
  };
  const drawnWith = (hem: number) => ({ ...SKIRT.shape, edges: [{ from: [0, 0] }, { from: [hem, 0] }, ...SKIRT.shape.edges.slice(2)] }); // prettier-ignore
  const kind = EDGE_RECIPES.find(({ id }) => id === 'edge-hem')!;

  const faced = (depth: number, edges = [0]) => madeFrom(kind, { depth }, edges);
  async function madeFrom(by: EdgeKind, measures: Record<string, number>, edges = [0]) {
    const { body: project } = await post('/api/projects', { name: 'Faced', note: '' });
    const cut = { duty: 'shell', clothId, count: 1, orientation: 'straight', jobs: [] };
    const { body } = await post(`/api/projects/${project.id}/pieces`, { ...SKIRT, cuts: [cut] });
    const [piece] = body.pieces as Piece[];
    const of = { name: piece!.name, spec: piece!, edges, count: 1, pairs: false, orientation: 'straight' as const };
    const pieces = recipePieces(edgeRecipeOf(by, of, measures), { cloths: { shell: clothId }, layers: {} }, 'wash-warm');
    const recipe = { kind: by.id, measures, source: { pieceId: piece!.id, edges } };
    const added = await post(`/api/projects/${project.id}/pieces/many`, { pieces, recipe });
    return { project: project.id as string, piece: piece!, added };
  }
  const saved = (piece: Piece, to: object) => {
    const { id, version, name, shape, line, allowances, fold, grain, marks, position } = piece;
    return send('PUT', `/api/pieces/${id}`, { version, name, shape, line, allowances, fold, grain, marks, position, ...to });
  };
  const recipeIn = async (project: string) => (await send('GET', `/api/projects/${project}/recipes`)).body.recipes[0];
  const seamOf = async (project: string) => (await send('GET', `/api/projects/${project}/seams`)).body.seams[0];

  it('comes with its seam, and follows the piece in outline and allowance; what was done by hand stays', async () => {
    const { project, piece, added } = await faced(50);
    expect([added.status, added.body.error]).toEqual([201, undefined]);
    const [facing] = added.body.pieces as Piece[];
    expect(facing!.name).toBe('Skirt front: hem facing');
    expect(added.body.jobs[0].wish.role).toBe('hem');
    let seam = await seamOf(project);
    expect([seam.fault, seam.compared.fit, seam.first.length]).toEqual([null, 'fits', 500]);
    // Drawn wider, another allowance at the hem, and the facing was given a name and an allowance by hand meanwhile.
    const side = facing!.allowances.indexOf(15);
    const own = await saved(facing!, { name: 'Hem band', allowances: facing!.allowances.map((mm, i) => (i === side ? 22 : mm)) });
    expect(own.status).toBe(200);
    const wider = await saved(piece, { shape: drawnWith(560), allowances: [8, 15, 10, 15] });
    expect([wider.status, wider.body.error]).toEqual([200, undefined]);
    const now = (await rowsOf(project)).pieces.find(({ id }: Piece) => id === facing!.id) as Piece;
    expect(now.name).toBe('Hem band');
    expect(now.allowances[side]).toBe(22);
    expect(now.allowances).toContain(8);
    seam = await seamOf(project);
    expect([seam.fault, seam.compared.fit, Math.round(seam.second.length)]).toEqual([null, 'fits', 560]);
    expect((await send('GET', `/api/projects/${project}/seams`)).body.seams).toHaveLength(1);
    // The same piece drawn anew and faced anew has the same facing.
    expect((await recipeIn(project)).told).toEqual([]);
    expect((await recipeIn(project)).of.name).toBe('Skirt front');
  });

  it('follows how many are cut of it, their halves and their own allowances; a number of its own stays', async () => {
    const { project, piece, added } = await faced(50);
    const facing = added.body.pieces[0].id as string;
    const cutOf = async (id: string) => (await rowsOf(project)).cuts.find(({ pieceId }: { pieceId: string }) => pieceId === id);
    const change = async (id: string, to: object) => {
      const { id: cutId, pieceId: _piece, createdAt: _c, updatedAt: _u, ...own } = await cutOf(id);
      const answer = await send('PUT', `/api/cuts/${cutId}`, { ...own, ...to });
      expect([answer.status, answer.body.error]).toEqual([200, undefined]);
    };
    await change(piece.id, { count: 7, orientation: 'bias', own: [12, null, null, null] });
    expect(await cutOf(facing)).toMatchObject({ count: 7, orientation: 'bias' });
    expect((await rowsOf(project)).pieces.find(({ id }: Piece) => id === facing).allowances).toContain(12);
    await change(facing, { count: 3 });
    await change(piece.id, { count: 9 });
    expect(await cutOf(facing)).toMatchObject({ count: 3 });
    expect((await recipeIn(project)).told).toEqual([]);
  });

  it('that cannot follow stays as it was, says why, and follows again when it can', async () => {
    const { project, piece, added } = await faced(400);
    const [facing] = added.body.pieces as Piece[];
    const low = { ...SKIRT.shape, edges: [{ from: [0, 0] }, { from: [500, 0] }, { from: [420, 300] }, { from: [80, 300] }] };
    const flat = await saved(piece, { shape: low });
    expect(flat.status).toBe(200);
    expect((await recipeIn(project)).told.join()).toMatch(/could not follow “Skirt front”.*depth/);
    const stays = (await rowsOf(project)).pieces.find(({ id }: Piece) => id === facing!.id);
    expect(stays.shape).toEqual(facing!.shape);
    const { body: again } = await saved({ ...piece, version: flat.body.version }, { shape: drawnWith(520) });
    expect((await recipeIn(project)).told).toEqual([]);
    // Another number of edges: nobody knows which of them are meant.
    const five = { ...SKIRT.shape, edges: [{ from: [0, 0] }, { from: [250, -10] }, { from: [500, 0] }, ...SKIRT.shape.edges.slice(2)] }; // prettier-ignore
    await saved(again, { shape: five, allowances: [30, 30, 15, 10, 15] });
    expect((await recipeIn(project)).told.join()).toMatch(/edges.*are others now/);
  });

  it('has measures that can be changed, and is refused by name', async () => {
    const { project, added } = await faced(50);
    const { id } = await recipeIn(project);
    const deeper = await changed(id, { depth: 80 });
    expect([deeper.status, deeper.body.error]).toEqual([200, undefined]);
    const now = (await rowsOf(project)).pieces.find((piece: Piece) => piece.id === added.body.pieces[0].id) as Piece;
    const ys = sewnOutline(now).outline.map(([, y]) => y);
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(80, 6);
    const many = (source: object) =>
      post(`/api/projects/${project}/pieces/many`, { pieces: [{ ...SKIRT, cuts: [] }], recipe: { kind: kind.id, measures: {}, source } }); // prettier-ignore
    expect((await many({ pieceId: 'nowhere', edges: [0] })).body.error.field).toBe('recipe.source.pieceId');
    const here = (await rowsOf(project)).pieces.find(({ name }: Piece) => name === 'Skirt front').id;
    expect((await many({ pieceId: here, edges: [7] })).body.error.field).toBe('recipe.edges[0]');
    expect((await many({ pieceId: here, edges: [] })).body.error.field).toBe('recipe.source.edges');
    expect((await many({ pieceId: here, edges: [0, 2] })).body.error.message).toMatch(/follow each other/);
  });

  it('a copy of a panel that is slashed has godets of its own, which follow it and not the first', async () => {
    const slashes = EDGE_RECIPES.find(({ id }) => id === 'edge-slashes')!;
    const { project, piece } = await madeFrom(slashes, { slash: 200, gain: 150, count: 2 });
    const copy = await send('POST', `/api/pieces/${piece.id}/copy`);
    expect(copy.status, JSON.stringify(copy.body)).toBe(200);
    const [panel, godet] = copy.body.pieces as Piece[];
    expect(copy.body.pieces).toHaveLength(2);
    const { body } = await send('GET', `/api/projects/${project}/recipes`);
    const own = body.recipes.find(({ source }: { source: { pieceId: string } }) => source.pieceId === panel!.id);
    expect(own).toMatchObject({ kind: 'edge-slashes', pieces: [godet!.id], told: [] });
    const before = (await rowsOf(project)).pieces as Piece[];
    const answer = await changed(own.id, { slash: 260, gain: 150, count: 1 }, own.version);
    expect(answer.status, JSON.stringify(answer.body)).toBe(200);
    const now = (await rowsOf(project)).pieces as Piece[];
    const differ = now.filter((each) => JSON.stringify(each.shape) !== JSON.stringify(before.find(({ id }) => id === each.id)!.shape)); // prettier-ignore
    expect(differ.map(({ id }) => id)).toEqual([godet!.id]);
    expect(now.find(({ id }) => id === piece.id)!.marks).toEqual(before.find(({ id }) => id === piece.id)!.marks);
  });

  it('slashes are marked and held on the piece itself, and follow its shape and their measures; what is its own stays', async () => {
    const slashes = EDGE_RECIPES.find(({ id }) => id === 'edge-slashes')!;
    const { project, piece, added } = await madeFrom(slashes, { slash: 200, gain: 150, count: 2 });
    expect([added.status, added.body.error]).toEqual([201, undefined]);
    const panel = async () => (await rowsOf(project)).pieces.find(({ id }: Piece) => id === piece.id) as Piece;
    const held = async () => {
      const { cuts, jobs } = await rowsOf(project);
      const of = cuts.find(({ pieceId }: { pieceId: string }) => pieceId === piece.id).id;
      return jobs.filter(({ cutId }: { cutId: string }) => cutId === of) as {
        name: string;
        place: { line: number[][] };
        wish: { role: string };
      }[];
    };
    const tops = ({ marks }: Piece) => marks.filter(({ kind: of }) => of === 'slash').map(({ to }) => to!.map(Math.round));
    expect(tops(await panel())).toEqual([[125, 200], [375, 200]]); // prettier-ignore
    expect((await held()).map(({ wish, place }) => [wish.role, place.line[1]!.map(Math.round)])).toEqual([
      ['godet-slash', [125, 200]],
      ['godet-slash', [375, 200]],
    ]);
    // A mark by hand, and a wider hem.
    const notch = { kind: 'notch', at: [250, 600] };
    const now = await panel();
    const wide = await saved(now, { marks: [...now.marks, notch], shape: drawnWith(600) });
    expect([wide.status, wide.body.error]).toEqual([200, undefined]);
    expect(wide.body).toEqual(await panel());
    expect(tops(wide.body)).toEqual([[150, 200], [450, 200]]); // prettier-ignore
    const { id, version } = await recipeIn(project);
    const three = await changed(id, { slash: 260, gain: 150, count: 3 }, version);
    expect([three.status, three.body.error]).toEqual([200, undefined]);
    expect(tops(await panel())).toEqual([[100, 260], [300, 260], [500, 260]]); // prettier-ignore
    expect((await panel()).marks).toContainEqual(notch);
    expect((await held()).map(({ place }) => place.line[1]!.map(Math.round))).toEqual([[100, 260], [300, 260], [500, 260]]); // prettier-ignore
    // One less: its mark and its job go.
    await changed(id, { slash: 260, gain: 150, count: 1 }, version + 1);
    expect(tops(await panel())).toEqual([[300, 260]]);
    expect(await held()).toHaveLength(1);
    expect(
      (await rowsOf(project)).cuts.find(({ pieceId }: { pieceId: string }) => pieceId === added.body.pieces[0].id).count,
    ).toBe(1);
  });

  it('slashes go with the last of their godets, with marks and jobs, and come back with it as they were', async () => {
    const slashes = EDGE_RECIPES.find(({ id }) => id === 'edge-slashes')!;
    const { project, piece, added } = await madeFrom(slashes, { slash: 200, gain: 150, count: 2 });
    const notch = { kind: 'notch', at: [250, 600] };
    const panel = async () => (await rowsOf(project)).pieces.find(({ id }: Piece) => id === piece.id) as Piece;
    const marked = await panel();
    await saved(marked, { marks: [...marked.marks, notch] });
    const of = (await rowsOf(project)).cuts.find(({ pieceId }: { pieceId: string }) => pieceId === piece.id).id;
    const held = async () => (await rowsOf(project)).jobs.filter(({ cutId }: { cutId: string }) => cutId === of);
    const [job] = await held();
    const { id: jobId, cutId: _c, createdAt: _a, updatedAt: _u, ...own } = job;
    expect((await send('PUT', `/api/jobs/${jobId}`, { ...own, wish: { ...own.wish, care: 'dry-clean' } })).status).toBe(200);
    const godet = added.body.pieces[0].id;
    expect((await send('DELETE', `/api/pieces/${godet}`)).status).toBe(200);
    expect((await panel()).marks).toEqual([notch]);
    expect(await held()).toEqual([]);
    expect((await send('POST', `/api/pieces/${godet}/restore`)).body.id).toBe(godet);
    expect((await panel()).marks.map(({ kind: each }) => each).sort()).toEqual(['notch', 'slash', 'slash']);
    expect((await held()).map(({ id, wish }: { id: string; wish: { care: string } }) => [id === jobId, wish.care])).toEqual([
      [true, 'dry-clean'],
      [false, 'wash-warm'],
    ]);
    // Deleted and taken back once more, nothing is there twice.
    await send('DELETE', `/api/pieces/${godet}`);
    await send('POST', `/api/pieces/${godet}/restore`);
    expect((await panel()).marks).toHaveLength(3);
    expect(await held()).toHaveLength(2);
  });

  it('goes along when the project is sewn again, and follows the piece of that project', async () => {
    const { project } = await faced(50);
    const again = await post(`/api/projects/${project}/again`, {});
    expect([again.status, again.body.error]).toEqual([200, undefined]);
    const rows = await rowsOf(again.body.id);
    const of = await recipeIn(again.body.id);
    const skirt = rows.pieces.find(({ name }: Piece) => name === 'Skirt front') as Piece;
    expect(of.source.pieceId).toBe(skirt.id);
    await saved(skirt, { shape: drawnWith(540) });
    expect(Math.round((await seamOf(again.body.id)).second.length)).toBe(540);
    expect(Math.round((await seamOf(project)).second.length)).toBe(500);
  });
});

describe('a flare as it stands', () => {
  it('has its shape, its cloth, and the layers that were chosen for it: all over, and in the hem', async () => {
    const { project, recipe, rows } = await made('flare', {
      circles: 1.5,
      waist: 640,
      length: 300,
      behind: 40,
      interfaced: 1,
      braid: 1,
    });
    const { body: bare } = await send('GET', `/api/recipes/${recipe.id}/standing`);
    expect(bare).toMatchObject({
      shape: { circles: 1.5, waist: 640, length: 300, behind: 40 },
      cloth: { id: clothId },
      layers: [],
    });
    const { body: known } = await send('GET', '/api/layers?family=braid,woven,tear-away');
    const [braid, woven, torn] = ['braid', 'woven', 'tear-away'].map((each) =>
      known.layers.find(({ family }: { family: string }) => family === each),
    );
    const predicted = { bendingLength: 30, low: 25, high: 35, rigidity: 20, arealDensity: 200, thickness: 0.5 };
    for (const job of rows.jobs as { id: string; version: number; wish: { role: string } }[]) {
      const layer = job.wish.role === 'flare-hem' ? braid : woven;
      const stack = {
        title: layer.name,
        // What is torn away does not stay, and is not seen.
        layers: [layer, torn].map(({ id }) => ({ materialId: id, extent: 'full', angle: 0 })),
        predicted,
        reasons: [],
        cautions: [],
      };
      const answer = await send('PUT', `/api/jobs/${job.id}`, {
        ...without(job as never, 'version', 'cutId', 'position'),
        stack,
        version: job.version,
      });
      expect(answer.status, JSON.stringify(answer.body)).toBe(200);
    }
    const { body } = await send('GET', `/api/recipes/${recipe.id}/standing`);
    // Two patterns that mirror each other have the same layers: each is told once.
    expect(body.layers.map(({ name, at, width }: Record<string, unknown>) => [name, at, width]).sort()).toEqual(
      [
        [braid.name, 'hem', braid.rollWidth],
        [woven.name, 'all', 300],
      ].sort(),
    );
    expect(project).toBeTruthy();
  });

  it('is asked of a flare only', async () => {
    const { recipe } = await made('waistband', {});
    expect((await send('GET', `/api/recipes/${recipe.id}/standing`)).body.error.field).toBe('recipe');
    expect((await send('GET', '/api/recipes/nobody/standing')).status).toBe(404);
  });
});

describe('notions of a recipe', () => {
  const notionsOf = async (project: string) =>
    ((await send('GET', `/api/projects/${project}`)).body.notions as { name: string; count: number; there: boolean }[]).map(
      ({ name, count, there }) => [name, count, there],
    );
  it('come into the kit of its project, and follow its measures; what was noted or got by hand stays', async () => {
    const { project, recipe } = await made('gusset-bag', { zip: 200, tabs: 3, tabWidth: 25 });
    expect(await notionsOf(project)).toEqual([['Zip, 200 mm', 1, false], ['Ring, 25 mm inside', 3, false]]); // prettier-ignore
    const { body } = await send('GET', `/api/projects/${project}`);
    const { id: _id, createdAt: _c, updatedAt: _u, deletedAt: _d, ...fields } = body;
    const own = ['name', 'note', 'makes', 'variant', 'care', 'archived', 'version'];
    const notions = [{ name: 'Zip, 200 mm', count: 1, there: true }, { name: 'Ring, 25 mm inside', count: 4, there: false }, { name: 'thread', count: 1, there: false }]; // prettier-ignore
    const saved = await send('PUT', `/api/projects/${project}`, { ...Object.fromEntries(own.map((each) => [each, fields[each]])), notions }); // prettier-ignore
    expect(saved.status, JSON.stringify(saved.body)).toBe(200);
    await changed(recipe.id, { zip: 0, tabs: 5, tabWidth: 25, flap: 200, snaps: 1 });
    expect(await notionsOf(project)).toEqual([['Zip, 200 mm', 1, true], ['Ring, 25 mm inside', 6, false], ['thread', 1, false], ['Snap', 1, false]]); // prettier-ignore
    await changed(recipe.id, {}, 2);
    expect(await notionsOf(project)).toEqual([['Zip, 200 mm', 1, true], ['Ring, 25 mm inside', 1, false], ['thread', 1, false]]); // prettier-ignore
  });
});
