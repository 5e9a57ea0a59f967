import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { NOTHING_NEW } from '../files/counts';
import { exportBundle, importBundle, type Bundle } from '../../src/store/bundle';
import { bundleSchema } from '../../src/schemas/bundle';
import { piecesSchema } from '../../src/schemas/projects';
import { validate } from '../../src/schemas/validate';
import { cloths } from '../../src/store/cloths';
import { cutTables, type CutTableFields } from '../../src/store/cut-tables';
import type { Db } from '../../src/store/database';
import { openSeeded } from '../../src/server/database';
import { loadDemo } from '../../src/store/demo';
import { hoopings } from '../../src/store/hoopings';
import { hoops } from '../../src/store/hoops';
import { moveKit, readKit } from '../../src/store/kits';
import { layers } from '../../src/store/layers';
import { logEntries } from '../../src/store/log';
import { motifs, packedStitches } from '../../src/store/motifs';
import { cuts } from '../../src/store/cuts';
import { jobs } from '../../src/store/jobs';
import { pieces } from '../../src/store/pieces';
import { getWorkpiece } from '../../src/store/workpieces';
import { projects } from '../../src/store/projects';
import { recipes } from '../../src/store/recipes';
import { recipeOf, RECIPES } from '../../src/core/recipes';
import { addPieces, type NewPiece } from '../../src/server/add-pieces';
import { addMade, changeRecipe } from '../../src/server/recipe-work';
import { recipePieces } from '../../src/views/project/recipe-pieces';
import { scraps } from '../../src/store/scraps';
import { stock, stockThere } from '../../src/store/stock';

let folder: string;
let db: Db;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'nembrel-bundle-'));
  db = openSeeded(join(folder, 'a.db'));
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A bundle as it comes out of a file. */
const saved = (from: Db) => validate(bundleSchema, JSON.parse(JSON.stringify(exportBundle(from)))) as Bundle;

/** Runs work on a database and leaves nothing of it behind. */
function undone<T>(on: Db, work: () => T): T {
  on.exec('BEGIN');
  try {
    return work();
  } finally {
    on.exec('ROLLBACK');
  }
}

describe('bundles', () => {
  it('carry a hat from when its brim had a lining too: its pieces are found by name and duty when its measures change', () => {
    const fields = { name: 'Cap', note: '', makes: 1, variant: '', care: null, notions: [], archived: false };
    const project = projects.insert(db, fields);
    const hat = RECIPES.find(({ id }) => id === 'hat')!;
    const recipe = { kind: 'hat', measures: { head: 570 } };
    const wanted = recipePieces(recipeOf(hat, recipe.measures), { cloths: {}, layers: {} }, 'wash-warm');
    addMade(db, project.id, validate(piecesSchema, { pieces: wanted, recipe }).pieces as NewPiece[], recipe);
    const [kept] = recipes.list(db, '1', [], 'rowid');
    const brim = wanted.find(({ name }) => name === 'Brim')!;
    const lined = { ...brim, cuts: [{ ...brim.cuts[0]!, duty: 'lining', jobs: [] }] };
    const [extra] = addPieces(db, project.id, validate(piecesSchema, { pieces: [lined] }).pieces as NewPiece[]).pieces;
    const ids = [...kept!.pieces.slice(0, 2), extra!.id, ...kept!.pieces.slice(2)];
    recipes.update(db, kept!.id, { ...kept!, pieces: ids }, kept!.version);
    const bundle = saved(db);
    const other = openSeeded(join(folder, 'hat.db'));
    expect(importBundle(other, bundle).recipes).toBe(1);
    const before = pieces.list(other, 'project_id = ?', [project.id], 'position');
    const [arrived] = recipes.list(other, '1', [], 'rowid');
    const { recipe: now } = changeRecipe(other, arrived!.id, { head: 600 }, arrived!.version);
    expect(now.pieces).toEqual(kept!.pieces);
    for (const piece of pieces.list(other, 'project_id = ?', [project.id], 'position')) {
      const was = before.find(({ id }) => id === piece.id)!;
      expect([piece.name, piece.shape.kind, piece.marks.length]).toEqual([was.name, was.shape.kind, was.marks.length]);
      expect([piece.name, JSON.stringify(piece.shape) === JSON.stringify(was.shape)]).toEqual([
        piece.name,
        piece.id === extra!.id,
      ]);
    }
    other.close();
  });

  it('carry recipes, which stay alive where they arrive; one that does not make its pieces is told', () => {
    const project = projects.insert(db, {
      name: 'Skirt',
      note: '',
      makes: 1,
      variant: '',
      care: null,
      notions: [],
      archived: false,
    });
    const measures = { circles: 1, waist: 700, length: 300 };
    const flare = RECIPES.find(({ id }) => id === 'flare')!;
    const wanted = recipePieces(recipeOf(flare, measures), { cloths: {}, layers: {} }, 'wash-warm');
    const recipe = { kind: 'flare', measures };
    addMade(db, project.id, validate(piecesSchema, { pieces: wanted, recipe }).pieces as NewPiece[], recipe);
    const [gone] = recipes.list(db, '1', [], 'rowid')[0]!.pieces;
    pieces.remove(db, gone!);
    const bundle = saved(db);
    expect(bundle.recipes).toMatchObject([{ kind: 'flare', measures, projectId: project.id }]);
    expect(bundle.recipes[0]!.pieces[0]).toBeNull();
    const other = openSeeded(join(folder, 'c.db'));
    expect(importBundle(other, bundle).recipes).toBe(1);
    const [kept] = recipes.list(other, '1', [], 'rowid');
    const longer = changeRecipe(other, kept!.id, { ...measures, length: 400 }, 1);
    expect(longer.recipe.pieces).toHaveLength(wanted.length);
    other.close();

    const again = { ...bundle.recipes[0]!, id: 'another' };
    expect(() => importBundle(db, { ...bundle, recipes: [{ ...again, pieces: [] }] })).toThrow(/recipes\[0\]\.pieces/);
    expect(() => importBundle(db, { ...bundle, recipes: [{ ...again, kind: 'constructor' }] })).toThrow(/recipes\[0\]\.kind/);
    expect(() => importBundle(db, { ...bundle, recipes: [{ ...again, measures: { waist: -1 } }] })).toThrow(/measures\.waist/);
  });

  it('carry bags: what is packed, missing, taken, and where they lie; what is packed here goes first', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const put = (on: Db, copy: number, key: string, state: 'packed' | 'missing') =>
      moveKit(on, 'tq-waistcoats', copy, [
        {
          id: `${copy} ${key} ${state}`,
          at: '2026-06-01T10:00:00.000Z',
          move: { kind: 'put', keys: [key], state },
        },
        { id: `${copy} place`, at: '2026-06-01T10:01:00.000Z', move: { kind: 'place', place: `crate ${copy}` } },
      ]);
    put(db, 1, 'pattern/tq-wc-front', 'packed');
    put(db, 2, 'cut/x', 'missing');
    const bundle = saved(db);
    expect(bundle.kits).toHaveLength(2);
    const other = openSeeded(join(folder, 'k.db'));
    expect(importBundle(other, bundle).kits).toBe(2);
    expect(readKit(other, 'tq-waistcoats', 1)).toMatchObject({ states: { 'pattern/tq-wc-front': 'packed' }, place: 'crate 1' });
    expect(readKit(other, 'tq-waistcoats', 2)).toMatchObject({ states: { 'cut/x': 'missing' }, place: 'crate 2' });
    expect(importBundle(other, bundle)).toEqual(NOTHING_NEW);
    put(other, 1, 'pattern/tq-wc-front', 'missing');
    expect(importBundle(other, { ...bundle, kits: bundle.kits.map((kit) => ({ ...kit, id: `${kit.id}-again` })) }).kits).toBe(0);
    expect(readKit(other, 'tq-waistcoats', 1).states).toEqual({ 'pattern/tq-wc-front': 'missing' });
    other.close();
    const [kit] = bundle.kits;
    expect(() => importBundle(db, { ...bundle, kits: [{ ...kit!, id: 'k', copy: 9, projectId: 'nowhere' }] })).toThrow(
      /kits\[0\]\.projectId/,
    );
    for (const states of [{ a: 'lost' }, { '': 'packed' }, [], { a: 1 }])
      expect(() => validate(bundleSchema, { ...bundle, kits: [{ ...kit, states }] })).toThrow(/kits\[0\]\.states/);
  });

  it('carry everything of one’s own to an empty database, scraps and tests too', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const bundle = JSON.parse(JSON.stringify(exportBundle(db))) as Bundle;
    const other = openSeeded(join(folder, 'b.db'));
    const count = importBundle(other, bundle);
    expect(count).toMatchObject({ projects: 6, pieces: 14, cuts: 17, jobs: 16, log: 34, scraps: 2 });
    for (const table of [projects, pieces, cuts, jobs, scraps, logEntries] as const) {
      const strip = (rows: { createdAt: string; updatedAt: string; version: number }[]) =>
        rows.map(({ createdAt: _c, updatedAt: _u, version: _v, ...row }) => row);
      expect(strip(table.list(other, '1', [], 'id'))).toEqual(strip(table.list(db, '1', [], 'id')));
    }
    // Stitches are the same to the last bit, and so is everything that is known of the hoop.
    for (const { id } of motifs.list(db)) expect(packedStitches(other, id).bytes.equals(packedStitches(db, id).bytes)).toBe(true);
    const bare = <T extends { createdAt: string; updatedAt: string }>(rows: T[]) =>
      rows.map(({ createdAt: _c, updatedAt: _u, ...row }) => row);
    expect(bare(hoops.list(other))).toEqual(bare(hoops.list(db)));
    expect(bare(motifs.list(other))).toEqual(bare(motifs.list(db)));
    expect(bare(hoopings.list(other, '1', [], 'id'))).toEqual(bare(hoopings.list(db, '1', [], 'id')));
    expect(cloths.get(other, 'tq-harbour-linen').tests).toEqual(cloths.get(db, 'tq-harbour-linen').tests);
    expect(importBundle(other, bundle)).toEqual(NOTHING_NEW);
    other.close();
  });

  it('carry cutting tables on which nothing is cut, with their layouts and what they lie on', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const leftover = stockThere(db).find(({ kind, ofKind }) => kind === 'leftover' && ofKind === 'layer')!;
    const gone = stockThere(db).find(({ id, ofKind }) => id !== leftover.id && ofKind === 'layer')!;
    const table = (ofId: string, stockIds: string[], done: CutTableFields['done'] = null): CutTableFields => ({
      projectId: 'tq-waistcoats',
      ofKind: 'layer',
      ofId,
      options: {
        method: 'cut-first',
        glueUp: true,
        gap: 2,
        margin: 10,
        squaring: 20,
        folded: false,
        shrink: false,
        rollWidth: 900,
        stockIds,
        seconds: 5,
        seed: 1,
      },
      laid: [
        {
          sourceId: stockIds[0] ?? 'roll',
          placements: [{ id: 'tq-wc-front', copy: 0, rotation: 180, flipped: true, x: 1 / 3, y: 2 }],
          length: 300,
          density: 0.5,
        },
      ],
      locked: ['a b 0'],
      fingerprint: 'f',
      workIds: ['tq-wc-front'],
      done,
    });
    const kept = cutTables.insert(db, table(leftover.ofId, [leftover.id]));
    const lost = cutTables.insert(db, table(gone.ofId === leftover.ofId ? 'light-woven-fusible-45-g' : gone.ofId, [gone.id]));
    cutTables.insert(
      db,
      table('another', [], { doneOn: '2026-05-31', usedIds: [], drawn: [], sheets: [], keptIds: [], workIds: [] }),
    );
    stock.remove(db, gone.id);
    const bundle = bundleSchema.validateSync(JSON.parse(JSON.stringify(exportBundle(db))), { strict: true }) as Bundle;
    expect(bundle.tables).toHaveLength(2);
    const other = openSeeded(join(folder, 'b.db'));
    expect(importBundle(other, bundle).tables).toBe(2);
    expect(cutTables.get(other, kept.id)).toMatchObject(table(leftover.ofId, [leftover.id]));
    expect(cutTables.get(other, lost.id)).toMatchObject({ laid: [], locked: [], options: { stockIds: [] } });
    expect(importBundle(other, bundle)).toEqual(NOTHING_NEW);
    // A table that is open there already stays.
    const mine = openSeeded(join(folder, 'c.db'));
    importBundle(mine, { ...bundle, tables: [] });
    const own = cutTables.insert(mine, table(leftover.ofId, []));
    expect(importBundle(mine, bundle).tables).toBe(1);
    expect(cutTables.find(mine, kept.id)).toBeUndefined();
    expect(cutTables.get(mine, own.id).options.stockIds).toEqual([]);
    // What points nowhere is named, and nothing is taken.
    bundle.tables[0]!.options.stockIds = ['nowhere'];
    const third = openSeeded(join(folder, 'd.db'));
    expect(() => importBundle(third, bundle)).toThrow('tables[0].options.stockIds[0]');
    expect(projects.list(third)).toEqual([]);
    for (const each of [other, mine, third]) each.close();
  });

  it('name the motif whose stitches cannot be read, and take nothing', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const bundle = JSON.parse(JSON.stringify(exportBundle(db))) as Bundle;
    bundle.motifs[2]!.table = 'x_mm,y_mm,command\n1,two,stitch\n';
    const other = openSeeded(join(folder, 'b.db'));
    expect(() => importBundle(other, bundle)).toThrow(/^motifs\[2\]\.table: .*line 2/);
    expect(motifs.list(other)).toEqual([]);
    expect(projects.list(other)).toEqual([]);
    other.close();
  });

  it('are taken whole or not at all', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const bundle = JSON.parse(JSON.stringify(exportBundle(db))) as Bundle;
    bundle.scraps[0]!.jobId = 'nobody';
    const other = openSeeded(join(folder, 'b.db'));
    expect(() => importBundle(other, bundle)).toThrow('scraps[0].jobId');
    expect(projects.list(other)).toEqual([]);
    expect(logEntries.list(other, '1', [], 'id')).toEqual([]);
    other.close();
  });
});

describe('a bundle of a cupboard from which something was deleted', () => {
  const tables = { cloths, layers, projects, pieces, cuts, jobs, scraps, stock, hoops, motifs, hoopings } as const;

  it.each(Object.keys(tables) as (keyof typeof tables)[])('can be brought in elsewhere: any of the %s', (kind) => {
    loadDemo(db, { onlyIfEmpty: false });
    const other = openSeeded(join(folder, 'b.db'));
    const table = tables[kind];
    // A few of them from all over the cupboard: each takes a whole bundle there and back.
    const all = exportBundle(db)[kind] as { id: string }[];
    const rows = all.filter(
      (_, i) => i % Math.ceil(all.length / (['cloths', 'pieces', 'cuts', 'jobs'].includes(kind) ? 3 : 1)) === 0,
    );
    expect(rows.length).toBeGreaterThan(0);
    for (const { id } of rows)
      undone(db, () => {
        table.remove(db, id);
        const bundle = saved(db);
        undone(other, () => {
          const count = importBundle(other, bundle);
          expect(count.log).toBe(34);
          // Nothing is left pointing at nothing.
          for (const { projectId } of pieces.list(other)) expect(projects.find(other, projectId)).toBeDefined();
          for (const { pieceId, clothId } of cuts.list(other, '1', [], 'id')) {
            expect(pieces.find(other, pieceId)).toBeDefined();
            if (clothId !== null) expect(cloths.find(other, clothId)).toBeDefined();
          }
          for (const { cutId } of jobs.list(other)) expect(cuts.find(other, cutId)).toBeDefined();
          for (const { motifId, clothId } of hoopings.list(other))
            expect([motifs.find(other, motifId), cloths.find(other, clothId)]).not.toContain(undefined);
        });
      });
    other.close();
  });

  it('leaves the pieces, scraps and tables of a deleted project behind, and keeps what was learnt from them', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const scrap = scraps.list(db, '1', [], 'id')[0]!;
    const { projectId } = getWorkpiece(db, scrap.jobId);
    projects.remove(db, projectId);
    const bundle = saved(db);
    expect(bundle.projects).toHaveLength(5);
    expect(bundle.pieces.some((piece) => (piece as { projectId: string }).projectId === projectId)).toBe(false);
    expect(bundle.scraps.some(({ jobId }) => jobId === scrap.jobId)).toBe(false);
    expect(bundle.log).toHaveLength(34);
    expect(bundle.log.filter(({ jobId }) => jobId === null).length).toBeGreaterThan(0);
  });

  it('brings back what was deleted here since it was saved, as it was then', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const bundle = saved(db);
    const before = { project: projects.get(db, 'tq-cap'), cloth: cloths.get(db, 'tq-duck') };
    const motif = motifs.list(db)[0]!;
    const stitches = packedStitches(db, motif.id).bytes;
    projects.update(db, 'tq-cap', { ...before.project, name: 'Renamed since', note: '' }, before.project.version);
    projects.remove(db, 'tq-cap');
    cloths.remove(db, 'tq-duck');
    motifs.remove(db, motif.id);
    expect(importBundle(db, bundle)).toEqual({ ...NOTHING_NEW, projects: 1, cloths: 1, motifs: 1 });
    expect(projects.get(db, 'tq-cap')).toMatchObject({ name: before.project.name, note: before.project.note });
    expect(projects.get(db, 'tq-cap').version).toBeGreaterThan(before.project.version);
    expect(cloths.get(db, 'tq-duck').tests).toEqual(before.cloth.tests);
    expect(packedStitches(db, motif.id).bytes.equals(stitches)).toBe(true);
    expect(importBundle(db, bundle)).toEqual(NOTHING_NEW);
  });
});

describe('what a form would refuse', () => {
  const rectangle = { kind: 'rectangle', width: 0.5, height: 30, corners: [false, false, false, false], corner: 0 };
  const faults: [words: string, field: RegExp, spoil: (bundle: Bundle) => void][] = [
    ['a shape that cannot be built', /^pieces\[3\]\.width/, ({ pieces: all }) => Object.assign(all[3]!, { shape: rectangle })],
    [
      'allowances for edges that are not there',
      /^pieces\[0\]\.allowances/,
      ({ pieces: all }) => Object.assign(all[0]!, { allowances: [10, 10] }),
    ],
    ['a cut of a cloth that is not there', /^cuts\[1\]\.clothId: points to/, ({ cuts: all }) => (all[1]!.clothId = 'nothing')],
    ['a cut of no piece', /^cuts\[1\]\.pieceId: points to/, ({ cuts: all }) => (all[1]!.pieceId = 'nothing')],
    ['a job on no cut', /^jobs\[1\]\.cutId: points to/, ({ jobs: all }) => (all[1]!.cutId = 'nothing')],
    [
      'a stack of a layer that is not there',
      /^jobs\[0\]\.stack\.layers\[0\]\.materialId: points to/,
      ({ jobs: all }) => (all[0]!.stack!.layers[0]!.materialId = 'nothing'),
    ],
    ['a piece of no project', /^pieces\[2\]\.projectId: points to/, ({ pieces: all }) => (all[2]!.projectId = 'nothing')],
    [
      'a reading that its test does not know',
      /^cloths\[\d+\]\.tests\.weight\.readings\.colour/,
      ({ cloths: all }) => Object.assign(testedCloth(all).readings, { colour: 3 }),
    ],
    [
      'a reading that cannot be',
      /^cloths\[\d+\]\.tests\.weight\.readings\.mass/,
      ({ cloths: all }) => Object.assign(testedCloth(all).readings, { mass: -7 }),
    ],
    [
      'a leftover larger than its outline',
      /^stock\[\d+\]\.outline/,
      ({ stock: all }) => (all.find(({ outline }) => outline)!.width += 50),
    ],
    [
      'a leftover that reaches to the moon',
      /^stock\[\d+\]\.outline/,
      ({ stock: all }) => (all.find(({ outline }) => outline)!.outline![0] = [1e308, 0]),
    ],
    ['a roll of nothing', /^stock\[0\]\.ofId: points to/, ({ stock: all }) => (all[0]!.ofId = 'nothing')],
    [
      'cloth in the hoop that crosses itself',
      /^hoopings\[0\]\.ground\.outline/,
      ({ hoopings: all }) => Object.assign(all[0]!.ground, { outline: [[0, 0], [100, 100], [100, 0], [0, 100]] }), // prettier-ignore
    ],
    ['a hooping of no motif', /^hoopings\[1\]\.motifId: points to/, ({ hoopings: all }) => (all[1]!.motifId = 'nothing')],
    ['an entry about no job', /^log\[5\]\.jobId: points to/, ({ log: all }) => (all[5]!.jobId = 'nothing')],
  ];

  function testedCloth(all: Bundle['cloths']) {
    return all.map(({ tests }) => (tests as Record<string, { readings: object }>)['weight']).find((test) => test !== undefined)!;
  }

  it('is refused in a bundle too, named by where it stands, and nothing is taken', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const bundle = saved(db);
    const other = openSeeded(join(folder, 'b.db'));
    const cupboard = cloths.list(other).length;
    for (const [words, field, spoil] of faults) {
      const spoilt = structuredClone(bundle);
      spoil(spoilt);
      expect(() => importBundle(other, spoilt), words).toThrow(field);
      expect(projects.list(other), words).toEqual([]);
      expect(cloths.list(other), words).toHaveLength(cupboard);
    }
    expect(importBundle(other, bundle).pieces).toBe(14);
    other.close();
  });

  it('knows no run at the bench, and does not ask for one', () => {
    loadDemo(db, { onlyIfEmpty: false });
    const bundle = saved(db);
    Object.assign(bundle.log[0]!, { benchRunId: 'another place' });
    const other = openSeeded(join(folder, 'b.db'));
    importBundle(other, bundle);
    expect(logEntries.get(other, bundle.log[0]!.id).benchRunId).toBeNull();
    other.close();
  });
});
