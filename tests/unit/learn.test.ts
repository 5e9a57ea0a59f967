import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choose, type Part } from '../../src/core/choose';
import { stackStiffness } from '../../src/core/layers';
import { blend, type PairRecord } from '../../src/core/learn';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';

const poplin = LIBRARY_CLOTHS.find(({ id }) => id === 'shirting-poplin')!;
const layer = LIBRARY_LAYERS.find(({ id }) => id === 'light-woven-fusible-45-g')!;
const model = stackStiffness(poplin, [layer]);
const collar: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };

describe('blend', () => {
  it('leaves the model as it is without readings', () => {
    expect(blend(model, [])).toMatchObject({
      bendingLength: model.bendingLength,
      low: model.low,
      high: model.high,
      memoryShare: 0,
    });
    expect(blend(model, [NaN, -3, 0]).memoryShare).toBe(0);
  });

  it('moves toward the readings, never past them, and narrows as they grow', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 90, noNaN: true }), fc.integer({ min: 1, max: 12 }), (reading, count) => {
        const some = blend(
          model,
          Array.from({ length: count }, () => reading),
        );
        const more = blend(
          model,
          Array.from({ length: count + 1 }, () => reading),
        );
        const between = (some.bendingLength - model.bendingLength) * (reading - some.bendingLength);
        expect(between).toBeGreaterThanOrEqual(-1e-9);
        expect(Math.abs(Math.log(more.bendingLength / reading))).toBeLessThanOrEqual(
          Math.abs(Math.log(some.bendingLength / reading)) + 1e-12,
        );
        expect(more.sigma).toBeLessThan(some.sigma);
        expect(some.sigma).toBeLessThan(model.sigma);
        expect(more.memoryShare).toBeGreaterThan(some.memoryShare);
      }),
    );
  });

  it('finds the truth that readings scatter around', () => {
    const truth = 34;
    const readings = [31, 36.5, 33, 35.2, 32.1, 37, 34.4, 33.6];
    const { bendingLength, low, high } = blend(model, readings);
    expect(bendingLength).toBeCloseTo(truth, -0.5);
    expect(low).toBeLessThan(truth);
    expect(high).toBeGreaterThan(truth);
  });
});

describe('choosing with a memory', () => {
  const id = choose(poplin, collar, LIBRARY_LAYERS).ranked[0]!.id;
  const remembered = (record: PairRecord) =>
    choose(poplin, collar, LIBRARY_LAYERS, { limit: 200, memory: new Map([[id, record]]) }).ranked.find(
      (stack) => stack.id === id,
    )!;

  it('shows what was measured and how much of the figure it is', () => {
    const stack = remembered({ readings: [45, 46], good: 2, fair: 0, poor: 0 });
    expect(stack.predicted.bendingLength).toBeGreaterThan(37);
    expect(stack.memory).toMatchObject({ readings: 2, tried: 2 });
    expect(stack.memory!.share).toBeGreaterThan(0.5);
    expect(stack.reasons[0]).toBe('Came out well on this cloth 2 times.');
  });

  it('lets good results lift a stack and bad ones lower it, and says so', () => {
    const good = remembered({ readings: [], good: 3, fair: 0, poor: 0 });
    const poor = remembered({ readings: [], good: 0, fair: 0, poor: 3 });
    expect(good.score).toBeGreaterThan(poor.score);
    expect(poor.cautions[0]).toContain('Went wrong on this cloth 3 times');
    expect(
      choose(poplin, collar, LIBRARY_LAYERS, { limit: 5, memory: new Map([[id, { readings: [], good: 0, fair: 0, poor: 3 }]]) })
        .ranked[0]!.id,
    ).not.toBe(id);
  });
});
