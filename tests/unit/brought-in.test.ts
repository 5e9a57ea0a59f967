import { describe, expect, it } from 'vitest';
import { broughtIn } from '../../src/views/settings/brought-in';
import { NOTHING_NEW } from '../files/counts';

describe('what a bundle brought in', () => {
  it.each([
    [
      'names what was new, each in its number',
      { cloths: 1, layers: 0, log: 34, tables: 1, stock: 16, pieces: 2 },
      'Brought in: 1 cloth, 34 logbook entries, 1 cutting table, 16 rolls, sheets and leftovers, 2 pieces.',
    ],
    ['names one of the shelf', { stock: 1, log: 1 }, 'Brought in: 1 roll, sheet or leftover, 1 logbook entry.'],
    ['says when nothing was new', { ...NOTHING_NEW }, 'All of it was there already. Nothing was changed.'],
  ])('%s', (_, count, words) => {
    expect(broughtIn(count)).toBe(words);
  });

  it('has a word of its own for all that is counted, one and many', () => {
    for (const what of Object.keys(NOTHING_NEW)) {
      const one = broughtIn({ [what]: 1 });
      expect(one).toMatch(/^Brought in: 1 [a-z]/);
      expect(one).not.toBe(`Brought in: 1 ${what}.`);
      expect(broughtIn({ [what]: 2 })).toMatch(/^Brought in: 2 .*s\.$/);
    }
  });
});
