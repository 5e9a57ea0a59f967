import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { schedule, type Task } from '../../src/core/schedule';

const CAPACITY = { hands: 1, iron: 1, line: 2 };
const NAMES = Object.keys(CAPACITY) as (keyof typeof CAPACITY)[];

/** Tasks that only wait on earlier ones. */
const plans = (most: number) =>
  fc
    .array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.subarray(NAMES), fc.array(fc.nat(), { maxLength: 2 })), {
      minLength: 1,
      maxLength: most,
    })
    .map((rows) =>
      rows.map(([minutes, uses, after], i): Task => ({
        ...{ id: `t${i}`, minutes, uses },
        after: i === 0 ? [] : [...new Set(after.map((a) => `t${a % i}`))],
      })),
    );

/** Whether every task waits for what it waits on, and nothing is held more often than there is of it. */
function faultsOf(tasks: readonly Task[], starts: { id: string; start: number; end: number }[]): string[] {
  const at = new Map(starts.map((each) => [each.id, each]));
  const faults: string[] = [];
  for (const { id, minutes, after } of tasks) {
    const own = at.get(id)!;
    if (Math.abs(own.end - own.start - minutes) > 1e-6 || own.start < 0) faults.push(`${id} is not as long as it is`);
    for (const before of after) if (own.start < at.get(before)!.end - 1e-6) faults.push(`${id} does not wait for ${before}`);
  }
  for (const name of NAMES)
    for (const { start } of starts) {
      const running = tasks.filter(
        ({ id, uses, minutes }) =>
          minutes > 0 && uses.includes(name) && at.get(id)!.start <= start + 1e-6 && at.get(id)!.end > start + 1e-6,
      );
      if (running.length > CAPACITY[name]) faults.push(`${name} is held ${running.length} times at ${start}`);
    }
  return faults;
}

/** The shortest plan, by trying every order minute by minute; only for a handful of tasks. */
function shortest(tasks: readonly Task[]): number {
  let best = tasks.reduce((sum, { minutes }) => sum + minutes, 0);
  const placed: { task: Task; start: number }[] = [];
  const fits = (task: Task, start: number) =>
    task.uses.every((name) => {
      for (let minute = start; minute < start + task.minutes; minute++)
        if (
          placed.filter((p) => p.task.uses.includes(name) && p.start <= minute && p.start + p.task.minutes > minute).length >=
          CAPACITY[name as 'iron']
        )
          return false;
      return true;
    });
  const next = (end: number) => {
    if (end >= best) return;
    if (placed.length === tasks.length) {
      best = end;
      return;
    }
    for (const task of tasks) {
      if (placed.some((p) => p.task === task) || !task.after.every((id) => placed.some((p) => p.task.id === id))) continue;
      let start = Math.max(0, ...task.after.map((id) => { const p = placed.find((each) => each.task.id === id)!; return p.start + p.task.minutes; })); // prettier-ignore
      while (!fits(task, start)) start += 1;
      placed.push({ task, start });
      next(Math.max(end, start + task.minutes));
      placed.pop();
    }
  };
  next(0);
  return best;
}

describe('a schedule', () => {
  it('keeps every order and never holds more than there is', () => {
    fc.assert(
      fc.property(plans(40), (tasks) => {
        const { makespan, starts } = schedule({ tasks, capacity: CAPACITY });
        expect(faultsOf(tasks, starts)).toEqual([]);
        expect(starts.map(({ id }) => id).sort()).toEqual(tasks.map(({ id }) => id).sort());
        expect(makespan).toBeCloseTo(Math.max(0, ...starts.map(({ end }) => end)), 9);
      }),
      { numRuns: 80 },
    );
  });

  it('of six tasks is the shortest there is', () => {
    let [sum, runs] = [0, 0];
    fc.assert(
      fc.property(plans(6), (tasks) => {
        const best = shortest(tasks);
        const { makespan } = schedule({ tasks, capacity: CAPACITY });
        expect(makespan).toBeGreaterThanOrEqual(best - 1e-6);
        expect(makespan).toBeLessThanOrEqual(1.25 * best + 1e-6);
        if (best > 0) [sum, runs] = [sum + makespan / best, runs + 1];
      }),
      { numRuns: 120 },
    );
    expect(sum / runs).toBeLessThan(1.01);
  });

  it('comes out the same for the same seed', () => {
    const tasks = Array.from({ length: 30 }, (_, i): Task => ({ id: `t${i}`, minutes: (i * 7) % 13, uses: [NAMES[i % 3]!], after: i > 3 ? [`t${i - 3}`] : [] })); // prettier-ignore
    expect(schedule({ tasks, capacity: CAPACITY, seed: 4 })).toEqual(schedule({ tasks, capacity: CAPACITY, seed: 4 }));
  });

  it('of nothing is nothing', () => {
    expect(schedule({ tasks: [], capacity: {} })).toEqual({ makespan: 0, starts: [] });
  });
});

describe('a plan for something besides being short', () => {
  const thing = ({ id }: Task) => id.split('/')[0]!;
  const run = (name: string, rows: [minutes: number, uses: string[]][]): Task[] =>
    rows.map(([minutes, uses], k) => ({ id: `${name}/${k}`, minutes, uses, after: k > 0 ? [`${name}/${k - 1}`] : [] }));
  const capacity = { hands: 1, iron: 1, line: 2 };
  const changes = (tasks: readonly Task[], { starts }: { starts: { id: string }[] }) => {
    const things = starts
      .map(({ id }) => tasks.find((task) => task.id === id)!)
      .filter(({ uses }) => uses.includes('hands'))
      .map(thing);
    return things.filter((name, i) => i > 0 && name !== things[i - 1]).length;
  };
  const fewer = (costs: number) => ({ kind: 'fewer-changes' as const, resource: 'hands', of: thing, costs });

  it('changes less often where that costs little time, and not at any price', () => {
    // Three things of four short tasks each that wait two minutes in between.
    const tasks = ['a', 'b', 'c'].flatMap((name) => run(name, [[4, ['hands']], [2, []], [4, ['hands']], [2, []], [4, ['hands']]])); // prettier-ignore
    const short = schedule({ tasks, capacity });
    const calm = schedule({ tasks, capacity, aim: fewer(5) });
    expect(changes(tasks, calm)).toBeLessThan(changes(tasks, short));
    expect(calm.makespan).toBeLessThanOrEqual(36 + 3 * 4 + 1e-9);
    // Where waiting is long it is filled all the same.
    const long = [
      ...run('wash', [
        [5, ['hands']],
        [60, []],
        [10, ['hands']],
      ]),
      ...run('sew', [[50, ['hands']]]),
    ];
    expect(schedule({ tasks: long, capacity, aim: fewer(5) }).makespan).toBeLessThan(80);
  });

  it('is done with the iron first where the board is wanted free', () => {
    const tasks = [...run('sew', [[90, ['hands']]]), ...run('fuse', [[10, ['hands', 'iron']], [5, []], [10, ['hands', 'iron']]])]; // prettier-ignore
    const plan = schedule({ tasks, capacity, aim: { kind: 'free-soon', resource: 'iron' } });
    const last = Math.max(...plan.starts.filter(({ id }) => id.startsWith('fuse')).map(({ end }) => end));
    expect(last).toBe(25);
  });

  it('is as sound as any', () => {
    const aims = [fewer(5), { kind: 'free-soon' as const, resource: 'iron' }];
    fc.assert(
      fc.property(plans(9), fc.constantFrom(...aims), (tasks, aim) => {
        expect(faultsOf(tasks, schedule({ tasks, capacity: CAPACITY, aim }).starts)).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });
});
