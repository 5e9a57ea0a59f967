import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dryingByWeight, readyAt } from '../../src/core/liquid';

const at = (minutes: number) => new Date(Date.UTC(2026, 5, 1) + 60_000 * minutes).toISOString();

/** Water after some minutes by the law itself, in small steps: whole above a third of the cloth’s mass, then by the root of what is left. */
function waterAfter(dry: number, water: number, rate: number, minutes: number): number {
  const n = 20_000;
  const h = minutes / 60 / n;
  let w = water;
  for (let i = 0; i < n; i++) w -= h * rate * Math.sqrt(Math.min(1, Math.max(0, w) / (dry / 3)));
  return w;
}

describe('cloth on a scale', () => {
  it('is as it dries: what is left to wait is when it comes to a quarter, or a twentieth, of its dry mass in water', () => {
    fc.assert(
      fc.property(
        fc.record({
          dry: fc.double({ min: 80, max: 2000, noNaN: true }),
          wet: fc.double({ min: 0.5, max: 1.3, noNaN: true }),
          rate: fc.double({ min: 0.4, max: 2, noNaN: true }),
          until: fc.constantFrom('damp' as const, 'dry' as const),
        }),
        ({ dry, wet, rate: share, until }) => {
          const rate = share * dry;
          const between = (60 * (wet - 0.35) * dry) / rate;
          const second = waterAfter(dry, wet * dry, rate, between);
          fc.pre(wet * dry - second > 6 && between > 3);
          const found = dryingByWeight(
            dry,
            [
              { at: at(0), grams: dry * (1 + wet) },
              { at: at(between), grams: dry + second },
            ],
            until,
          )!;
          // Times are kept to the millisecond.
          expect(found.rate / rate).toBeCloseTo(1, 2);
          const end = waterAfter(dry, second, rate, found.minutesLeft);
          expect(end / dry).toBeCloseTo(readyAt(1, until) - 1, 2);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('says nothing from one weighing, from two too near each other, or from one that is lighter than dry', () => {
    const first = { at: at(0), grams: 500 };
    for (const second of [
      { at: at(1), grams: 450 },
      { at: at(30), grams: 498 },
      { at: at(30), grams: 520 },
      { at: at(30), grams: 190 },
    ])
      expect(dryingByWeight(200, [first, second], 'damp')).toBeUndefined();
    expect(dryingByWeight(200, [first], 'damp')).toBeUndefined();
    expect(() => dryingByWeight(0, [first, first], 'damp')).toThrow(/^dry/);
  });
});
