import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planJobs, type PlannedJob, type PlanOptions } from '../../src/core/plan';

const usual: PlanOptions = { atHand: new Set(), acceptable: 70, near: 12 };
const job = (id: string, ...options: [materials: string, score: number][]): PlannedJob => ({
  id,
  options: options.map(([materials, score]) => ({ id: materials, materials: materials.split('+'), score })),
});

/** Every set of materials tried: the cheapest that serves all jobs. */
function byTrying(jobs: readonly PlannedJob[], { atHand, acceptable, near }: PlanOptions): number {
  const all = [...new Set(jobs.flatMap(({ options }) => options.flatMap(({ materials }) => materials)))];
  let least = Infinity;
  for (let set = 0; set < 2 ** all.length; set++) {
    const taken = new Set(all.filter((_, i) => set & (1 << i)));
    const serves = jobs.every(({ options }) => {
      const best = Math.max(...options.map(({ score }) => score));
      const enough = Math.max(acceptable, best - near);
      const fine = options.filter(({ score }) => score >= enough);
      const good = fine.length > 0 ? fine : options.filter(({ score }) => score === best);
      return good.some(({ materials }) => materials.every((id) => taken.has(id)));
    });
    if (!serves) continue;
    least = Math.min(
      least,
      [...taken].reduce((sum, id) => sum + (atHand.has(id) ? 0.5 : 1), 0),
    );
  }
  return least;
}

describe('a plan for all jobs', () => {
  it('takes one material that serves all before the best of each', () => {
    const plan = planJobs([job('collar', ['a', 95], ['c', 88]), job('cuff', ['b', 95], ['c', 88])], usual);
    expect(plan.chosen.map(({ option, best }) => [option!.id, option!.score, best])).toEqual([['c', 88, 95], ['c', 88, 95]]); // prettier-ignore
    expect(plan.materials).toEqual([{ id: 'c', jobs: ['collar', 'cuff'] }]);
    expect(plan.gains.map(({ material, gain, jobs }) => [material, gain, jobs])).toEqual([['a', 7, ['collar']], ['b', 7, ['cuff']]]); // prettier-ignore
    expect(plan.losses).toEqual([{ material: 'c', loss: 0, unserved: ['collar', 'cuff'] }]);
  });

  it('does not save a material where a job would suffer for it', () => {
    const plan = planJobs([job('collar', ['a', 95], ['c', 80]), job('cuff', ['b', 95], ['c', 80])], usual);
    expect(plan.materials).toHaveLength(2);
  });

  it('takes two from the cupboard rather than two to buy', () => {
    const jobs = [job('collar', ['a', 90], ['b', 88]), job('bag', ['d', 90], ['e', 85])];
    const plan = planJobs(jobs, { ...usual, atHand: new Set(['b', 'e']) });
    expect(plan.materials.map(({ id }) => id).sort()).toEqual(['b', 'e']);
    expect(plan.cost).toBe(1);
  });

  it('leaves out what is dropped, holds what is locked, and serves badly rather than not at all', () => {
    const jobs = [
      job('collar', ['a', 95], ['b', 90]),
      { ...job('cuff', ['a', 90], ['c', 75]), locked: 'c' },
      job('odd', ['z', 40]),
    ];
    const plan = planJobs(jobs, { ...usual, dropped: new Set(['a']) });
    expect(plan.chosen.map(({ option }) => option!.id)).toEqual(['b', 'c', 'z']);
    expect(() => planJobs([{ ...jobs[0]!, locked: 'nothing' }], usual)).toThrow(/^locked/);
  });

  it('takes the fewer materials where nothing serves well and two stacks are equally bad', () => {
    expect(planJobs([job('odd', ['g', 56], ['a+b', 56])], usual).cost).toBe(1);
  });

  it('gives jobs that lie side by side one stack, unless it costs one of them much', () => {
    const side = (score: number): PlannedJob[] => [
      { ...job('left', ['a', 90], ['b', 89]), group: 'front' },
      { ...job('right', ['b', 90], ['a', score]), group: 'front' },
      { ...job('other', ['a+b', 90]) },
    ];
    const ids = (score: number) => planJobs(side(score), usual).chosen.map(({ option }) => option!.id);
    expect(ids(80).slice(0, 2)).toEqual(['b', 'b']);
    const apart = planJobs([{ ...job('left', ['a', 90], ['b', 79]), group: 'f' }, { ...job('right', ['b', 90], ['a', 79]), group: 'f' }, job('other', ['a+b', 90])], usual); // prettier-ignore
    expect(apart.chosen.map(({ option }) => option!.id).slice(0, 2)).toEqual(['a', 'b']);
  });

  it('is never dearer than the cheapest that trying everything finds', () => {
    const material = fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f', 'g');
    const option = fc.tuple(fc.uniqueArray(material, { minLength: 1, maxLength: 3 }), fc.integer({ min: 50, max: 100 }));
    const anyJob = fc.uniqueArray(option, {
      minLength: 1,
      maxLength: 6,
      selector: ([materials]) => [...materials].sort().join('+'),
    });
    fc.assert(
      fc.property(fc.array(anyJob, { minLength: 1, maxLength: 8 }), fc.uniqueArray(material), (all, atHand) => {
        const jobs = all.map((options, i) =>
          job(`j${i}`, ...options.map(([m, score]): [string, number] => [[...m].sort().join('+'), score])),
        );
        const options = { ...usual, atHand: new Set(atHand) };
        const plan = planJobs(jobs, options);
        expect(plan.exact).toBe(true);
        expect(plan.cost).toBeLessThanOrEqual(byTrying(jobs, options) + 1e-9);
        for (const { option: chosen } of plan.chosen) expect(chosen).toBeDefined();
      }),
      { numRuns: 150 },
    );
  });

  it('of twelve jobs with sixty stacks each is found at once', () => {
    let state = 7;
    const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
    const jobs = Array.from({ length: 12 }, (_, i) =>
      job(`j${i}`, ...Array.from({ length: 60 }, (__, k): [string, number] => [`m${(k * 7 + i * 3) % 80}`, 70 + 25 * random()])),
    );
    const plan = planJobs(jobs, usual);
    expect(plan.exact).toBe(true);
    expect(plan.materials.length).toBeLessThan(12);
  });
});
