import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outdated } from '../../src/server/backups/which-stay';

const DAY = 24 * 3600 * 1000;
const name = (day: string, base = 'nembrel') => `${base}-${day}.db`;
/** Days one after the other, from some day on. */
const days = (from: string, count: number) =>
  Array.from({ length: count }, (_, i) => new Date(Date.parse(from) + i * DAY).toISOString().slice(0, 10));

describe('backups that stay', () => {
  it('are the last seven, and the last of each month', () => {
    const all = days('2026-05-28', 50).map((day) => name(day));
    const left = all.filter((each) => !outdated('nembrel', all).includes(each));
    expect(left).toEqual(['2026-05-31', '2026-06-30', ...days('2026-07-10', 7)].map((day) => name(day)));
  });

  it('of another database and other files stay', () => {
    const others = [name('2020-01-01', 'demo'), 'nembrel-2020-01-01.db.part', 'holiday.jpg', 'nembrel-2020.db'];
    const all = [...others, ...days('2026-05-01', 20).map((day) => name(day))];
    expect(outdated('nembrel', all).filter((each) => others.includes(each))).toEqual([]);
    expect(outdated('demo', all)).toEqual([]);
  });

  it('day after day: never fewer than seven once there were seven, and one of every month that had one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 5 }), (count, every) => {
        let kept: string[] = [];
        const seen = new Set<string>();
        for (const day of days('2025-11-03', count).filter((_, i) => i % every === 0)) {
          seen.add(day.slice(0, 7));
          kept = [...kept, name(day)];
          kept = kept.filter((each) => !outdated('nembrel', kept).includes(each));
        }
        expect(new Set(kept.map((each) => each.slice(8, 15)))).toEqual(seen);
        expect(kept.length).toBeGreaterThanOrEqual(Math.min(7, Math.ceil(count / every)));
        expect(kept.length).toBeLessThanOrEqual(7 + seen.size);
      }),
      { numRuns: 30 },
    );
  });
});
