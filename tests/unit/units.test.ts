import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatArealDensity,
  formatArea,
  formatDuration,
  formatLength,
  formatMoney,
  lengthForField,
  parseArealDensity,
  parseLength,
} from '../../src/core/units';

describe('parseLength', () => {
  it.each([
    ['3/8"', 'metric', 9.525],
    ['9.5 mm', 'inch', 9.5],
    ['1 1/4 in', 'metric', 31.75],
    ['1¼ in', 'metric', 31.75],
    ['1-1/4"', 'metric', 31.75],
    ['20cm', 'metric', 200],
    ['0,5 m', 'metric', 500],
    ['2', 'metric', 2],
    ['2', 'inch', 50.8],
    ['⅜', 'inch', 9.525],
    ['1 yd', 'metric', 914.4],
    ['.5 in', 'metric', 12.7],
  ] as const)('reads %s (%s) as %d mm', (text, system, mm) => {
    expect(parseLength(text, system)).toBeCloseTo(mm, 9);
  });

  it.each(['', 'wide', '3 apples', '-4 mm', '1/0', '4 mm 3', '1//2', '999 m', '3/8/2"'])(
    'refuses %j and names the field',
    (text) => {
      expect(() => parseLength(text, 'metric', 'hem')).toThrow(/^hem: /);
    },
  );

  it('reads back what it writes, within the rounding of the written form', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.constantFrom('metric' as const, 'inch' as const),
        (mm, system) => {
          const again = parseLength(formatLength(mm, system), system);
          const step = system === 'inch' ? 25.4 / 32 : mm < 99.75 ? 0.25 : mm < 999.5 ? 0.5 : 5;
          expect(Math.abs(again - mm)).toBeLessThanOrEqual(step + 1e-6);
        },
      ),
    );
  });
});

describe('formatLength', () => {
  it.each([
    [85.725, 'inch', '3 ⅜ in'],
    [9.525, 'inch', '⅜ in'],
    [25.4, 'inch', '1 in'],
    [0, 'inch', '0 in'],
    [1.5875, 'inch', '1/16 in'],
    [12.5, 'metric', '12.5 mm'],
    [99.9, 'metric', '10 cm'],
    [181, 'metric', '18.1 cm'],
    [1234, 'metric', '1.23 m'],
  ] as const)('writes %d mm (%s) as %s', (mm, system, text) => {
    expect(formatLength(mm, system)).toBe(text);
  });
});

describe('areal density', () => {
  it.each([
    ['120', 'metric', 120],
    ['120 g/m²', 'inch', 120],
    ['4 oz', 'metric', 135.62],
    ['4 oz / yd2', 'metric', 135.62],
    ['16 momme', 'metric', 69.44],
    ['4', 'inch', 135.62],
    ['4', 'metric', 4],
  ] as const)('reads %s', (text, system, gsm) => {
    expect(parseArealDensity(text, system)).toBeCloseTo(gsm, 2);
  });
  it.each(['0', '-3', 'heavy', '9999', ''])('refuses %j', (text) => {
    expect(() => parseArealDensity(text, 'metric')).toThrow(/^arealDensity: /);
  });
  it('writes both systems', () => {
    expect(formatArealDensity(135.62, 'metric')).toBe('136 g/m²');
    expect(formatArealDensity(135.62, 'inch')).toBe('4.0 oz/yd²');
  });
});

describe('everyday figures', () => {
  it('writes areas, sums and times', () => {
    expect(formatArea(25_000, 'metric')).toBe('250 cm²');
    expect(formatArea(2_000_000, 'metric')).toBe('2 m²');
    expect(formatArea(645.16 * 20, 'inch')).toBe('20 sq in');
    expect(formatMoney(1250, '€')).toBe('€12.50');
    expect(formatDuration(8)).toBe('8 s');
    expect(formatDuration(150)).toBe('2 min 30 s');
    expect(formatDuration(3600)).toBe('1 h');
    expect(formatDuration(4800)).toBe('1 h 20 min');
  });
});

describe('a length in a field', () => {
  it.each([
    [12.7, '½ in'],
    [25.4 * 3.25, '3 ¼ in'],
    [10, '0.394 in'],
    [25.4 * 1.03, '1.03 in'],
  ])('is %f mm in inches as exactly as it is kept: %s', (mm, text) => {
    expect(lengthForField(mm, 'inch')).toBe(text);
  });
});
