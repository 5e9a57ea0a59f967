import { describe, expect, it } from 'vitest';
import { benchMoved, evidenceOf, pressedGrounds, START_STATE, tickedFor, type BenchPlan } from '../../src/core/bench';
import type { Outline } from '../../src/core/shape';
import { stepsForCopies, type Step } from '../../src/core/steps';
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

describe('a stop of the iron that is paused', () => {
  const steps = [
    { id: 'lay', kind: 'do', title: 'Lay it', detail: '' },
    { id: 'press', kind: 'press', title: 'Press', detail: '', seconds: 12, copies: 2, stops: [0, 90].map((x) => ({ x, y: 0, rotation: 0 })) },
    { id: 'check', kind: 'check', title: 'Check', detail: '' },
  ] as BenchPlan['steps']; // prettier-ignore
  const pressing = plan({ steps });
  type Moves = [Parameters<typeof benchMoved>[2], number][];
  const played = (moves: Moves) =>
    moves.reduce((standing, [move, at]) => benchMoved(pressing, standing, move, at), {
      state: { ...START_STATE, step: 1 },
      finished: false,
    }).state;
  const start = { kind: 'start', step: 1, stop: 0, seconds: 12 } as const;
  const pause = { kind: 'pause', step: 1, stop: 0 } as const;

  it('is told with its seconds and its piece', () => {
    const state = played([[start, 0], [pause, 7000], [{ ...pause, kind: 'resume' }, 20_000], [{ kind: 'rung', step: 1, stop: 0, flowing: true }, 25_000]]); // prettier-ignore
    expect(state.paused).toEqual([{ step: 1, stop: 0, left: 5 }]);
    expect(evidenceOf(pressing, state).get('stop-cut-short')).toBe('stop 1 on piece 1 was paused at 7 of 12 s');
    expect(evidenceOf(pressing, state, undefined).get('stop-cut-short')).toBeDefined();
    expect(evidenceOf(pressing, { ...state, paused: [{ step: 1, stop: 3, left: 2 }] }).get('stop-cut-short')).toBe(
      'stop 2 on piece 2 was paused at 10 of 12 s',
    );
  });

  it('is told of its own piece where each has a step of its own, and the places are drawn once', () => {
    const stops = [0, 90].map((x) => ({ x, y: 0, rotation: 0 }));
    const one: Step = { id: 'press', stage: 'apply', kind: 'press', act: 'press', title: 'Press it', detail: '', seconds: 12 };
    const square = [[0, 0], [300, 0], [300, 300], [0, 300]] as Outline; // prettier-ignore
    const set = plan({ outline: square, plate: square, steps: stepsForCopies([one], 7).map((step) => (step.kind === 'press' ? { ...step, stops } : step)) }); // prettier-ignore
    const [ground, ...others] = pressedGrounds(set);
    expect([ground!.stops.map(({ number, steps: of }) => [number, of.length]), others]).toEqual([[[1, 7], [2, 7]], []]); // prettier-ignore
    const third = set.steps.findIndex(({ title }) => title.startsWith('Piece 3 of 7'));
    const state = { ...START_STATE, paused: [{ step: third, stop: 1, left: 4 }] };
    expect(evidenceOf(set, state).get('stop-cut-short')).toBe('stop 2 on piece 3 was paused at 8 of 12 s');
    expect(evidenceOf(set, state, undefined, { ground: ground!, place: [350, 20] }).get('stop-cut-short')).toMatch(
      /^stop 2 on piece 3/,
    );
    // What has no planned stops is paused all the same; of another job of a batch it says nothing.
    const flat = plan({ steps: [{ ...one, work: 0 }] });
    const paused = { ...START_STATE, paused: [{ step: 0, stop: 0, left: 3 }] };
    expect(evidenceOf(flat, paused, 0).get('stop-cut-short')).toBe('the iron was paused at 9 of 12 s');
    expect(evidenceOf(flat, paused, 1).has('stop-cut-short')).toBe(false);
  });

  it('is forgotten once it is pressed from its first second, and is none while the iron still moves on', () => {
    const again = played([[start, 0], [pause, 7000], [{ ...pause, kind: 'back' }, 8000], [start, 9000]]); // prettier-ignore
    expect(again.paused).toEqual([]);
    const moving = played([[start, 0], [{ kind: 'rung', step: 1, stop: 0, flowing: true }, 12_000], [{ ...pause, stop: 1 }, 12_500]]); // prettier-ignore
    expect(moving.pausedLeft).toBeGreaterThan(12);
    expect(moving.paused ?? []).toEqual([]);
    const flowed = played([[start, 0], [{ kind: 'rung', step: 1, stop: 0, flowing: true }, 12_000], [{ ...pause, stop: 1 }, 20_000], [{ kind: 'back', step: 1, stop: 1 }, 21_000], [{ kind: 'back', step: 1, stop: 1 }, 21_500], [start, 22_000], [{ kind: 'rung', step: 1, stop: 0, flowing: true }, 34_000]]); // prettier-ignore
    expect(flowed.paused).toEqual([]);
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
