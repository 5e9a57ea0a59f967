import { describe, expect, it } from 'vitest';
import { benchMoved, evidenceOf, START_STATE, tickedFor, type BenchPlan } from '../../src/core/bench';
import { choose } from '../../src/core/choose';
import { LIBRARY_LAYERS } from '../../src/core/library';
import type { PairRecord } from '../../src/core/learn';
import { knownBefore, SEEN_TROUBLES, speaksOfStack } from '../../src/core/techniques';
import { exampleScope } from '../files/example-scope';

const { poplin, collar, workJob } = exampleScope;

/** The usual first answer for a poplin collar, when this was filed of it. */
const remembered = (record: Partial<PairRecord>) => {
  const { id } = choose(poplin, collar, LIBRARY_LAYERS).ranked[0]!;
  const memory = new Map([[id, { readings: [], good: 0, fair: 0, poor: 0, ...record }]]);
  return choose(poplin, collar, LIBRARY_LAYERS, { limit: 200, memory }).ranked.find((stack) => stack.id === id)!;
};

const plan = (more: Partial<BenchPlan> = {}): BenchPlan => ({
  ...{ pieceName: 'Collar', clothName: '', stackTitle: '', outline: [], plate: [] },
  steps: [{ id: 'check', stage: 'check', kind: 'check', act: 'check', title: 'Check it', detail: '', checks: ['Flat'] }],
  ...more,
});

describe('what was found to be wrong', () => {
  it('is kept with the run and its job, and can be taken back', () => {
    const found = { kind: 'cause', found: 'lifts/moved-warm', work: 1 } as const;
    const on = benchMoved(plan(), { state: START_STATE, finished: false }, { ...found, on: true }, 0);
    const twice = benchMoved(plan(), on, { ...found, on: true }, 0);
    expect(twice.state.causes).toEqual([{ found: 'lifts/moved-warm', work: 1 }]);
    const works = ['Collar', 'Cuff'].map((name) => ({ name, jobId: name, clothName: '', stackTitle: '', outline: [] }));
    expect(tickedFor(plan({ works }), on.state, 0).causes).toEqual([]);
    expect(tickedFor(plan({ works }), on.state, 1).causes).toEqual(['lifts/moved-warm']);
    expect(benchMoved(plan(), on, { ...found, on: false }, 0).state.causes).toEqual([]);
  });

  it.each([
    [[], true],
    [['lifts/moved-warm'], false],
    [['lifts/moved-warm', 'board/heavy'], true],
    [['bubbles/slid', 'ripple/pulled'], false],
    [['hoop-marks/clamped'], true],
    [['nobody/knows'], true],
  ])('%j speaks of the stack: %s', (found, speaks) => {
    expect(speaksOfStack(found)).toBe(speaks);
  });

  it('changes what is said of the stack the next time', () => {
    const heavy = remembered({ poor: 1, causes: ['board/heavy'] });
    expect(heavy.cautions.join(' ')).toContain('Went wrong on this cloth once: the layer is heavier than the cloth.');
    const warm = remembered({ poor: 0, mishaps: 1, causes: ['lifts/moved-warm'] });
    expect(warm.cautions.join(' ')).toContain('Spoilt before by how it was done: it was moved or lifted while it was warm.');
    expect(warm.cautions.join(' ')).not.toContain('Went wrong');
    expect(warm.score).toBeGreaterThan(heavy.score);
  });

  it('every trouble has causes that are told apart', () => {
    for (const { causes } of SEEN_TROUBLES) expect(new Set(causes.map(({ id }) => id)).size).toBe(causes.length);
  });
});

describe('what is known before a job is begun', () => {
  it('is what speaks for a cause', () => {
    const [only] = workJob.layers;
    const thin = {
      ...workJob,
      fabric: { ...workJob.fabric, arealDensity: 30, sheer: 'sheer' as const, prewashed: false },
      washed: true,
    };
    const known = knownBefore({ ...thin, layers: [{ ...only!, material: { ...only!.material, arealDensity: 60 } }] });
    expect(known['heavy-layer']).toMatch(/weighs 60 g\/m², the cloth 30$/);
    expect(known['no-scrap']).toBeDefined();
    expect(known['not-shrunk']).toBeDefined();
    expect(knownBefore({ ...workJob, fabric: { ...workJob.fabric, prewashed: true } })).not.toHaveProperty('not-shrunk');
    const at = evidenceOf(plan({ known: [{ 'no-scrap': 'a' }, { 'no-cover': 'b' }] }), START_STATE, 1);
    expect([...at]).toEqual([['no-cover', 'b']]);
  });
});
