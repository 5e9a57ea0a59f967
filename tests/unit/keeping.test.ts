import Database from 'better-sqlite3';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { familyLaw } from '../../src/core/library';
import { joinedLines } from '../../src/formats/dxf/joined-lines';
import { checkBackup, writeBackup } from '../../src/store/backup';
import { deletedRows } from '../../src/store/bin';
import type { Db } from '../../src/store/database';
import { openSeeded } from '../../src/server/database';
import { isBusy, writeTrouble } from '../../src/store/database-trouble';
import { loadDemo } from '../../src/store/demo';
import { layers } from '../../src/store/layers';
import { clothPage, layerPage, logPage, projectPage } from '../../src/store/lists';
import { pageAsked } from '../../src/store/page';
import { pieces } from '../../src/store/pieces';
import { projects } from '../../src/store/projects';
import { withEstimates, type LayerBody } from '../../src/store/rules/layer';

const folder = mkdtempSync(join(tmpdir(), 'nembrel-keeping-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let db: Db;
beforeEach(() => {
  db = openSeeded(':memory:');
  loadDemo(db, { onlyIfEmpty: false });
});

const asked = (text: string, size = 5) => pageAsked(new URLSearchParams(text), size);

describe('lists by pages', () => {
  it('show every row once, in order, whatever the size of a page', () => {
    const all = layers.list(db, '1', [], 'name').map(({ name }) => name);
    const seen: string[] = [];
    const { total } = layerPage(db, asked('sort=name', 7), 'all', false);
    for (let page = 0; page * 7 < total; page++) seen.push(...layerPage(db, asked(`sort=name&page=${page}`, 7), 'all', false).rows.map(({ name }) => name)); // prettier-ignore
    expect(total).toBe(all.length);
    expect(new Set(seen)).toEqual(new Set(all));
    const folded = seen.map((name) => name.toLowerCase());
    expect(folded).toEqual([...folded].sort());
    const back = layerPage(db, asked('sort=-name', 7), 'all', false).rows.map(({ name }) => name);
    expect(back[0]).toBe(seen.at(-1));
  });

  it('find rows that hold every word, in any case, and none that was deleted', () => {
    const found = layerPage(db, asked('search=WOVEN fusible', 50), 'all', false).rows;
    expect(found.length).toBeGreaterThan(2);
    for (const { name } of found) expect(name.toLowerCase()).toMatch(/woven/);
    const [first] = found;
    layers.remove(db, first!.id);
    expect(layerPage(db, asked('search=woven fusible', 50), 'all', false).rows.map(({ id }) => id)).not.toContain(first!.id);
  });

  it('keep to the family, to one’s own and to the outcome that are asked for', () => {
    const tear = layerPage(db, asked('', 50), 'tear-away', false).rows;
    expect(tear.length).toBeGreaterThan(0);
    expect(new Set(tear.map(({ family }) => family))).toEqual(new Set(['tear-away']));
    const [mine, any] = [true, false].map((own) => layerPage(db, asked(''), 'all', own).total);
    expect(mine!).toBeLessThan(any!);
    const good = logPage(db, asked('', 50), { outcome: 'good', project: '' }).rows;
    expect(good.length).toBeGreaterThan(0);
    expect(good.every(({ outcome }) => outcome === 'good')).toBe(true);
    expect(clothPage(db, asked('', 100), true).total).toBeLessThan(clothPage(db, asked('', 100), false).total);
    expect(
      projectPage(db, asked('search=banner', 50))
        .rows.map(({ name }) => name.toLowerCase())
        .join(),
    ).toContain('banner');
  });

  it.each([
    ['sort', 'sort=price;DROP TABLE layer'],
    ['page', 'page=-1'],
    ['page', 'page=1.5'],
    ['size', 'size=5000'],
  ])('refuse a wrong %s', (field, text) => {
    expect(() => layerPage(db, asked(text), 'all', false)).toThrow(expect.objectContaining({ field }));
  });

  it('take what is typed for words, not for patterns', () => {
    expect(layerPage(db, asked('search=%25'), 'all', false).total).toBe(0);
    expect(layerPage(db, asked("search='"), 'all', false).total).toBe(0);
  });
});

describe('what was deleted', () => {
  it('is found for thirty days, with what it belonged to and the way back', () => {
    const [piece] = pieces.list(db, '1', [], 'rowid');
    pieces.remove(db, piece!.id);
    const project = projects.find(db, piece!.projectId)!;
    const deletedAt = (db.prepare('SELECT deleted_at AS d FROM piece WHERE id = ?').get(piece!.id) as { d: string }).d;
    const in29 = new Date(Date.parse(deletedAt) + 29 * 86_400_000).toISOString();
    const in31 = new Date(Date.parse(deletedAt) + 31 * 86_400_000).toISOString();
    expect(deletedRows(db, in29)).toEqual([
      {
        kind: 'piece',
        id: piece!.id,
        name: piece!.name,
        of: project.name,
        deletedAt,
        restore: `/api/pieces/${piece!.id}/restore`,
      },
    ]);
    expect(deletedRows(db, in31)).toEqual([]);
  });
});

describe('a backup', () => {
  /** Every row of every table, by table. */
  const contents = (at: Db) =>
    Object.fromEntries(
      (at.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'").all() as { name: string }[]).map(
        ({ name }) => [name, at.prepare(`SELECT * FROM "${name}" ORDER BY rowid`).all()],
      ), // prettier-ignore
    );

  it('is everything, table by table, and says what it holds', async () => {
    const [layer] = layers.list(db, '1', [], 'rowid');
    layers.remove(db, layer!.id);
    const path = join(folder, 'whole.db');
    await writeBackup(db, path);
    const copy = new Database(path, { readonly: true });
    const [mine, theirs] = [contents(db), contents(copy)];
    copy.close();
    expect(Object.keys(theirs).sort()).toEqual(Object.keys(mine).sort());
    for (const table of Object.keys(mine)) expect(theirs[table], table).toEqual(mine[table]);
    expect(checkBackup(path)).toMatchObject({ projects: projects.list(db, '1', [], 'rowid').length });
    expect(checkBackup(path).layers).toBe(layers.list(db, '1', [], 'rowid').length);
  });

  it('that is none, is cut short, is of something else or newer is refused in words', async () => {
    const path = join(folder, 'good.db');
    await writeBackup(db, path);
    const bytes = readFileSync(path);
    const write = (name: string, content: Uint8Array | string) => {
      writeFileSync(join(folder, name), content);
      return join(folder, name);
    };
    expect(() => checkBackup(write('a.db', 'dear diary'))).toThrow(/no backup|damaged/);
    expect(() => checkBackup(write('b.db', bytes.subarray(0, bytes.length / 2)))).toThrow(/damaged|cut short/);
    const other = new Database(join(folder, 'c.db'));
    other.exec('CREATE TABLE recipe (name TEXT)');
    other.close();
    expect(() => checkBackup(join(folder, 'c.db'))).toThrow(/something else/);
    const newer = write('d.db', bytes);
    const opened = new Database(newer);
    opened.pragma('user_version = 999');
    opened.close();
    expect(() => checkBackup(newer)).toThrow(/newer Nembrel/);
  });
});

describe('a database of another kind or time', () => {
  it('is not written to when it is newer', () => {
    const path = join(folder, 'newer.db');
    const own = openSeeded(path);
    own.pragma('user_version = 999');
    own.close();
    const before = readFileSync(path);
    expect(() => openSeeded(path)).toThrow(/newer/);
    expect(readFileSync(path).equals(before)).toBe(true);
  });

  it('is not taken over when it is of something else', () => {
    const path = join(folder, 'foreign.db');
    const other = new Database(path);
    other.exec('CREATE TABLE recipe (name TEXT)');
    other.close();
    expect(() => openSeeded(path)).toThrow(path);
    const again = new Database(path);
    expect(again.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all()).toEqual([{ name: 'recipe' }]);
    again.close();
  });

  it.each([
    ['SQLITE_FULL', /disk is full/],
    ['SQLITE_READONLY', /may not be written/],
    ['SQLITE_CORRUPT', /damaged/],
  ])('in trouble is told in words: %s', (code, words) => {
    expect(writeTrouble(Object.assign(new Error('x'), { code }))).toMatch(words);
    expect(writeTrouble(new Error('x'))).toBeUndefined();
  });

  it('that is only busy is no trouble but soon over', () => {
    for (const code of ['SQLITE_BUSY', 'SQLITE_BUSY_SNAPSHOT', 'SQLITE_LOCKED'])
      expect([isBusy({ code }), writeTrouble({ code })]).toEqual([true, undefined]);
    expect(isBusy({ code: 'SQLITE_FULL' })).toBe(false);
  });
});

describe('a layer whose figures were not all measured', () => {
  const body = { family: 'firm-nonwoven', form: 'sew-in', arealDensity: 200 } as LayerBody;

  it('takes the rest from the law of its family at its weight, and says which', () => {
    const whole = withEstimates({ ...body, thickness: 1.4 }, 'own');
    expect(whole.thickness).toBe(1.4);
    expect(new Set(whole.estimated)).toEqual(new Set(['bendingLength', 'membraneStiffness']));
    expect(whole.bendingLength).toBe(familyLaw('firm-nonwoven', 200, 'sew-in').bendingLength);
    // Twice the weight is thicker, and far stiffer than twice as stiff would be.
    const [light, heavy] = [100, 200].map((weight) => familyLaw('firm-nonwoven', weight, 'sew-in'));
    expect(heavy!.thickness).toBeGreaterThan(1.3 * light!.thickness);
    expect(heavy!.bendingLength).toBeGreaterThan(1.2 * light!.bendingLength);
  });
});

describe('lines that belong together', () => {
  it('are joined whichever way round they were drawn, however many there are', () => {
    const count = 20_000;
    const lines = Array.from({ length: count }, (_, i) => {
      const at = (k: number): [number, number] => [1000 * Math.cos((2 * Math.PI * k) / count), 1000 * Math.sin((2 * Math.PI * k) / count)];
      const line = [at(i), at(i + 1)];
      return i % 3 === 0 ? line.reverse() : line;
    }); // prettier-ignore
    // Scattered, as a drawing program leaves them.
    const scattered = lines.map((_, i) => lines[(i * 7919) % count]!);
    const [chain, ...rest] = joinedLines(scattered, 0.01);
    expect(rest).toEqual([]);
    expect(chain!.length).toBe(count + 1);
    expect(Math.hypot(chain![0]![0] - chain!.at(-1)![0], chain![0]![1] - chain!.at(-1)![1])).toBeLessThan(0.01);
  });

  it('stay apart when their ends do not meet', () => {
    expect(joinedLines([[[0, 0], [1, 0]], [[1.5, 0], [2, 0]]], 0.1)).toHaveLength(2); // prettier-ignore
  });
});
