import { describe, expect, it } from 'vitest';
import { readNumber, readOptional } from '../../src/ui/form/reading';
import { readFibres } from '../../src/views/cupboard/draft-parsing';
import { act, actionFor, back, ringOut, secondsLeft, setAside } from '../../src/core/bench/moves';
import type { BenchPlan, BenchState } from '../../src/core/bench';
import { fromQuery, partOf, START, toQuery } from '../../src/views/choose/sentence-state';
import { CARES, CUTS, HANDS, ROLES, STRETCHES } from '../../src/core/choose';

describe('what people type into the cupboard', () => {
  it.each([
    [
      '55 linen, 45 cotton',
      [
        { fibre: 'linen', percent: 55 },
        { fibre: 'cotton', percent: 45 },
      ],
    ],
    [
      'cotton 96 elastane 4',
      [
        { fibre: 'cotton', percent: 96 },
        { fibre: 'elastane', percent: 4 },
      ],
    ],
    [
      '95 % cotton and 5% elastane',
      [
        { fibre: 'cotton', percent: 95 },
        { fibre: 'elastane', percent: 5 },
      ],
    ],
    ['Wool', [{ fibre: 'wool', percent: 100 }]],
    ['', []],
  ])('reads fibres %j', (text, shares) => {
    expect(readFibres(text)).toEqual(shares);
  });
  it('names the field that cannot be read', () => {
    expect(() => readFibres('60 hemp')).toThrow(/^fibres: “hemp”/);
    expect(() => readNumber('thickness', 'thin', 'mm')).toThrow(/^thickness: /);
    expect(readOptional('thickness', ' ', 'mm')).toBeUndefined();
    expect(readNumber('thickness', '0,4', 'mm')).toBe(0.4);
  });
});

describe('the bench', () => {
  const plan = {
    pieceName: 'Collar',
    steps: [
      { id: 'a', kind: 'do' },
      {
        id: 'b',
        kind: 'press',
        seconds: 10,
        stops: [
          { x: 0, y: 0, rotation: 0 },
          { x: 9, y: 0, rotation: 0 },
        ],
      },
      { id: 'c', kind: 'wait', seconds: 300, title: 'Cool' },
      { id: 'd', kind: 'check', checks: ['edges'] },
    ],
  } as unknown as BenchPlan;
  const start: BenchState = { step: 0, stop: 0, endsAt: null, pausedLeft: null, timers: [], checks: [] };
  const NOW = Date.parse('2026-05-31T10:00:00Z');

  it('walks a whole run: do, two stops, wait, check', () => {
    let state = act(start, actionFor(plan, start), NOW);
    expect(state.step).toBe(1);
    state = act(state, actionFor(plan, state), NOW);
    expect(secondsLeft(state, NOW + 4000)).toBe(6);
    state = ringOut(plan, state);
    expect(state).toMatchObject({ step: 1, stop: 1, endsAt: null });
    state = ringOut(plan, act(state, actionFor(plan, state), NOW));
    expect(state).toMatchObject({ step: 2, stop: 0 });
    state = ringOut(plan, act(state, actionFor(plan, state), NOW));
    expect(state.step).toBe(3);
    expect(actionFor(plan, state)).toEqual({ kind: 'finish' });
  });

  it('pauses and goes on with the seconds that were left', () => {
    const running = act({ ...start, step: 1 }, { kind: 'start', seconds: 10 }, NOW);
    const paused = act(running, { kind: 'pause' }, NOW + 3000);
    expect(paused.pausedLeft).toBe(7);
    expect(actionFor(plan, paused)).toEqual({ kind: 'resume' });
    expect(secondsLeft(act(paused, { kind: 'resume' }, NOW + 60_000), NOW + 60_000)).toBe(7);
  });

  it('lets a wait run alongside, and takes one move back at a time', () => {
    const aside = setAside(plan, { ...start, step: 2 }, NOW);
    expect(aside.step).toBe(3);
    expect(aside.timers).toEqual([{ label: 'Collar: Cool', endsAt: new Date(NOW + 300_000).toISOString() }]);
    expect(back({ ...start, step: 1, stop: 1 })).toMatchObject({ step: 1, stop: 0 });
    expect(back({ ...start, step: 1, stop: 0 })).toMatchObject({ step: 0 });
    expect(back(start).step).toBe(0);
  });
});

describe('the front sentence in an address', () => {
  const allowed = { role: ROLES, hand: HANDS, stretch: STRETCHES, care: CARES, cut: CUTS };
  it('is read back as it was written', () => {
    const state = {
      ...START,
      role: 'lapel' as const,
      hand: 'crisp' as const,
      avoid: ['liquid' as const, 'fusible' as const],
      cutAlready: true,
      clothId: 'tweed',
    };
    expect(fromQuery(new URLSearchParams(toQuery(state)), allowed)).toEqual(state);
    expect(toQuery(START)).toBe('');
  });
  it('ignores words that it does not know', () => {
    expect(fromQuery(new URLSearchParams('role=sleeve&care=boil&width=-3'), allowed)).toEqual(START);
    expect(partOf(START)).toEqual({ role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' });
  });
});
