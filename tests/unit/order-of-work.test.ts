import { beforeEach, describe, expect, it } from 'vitest';
import type { ChosenLayer } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { orderOfWork, stepsForCopies, type Step } from '../../src/core/steps';
import { methodFor, orderOfJob } from '../../src/server/order-of-work';
import { cutTables, type CutTableFields } from '../../src/store/cut-tables';
import type { Db } from '../../src/store/database';
import { openSeeded } from '../../src/server/database';
import { loadDemo } from '../../src/store/demo';
import { jobs } from '../../src/store/jobs';
import { getWorkpiece, type Workpiece } from '../../src/store/workpieces';
import { readSettings, writeSettings } from '../../src/store/settings';

const layerOf = (form: string) => LIBRARY_LAYERS.find((each) => each.form === form)!;
const chosen = (form: string, extent: ChosenLayer['extent'] = 'full'): ChosenLayer => ({
  material: layerOf(form),
  extent,
  angle: 0,
});

describe('the order of work of a stack', () => {
  it.each([
    ['fuse-together', [chosen('fusible')], 'fuse-together'],
    ['fuse-length', [chosen('fusible')], 'fuse-length'],
    ['cut-first', [chosen('fusible')], 'cut-first'],
    // Only what is fused, and reaches the edges, can be laid on uncut.
    ['fuse-together', [chosen('sew-in')], 'cut-first'],
    ['fuse-together', [chosen('fusible'), chosen('sew-in')], 'cut-first'],
    ['fuse-together', [chosen('fusible'), chosen('liquid')], 'fuse-together'],
    ['fuse-together', [chosen('liquid')], 'cut-first'],
    ['fuse-together', [chosen('fusible', 'strip')], 'cut-first'],
    ['fuse-together', [chosen('fusible', 'patch')], 'cut-first'],
  ] as const)('%s: what can be done that way is, the rest is cut first', (school, layers, expected) => {
    expect(orderOfWork(school, layers, true)).toBe(expected);
  });

  it('by shape, many small pieces are fused together and everything else is cut first', () => {
    expect(orderOfWork('by-shape', [chosen('fusible')], true)).toBe('fuse-together');
    expect(orderOfWork('by-shape', [chosen('fusible')], false)).toBe('cut-first');
    expect(orderOfWork('by-shape', [chosen('fusible', 'trimmed')], true)).toBe('cut-first');
  });
});

describe('the steps of a set', () => {
  const step = (id: string, stage: Step['stage'], kind: Step['kind'] = 'do'): Step => ({
    id,
    stage,
    kind,
    title: `Do ${id}`,
    detail: '',
  });
  const one = [
    step('cut', 'cut'),
    step('lay', 'apply'),
    step('press', 'apply', 'press'),
    step('cool', 'apply', 'wait'),
    step('look', 'check', 'check'),
  ];

  it('of one piece are as they are', () => {
    expect(stepsForCopies(one, 1)).toEqual(one);
  });

  it('cut all at once, press each, wait once, and tick each', () => {
    const set = stepsForCopies(one, 3);
    expect(set.map(({ id }) => id)).toEqual([
      ...['cut', 'lay#1', 'press#1', 'lay#2', 'press#2', 'lay#3', 'press#3'],
      ...['cool', 'look', 'check-each'],
    ]);
    expect(set[2]!.title).toBe('Piece 1 of 3: do press');
    expect(set.find(({ id }) => id === 'cool')!.title).toBe('All 3: do cool');
    expect(set.at(-1)!.checks).toEqual(['Piece 1 of 3', 'Piece 2 of 3', 'Piece 3 of 3']);
  });

  it('lay them once when they lie on one sheet, and press every one', () => {
    const ids = stepsForCopies(one, 2, true).map(({ id }) => id);
    expect(ids).toEqual(['cut', 'lay', 'press#1', 'press#2', 'cool', 'look', 'check-each']);
  });

  it.each([24, 61, 200, 1000])('of %i leave no copy out', (count) => {
    const set = stepsForCopies(one, count);
    const pressed = set.filter(({ kind }) => kind === 'press').reduce((sum, { copies = 1 }) => sum + copies, 0);
    expect(pressed).toBe(count);
    expect(set.length).toBeLessThan(200);
  });
});

describe('one truth for table, steps and bench', () => {
  let db: Db;
  let work: Workpiece;
  beforeEach(() => {
    db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
    const fused = jobs.get(db, 'tq-wc-front');
    jobs.update(db, fused.id, { ...fused, stack: { ...fused.stack!, schools: {} } }, fused.version);
    work = getWorkpiece(db, fused.id);
    db.prepare('DELETE FROM cut_table WHERE project_id = ?').run(work.projectId);
  });

  it('follows the ways of working, and the table begins like that', () => {
    const { settings, version } = readSettings(db);
    writeSettings(db, { ...settings, schools: { order: 'fuse-together' } as never }, version);
    const together = orderOfJob(db, work);
    const method = methodFor(db, [work]);
    expect([together, method]).toEqual(['fuse-together', 'fuse-together']);
    expect(methodFor(db, [])).toBe('cut-first');
  });

  it('is what its layer was laid as, once it lies on a table', () => {
    const fields = (method: string): CutTableFields =>
      ({
        ...{ projectId: work.projectId, ofKind: 'layer', ofId: work.stack!.layers[0]!.materialId, locked: [], done: null },
        ...{ options: { method }, laid: [{ sourceId: 'r', placements: [], length: 1, density: 0 }], fingerprint: '', workIds: [work.id] },
      }) as unknown as CutTableFields; // prettier-ignore
    const table = cutTables.insert(db, fields('fuse-together'));
    expect(orderOfJob(db, work)).toBe('fuse-together');
    cutTables.update(db, table.id, fields('cut-first'), table.version);
    expect(orderOfJob(db, work)).toBe('cut-first');
  });
});
