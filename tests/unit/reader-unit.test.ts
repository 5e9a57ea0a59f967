import { describe, expect, it } from 'vitest';
import { inReadersUnit } from '../../src/core/units';
import { InputError, requireNumber } from '../../src/core/input-error';
import { drawShape } from '../../src/core/shape';

const said = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
  return '';
};

describe('what is wrong with a measure', () => {
  it('is told without digits that nobody typed', () => {
    expect(said(() => requireNumber('width', 30, 'mm', { max: 19.049999999999997 }))).toContain('at most 19.05 mm');
    const rounded = { kind: 'rounded', width: 50.8, height: 38.1, corners: [true, true, true, true], corner: 25.4 } as const;
    expect(said(() => drawShape({ ...rounded, corners: [...rounded.corners] } as never))).not.toMatch(/\d\.\d{4}/);
  });

  it('is read in the unit of the reader', () => {
    expect(inReadersUnit('must be at most 19.05 mm, saw 25.4 mm', 'inch')).toBe('must be at most ¾ in, saw 1 in');
    expect(inReadersUnit('must be at most 120 mm', 'metric')).toBe('must be at most 12 cm');
    expect(inReadersUnit('an area of 5 mm² is none, and 3 things are', 'inch')).toBe(
      'an area of 5 mm² is none, and 3 things are',
    );
  });
});
