import { describe, expect, it } from 'vitest';
import { faultsOf, typedBendingLength, typedOverhang, typedShrink } from '../../src/ui/typed-figures';

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

describe('a shrinkage as it is typed', () => {
  it.each([
    ['', null],
    ['1.5', 1.5],
    ['1,5 %', 1.5],
    ['0', 0],
    ['-2', -2],
  ] as const)('“%s” is %s', (text, value) => expect(typedShrink(text)).toEqual({ value }));

  it.each(['a lot', '61', '-11', '1.5.2'])('“%s” has a fault', (text) => {
    expect(typedShrink(text)).toEqual({ value: null, fault: expect.stringContaining('per cent') as string });
  });
});

it('faults are gathered by field, sound figures left out', () => {
  expect(faultsOf({ overhang: { value: 62 }, shrink: { value: null, fault: 'must be a number' } })).toEqual({
    shrink: 'must be a number',
  });
  expect(faultsOf({})).toEqual({});
});
