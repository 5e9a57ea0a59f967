import Database from 'better-sqlite3';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { isSoaked, joinedAs, joinsOf, keptKey, keyOfUse, usedOf, usesOf } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { methodOf } from '../../src/core/liquid';
import { openSeeded } from '../../src/server/database';
import type { Db } from '../../src/store/database';
import { hoopings } from '../../src/store/hoopings';
import { jobs } from '../../src/store/jobs';
import { layers } from '../../src/store/layers';
import { logEntries, memoryOfCloth } from '../../src/store/log';
import { knownLayers } from '../../src/store/materials';
import { stock } from '../../src/store/stock';

const of = (id: string) => LIBRARY_LAYERS.find((each) => each.id === id)!;

describe('a material and its uses', () => {
  it('a key names the material and the use, and is taken apart again', () => {
    for (const material of LIBRARY_LAYERS)
      for (const used of joinsOf(material).map((way) => joinedAs(material, way))) {
        const named = usedOf(keyOfUse(used));
        expect(named.materialId).toBe(material.id);
        expect(keyOfUse(joinedAs(material, named.join))).toBe(keyOfUse(used));
        expect(joinedAs(material, named.join)).toEqual(used);
        expect(usedOf(keptKey(named))).toEqual(named);
      }
    expect(usedOf('a__b')).toEqual({ materialId: 'a__b' });
  });

  it('one bottle: a mist, damp, wet through; each stiffer than the one before, only the last soaks', () => {
    for (const id of ['starch', 'liquid-stabilizer']) {
      const uses = usesOf(of(id));
      expect(uses.map(({ stiffening }) => stiffening)).toEqual(
        [...uses.map(({ stiffening }) => stiffening)].sort((a, b) => a - b),
      );
      expect(uses.map(isSoaked)).toEqual([false, false, true]);
      expect(uses.map(methodOf)).toEqual(['mist', 'damp', 'soak']);
      expect(new Set(uses.map(({ id: same }) => same))).toEqual(new Set([id]));
    }
    expect(joinsOf(of('edge-stiffener-spray'))).toEqual(['liquid']);
    // Somebody's own starch that is heavy as it comes has one use.
    expect(joinsOf({ ...of('starch'), arealDensity: 14, stiffening: 6 })).toEqual(['liquid']);
  });

  it('what is not glued can be sprayed; what is cannot', () => {
    const wadding = joinedAs(of('cotton-wadding-130-g'), 'spray-glued');
    expect(wadding).toMatchObject({ form: 'spray-glued', glue: 'none', leaflet: { seconds: 0 }, id: 'cotton-wadding-130-g' });
    expect(wadding.name).toBe('Cotton wadding, 130 g, with spray glue');
    expect(() => joinedAs(of('fusible-fleece-100-g'), 'spray-glued')).toThrow(/join/);
    expect(() => joinedAs(of('starch'), 'sew-in')).toThrow(/join/);
  });
});

/** A database from before, with its doubles chosen, filed, in stock and corrected. */
describe('a database in which the doubles of one material were entries of their own', () => {
  let folder: string;
  let now: Db;
  const JOB = 'tq-tr-outer';
  const stackOf = (ids: string[]) =>
    JSON.stringify({
      title: 'x',
      layers: ids.map((materialId) => ({ materialId, extent: 'full', angle: 0 })),
      predicted: { bendingLength: 1, low: 1, high: 1, rigidity: 1, arealDensity: 1, thickness: 1 },
      reasons: [],
      cautions: [],
      setting: { materialId: 'heavy-starch-soaked', ironDots: 2, seconds: 8, steam: false, cover: 'none' },
    });

  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'nembrel-twins-'));
    const path = join(folder, 'old.db');
    writeFileSync(path, gunzipSync(readFileSync('tests/files/before-pieces.db.gz')));
    const old = new Database(path);
    const before = ['heavy-starch-soaked', 'thin-cotton-wadding-spray-glued-90-g', 'polyester-wadding-spray-glued-120-g'];
    old.prepare('UPDATE part SET stack = ? WHERE id = ?').run(stackOf([...before, 'fusible-fleece-100-g']), JOB);
    old.prepare("UPDATE log_entry SET layer_ids = json_array('light-starch-sprayed', 'medium-tear-away-spray-glued-42-g') WHERE rowid = (SELECT min(rowid) FROM log_entry)").run(); // prettier-ignore
    old.prepare("UPDATE stock SET of_kind = 'layer', of_id = 'thin-cotton-wadding-spray-glued-90-g' WHERE rowid = (SELECT min(rowid) FROM stock)").run(); // prettier-ignore
    old.prepare("UPDATE layer SET in_stock = 1 WHERE id = 'heavy-starch-soaked'").run();
    old.prepare("UPDATE layer SET in_stock = 0 WHERE id = 'light-starch-sprayed'").run();
    old.prepare("UPDATE layer SET note = 'mine, weighed' WHERE id = 'mesh-cut-away-spray-glued-42-g'").run();
    old
      .prepare("UPDATE hooping SET stack = json_set(stack, '$.layers', json(?)) WHERE rowid = (SELECT min(rowid) FROM hooping)")
      .run(JSON.stringify([{ materialId: 'firm-cut-away-spray-glued-80-g', angle: 45 }]));
    old.close();
    now = openSeeded(path);
  });
  afterAll(() => {
    now.close();
    rmSync(folder, { recursive: true });
  });

  it('has one entry for each, used as its double was', () => {
    const { stack } = jobs.get(now, JOB);
    expect(stack!.layers.map(keptKey)).toEqual([
      'starch__full',
      'thin-cotton-wadding-90-g__spray-glued',
      'polyester-wadding-120-g__spray-glued',
      'fusible-fleece-100-g',
    ]);
    expect(stack!.setting!.materialId).toBe('starch');
    const known = knownLayers(now, stack!.layers).map(({ material }) => material);
    expect(known.map(({ form }) => form)).toEqual(['liquid', 'spray-glued', 'spray-glued', 'fusible']);
    expect(isSoaked(known[0]!)).toBe(true);
    for (const gone of ['heavy-starch-soaked', 'light-starch-sprayed', 'liquid-stabilizer-misted', 'bag-foam-spray-glued-3-mm'])
      expect(layers.find(now, gone)).toBeUndefined();
    const names = layers.all(now).map(({ name }) => name);
    expect(names.filter((name) => /^(Starch|Liquid stabilizer|Polyester wadding, 120 g)$/.test(name)).sort()).toEqual([
      'Liquid stabilizer',
      'Polyester wadding, 120 g',
      'Starch',
    ]);
    expect(layers.get(now, 'polyester-wadding-120-g').form).toBe('loose');
  });

  it('files what was filed under the use, and keeps one stock', () => {
    const entry = logEntries.list(now, '1', [], 'rowid')[0]!;
    expect(entry.layerIds).toEqual(['starch', 'medium-tear-away-42-g__spray-glued']);
    expect(memoryOfCloth(now, entry.clothId!).get(entry.layerIds.join('+'))).toBeDefined();
    expect(stock.list(now, '1', [], 'rowid')[0]).toMatchObject({ ofKind: 'layer', ofId: 'thin-cotton-wadding-90-g' });
    expect(layers.get(now, 'starch').inStock).toBe(true);
    expect(hoopings.list(now, '1', [], 'rowid')[0]!.stack!.layers).toEqual([
      { materialId: 'firm-cut-away-80-g', angle: 45, join: 'spray-glued' },
    ]);
  });

  it('keeps a double that somebody made their own', () => {
    expect(layers.find(now, 'mesh-cut-away-spray-glued-42-g')).toMatchObject({ form: 'spray-glued', note: 'mine, weighed' });
  });

  it('opened again it is as it was', () => {
    const path = join(folder, 'old.db');
    const count = layers.all(now).length;
    now.close();
    now = openSeeded(path);
    expect(layers.all(now)).toHaveLength(count);
  });
});
