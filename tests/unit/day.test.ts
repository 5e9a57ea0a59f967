import { describe, expect, it } from 'vitest';
import { eveningsOf, firstOf, planDay, runTasks, stillPlanned, type DayTask, type TimedStep } from '../../src/core/schedule';
import { pacesFrom } from '../../src/core/learn';
import { writeCalendar } from '../../src/formats/ics/calendar';
import { clock, sums } from '../../src/views/day/day-plan';
import { pullOf, volume, waiting, lacking, wetPlans, type WetThing } from '../../src/views/wet/wet-sums';
import type { Bottle } from '../../src/core/liquid';

const step = (id: string, kind: TimedStep['kind'], more: Partial<TimedStep> = {}): TimedStep => ({
  ...{ id, kind, stage: 'apply', title: `Do ${id}` },
  ...more,
});
const steps = [
  step('cut', 'do', { stage: 'cut', title: 'Cut the layer' }),
  step('lay#1', 'do', { title: 'Piece 1 of 2: lay it' }),
  step('press#1', 'press', { title: 'Piece 1 of 2: press it', seconds: 26, stops: [1, 2, 3] }),
  step('lay#2', 'do', { title: 'Piece 2 of 2: lay it' }),
  step('press#2', 'press', { title: 'Piece 2 of 2: press it', seconds: 26, stops: [1, 2, 3] }),
  step('cool', 'wait', { seconds: 600 }),
  step('look', 'check', { stage: 'check', checks: ['a', 'b', 'c', 'd', 'e'] }),
];

describe('the tasks of a run', () => {
  const tasks = runTasks({ id: 'r', name: 'Collar', steps, edge: 8000 });

  it('put what the hands do in a row together, and let what cools need nobody', () => {
    expect(tasks.map(({ hands, uses }) => [hands, uses.length])).toEqual([[true, 2], [true, 2], [false, 0], [true, 1]]); // prettier-ignore
    // Eight metres of edge at a minute, three minutes to lay, three stops of 26 and 4 s.
    expect(tasks.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(8 + 2 * 3 + 2 * 1.5 + 10 + 1.5, 9);
    for (const { minutes } of tasks.filter(({ hands }) => hands)) expect(minutes).toBeLessThanOrEqual(15);
  });

  it('wait for each other in their order', () => {
    expect(tasks.map(({ after }) => after)).toEqual([[], ...tasks.slice(0, -1).map(({ id }) => [id])]);
  });

  it('keep their names when the run goes on: what was ticked stays ticked, and nothing else', () => {
    const cool = tasks.find(({ hands }) => !hands)!;
    const later = runTasks({ id: 'r', name: 'Collar', steps: steps.slice(4), edge: 8000, from: 4 });
    expect(later.find(({ hands }) => !hands)!.id).toBe(cool.id);
    expect(new Set([...tasks, ...later].filter(({ hands }) => !hands).map(({ id }) => id)).size).toBe(1);
  });

  it('go by the person’s own pace, but for what has a clock', () => {
    const slow = pacesFrom([...Array<undefined>(98)].map(() => ({ pace: 'cutting' as const, expected: 10, actual: 20 })));
    const minutes = (each: typeof slow) => runTasks({ id: 'r', name: 'Collar', steps: [steps[0]!, steps[5]!], edge: 8000, paces: each }).map((task) => task.minutes); // prettier-ignore
    expect(minutes(pacesFrom([]))).toEqual([8, 10]);
    expect(minutes(slow)[0]! / 8).toBeGreaterThan(1.95);
    expect(minutes(slow)[1]).toBe(10);
  });

  it('are called by what is done, copies by their numbers', () => {
    const many = Array.from({ length: 12 }, (_, i) => step(`press#${i + 1}`, 'press', { title: `Piece ${i + 1} of 12: press it`, seconds: 56, stops: [1, 2] })); // prettier-ignore
    expect(runTasks({ id: 'x', name: 'Welt', steps: many, edge: 0 }).map(({ title }) => title)).toEqual([
      'Welt: pieces 1 to 7 of 12',
      'Welt: pieces 8 to 12 of 12',
    ]);
  });

  it('share the edge among all that is cut, sheet by sheet, and take the time that a step tells itself', () => {
    const minutes = (all: TimedStep[]) => runTasks({ id: 'x', name: 'X', steps: all, edge: 20_000 }).reduce((sum, each) => sum + each.minutes, 0); // prettier-ignore
    const out = (k: number) => step(`sheet-${k}-cut`, 'do');
    expect(minutes([out(0)])).toBeCloseTo(20, 9);
    expect(minutes([out(0), out(1)])).toBeCloseTo(20, 9);
    expect(minutes([step('starch-press', 'do', { seconds: 540 })])).toBeCloseTo(9, 9);
  });

  it('hold the iron only where something is pressed', () => {
    const uses = (title: string) => runTasks({ id: 'x', name: 'X', steps: [step('s', 'do', { title })], edge: 0 })[0]!.uses;
    expect(uses('Press the cloth flat and square')).toContain('iron');
    expect(uses('Collar: press it dry and smooth')).toContain('iron');
    expect(uses('Spray with light pressing spray')).not.toContain('iron');
  });

  it('a wash dries by itself', () => {
    const wash = runTasks({ id: 'w', name: 'Cloth', steps: [step('prewash', 'do', { stage: 'prepare' })], edge: 0 });
    expect(wash.map(({ hands }) => hands)).toEqual([true, false]);
    expect(wash[1]!.minutes).toBeGreaterThan(60);
  });
});

const task = (run: string, k: number, minutes: number, hands = true): DayTask => ({
  ...{ id: `${run}/${k}`, run, title: `${run} ${k}`, minutes, uses: hands ? ['hands'] : [], hands },
  after: k > 0 ? [`${run}/${k - 1}`] : [],
});
const soak = [task('soak', 0, 5), task('soak', 1, 40, false), task('soak', 2, 10)];
const baste = [task('baste', 0, 30)];
const sew = [task('sew', 0, 70)];

describe('evenings', () => {
  it('hold whole runs that fit together, and no more', () => {
    const evenings = eveningsOf([soak, baste, sew], { hands: 1 }, 90);
    expect(evenings).toHaveLength(2);
    for (const { tasks, plan, long } of evenings) {
      expect(plan.makespan).toBeLessThanOrEqual(90);
      expect(long).toBe(false);
      // A run is whole in its evening: nothing lies wet overnight.
      for (const run of new Set(tasks.map((each) => each.run)))
        expect(tasks.filter((each) => each.run === run)).toHaveLength([soak, baste, sew].find(([first]) => first!.run === run)!.length); // prettier-ignore
    }
  });

  it('say when a run is longer than an evening', () => {
    expect(eveningsOf([sew], { hands: 1 }, 60)).toMatchObject([{ long: true }]);
    expect(eveningsOf([], { hands: 1 }, 60)).toEqual([]);
  });
});

describe('a day', () => {
  const options = { people: 1, irons: 1, evening: 0 };
  const runs = [{ id: 'soak', tasks: soak }, { id: 'baste', tasks: baste }]; // prettier-ignore

  it('bastes while it soaks, and is planned anew when something is late or done', () => {
    expect(planDay(runs, { done: [], late: [] }, options)[0]!.plan.makespan).toBe(55);
    const late = planDay(runs, { done: [], late: [{ id: 'soak/1', minutes: 15 }] }, options);
    expect(late[0]!.plan.makespan).toBe(70);
    const done = planDay(runs, { done: ['soak/0', 'soak/1'], late: [] }, options);
    expect(done[0]!.plan.makespan).toBe(40);
    expect(done[0]!.tasks.map(({ id }) => id)).toEqual(['soak/2', 'baste/0']);
    expect(planDay(runs, { done: [...soak, ...baste].map(({ id }) => id), late: [] }, options)).toEqual([]);
  });

  it('goes on with what was begun meanwhile, and leaves out what is filed, finished or a scrap', () => {
    const bench = {
      runs: [
        { id: 'batch', jobIds: ['a', 'b'], scrap: false },
        { id: 'open', jobIds: ['c'], scrap: false },
        { id: 'other', jobIds: ['z'], scrap: false },
        { id: 'scrap', jobIds: ['d'], scrap: true },
      ],
      readyIds: ['d', 'e'],
      hoopingIds: ['napkins', 'flags'],
    };
    const planned = { jobIds: ['a', 'd', 'filed'], runIds: ['open', 'finished'], hoopingIds: ['napkins', 'sewn'] };
    expect(stillPlanned(planned, bench)).toEqual({ jobIds: ['d'], runIds: ['batch', 'open'], hoopingIds: ['napkins'] });
    // A plan from before names no motifs.
    expect(stillPlanned({ jobIds: [], runIds: [] }, bench).hoopingIds).toEqual([]);
  });

  it('says what now, what next, and what goes on alongside', () => {
    const asked = (done: string[]) => firstOf(planDay(runs, { done, late: [] }, options));
    expect(asked([])).toMatchObject({ now: { id: 'soak/0' }, next: { id: 'baste/0' }, alongside: [] });
    // While it soaks the hands baste.
    expect(asked(['soak/0'])).toMatchObject({ now: { id: 'baste/0' }, next: { id: 'soak/2' }, alongside: [{ id: 'soak/1' }] });
    expect(firstOf([])).toEqual({ now: null, next: null, alongside: [] });
  });

  it('is told in hours and hands', () => {
    expect(sums([...soak, ...baste])).toEqual({ hands: 45, all: 85 });
    expect([clock(19 * 60, 0), clock(19 * 60, 65), clock(23 * 60 + 50, 20)]).toEqual(['19:00', '20:05', '00:10']);
  });

  it('goes into a calendar with its local times', () => {
    const file = writeCalendar([
      { uid: 'a@nembrel', title: 'Press the collar; twice', start: new Date(2026, 10, 28, 19, 5), minutes: 75 },
    ]);
    expect(file).toMatch(/BEGIN:VEVENT[\s\S]*END:VEVENT/);
    expect(file).toContain('DTSTART:20261128T190500');
    expect(file).toContain('DURATION:PT1H15M');
    expect(file).toContain('SUMMARY:Press the collar\\; twice');
    expect(file).not.toMatch(/adam/i);
  });
});

describe('what is made wet', () => {
  const cloth = { arealDensity: 140, tone: 'light', fibres: [{ fibre: 'cotton', percent: 100 }], water: 'safe' } as const;
  const thing = (id: string, more: Partial<WetThing> = {}): WetThing =>
    ({ ...{ id, name: id, of: '', liquid: 'Starch', method: 'soak', area: 1e6, count: 1, cloth }, ...more }) as WetThing;
  const quarter = () => ({ strength: 0.25 });
  const options = { mlPerPull: 1, air: { temperature: 20, humidity: 50, airSpeed: 0 }, sides: 2 as const };

  it('stands together by liquid and method, light before dark', () => {
    const plans = wetPlans(
      [thing('dark', { cloth: { ...cloth, tone: 'dark' } as never }), thing('light'), thing('mist', { method: 'mist' })],
      quarter,
      options,
    );
    expect(plans.map(({ lines }) => lines.map((line) => line.thing.id))).toEqual([['light', 'dark'], ['mist']]);
    expect(plans[0]).toMatchObject({ millilitres: 280, concentrate: 70, water: 210, bags: 2 });
    expect(plans[1]!.bags).toBe(0);
    expect(plans[1]!.lines[0]!.minutesToDamp).toBe(0);
  });

  it('each liquid by its own bottle: strength, pull and rest, one bottle for light and full', () => {
    const starch = { liquid: 'Starch', liquidId: 'starch' };
    const things = [
      thing('napkins', starch),
      thing('patches', { ...starch, method: 'mist' }),
      thing('strips', { liquid: 'Edge stiffener', liquidId: 'edge', method: 'mist' }),
    ];
    const bottles: Record<string, Bottle> = { starch: { strength: 0.5, mlPerPull: 0.7, left: 60 }, edge: { left: 500 } };
    const plans = wetPlans(things, (id) => bottles[id!]!, options);
    // 140 g wet through takes as much; misted a fifth, 28 ml: in pulls of 0.7 ml, and of 1 ml where nobody weighed.
    expect(plans.map(({ concentrate }) => concentrate)).toEqual([70, 14, 28]);
    expect(plans.map(({ pulls }) => pulls)).toEqual([200, 40, 28]);
    expect(lacking(plans)).toEqual([
      { liquid: 'Starch', needed: 84, left: 60, short: 24 },
      { liquid: 'Edge stiffener', needed: 28, left: 500, short: 0 },
    ]);
    expect(lacking(wetPlans(things, () => ({}), options))).toEqual([]);
  });

  it('polyester takes less than cotton', () => {
    const of = (fibre: string) => wetPlans([thing('a', { cloth: { ...cloth, fibres: [{ fibre, percent: 100 }] } as never })], quarter, options)[0]!.millilitres; // prettier-ignore
    expect(of('polyester')).toBeLessThan(0.5 * of('cotton'));
    expect(of('viscose')).toBeGreaterThan(of('cotton'));
  });

  it.each([[412, 394, 0.9], [400, 400, undefined], [400, 412, undefined]])('a bottle of %s and then %s g gives %s ml a pull', (before, after, pull) => {
    const found = pullOf(before, after, 20);
    if (pull === undefined) expect(found).toBeUndefined();
    else expect(found).toBeCloseTo(pull, 9);
  }); // prettier-ignore

  it('is told as a jug and a clock show it', () => {
    expect([4.26, 71.4, 352, 1240].map(volume)).toEqual(['4.3 ml', '71 ml', '350 ml', '1.24 l']);
    expect([0.4, 23.4, 130, 2000].map(waiting)).toEqual(['at once', '23 min', '2 h', 'over a day']);
  });
});
