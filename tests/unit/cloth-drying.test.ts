import { beforeEach, describe, expect, it } from 'vitest';
import { openSeeded } from '../../src/server/database';
import { allLearnt, forgetLearnt } from '../../src/server/learnt';
import { learnTimes } from '../../src/server/own-times';
import { startBatch } from '../../src/server/start-bench';
import { otherNeeds } from '../../src/server/other-needs';
import { paceByCloth, usedOn, wetJobs } from '../../src/server/wet-work';
import { benchRuns } from '../../src/store/bench-runs';
import { cloths } from '../../src/store/cloths';
import { logEntries } from '../../src/store/log';
import { applyTest } from '../../src/core/measure';
import { cuts } from '../../src/store/cuts';
import type { Db } from '../../src/store/database';
import { loadDemo } from '../../src/store/demo';
import { jobs } from '../../src/store/jobs';
import { dryingPaceOf, keepTimings } from '../../src/store/timings';
import { getWorkpiece } from '../../src/store/workpieces';

describe('a cloth dries at its own pace', () => {
  let db: Db;
  const JOB = 'tq-wc-welt';
  let own = '';
  beforeEach(() => {
    db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
    const job = jobs.get(db, JOB);
    own = cuts.get(db, job.cutId).clothId!;
    const { setting: _found, ...stack } = job.stack!;
    const layers = [{ materialId: 'starch', extent: 'full' as const, angle: 0, join: 'full' as const }];
    jobs.update(db, JOB, { ...job, stack: { ...stack, layers }, cutDone: false }, job.version);
  });
  const took = (factor: number, clothId: string, runs: number, day = 1) => {
    for (let i = 0; i < runs; i++)
      keepTimings(db, `${clothId} ${factor} ${i}`, [{ pace: 'drying', expected: 3600, actual: 3600 * factor, clothId }], `2026-01-0${day}T10:00:00.000Z`); // prettier-ignore
  };
  const hangs = () => {
    const run = startBatch(db, [JOB]);
    const { seconds } = run.plan.steps.find(({ until }) => until)!;
    benchRuns.remove(db, run.id);
    return seconds!;
  };

  it('by its own times, with the house’s where it has none', () => {
    const before = hangs();
    took(2, 'some-other-cloth', 10);
    const house = dryingPaceOf(db, null).factor;
    expect(house).toBeGreaterThan(1.6);
    expect(dryingPaceOf(db, own)).toEqual({ factor: house, times: 0 });
    expect(hangs() / before).toBeCloseTo(house, 1);
    took(0.8, own, 10);
    const now = dryingPaceOf(db, own);
    expect([now.times, now.factor < 1, now.factor > 0.8]).toEqual([10, true, true]);
    expect(hangs() / before).toBeCloseTo(now.factor, 1);
    // Asked by the page of sprays and soaking too.
    expect(wetJobs(db).find(({ id }) => id === JOB)!.pace).toBe(now.factor);
    expect(paceByCloth(db)[own]).toBe(now.factor);
  });

  it('learnt from a run of it, told among what was learnt, and forgotten for it alone', () => {
    const run = startBatch(db, [JOB]);
    expect(run.plan.hangs).toEqual([{ clothId: own, pace: 1 }]);
    const step = run.plan.steps.findIndex(({ until }) => until);
    const seconds = run.plan.steps[step]!.seconds!;
    const state = { ...run.state, hung: [{ step, seconds: 1.5 * seconds, found: 'right' as const }] };
    benchRuns.update(db, run.id, { ...run, state, finishedAt: '2026-02-03T10:00:00.000Z' }, run.version);
    learnTimes(db, run.id);
    const { learnt } = allLearnt(db);
    const told = learnt.find(({ subject }) => subject === `pace/drying/${own}`)!;
    expect(told.readings).toEqual([{ on: '2026-02-03', value: expect.closeTo(1.5, 6) }]);
    expect(told.now).toBe(dryingPaceOf(db, own).factor);
    took(2, 'some-other-cloth', 4, 2);
    forgetLearnt(db, told.subject, true, '2026-03-01T00:00:00.000Z');
    // The house has not forgotten.
    expect(dryingPaceOf(db, own)).toEqual({ factor: dryingPaceOf(db, null).factor, times: 0 });
    expect(dryingPaceOf(db, null).times).toBe(5);
    forgetLearnt(db, told.subject, false, '2026-03-01T00:00:00.000Z');
    expect(dryingPaceOf(db, own).times).toBe(1);
  });

  it('drinks what it was weighed to drink: shopping, bench, spraying page and drying ask the same', () => {
    const told = () => {
      const run = startBatch(db, [JOB]);
      benchRuns.remove(db, run.id);
      const project = getWorkpiece(db, JOB).projectId;
      const amount = otherNeeds(db, [project]).liquids.find(({ name }) => /starch/i.test(name))?.millilitres ?? NaN;
      return {
        minutes: run.plan.steps.find(({ until }) => until)!.seconds! / 60,
        pickUp: wetJobs(db).find(({ id }) => id === JOB)!.pickUp,
        amount,
      };
    };
    const usual = told();
    const cloth = cloths.get(db, own);
    cloths.update(db, own, applyTest(cloth, 'uptake', { dry: 20, wet: 20 + 20 * 2 * usual.pickUp }), cloth.version);
    const now = told();
    expect(now.pickUp / usual.pickUp).toBeCloseTo(2, 6);
    expect(now.amount / usual.amount).toBeCloseTo(2, 6);
    expect(now.minutes).toBeGreaterThan(usual.minutes * 1.8);
    const learnt = allLearnt(db).learnt.find(({ subject }) => subject === `uptake/${own}`)!;
    expect([learnt.before, learnt.now, learnt.testOf]).toEqual([expect.closeTo(100 * usual.pickUp, 6), expect.closeTo(200 * usual.pickUp, 6), own]); // prettier-ignore
    expect(() => forgetLearnt(db, learnt.subject, true, '2026-03-01T00:00:00.000Z')).toThrow(/must be something that was learnt/);
    // Taken back, it is by the fibres again.
    const weighed = cloths.get(db, own);
    cloths.update(db, own, applyTest(weighed, 'uptake', null), weighed.version);
    expect(told()).toEqual(usual);
  });

  it('is told with the bottle that it was used from, the last time first', () => {
    const file = (layerIds: string[], clothId: string, doneOn: string, outcome: string) =>
      logEntries.insert(db, {
        ...{
          jobId: null,
          benchRunId: null,
          kind: 'piece',
          doneOn,
          title: 'Piece',
          clothId,
          clothName: cloths.get(db, clothId).name,
        },
        ...{ stackTitle: 'Starch', layerIds, checks: { held: [], failed: [] }, outcome, note: '', causes: [], shape: null },
        ...{ settings: { ironDots: 2, seconds: 0, steam: false, cover: 'none' }, stitched: null, measuredBendingLength: null },
        ...{ predictedBendingLength: null, predictedLow: null, predictedHigh: null, overhang: null },
      } as never);
    const before = usedOn(db)['starch'] ?? [];
    file(['starch__full'], own, '2026-06-01', 'good');
    file(['light-tear-away-30-g', 'starch'], own, '2026-06-03', 'poor');
    file(['starch-like-nothing'], 'tq-duck', '2026-06-04', 'good');
    file(['starch__damp'], 'tq-duck', '2026-06-02', 'fair');
    const [first, second] = usedOn(db)['starch']!;
    const times = (name: string) => before.find(({ cloth }) => cloth === name)?.times ?? 0;
    expect(first).toMatchObject({ on: '2026-06-03', outcome: 'poor', times: 2 + times(cloths.get(db, own).name) });
    expect(second).toMatchObject({ on: '2026-06-02', outcome: 'fair', times: 1 + times(cloths.get(db, 'tq-duck').name) });
  });
});
