import { describe, expect, it } from 'vitest';
import { choose, type Part, type RankedStack } from '../../src/core/choose';
import type { ShoppingLine } from '../../src/core/cutlist';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { CLOTH_TESTS, type TestField } from '../../src/core/measure';
import { formatSize } from '../../src/core/units';
import type { BenchPlan, BenchState } from '../../src/core/bench';
import { counted, keepUnits, readableDate } from '../../src/ui/text';
import { act, actionFor, back, ringOut, secondsLeft, setAside } from '../../src/core/bench/moves';
import { buyingFor, buyingOf, groupAnswers, keptStack, minutesWords, piecesWords, verdict } from '../../src/views/choose/answers';
import type { Material } from '../../src/core/layers';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { usedSetting } from '../../src/core/steps';
import { readTyped, writeReading } from '../../src/views/test-bench/ReadingField';

const poplin = LIBRARY_CLOTHS.find(({ name }) => name === 'Shirting poplin')!;
const collar: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const cm = (mm: number) => `${mm / 10} cm`;

describe('readings as they are typed', () => {
  const field = (kind: TestField['kind']): TestField => ({ id: 'reading', label: 'Reading', kind });
  it.each([
    ['length', '52', 'metric', 52],
    ['length', '5.2cm', 'metric', 52],
    ['length', '2 1/16', 'inch', 52.3875],
    ['length', '', 'metric', undefined],
    ['mass', '1.7', 'metric', 1.7],
    ['mass', '1,7 g', 'metric', 1.7],
    ['mass', '0.06 oz', 'inch', 1.70097],
    ['mass', '0.5 kg', 'metric', 500],
    ['count', '16', 'metric', 16],
    ['angle', '45°', 'metric', 45],
    ['choice', 'sinks', 'metric', 'sinks'],
  ] as const)('%s “%s” (%s) is %s', (kind, typed, system, value) => {
    const read = readTyped(field(kind), typed, system);
    if (typeof value === 'number') expect(read as number).toBeCloseTo(value, 4);
    else expect(read).toBe(value);
  });

  it.each([
    ['length', 'a hand'],
    ['mass', 'heavy'],
    ['mass', '1.7 lb'],
    ['count', 'eight'],
  ] as const)('%s “%s” is refused in plain words', (kind, typed) => {
    expect(() => readTyped(field(kind), typed, 'metric')).toThrow(/write a/);
  });

  it('what is written back reads the same', () => {
    for (const { fields } of CLOTH_TESTS) {
      for (const each of fields) {
        if (each.start === undefined) continue;
        for (const system of ['metric', 'inch'] as const) {
          const again = readTyped(each, writeReading(each, each.start, system), system);
          if (typeof each.start === 'number') expect(Math.abs((again as number) - each.start)).toBeLessThan(0.8);
          else expect(again).toBe(each.start);
        }
      }
    }
    expect(writeReading(field('length'), undefined, 'metric')).toBe('');
  });
});

describe('answers in words', () => {
  const { ranked, ...choice } = choose(poplin, collar, LIBRARY_LAYERS, { limit: 200 });

  it('are gathered by kind, the best of each first, none lost', () => {
    const groups = groupAnswers(ranked);
    expect(groups.flatMap(({ best, others }) => [best, ...others])).toHaveLength(ranked.length);
    for (const { best, others } of groups) for (const { score } of others) expect(score).toBeLessThanOrEqual(best.score);
    const scores = groups.map(({ best }) => best.score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
  });

  it.each([
    [3, 'about 5 min'],
    [12.4, 'about 10 min'],
    [86, 'about 85 min'],
    [91, 'about 1.5 h'],
    [130, 'about 2 h'],
  ])('%d minutes are %s', (minutes, words) => expect(minutesWords(minutes)).toBe(words));

  it.each([
    [97, 'very good'],
    // Shown as 92 and as 82: the word is that of the figure beside it.
    [91.6, 'very good'],
    [91.4, 'good'],
    [81.5, 'good'],
    [85, 'good'],
    [72, 'fair'],
    [40, 'a compromise'],
  ])('%d of 100 is %s', (score, words) => expect(verdict(score)).toBe(words));

  describe('what has to be bought', () => {
    const layer = ranked[0]!.layers[0]!;
    const each = (length: number) => ({ materialId: 'a', length, pricePerMetre: 500 });
    const stack = (toBuy: RankedStack['toBuy'], layers = [layer], cost = 0) => ({
      ...{ ...ranked[0]!, toBuy, layers },
      needs: { ...ranked[0]!.needs, layers: layers.map(() => ({ materialId: 'a', length: 100, cost })) },
    });
    it('is rounded up as shops cut, equal lengths are counted', () => {
      expect(buyingOf(stack([each(171)]), 'metric', cm)).toEqual({ lengths: 'buy 20 cm', cost: 100 });
      expect(buyingOf(stack([each(171), each(200), each(301)]), 'metric', cm).lengths).toBe('buy 2 × 20 cm + 40 cm');
      const mine = { ...each(301), atHand: true as const };
      expect(buyingOf(stack([each(171), mine]), 'metric', cm)).toEqual({
        lengths: 'buy 20 cm · 40 cm of what you have',
        cost: 100,
      });
      // An eighth of a yard is 114.3 mm.
      expect(buyingOf(stack([each(171)]), 'inch', cm).lengths).toBe('buy 22.86 cm');
    });
    it('of a bottle is what is used of it', () => {
      expect(buyingOf(stack([], [{ ...layer, form: 'liquid' }], 35), 'metric', cm)).toEqual({ lengths: '', cost: 35 });
    });

    const line = (more: Partial<ShoppingLine>) =>
      ({ material: { name: 'Organdy' }, buy: 0, misfits: 0, cost: 0, ...more }) as ShoppingLine;
    it.each([
      ['the cupboard has it', [line({})], 0],
      ['buy 20 cm', [line({ buy: 200, cost: 90 })], 90],
      ['buy 20 cm + 30 cm', [line({ buy: 200, cost: 90 }), line({ buy: 300, cost: 10 }), line({})], 100],
      ['fits on no roll of Organdy', [line({ misfits: 2 })], 0],
    ])('for a job, after the cupboard: %s', (lengths, lines, cost) => {
      expect(buyingFor(lines, stack([]), cm)).toEqual({ lengths, cost });
    });
  });

  it('pieces: one, several, motifs', () => {
    const of = (count: number) => ({ ...choice, ranked, piece: { width: 450, height: 90, count } });
    const size = (width: number, height: number) => `${width} × ${height}`;
    expect(piecesWords(of(1), false, size)).toBe('one piece of 450 × 90');
    expect(piecesWords(of(4), false, size)).toBe('4 pieces of 450 × 90');
    expect(piecesWords(of(1), true, size)).toBe('one motif');
    expect(piecesWords(of(6), true, size)).toBe('6 motifs');
  });

  it('a kept stack holds what a part needs and no more', () => {
    const kept = keptStack(ranked[0]!, { seam: 'net' });
    expect(Object.keys(kept).sort()).toEqual(['cautions', 'layers', 'predicted', 'reasons', 'schools', 'title']);
    expect(Object.keys(kept.layers[0]!).sort()).toEqual(['angle', 'extent', 'materialId']);
  });

  it('the setting that was used: a scrap’s before the leaflet’s, a shoe counts as no cover', () => {
    const leaflet = { ironDots: 2, seconds: 10, steam: true, cover: 'cloth' as const, coolMinutes: 5 };
    const web = { id: 'web', leaflet } as Material;
    const how = { fabric: { water: 'safe' as const }, schools: DEFAULT_SCHOOLS };
    const found = (materialId: string) => [{ materialId, ironDots: 3, seconds: 7, steam: false, cover: 'shoe' }];
    expect(usedSetting([web], { ...how, found: found('web') })).toEqual({ ironDots: 3, seconds: 7, steam: false, cover: 'none' });
    // What was found for another layer is not this one's.
    expect(usedSetting([web], { ...how, found: found('fleece') }).seconds).toBe(10);
    expect(usedSetting([], how).seconds).toBe(0);
    // By a way of working it is filed as the bench pressed it.
    const long = { ...how, schools: { ...DEFAULT_SCHOOLS, heat: 'long' as const } };
    expect(usedSetting([web], long)).toMatchObject({ seconds: 18, steam: true, ironDots: 2 });
  });
});

describe('words and figures', () => {
  it.each([
    [1, 'piece', '1 piece'],
    [0, 'piece', '0 pieces'],
    [3, 'reading', '3 readings'],
  ])('%d %s is “%s”', (count, one, words) => expect(counted(count, one)).toBe(words));

  it('keeps a figure and its unit on one line', () => {
    expect(keepUnits('Medium woven, 60 g + tape, 10 mm')).toBe('Medium woven, 60\u00a0g + tape, 10\u00a0mm');
  });

  it('reads a date out', () => expect(readableDate('2026-05-31')).toBe('31 May 2026'));

  it.each([
    [450, 90, 'metric', '45 × 9 cm'],
    [62, 70, 'metric', '62 × 70 mm'],
    [455, 92, 'metric', '45.5 × 9.2 cm'],
    [457.2, 88.9, 'inch', '18 × 3 ½ in'],
  ] as const)('%d by %d mm (%s) is %s', (width, height, system, words) => expect(formatSize(width, height, system)).toBe(words));
});

describe('moves at the bench', () => {
  const plan: BenchPlan = {
    pieceName: 'Collar',
    clothName: 'Linen',
    stackTitle: 'Woven, 45 g',
    outline: [],
    plate: [],
    steps: [
      { id: 'cut', stage: 'cut', kind: 'do', title: 'Cut', detail: '' },
      {
        id: 'press',
        stage: 'apply',
        kind: 'press',
        title: 'Press',
        detail: '',
        seconds: 10,
        stops: [
          { x: 0, y: 0, rotation: 0 },
          { x: 50, y: 0, rotation: 0 },
        ],
      },
      { id: 'cool', stage: 'apply', kind: 'wait', title: 'Cool', detail: '', seconds: 300 },
      { id: 'check', stage: 'check', kind: 'check', title: 'Check', detail: '', checks: ['Edges hold'] },
    ],
  };
  const start: BenchState = { step: 0, stop: 0, endsAt: null, pausedLeft: null, timers: [], checks: [] };
  const NOW = Date.parse('2026-05-31T10:00:00Z');
  const tap = (state: BenchState, now = NOW) => act(state, actionFor(plan, state), now);

  it('a whole run by tapping: cut, two stops, cooling, checks', () => {
    let state = tap(start);
    expect(state.step).toBe(1);
    state = tap(state);
    expect(secondsLeft(state, NOW + 4000)).toBe(6);
    state = ringOut(plan, state);
    expect([state.step, state.stop, state.endsAt]).toEqual([1, 1, null]);
    state = ringOut(plan, tap(state));
    expect([state.step, state.stop]).toEqual([2, 0]);
    state = tap(state);
    expect(secondsLeft(state, NOW)).toBe(300);
    state = ringOut(plan, state);
    expect(state.step).toBe(3);
    expect(actionFor(plan, state)).toEqual({ kind: 'finish' });
  });

  it('a tap while it counts pauses, the next goes on with what was left', () => {
    const running = tap({ ...start, step: 1 });
    const paused = tap(running, NOW + 3000);
    expect([paused.pausedLeft, paused.endsAt]).toEqual([7, null]);
    expect(secondsLeft(paused, NOW + 60_000)).toBe(7);
    const again = tap(paused, NOW + 60_000);
    expect(secondsLeft(again, NOW + 61_000)).toBe(6);
  });

  it('a wait runs alongside while the next step is begun', () => {
    const aside = setAside(plan, { ...start, step: 2 }, NOW);
    expect(aside.step).toBe(3);
    expect(aside.timers).toEqual([{ label: 'Collar: Cool', endsAt: new Date(NOW + 300_000).toISOString() }]);
  });

  it('back: out of the countdown, then to the stop before, then to the step before, never past the first', () => {
    const running = tap({ ...start, step: 1, stop: 1 });
    const one = back(running);
    expect([one.step, one.stop, one.endsAt]).toEqual([1, 1, null]);
    const two = back(one);
    expect([two.step, two.stop]).toEqual([1, 0]);
    expect(back(back(two)).step).toBe(0);
  });

  it('a countdown that is long over reads nothing left, never less', () => {
    const running = tap({ ...start, step: 1 });
    expect(secondsLeft(running, NOW + 3_600_000)).toBe(0);
    expect(secondsLeft(start, NOW)).toBeUndefined();
  });
});
