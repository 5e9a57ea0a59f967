import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PACES, pacesFrom, type Timing } from '../../src/core/learn';
import { drying } from '../../src/core/liquid';
import { runTasks, timingsOf, type FinishedRun } from '../../src/core/schedule';
import { paceOf } from '../../src/core/schedule/run-tasks';

const times = (factor: number, count: number): Timing[] =>
  Array.from({ length: count }, () => ({ pace: 'drying', expected: 60, actual: 60 * factor }));

describe('a person’s own pace', () => {
  it('is as reckoned while nothing is known, and comes to their own with every time', () => {
    for (const pace of PACES) expect(pacesFrom([])[pace]).toEqual({ factor: 1, times: 0 });
    const [one, four, forty] = [1, 4, 40].map((count) => pacesFrom(times(2, count)).drying.factor) as [number, number, number];
    expect(one).toBeGreaterThan(1.2);
    expect(one).toBeLessThan(four);
    expect(four).toBeLessThan(forty);
    expect(forty).toBeGreaterThan(1.9);
    expect(pacesFrom(times(2, 40)).cutting.factor).toBe(1);
  });

  it('lies between the reckoned and the person’s own, whatever the times', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.3, max: 3.5, noNaN: true }), { minLength: 1, maxLength: 30 }), (factors) => {
        const { factor } = pacesFrom(factors.flatMap((each) => times(each, 1))).drying;
        expect(factor).toBeGreaterThanOrEqual(Math.min(1, ...factors) - 1e-9);
        expect(factor).toBeLessThanOrEqual(Math.max(1, ...factors) + 1e-9);
      }),
    );
  });

  it('does not count a cup of tea, or steps that were tapped through', () => {
    expect(pacesFrom([...times(5, 10), ...times(0.1, 10)]).drying).toEqual({ factor: 1, times: 0 });
  });

  it('makes the same cloth dry so much later', () => {
    const cloth = { water: 142, sides: 2, temperature: 20, humidity: 50, airSpeed: 0, arealDensity: 142 };
    const [usual, slow] = [drying(cloth), drying({ ...cloth, pace: 1.5 })];
    expect(slow.minutesToDry / usual.minutesToDry).toBeCloseTo(1.5, 9);
    expect(slow.minutesToDamp / usual.minutesToDamp).toBeCloseTo(1.5, 9);
    expect(() => drying({ ...cloth, pace: 0 })).toThrow('pace');
  });
});

describe('what a finished run tells', () => {
  const step = (id: string, more: Partial<FinishedRun['steps'][number]>): FinishedRun['steps'][number] => ({
    id,
    kind: 'do',
    stage: 'apply',
    title: id,
    ...more,
  });
  const steps = [
    step('starch-wet', { stage: 'prepare' }),
    step('starch-dry', { kind: 'wait', seconds: 3600, stage: 'prepare' }),
    step('cut', { stage: 'cut' }),
    step('press', { kind: 'press', seconds: 11, stops: [1, 2, 3, 4] }),
    step('organza-sew', {}),
    step('check', { kind: 'check', checks: ['a'] }),
  ];
  /** Stamps at minutes after the beginning. */
  const stamps = (...at: [step: number, minutes: number][]) =>
    at.map(([of, minutes]) => ({ step: of, at: new Date(Date.UTC(2026, 0, 1) + 60_000 * minutes).toISOString() }));
  const told = (run: Partial<FinishedRun>) => timingsOf({ steps, edge: 10_000, stamps: [], hung: [], ...run });

  it('each step by its kind, against what is reckoned for anybody', () => {
    const found = told({ stamps: stamps([0, 0], [1, 4], [2, 70], [3, 85], [4, 86.5], [5, 120]) });
    expect(found.map(({ pace }) => pace)).toEqual(['handling', 'cutting', 'pressing', 'sewing']);
    // Ten metres at a minute took a quarter of an hour.
    expect(found[1]).toMatchObject({ expected: 600, actual: 900 });
    // Four stops of 11 s and 4 s to move took a minute and a half.
    expect(found[2]).toMatchObject({ expected: 60, actual: 90 });
  });

  it('by what is done, whatever a step is called; by its name only where an old run does not say it', () => {
    expect(paceOf(step('tack', { act: 'baste' }))).toBe('sewing');
    expect(paceOf(step('organza-sew', { act: 'check' }))).toBe('handling');
    expect(paceOf(step('snip', { act: 'cut' }))).toBe('cutting');
    const [wash, wait] = runTasks({
      id: 'r',
      name: 'Top',
      edge: 0,
      steps: [step('soak-it', { act: 'wash', seconds: 300, dries: 9000 })],
    });
    expect([wash!.load, wait!.load, wait!.minutes]).toEqual(['wash', 'wash', 150]);
  });

  it('nothing of steps that were gone back to, skipped or slept over', () => {
    expect(told({ stamps: stamps([2, 0], [3, 15], [2, 16], [3, 20]) })).toEqual([]);
    expect(told({ stamps: stamps([2, 0], [4, 15]) })).toEqual([]);
    expect(told({ stamps: stamps([2, 0], [3, 600]) })).toEqual([]);
  });

  it('how long cloth hung, free of the pace that was reckoned in', () => {
    expect(told({ hung: [{ step: 1, seconds: 4500, found: 'right' }] })).toEqual([
      { pace: 'drying', expected: 3600, actual: 4500 },
    ]);
    expect(told({ hung: [{ step: 1, seconds: 3600, found: 'right' }], hangs: [{ clothId: 'linen', pace: 1.25 }] })[0]).toMatchObject({ expected: 2880, clothId: 'linen' }); // prettier-ignore
    // What had gone dry was right some time before.
    expect(told({ hung: [{ step: 1, seconds: 3600, found: 'too-dry' }] })[0]!.actual).toBeLessThan(3600);
    expect(told({ hung: [{ step: 99, seconds: 3600, found: 'right' }] })).toEqual([]);
  });

  it('of which cloth it was, and by its own pace; not of cloths that hung together', () => {
    const hung = [{ step: 1, seconds: 3600, found: 'right' as const }];
    const hangs = [{ clothId: 'linen', pace: 1 }, { clothId: 'wool', pace: 2 }]; // prettier-ignore
    const of = (more: object) => told({ steps: [steps[0]!, { ...steps[1]!, ...more }], hung, hangs })[0]!;
    expect(of({ work: 1 })).toMatchObject({ expected: 1800, clothId: 'wool' });
    expect(of({ work: 0 })).toMatchObject({ expected: 3600, clothId: 'linen' });
    // Reckoned as the second of them, which is the one that is shown.
    expect(of({ shows: 1 })).toEqual({ pace: 'drying', expected: 1800, actual: 3600 });
    expect(told({ hung, hangs: [hangs[1]!, hangs[1]!] })[0]).toMatchObject({ clothId: 'wool' });
  });

  it('how long it would have hung by two weighings, which count before the hand', () => {
    const of = [...steps];
    of[1] = step('starch-dry', { kind: 'wait', seconds: 3600, stage: 'prepare', until: 'damp', dryMass: 300 });
    const at = (minutes: number) => new Date(Date.UTC(2026, 0, 1) + 60_000 * minutes).toISOString();
    const run = { steps: of, stamps: stamps([1, 0]), hung: [{ step: 1, seconds: 9999, found: 'right' as const }] };
    // 300 g of water to 200 in half an hour; from 200 to 100 another half; then ever slower to 75.
    const weighed = [{ step: 1, at: at(10), grams: 600 }, { step: 1, at: at(40), grams: 500 }]; // prettier-ignore
    const [only, ...more] = told({ ...run, weighed });
    expect(more).toEqual([]);
    expect(only).toMatchObject({ pace: 'drying', expected: 3600 });
    const slower = (2 * 10 * (10 - Math.sqrt(75)) * 60) / 200;
    expect(only!.actual / 60).toBeCloseTo(40 + 30 + slower, 6);
    // One weighing tells nothing: the hand counts.
    expect(told({ ...run, weighed: weighed.slice(0, 1) })[0]!.actual).toBe(9999);
  });
});
