import { workSteps } from '../../src/core/techniques';
import { exampleScope } from '../files/example-scope';
import { beforeEach, describe, expect, it } from 'vitest';
import type { ChosenLayer } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { orderOfWork, stepsForCopies, type Step, stepsForBatch, type SetStep } from '../../src/core/steps';
import { methodFor, orderOfJob } from '../../src/server/order-of-work';
import { cutTables, type CutTableFields } from '../../src/store/cut-tables';
import type { Db } from '../../src/store/database';
import { openSeeded } from '../../src/server/database';
import { benchBoard } from '../../src/server/bench-board';
import { startBatch, startBench } from '../../src/server/start-bench';
import { openRunOf } from '../../src/store/bench-runs';
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
    // A length of layer that is only a patch or a strip is not fused whole.
    ['fuse-length', [chosen('fusible', 'patch')], 'cut-first'],
    ['fuse-length', [chosen('fusible', 'strip')], 'cut-first'],
    // Only what is fused, and reaches the edges, can be laid on uncut.
    ['fuse-together', [chosen('sew-in')], 'cut-first'],
    ['fuse-together', [chosen('fusible'), chosen('sew-in')], 'fuse-together'],
    ['fuse-together', [chosen('sew-in'), chosen('fusible')], 'cut-first'],
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

describe('cloth that is cut already', () => {
  it('is not cut again before it is fused together', () => {
    const { workJob } = exampleScope;
    const cutsOf = (cutAlready: boolean) =>
      workSteps({ ...workJob, cutAlready, order: 'fuse-together' }).filter(({ stage, id }) => stage === 'cut' && id === 'cut');
    expect(cutsOf(false).length).toBeGreaterThan(0);
    expect(cutsOf(true)).toEqual([]);
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

  it('do once what is done with a whole sheet', () => {
    const sheet = one.map((each) => (each.stage === 'apply' ? { ...each, sheet: true as const } : each));
    const ids = stepsForCopies([...sheet.slice(0, 4), step('sew', 'apply'), sheet[4]!], 2).map(({ id }) => id);
    expect(ids).toEqual(['cut', 'lay', 'press', 'cool', 'sew#1', 'sew#2', 'look', 'check-each']);
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
    const layers = fused.stack!.layers.map((layer) => ({ ...layer, extent: 'full' as const }));
    jobs.update(db, fused.id, { ...fused, stack: { ...fused.stack!, layers, schools: {} } }, fused.version);
    work = getWorkpiece(db, fused.id);
    db.prepare('DELETE FROM cut_table WHERE project_id = ?').run(work.projectId);
  });

  it('follows the ways of working, and the table begins like that', () => {
    const { settings, version } = readSettings(db);
    writeSettings(db, { ...settings, schools: { order: 'fuse-together' } as never }, version);
    const together = orderOfJob(db, work);
    const method = methodFor(db, [work], work.stack!.layers[0]!.materialId);
    expect([together, method]).toEqual(['fuse-together', 'fuse-together']);
    expect(methodFor(db, [], 'any')).toBe('cut-first');
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

describe('several jobs as one batch', () => {
  const step = (id: string, stage: SetStep['stage'], title: string, more: Partial<SetStep> = {}): SetStep => ({
    ...{ id, stage, kind: 'do', title, detail: title },
    ...more,
  });
  const collar = [
    step('shrink', 'prepare', 'Shrink the layer'),
    step('cut', 'cut', 'Cut eight'),
    step('press#1', 'apply', 'Piece 1 of 2: press', { kind: 'press', copies: 1 }),
    step('press#2', 'apply', 'Piece 2 of 2: press', { kind: 'press', copies: 1 }),
    step('check', 'check', 'Look', { kind: 'check', checks: ['Corners hold'] }),
  ];
  const cuff = [
    step('shrink', 'prepare', 'Shrink the layer'),
    step('mist', 'prepare', 'Mist it'),
    step('cut', 'cut', 'Cut four'),
    step('press', 'apply', 'Press', { kind: 'press' }),
    step('check', 'check', 'Look', { kind: 'check', checks: ['Corners hold'] }),
  ];

  it('does what is the same once, goes on together until it is pressed, and ticks each for itself', () => {
    const steps = stepsForBatch([{ name: 'Collar', steps: collar }, { name: 'Cuff', steps: cuff }]); // prettier-ignore
    expect(steps.map(({ title, work }) => [title, work])).toEqual([
      ['Shrink the layer', undefined],
      ['Cuff: mist it', 1],
      ['Collar: cut eight', 0],
      ['Cuff: cut four', 1],
      ['Collar: piece 1 of 2: press', 0],
      ['Collar: piece 2 of 2: press', 0],
      ['Cuff: press', 1],
      ['Collar: look', 0],
      ['Cuff: look', 1],
    ]);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    expect(steps.flatMap(({ checks = [] }) => checks)).toEqual(['Collar: Corners hold', 'Cuff: Corners hold']);
  });

  it('that a job does twice is done twice, once for both jobs each time', () => {
    const twice = [step('a', 'prepare', 'Spray'), step('b', 'prepare', 'Press'), step('c', 'prepare', 'Spray')];
    const steps = stepsForBatch([{ name: 'One', steps: twice }, { name: 'Two', steps: twice }]); // prettier-ignore
    expect(steps.map(({ title }) => title)).toEqual(['Spray', 'Press', 'Spray']);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(3);
  });

  it('is cut in one go: what is cut alike is told once, each job by name, and what goes for all at the end', () => {
    const cut = (title: string, what: string, mind: string[], seconds?: number) =>
      step('cut', 'cut', title, { cutting: { what, mind }, ...(seconds === undefined ? {} : { seconds }) });
    const one = cut('Cut the layer', 'Light woven to the cut edge', ['Glue up.'], 60);
    const works = [
      { name: 'Flap', steps: [one] },
      { name: 'Tab', steps: [cut('Cut the cloth pieces', 'the layers are cut already', ['Glue up.', 'On the bias.'], 30)] },
      { name: 'Cuff', steps: [one, step('press', 'apply', 'Press')] },
    ];
    const [all, ...rest] = stepsForBatch(works);
    expect(all).toMatchObject({ title: 'Cut for all jobs', seconds: 150, stage: 'cut' });
    expect([all!.work, all!.shows]).toEqual([undefined, 0]);
    expect(all!.detail).toBe(
      'Flap, Cuff: cut the layer. Light woven to the cut edge.\nTab: cut the cloth pieces. The layers are cut already. On the bias.\nGlue up.',
    );
    expect(rest.map(({ title }) => title)).toEqual(['Cuff: press']);
    expect(stepsForBatch(works.slice(1, 2).concat({ name: 'None', steps: [] })).map(({ title }) => title)).toEqual([
      'Tab: cut the cloth pieces',
    ]);
  });

  it('tells what is cut in parts that can be read, and leaves no job out', () => {
    const works = Array.from({ length: 30 }, (_, i) => ({
      name: `Piece number ${i}`,
      steps: [step('cut', 'cut', 'Cut the layer', { cutting: { what: `layer ${i} as a patch of ${i} mm each way`, mind: [] } })],
    }));
    const steps = stepsForBatch(works);
    expect(steps.length).toBeGreaterThan(3);
    expect(steps.length).toBeLessThan(10);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    for (const { name } of works) expect(steps.filter(({ detail }) => detail.includes(`${name}:`))).toHaveLength(1);
    for (const { detail } of steps) expect(detail.length).toBeLessThanOrEqual(420);
  });

  it('is weighed together where it hangs together', () => {
    const dry = (grams: number) => step('dry', 'prepare', 'Let it hang', { kind: 'wait', until: 'damp', dryMass: grams });
    const [together] = stepsForBatch([{ name: 'A', steps: [dry(120)] }, { name: 'B', steps: [dry(80)] }]); // prettier-ignore
    expect(together).toMatchObject({ title: 'Let it hang', dryMass: 200 });
  });

  it('of one job is that job', () => {
    expect(stepsForBatch([{ name: 'Cuff', steps: cuff }])).toEqual(cuff);
  });

  it('loses no copy of any job', () => {
    const works = [3, 1, 5].map((count, i) => ({
      name: `J${i}`,
      steps: stepsForCopies([step('press', 'apply', 'Press', { kind: 'press' })], count),
    }));
    const pressed = stepsForBatch(works).filter(({ kind }) => kind === 'press');
    expect(
      [0, 1, 2].map((k) => pressed.filter(({ work }) => work === k).reduce((sum, { copies = 1 }) => sum + copies, 0)),
    ).toEqual([3, 1, 5]);
  });

  it('is one run for all of its jobs, and none of them is started twice', () => {
    const db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
    const run = startBatch(db, ['tq-wc-collar', 'tq-wc-welt']);
    expect(run.plan.works!.map(({ jobId }) => jobId)).toEqual(['tq-wc-collar', 'tq-wc-welt']);
    expect(openRunOf(db, 'tq-wc-welt')!.id).toBe(run.id);
    expect(startBench(db, 'tq-wc-welt').id).toBe(run.id);
    expect(() => startBatch(db, ['tq-ba-tab', 'tq-wc-welt'])).toThrow(/^jobIds\[1\]\.run/);
    expect(() => startBatch(db, ['tq-wc-front-armhole', 'tq-ba-tab'])).toThrow(/^jobIds\[0\]\.stack/);
    const board = benchBoard(db);
    expect(board.runs.map(({ id }) => id)).toEqual([run.id]);
    const ready = board.ready.flatMap(({ jobs: all }) => all.map(({ id }) => id));
    expect(ready).toContain('tq-ba-tab');
    for (const not of ['tq-wc-collar', 'tq-wc-welt', 'tq-wc-front', 'tq-wc-front-armhole']) expect(ready).not.toContain(not);
  });
});
