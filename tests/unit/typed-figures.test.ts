import { describe, expect, it } from 'vitest';
import { readShrinkage, typedBendingLength, typedOverhang } from '../../src/ui/typed-figures';

describe('an overhang as it is typed', () => {
  it.each([
    ['', 'metric', null],
    ['  ', 'metric', null],
    ['62', 'metric', 62],
    ['6.2 cm', 'metric', 62],
    ['2 1/2', 'inch', 63.5],
    ['1 m', 'metric', 1000],
  ] as const)('“%s” (%s) is %s', (text, system, value) => {
    expect(typedOverhang(text, system)).toEqual({ value });
  });

  it.each(['0', '1001 mm', 'a hand', '62 lb', '-5'])('“%s” has a fault in plain words and no value', (text) => {
    const { value, fault } = typedOverhang(text, 'metric');
    expect(value).toBeNull();
    expect(fault).toMatch(/^(must be|write a)/);
  });

  it('stands for half of itself on the jig, and for nothing while it cannot be read', () => {
    expect(typedBendingLength('62 mm', 'metric')).toBeCloseTo(31, 1);
    expect(typedBendingLength('62 ells', 'metric')).toBeUndefined();
    expect(typedBendingLength('', 'metric')).toBeUndefined();
  });
});

describe('a shrinkage, read as two lengths', () => {
  it.each([
    ['100 mm', '', 'metric', null],
    ['100', '98.5', 'metric', 1.5],
    ['20 cm', '20', 'metric', 0],
    ['10 in', '9 3/4', 'inch', 2.5],
    ['100 mm', '102 mm', 'metric', -2],
  ] as const)('%s, then “%s” (%s) is %s %%', (before, after, system, shrink) => {
    const found = readShrinkage(before, after, system);
    if (shrink === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(shrink, 9);
  });

  it.each([
    ['100 mm', 'a lot', 'shrinkAfter'],
    ['100 mm', '30 mm', 'shrinkAfter'],
    ['100 mm', '120 mm', 'shrinkAfter'],
    ['far', '98', 'shrinkBefore'],
    ['5 mm', '5 mm', 'shrinkBefore'],
  ])('%s, then “%s” is refused by %s', (before, after, field) => {
    expect(() => readShrinkage(before, after, 'metric')).toThrow(expect.objectContaining({ field }) as Error);
  });
});
