import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import {
  AMOUNTS,
  bestCell,
  faultsOf,
  GRIDS,
  outcomeOf,
  PEELS,
  scoreReading,
  scrapPlan,
  type ScrapReading,
} from '../../src/core/scrap';

const cloth = (name: string) => LIBRARY_CLOTHS.find((each) => each.name === name)!;
const chosen = (id: string) => [{ material: LIBRARY_LAYERS.find((each) => each.id === id)!, extent: 'full' as const, angle: 0 }];
const perfect: ScrapReading = {
  overhangBefore: 44,
  overhangAfter: 60,
  peel: 5,
  bubbles: 'none',
  showThrough: 'none',
  glueThrough: 'none',
  shrink: 0,
  feel: 'firm',
  note: '',
};

describe('scrapPlan', () => {
  const poplin = cloth('Shirting poplin');
  const fusible = chosen('medium-woven-fusible-60-g');

  it('full: three times of pressing by the iron settings next to the leaflet’s', () => {
    const { cells, rows, columns, width, height } = scrapPlan(poplin, fusible, DEFAULT_SCHOOLS, 'full');
    expect([rows, columns, cells.length]).toEqual([3, 3, 9]);
    expect(cells.map(({ name }) => name).join()).toBe('A1,A2,A3,B1,B2,B3,C1,C2,C3');
    expect(new Set(cells.map(({ setting }) => setting.ironDots))).toEqual(new Set([1, 2, 3]));
    expect([width, height]).toEqual([150, 360]);
  });

  it('never asks more heat than the cloth bears, and refuses what needs more', () => {
    for (const fabric of LIBRARY_CLOTHS) {
      for (const material of LIBRARY_LAYERS) {
        for (const grid of GRIDS) {
          const layers = [{ material, extent: 'full' as const, angle: 0 }];
          if (material.leaflet.seconds > 0 && material.leaflet.ironDots > fabric.ironDots) {
            expect(() => scrapPlan(fabric, layers, DEFAULT_SCHOOLS, grid)).toThrow('needs more heat');
            continue;
          }
          const { cells } = scrapPlan(fabric, layers, DEFAULT_SCHOOLS, grid);
          expect(cells.length).toBeGreaterThan(0);
          for (const { setting } of cells) expect(setting.ironDots).toBeLessThanOrEqual(fabric.ironDots);
        }
      }
    }
  });

  it('tries the settings of the layer that is fused, not of a liquid that is pressed dry before it', () => {
    const starch = chosen('starch')[0]!;
    expect(scrapPlan(poplin, [starch, ...fusible], DEFAULT_SCHOOLS, 'seconds').materialId).toBe(fusible[0]!.material.id);
    const alone = scrapPlan(poplin, [starch], DEFAULT_SCHOOLS, 'seconds');
    expect(alone.materialId).toBe(starch.material.id);
    expect(alone.cells[1]!.setting.seconds).toBe(starch.material.leaflet.seconds);
  });

  it('seconds: one iron setting, the leaflet’s time in the middle', () => {
    const { cells } = scrapPlan(poplin, fusible, DEFAULT_SCHOOLS, 'seconds');
    expect(cells.map(({ setting }) => setting.seconds)).toEqual([7, 12, 18]);
  });

  it.each(['organza', 'cotton-organdy-72-g'])('what is sewn needs one field, whatever is asked (%s)', (start) => {
    const material = LIBRARY_LAYERS.find(({ id }) => id.startsWith(start) || id.includes(start))!;
    const { cells, width } = scrapPlan(poplin, [{ material, extent: 'full', angle: 0 }], DEFAULT_SCHOOLS, 'full');
    expect(cells).toHaveLength(1);
    expect([cells[0]!.setting.seconds, width]).toEqual([0, 150]);
  });
});

describe('a field’s score', () => {
  const reading = fc.record<ScrapReading>({
    overhangBefore: fc.constant(null),
    overhangAfter: fc.constant(null),
    peel: fc.constantFrom(null, 1, 2, 3, 4, 5),
    bubbles: fc.constantFrom(...AMOUNTS),
    showThrough: fc.constantFrom(...AMOUNTS),
    glueThrough: fc.constantFrom(...AMOUNTS),
    shrink: fc.constantFrom(null, 0, 1, 3),
    feel: fc.constant(null),
    note: fc.constant(''),
  });

  it('falls with every fault and stays within 0 and 100', () => {
    fc.assert(
      fc.property(reading, (one) => {
        const score = scoreReading(one);
        expect(score >= 0 && score <= 100).toBe(true);
        expect(scoreReading({ ...one, bubbles: 'much' })).toBeLessThanOrEqual(score);
        if (one.peel !== null && one.peel < 5) expect(scoreReading({ ...one, peel: one.peel + 1 })).toBeGreaterThanOrEqual(score);
      }),
    );
  });

  it.each([
    [{}, 'good', []],
    [{ peel: 4 }, 'good', []],
    [{ peel: 3 }, 'fair', ['peels, and pulls a little']],
    [{ peel: 1 }, 'poor', ['comes off by itself']],
    [{ bubbles: 'some' }, 'fair', ['a few bubbles']],
    [{ glueThrough: 'much' }, 'poor', ['glue came through']],
    [{ shrink: 3 }, 'fair', ['shrank 3 %']],
    [{ peel: null }, 'good', []],
  ] as [Partial<ScrapReading>, string, string[]][])('%j is %s', (change, outcome, faults) => {
    expect(outcomeOf({ ...perfect, ...change })).toBe(outcome);
    expect(faultsOf({ ...perfect, ...change })).toEqual(faults);
  });

  it('of equals, the field that was pressed least is best', () => {
    const cells = [
      { name: 'A1', setting: { ironDots: 2, seconds: 6 } },
      { name: 'A2', setting: { ironDots: 2, seconds: 12 } },
      { name: 'B1', setting: { ironDots: 3, seconds: 6 } },
    ];
    expect(bestCell(cells, { A2: perfect, B1: perfect })).toBe('A2');
    expect(bestCell(cells, { A1: { ...perfect, peel: 2 }, B1: perfect })).toBe('B1');
    expect(bestCell(cells, {})).toBeUndefined();
  });

  it('peeling has five steps in words of their own', () => {
    expect(PEELS.map(({ step }) => step)).toEqual([1, 2, 3, 4, 5]);
    expect(new Set(PEELS.map(({ words }) => words)).size).toBe(5);
  });
});
