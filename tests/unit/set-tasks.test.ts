import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hoopPreparation, setTasks, sheetsDrawn, sheetSources, type HoopWork, type SewnSet } from '../../src/core/hoop';
import { usesOf, type ChosenLayer } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { planDay, type DayTask } from '../../src/core/schedule';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';

const layerUse = (family: string, join?: string, form = 'loose'): ChosenLayer => ({
  material: LIBRARY_LAYERS.flatMap(usesOf).find(
    (each) => each.family === family && (join ? each.use?.join === join : each.form === form),
  )!,
  extent: 'field',
  angle: 0,
});
const square = [[0, 0], [500, 0], [500, 500], [0, 500]] as [number, number][]; // prettier-ignore
const napkin = (count: number): HoopWork => ({
  ...{ fabric: LIBRARY_CLOTHS.find(({ weave }) => weave === 'plain')!, count, floats: false },
  part: { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-hot' },
  layers: [layerUse('starch', 'damp'), layerUse('tear-away')],
  hoop: {
    ...{ name: 'Square', shape: 'rectangle', fieldWidth: 120, fieldHeight: 120, outerWidth: 170, outerHeight: 170, clamp: 15 },
    ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
  },
  at: { x: 400, y: 100, angle: 0 },
  ground: { outline: square, obstacles: [], marks: false, strips: [] },
  schools: DEFAULT_SCHOOLS,
});
const numbers = (count: number) => Array.from({ length: count }, (_, i) => i);
const set = (count: number, more: Partial<SewnSet> = {}): SewnSet => ({
  ...{ id: 's', name: 'Napkins', steps: hoopPreparation(napkin(count)), left: numbers(count), count },
  ...{ done: [], sewing: 20, changes: { times: 0, minutes: 1 }, stops: 4, hoops: 1, ...more },
});
const timed = (tasks: DayTask[]) => {
  const [evening] = planDay([{ id: 's', tasks }], { done: [], late: [] }, { people: 1, irons: 1, evening: 0 });
  const at = new Map(evening!.plan.starts.map(({ id, start, end }) => [id.slice(2), { start, end }]));
  return { at: (id: string) => at.get(id)!, makespan: evening!.plan.makespan };
};
const alone = (tasks: readonly DayTask[]) => tasks.reduce((sum, { minutes }) => sum + minutes, 0);

describe('a set in the hoop as tasks', () => {
  it('is sprayed and dried once for all of it, then pressed, hooped and sewn one by one', () => {
    const tasks = setTasks(set(6));
    const waits = tasks.filter(({ hands, uses }) => !hands && uses.length === 0);
    expect(waits).toHaveLength(1);
    expect(tasks.filter(({ id }) => /-sew$/.test(id))).toHaveLength(6);
    const spray = tasks.find(({ title }) => /spray/i.test(title))!;
    // Three times what two take.
    expect(spray.minutes).toBeCloseTo(3 * setTasks(set(2)).find(({ title }) => /spray/i.test(title))!.minutes, 9);
  });

  it('fuses all sheets and lets them cool together, by the stops of the iron', () => {
    const fused = { ...napkin(3), layers: [layerUse('mesh', undefined, 'fusible')] };
    const steps = hoopPreparation(fused);
    const tasks = setTasks(set(3, { steps }));
    const seconds = steps.find(({ kind }) => kind === 'press')!.seconds!;
    // Three sheets of four stops, with the time to move the iron.
    expect(tasks[0]!.minutes).toBeCloseTo((3 * 4 * (seconds + 4)) / 60, 9);
    expect(tasks[0]!.uses).toContain('iron');
    expect(tasks.filter(({ uses }) => uses.length === 0)).toHaveLength(1);
    expect(tasks.find(({ id }) => id === 's/0-ready')!.title).toBe('Napkins: piece 1 of 3, fold for the hoop');
  });

  it('says what is done in each portion: starched round by round, one piece needs no waiting', () => {
    const tasks = setTasks(set(1, { steps: hoopPreparation(napkin(1)) }));
    expect(tasks[0]!.title).toBe('Napkins: spray it, press it, fold for the hoop');
  });

  it('presses the next piece while the machine sews, and hoops it once the only hoop is free', () => {
    const { at, makespan } = timed(setTasks(set(3)));
    expect(at('1-ready').start).toBeLessThan(at('0-sew').end);
    expect(at('1-hoop').start).toBeGreaterThanOrEqual(at('0-out').end - 1e-6);
    expect(makespan).toBeLessThan(alone(setTasks(set(3))));
  });

  it('is done sooner with a second hoop: the next piece is hooped while one is sewn', () => {
    const two = timed(setTasks(set(4, { hoops: 2 })));
    expect(two.at('1-hoop').start).toBeLessThan(two.at('0-sew').end);
    expect(two.makespan).toBeLessThan(timed(setTasks(set(4))).makespan);
  });

  it('stands between two colours until the hands have changed the thread', () => {
    const changes = { times: 2, minutes: 1.5 };
    const tasks = setTasks(set(3, { changes, sewing: 21 }));
    const of = (copy: number) => tasks.filter(({ id }) => new RegExp(`^s/${copy}-(colour|thread|sew)`).test(id));
    expect(of(1).map(({ id, minutes, hands }) => [id.slice(4), minutes, hands])).toEqual([
      ['colour-1', 6, false],
      ['thread-1', 1.5, true],
      ['colour-2', 6, false],
      ['thread-2', 1.5, true],
      ['sew', 6, false],
    ]);
    expect(of(1)[1]!.title).toBe('Napkins: piece 2 of 3, change the thread to colour 2');
    const { at } = timed(tasks);
    const hands = tasks.filter((task) => task.hands).map(({ id }) => at(id.slice(2)));
    // One pair of hands: nothing else is done while the thread is changed.
    for (const [i, one] of hands.entries())
      for (const other of hands.slice(i + 1)) expect(Math.min(one.end, other.end)).toBeLessThanOrEqual(Math.max(one.start, other.start) + 1e-6);
    // Of many colours fewer pieces are planned ahead; a change never takes more than the sewing has.
    const many = setTasks(set(8, { changes: { times: 12, minutes: 5 }, sewing: 26 }));
    expect(new Set(many.flatMap(({ id }) => /^s\/(\d)-sew$/.exec(id)?.[1] ?? [])).size).toBe(2);
    expect(many.filter(({ id }) => /^s\/0-(colour|thread|sew)/.test(id)).reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(26, 9);
  }); // prettier-ignore

  it('leaves out what is ticked and what is sewn', () => {
    const steps = hoopPreparation(napkin(3));
    const ticks = steps.flatMap(({ id, checks }) => (checks ? checks.map((_, i) => `${id}-${i}`) : [id]));
    const tasks = setTasks(set(3, { left: [1, 2], done: [{ copy: 1, ticks }] }));
    expect(tasks.some(({ id }) => id.startsWith('s/0-'))).toBe(false);
    expect(tasks.filter(({ id }) => id.startsWith('s/1-')).map(({ id }) => id)).toEqual(['s/1-sew', 's/1-out']);
    expect(tasks.find(({ title }) => /spray/i.test(title))!.title).toMatch(/\(1 of 3\)/);
  });

  it('may be left for another evening behind any piece, never with one in the hoop', () => {
    const tasks = setTasks(set(6));
    const evenings = planDay([{ id: 's', tasks }], { done: [], late: [] }, { people: 1, irons: 1, evening: 90 });
    expect(evenings.length).toBeGreaterThan(1);
    for (const { tasks: own, long } of evenings) {
      expect(long).toBe(false);
      const copies = new Set(own.flatMap(({ id }) => /^s\/(\d+)-(?:hoop|hang|sew)$/.exec(id)?.[1] ?? []));
      for (const copy of copies) expect(own.map(({ id }) => id)).toContain(`s/${copy}-out`);
    }
  });

  it('never sews two at once, never takes longer than one after the other, and never less than the machine', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 60 }), (count, hoops, sewing) => {
        const tasks = setTasks(set(count, { hoops, sewing }));
        const { at, makespan } = timed(tasks);
        for (let copy = 1; copy < count; copy++) expect(at(`${copy}-sew`).start).toBeGreaterThanOrEqual(at(`${copy - 1}-sew`).end - 1e-6);
        expect(makespan).toBeLessThanOrEqual(alone(tasks) + 1e-6);
        expect(makespan).toBeGreaterThanOrEqual(count * sewing);
      }),
      { numRuns: 25 },
    );
  }); // prettier-ignore
});

describe('what the sheets of a set take away', () => {
  const need = (count: number, more: object = {}) => ({ materialId: 'm', width: 100, height: 80, angle: 0, count, ...more });
  const piece = (id: string, width: number, length: number, more: object = {}) => ({ id, kind: 'sheet', width, length, ...more });
  const roll = (id: string, width: number, length: number) => piece(id, width, length, { kind: 'roll' });
  const drawn = (kept: ReturnType<typeof piece>[], needs: ReturnType<typeof need>[]) =>
    sheetSources(
      needs,
      () => kept,
      () => 0,
    ).flatMap((source, i) => sheetsDrawn(needs[i]!, source));
  it.each([
    // Two in a row, three rows of 80: what remains of 500 is kept.
    ['rows of a sheet', [piece('a', 210, 500)], [need(6)], [{ id: 'a', length: 240, count: 0 }]],
    ['a sheet of which too little remains', [piece('a', 210, 290)], [need(6)], [{ id: 'a', length: 0, count: 1 }]],
    ['whole sheets of a stack', [piece('a', 110, 170, { count: 9 })], [need(5)], [{ id: 'a', length: 0, count: 3 }]],
    ['a leftover of its own outline', [piece('a', 300, 300, { outline: [[0, 0], [300, 0], [0, 300]] })], [need(1)], [{ id: 'a', length: 0, count: 1 }]],
    // Six in a row of 500 (the long way across): four rows of 80 … eight sheets off the shortest roll that holds them.
    ['the shortest roll that holds the rest', [roll('long', 500, 5000), roll('short', 500, 100), roll('mid', 500, 800)], [need(8)], [{ id: 'mid', length: 160, count: 0 }]],
    // A narrow roll takes more of its length: each is reckoned by its own width.
    ['each roll by its own width', [roll('wide', 1000, 2000), roll('narrow', 100, 700)], [need(8)], [{ id: 'narrow', length: 640, count: 0 }]],
    ['another one where the narrow roll does not hold it', [roll('wide', 1000, 2000), roll('narrow', 100, 600)], [need(8)], [{ id: 'wide', length: 80, count: 0 }]],
    ['as much as there is', [roll('only', 100, 600)], [need(10)], [{ id: 'only', length: 600, count: 0 }]],
    // A pair of meshes off one roll: together never more than it has.
    ['two layers of one roll', [roll('only', 500, 200)], [need(10), need(10)], [{ id: 'only', length: 160, count: 0 }, { id: 'only', length: 40, count: 0 }]],
  ] as [string, ReturnType<typeof piece>[], ReturnType<typeof need>[], object[]][])('%s', (_, kept, needs, expected) =>
    expect(drawn(kept, needs)).toEqual(expected),
  ); // prettier-ignore

  it('is promised once, to one set: kept pieces and lengths of a roll', () => {
    const kept = [piece('a', 100, 80), roll('r', 500, 200)];
    const promised = { given: new Set<string>(), off: new Map<string, number>() };
    const ask = () =>
      sheetSources(
        [need(11)],
        () => kept,
        () => 0,
        promised,
      )[0]!;
    const [first, second] = [ask(), ask()];
    expect([first.from.length, first.left, first.rollLength, first.short]).toEqual([1, 10, 160, 0]);
    // Eleven sheets: six to a row the other way round, two rows of 100; 40 mm of that are left on the roll.
    expect([second.from.length, second.left, second.rollLength, second.short]).toEqual([0, 11, 200, 160]);
    const none = sheetSources(
      [need(3)],
      () => [],
      () => 500,
    )[0]!;
    expect([none.roll, none.rollLength, none.short]).toEqual([undefined, 80, 80]);
  });
});
