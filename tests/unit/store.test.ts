import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { START_STATE } from '../../src/core/bench';
import { benchRuns, openRunOf } from '../../src/store/bench-runs';
import { cloths } from '../../src/store/cloths';
import type { Db } from '../../src/store/database';
import { openSeeded } from '../../src/server/database';
import { loadDemo } from '../../src/store/demo';
import { NotFoundError, StaleError } from '../../src/store/errors';
import { layers } from '../../src/store/layers';
import { logEntries, logOfCloth, memoryOfCloth, withMeasured, type LogFields } from '../../src/store/log';
import { projects } from '../../src/store/projects';
import { findWorkpiece } from '../../src/store/workpieces';
import { scraps, scrapsOf, washesDue } from '../../src/store/scraps';
import { DEFAULT_SETTINGS, readSettings, writeSettings } from '../../src/store/settings';

const PROJECT = { name: '', note: '', makes: 1, variant: '', care: null, notions: [], archived: false };

let folder: string;
let db: Db;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'nembrel-store-'));
  db = openSeeded(join(folder, 'a.db'));
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true, force: true });
});

const entry = (more: Partial<Omit<LogFields, 'measuredBendingLength'>> = {}): LogFields =>
  withMeasured({
    jobId: null,
    benchRunId: null,
    kind: 'piece',
    stitched: null,
    causes: [],
    shape: null,
    doneOn: '2026-05-31',
    title: 'Collar',
    clothId: 'shirting-poplin',
    clothName: 'Shirting poplin',
    stackTitle: 'Light woven fusible, 45 g',
    layerIds: ['light-woven-fusible-45-g'],
    settings: { ironDots: 2, seconds: 12, steam: true, cover: 'damp-cloth' },
    checks: { held: [], failed: [] },
    outcome: 'good',
    predictedBendingLength: null,
    predictedLow: null,
    predictedHigh: null,
    overhang: null,
    note: '',
    ...more,
  });

describe('what is remembered of a pair', () => {
  it('leaves out what went wrong by how it was done, and keeps why', () => {
    const { id: clothId } = cloths.list(db)[0]!;
    const file = (outcome: LogFields['outcome'], causes: string[]) =>
      logEntries.insert(db, entry({ clothId, layerIds: ['a'], outcome, causes }));
    file('poor', ['lifts/moved-warm']);
    file('poor', ['board/heavy', 'lifts/moved-warm']);
    file('poor', []);
    file('good', []);
    const kept = memoryOfCloth(db, clothId).get('a')!;
    expect(kept).toMatchObject({ good: 1, fair: 0, poor: 2, mishaps: 1 });
    expect(kept.causes).toContain('board/heavy');
  });
});

describe('a new database', () => {
  it('holds the whole library, every figure as it is written', () => {
    expect(cloths.list(db)).toHaveLength(LIBRARY_CLOTHS.length);
    expect(layers.list(db)).toHaveLength(LIBRARY_LAYERS.length);
    for (const { id, ...cloth } of LIBRARY_CLOTHS) expect(cloths.get(db, id)).toMatchObject(cloth);
    for (const { id, ...layer } of LIBRARY_LAYERS) expect(layers.get(db, id)).toMatchObject(layer);
  });

  it('keeps what it confirms through a power cut: WAL, full sync, foreign keys', () => {
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
  });

  it('has only strict tables', () => {
    const loose = db
      .prepare(
        "SELECT name FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND strict = 0 AND name NOT LIKE 'sqlite_%'",
      )
      .all();
    expect(loose).toEqual([]);
  });

  it('does not bring back what was deleted, nor overwrite what was changed', () => {
    cloths.remove(db, 'denim');
    const poplin = cloths.get(db, 'shirting-poplin');
    cloths.update(db, poplin.id, { ...poplin, arealDensity: 121 }, poplin.version);
    db.close();
    db = openSeeded(join(folder, 'a.db'));
    expect(cloths.find(db, 'denim')).toBeUndefined();
    expect(cloths.get(db, 'shirting-poplin').arealDensity).toBe(121);
    expect(cloths.restore(db, 'denim').name).toBe('Denim');
  });
});

describe('a database of an earlier version', () => {
  /** The step that made pieces, cuts and jobs of parts. */
  const PIECES = 9;
  const files = readdirSync('src/store/migrations').filter((name) => name.endsWith('.sql'));

  it.each(files.map((_, i) => i).slice(1))('is brought from step %d to now with all of its rows, a copy beside it', (done) => {
    const path = join(folder, `old-${done}.db`);
    const old = new Database(path);
    for (const name of files.slice(0, done)) old.exec(readFileSync(join('src/store/migrations', name), 'utf8'));
    old.pragma(`user_version = ${done}`);
    old.exec(`
      INSERT INTO cloth (id, name, note, origin, construction, weave, fibres, areal_density, stretch_length, stretch_cross, iron_dots, water, sheer, tone,
        surface, fray, overhang, created_at, updated_at)
      VALUES ('mine', 'Old linen', '', 'own', 'woven', 'plain', '[{"fibre":"linen","percent":100}]', 180, 1, 2, 3, 'safe', 'opaque', 'mid', '[]', 'high', 52,
        '2026-01-01', '2026-01-01');
      INSERT INTO project (id, name, created_at, updated_at) VALUES ('p', 'Old project', '2026-01-01', '2026-01-01');
    `);
    // From the ninth step on a part is a piece, a cut and a job.
    old.exec(
      done < PIECES
        ? `INSERT INTO part (id, project_id, name, cloth_id, wish, shape, allowances, count, created_at, updated_at)
             VALUES ('q', 'p', 'Old piece', 'mine', '{"role":"hem","cut":"bias"}', '{}', '[0,0,0,0]', 1, '2026-01-01', '2026-01-01');
           INSERT INTO bench_run (id, part_id, plan, state, created_at, updated_at) VALUES ('r', 'q', '{}', '{}', '2026-01-01', '2026-01-01');`
        : `INSERT INTO piece (id, project_id, name, shape, line, allowances, marks, created_at, updated_at)
             VALUES ('i', 'p', 'Old piece', '{}', 'cut', '[0,0,0,0]', '[]', '2026-01-01', '2026-01-01');
           INSERT INTO cut (id, piece_id, duty, cloth_id, count, orientation, created_at, updated_at)
             VALUES ('c', 'i', 'shell', 'mine', 1, 'bias', '2026-01-01', '2026-01-01');
           INSERT INTO job (id, cut_id, place, wish, created_at, updated_at)
             VALUES ('q', 'c', '{"kind":"usual"}', '{"role":"hem"}', '2026-01-01', '2026-01-01');
           INSERT INTO bench_run (id, job_id, plan, state, created_at, updated_at) VALUES ('r', 'q', '{}', '{}', '2026-01-01', '2026-01-01');`,
    );
    old.close();
    const now = openSeeded(path);
    expect(now.pragma('user_version', { simple: true })).toBe(files.length);
    expect(cloths.get(now, 'mine')).toMatchObject({ name: 'Old linen', overhang: 52, arealDensity: 180 });
    expect(cloths.get(now, 'mine').tests).toEqual({});
    expect(openRunOf(now, 'q')).toMatchObject({ id: 'r', scrapId: null });
    expect(scrapsOf(now, 'q')).toEqual([]);
    expect(findWorkpiece(now, 'q')).toMatchObject({ name: 'Old piece', clothId: 'mine', wish: { role: 'hem', cut: 'bias' } });
    now.close();
    const copy = `${path}.before-${String(done + 1).padStart(3, '0')}`;
    expect(existsSync(copy)).toBe(true);
    copyFileSync(copy, join(folder, 'copy.db'));
    const kept = new Database(join(folder, 'copy.db'), { readonly: true });
    expect(kept.pragma('user_version', { simple: true })).toBe(done);
    expect(kept.prepare("SELECT name FROM cloth WHERE id = 'mine'").get()).toEqual({ name: 'Old linen' });
    kept.close();
  });
});

describe('rows that people edit', () => {
  it('count their versions, and refuse a stale save with the row as it is', () => {
    const made = projects.insert(db, { ...PROJECT, name: 'Banner' });
    expect(made.version).toBe(1);
    const changed = projects.update(db, made.id, { ...PROJECT, name: 'Lantern banner' }, 1);
    expect([changed.version, changed.name]).toEqual([2, 'Lantern banner']);
    try {
      projects.update(db, made.id, { ...PROJECT, name: 'Flag' }, 1);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(StaleError);
      expect((error as StaleError).current).toEqual(changed);
    }
    expect(projects.get(db, made.id).name).toBe('Lantern banner');
  });

  it('are gone when deleted, back when restored, and say so when they are not there', () => {
    const made = projects.insert(db, { ...PROJECT, name: 'Banner' });
    projects.remove(db, made.id);
    expect(projects.find(db, made.id)).toBeUndefined();
    expect(() => projects.get(db, made.id)).toThrow(NotFoundError);
    expect(() => projects.remove(db, made.id)).toThrow(NotFoundError);
    expect(() => projects.update(db, made.id, { ...PROJECT, name: 'x' }, 1)).toThrow(NotFoundError);
    expect(projects.restore(db, made.id).name).toBe('Banner');
    expect(() => projects.restore(db, 'nobody')).toThrow(NotFoundError);
  });

  it('take names as data, whatever they hold', () => {
    const name = `Robert'); DROP TABLE project; -- “ö” \u{1F9F5}`;
    const made = projects.insert(db, { ...PROJECT, name });
    expect(projects.get(db, made.id).name).toBe(name);
    expect(projects.list(db)).toHaveLength(1);
  });
});

describe('memory of a cloth', () => {
  it('gathers by the layers that were used, in their order, over pieces and scraps', () => {
    logEntries.insert(db, entry({ overhang: 60 }));
    logEntries.insert(db, entry({ overhang: 64, outcome: 'fair', kind: 'scrap' }));
    logEntries.insert(db, entry({ outcome: 'poor' }));
    logEntries.insert(db, entry({ layerIds: ['a', 'b'] }));
    logEntries.insert(db, entry({ layerIds: ['b', 'a'] }));
    logEntries.insert(db, entry({ clothId: 'denim' }));
    const memory = memoryOfCloth(db, 'shirting-poplin');
    expect([...memory.keys()].sort()).toEqual(['a+b', 'b+a', 'light-woven-fusible-45-g']);
    const record = memory.get('light-woven-fusible-45-g')!;
    expect([record.good, record.fair, record.poor]).toEqual([1, 1, 1]);
    expect(record.readings.map(Math.round).sort()).toEqual([30, 32]);
  });

  it('forgets what is taken out of the logbook', () => {
    const made = logEntries.insert(db, entry({ overhang: 60 }));
    logEntries.remove(db, made.id);
    expect(memoryOfCloth(db, 'shirting-poplin').size).toBe(0);
  });

  it('lists a cloth’s entries newest first', () => {
    for (const doneOn of ['2026-03-01', '2026-05-01', '2026-04-01']) logEntries.insert(db, entry({ doneOn }));
    expect(logOfCloth(db, 'shirting-poplin').map(({ doneOn }) => doneOn)).toEqual(['2026-05-01', '2026-04-01', '2026-03-01']);
  });
});

describe('scraps and bench runs', () => {
  beforeEach(() => loadDemo(db, { onlyIfEmpty: false }));

  it('washes that are due come earliest first, without those that were looked at', () => {
    const filed = scraps.get(db, 'tq-trial-front');
    const later = scraps.insert(db, { ...filed, washDue: '2026-09-01' });
    scraps.insert(db, {
      ...filed,
      wash: { doneOn: '2026-08-01', peel: 5, bubbles: 'none', shrink: null, overhang: null, outcome: 'good', note: '' },
    });
    scraps.insert(db, { ...filed, washDue: null });
    expect(washesDue(db).map(({ id }) => id)).toEqual(['tq-trial-front', later.id]);
    scraps.remove(db, 'tq-trial-front');
    expect(washesDue(db).map(({ id }) => id)).toEqual([later.id]);
  });

  it('a scrap’s run is not the job’s own', () => {
    const plan = { pieceName: '', clothName: '', stackTitle: '', outline: [], plate: [], steps: [] };
    const run = { jobId: 'tq-wc-collar', plan, state: START_STATE, finishedAt: null };
    benchRuns.insert(db, { ...run, scrapId: 'tq-trial-collar' });
    expect(openRunOf(db, 'tq-wc-collar')).toBeUndefined();
    const own = benchRuns.insert(db, { ...run, scrapId: null });
    expect(openRunOf(db, 'tq-wc-collar')!.id).toBe(own.id);
  });
});

describe('settings', () => {
  it('begin with defaults, keep what is set, refuse a stale save', () => {
    expect(readSettings(db)).toEqual({ settings: DEFAULT_SETTINGS, version: 0 });
    const saved = writeSettings(db, { ...DEFAULT_SETTINGS, schools: { heat: 'damp' } }, 0);
    expect(saved).toEqual({ settings: { ...DEFAULT_SETTINGS, schools: { heat: 'damp' } }, version: 1 });
    expect(() => writeSettings(db, DEFAULT_SETTINGS, 0)).toThrow(StaleError);
  });

  it('of an earlier version get what is new', () => {
    const { schools: _new, ...earlier } = DEFAULT_SETTINGS;
    db.prepare("INSERT INTO setting (key, value, version, updated_at) VALUES ('settings', ?, 1, '2026-01-01')").run(
      JSON.stringify({ ...earlier, trim: 8 }),
    );
    expect(readSettings(db).settings).toEqual({ ...DEFAULT_SETTINGS, trim: 8 });
  });
});
