import Database from 'better-sqlite3';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { choose } from '../../src/core/choose';
import { openSeeded } from '../../src/server/database';
import { tableParts } from '../../src/server/sound-table';
import { fingerprint } from '../../src/core/cutlist';
import { benchRuns } from '../../src/store/bench-runs';
import { cloths } from '../../src/store/cloths';
import { cutTables } from '../../src/store/cut-tables';
import type { Db } from '../../src/store/database';
import { layers } from '../../src/store/layers';
import { findWorkpiece, workOf } from '../../src/store/workpieces';

/** A database of the version before, with every kind of record in it: parts, runs, scraps, tables laid and cut, hoopings, a deleted part. */
const OLD = 'tests/files/before-pieces.db.gz';

interface OldPart {
  id: string;
  project_id: string;
  name: string;
  cloth_id: string;
  wish: string;
  shape: string;
  allowances: string;
  count: number;
  stack: string | null;
  cut_done: number;
  deleted_at: string | null;
}

let folder: string;
let before: Database.Database;
let now: Db;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'nembrel-old-'));
  const bytes = gunzipSync(readFileSync(OLD));
  writeFileSync(join(folder, 'before.db'), bytes);
  writeFileSync(join(folder, 'now.db'), bytes);
  before = new Database(join(folder, 'before.db'), { readonly: true });
  now = openSeeded(join(folder, 'now.db'));
});
afterAll(() => {
  before.close();
  now.close();
  rmSync(folder, { recursive: true });
});

const count = (db: Database.Database, sql: string) => (db.prepare(`SELECT count(*) AS n FROM ${sql}`).get() as { n: number }).n;

describe('a database from before pieces had cuts and jobs', () => {
  it('keeps every record, and what points to what', () => {
    // The library may have grown since.
    const ids = (db: Database.Database) => (db.prepare('SELECT id FROM cloth').all() as { id: string }[]).map(({ id }) => id);
    expect(ids(now)).toEqual(expect.arrayContaining(ids(before)));
    for (const table of [
      "cloth WHERE origin = 'own'",
      'project',
      'log_entry',
      'scrap',
      'bench_run',
      'cut_table',
      'stock',
      'hoop',
      'motif',
      'hooping',
    ])
      expect([table, count(now, table)]).toEqual([table, count(before, table)]);
    for (const table of ['piece', 'cut', 'job']) expect([table, count(now, table)]).toEqual([table, count(before, 'part')]);
    expect(now.pragma('foreign_key_check')).toEqual([]);
    expect(now.pragma('foreign_keys', { simple: true })).toBe(1);
    for (const table of ['scrap', 'bench_run', 'log_entry', 'hooping']) {
      const ids = (db: Database.Database, column: string) =>
        db.prepare(`SELECT id, ${column} AS points FROM ${table} ORDER BY id`).all();
      expect(ids(now, 'job_id')).toEqual(ids(before, 'part_id'));
    }
    expect(count(now, "sqlite_master WHERE name = 'part' OR sql LIKE '%part_id%'")).toBe(0);
  });

  it('has each part as a job with the piece and cloth it had', () => {
    const parts = before.prepare('SELECT * FROM part').all() as OldPart[];
    expect(parts.length).toBeGreaterThan(10);
    for (const part of parts) {
      const work = findWorkpiece(now, part.id);
      if (part.deleted_at !== null) {
        expect(work).toBeUndefined();
        continue;
      }
      expect(work).toMatchObject({
        ...{ name: part.name, clothId: part.cloth_id, projectId: part.project_id, count: part.count },
        ...{ wish: JSON.parse(part.wish), shape: JSON.parse(part.shape), allowances: JSON.parse(part.allowances) },
        ...{ cutDone: part.cut_done === 1, done: part.cut_done === 1, place: { kind: 'usual' } },
        stack: part.stack === null ? null : { ...JSON.parse(part.stack), layers: expect.anything() },
      });
      // The doubles of one material in the library are one entry now, used in two ways.
      const ofOne = (id: string) => id.replace('bag-foam-spray-glued-3-mm', 'bag-foam-sew-in-3-mm__spray-glued');
      type Kept = { materialId: string; join?: string };
      if (part.stack !== null)
        expect(work!.stack!.layers.map(({ materialId, join }) => (join ? `${materialId}__${join}` : materialId))).toEqual(
          (JSON.parse(part.stack) as { layers: Kept[] }).layers.map(({ materialId }) => ofOne(materialId)),
        );
    }
  });

  it('judges nothing differently', () => {
    const all = layers.all(now);
    const work = workOf(now, ['tq-waistcoats', 'tq-banner', 'tq-cap']).workpieces.filter(({ clothId }) => clothId !== null);
    expect(work.length).toBeGreaterThan(5);
    for (const { id, clothId, wish } of work) {
      const old = before.prepare('SELECT wish FROM part WHERE id = ?').get(id) as { wish: string };
      const cloth = cloths.get(now, clothId!);
      const [then, today] = [JSON.parse(old.wish), wish].map((part) => choose(cloth, part, all, { limit: 5 }));
      expect(today).toEqual(then);
    }
  });

  it('lays the same pieces on its tables, and knows what was cut from them', () => {
    const tables = cutTables.list(now, '1', [], 'id');
    expect(tables.map(({ done }) => done !== null).sort()).toEqual([false, true]);
    for (const table of tables)
      expect([table.ofKind, fingerprint(tableParts(now, table).items)]).toEqual([table.ofKind, table.fingerprint]);
    expect(tables.find(({ done }) => done)!.done!.workIds).toEqual(['tq-wc-welt']);
  });

  it('goes on at the bench where it was', () => {
    const runs = benchRuns.list(now, '1', [], 'id');
    expect(runs.length).toBe(3);
    for (const { plan } of runs) expect([plan.pieceName.length > 0, 'partName' in plan]).toEqual([true, false]);
  });
});
