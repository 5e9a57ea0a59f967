import { describe, expect, it } from 'vitest';
import { clothBendingLength, fabricLike, type Fabric } from '../../src/core/cloth';
import { LIBRARY_CLOTHS } from '../../src/core/library';

describe('a cloth like a known one', () => {
  const known = { ...LIBRARY_CLOTHS.find(({ name }) => name === 'Shirting poplin')!, overhang: 44, thickness: 0.24 } as Fabric;

  it('is the known one while nothing differs', () => {
    expect(fabricLike(known, {})).toBe(known);
  });

  it('of another weight keeps no figure that was measured of the known one, and is stiffer when it is heavier', () => {
    const heavy = fabricLike(known, { arealDensity: 180 });
    expect(heavy).toMatchObject({ arealDensity: 180, construction: known.construction, fibres: known.fibres });
    expect(heavy).not.toHaveProperty('overhang');
    expect(heavy).not.toHaveProperty('thickness');
    const light = fabricLike(known, { arealDensity: 70 });
    expect(clothBendingLength(heavy).value).toBeGreaterThan(clothBendingLength(light).value);
  });

  it('that only bears another iron hangs as it was measured', () => {
    expect(fabricLike(known, { ironDots: 1 })).toMatchObject({ ironDots: 1, overhang: 44, thickness: 0.24 });
  });

  it.each([
    [{ arealDensity: 0 }, 'arealDensity'],
    [{ arealDensity: NaN }, 'arealDensity'],
    [{ stretchCross: -1 }, 'stretchCross'],
    [{ ironDots: 4 }, 'ironDots'],
  ])('cannot be %j', (change, field) => {
    expect(() => fabricLike(known, change)).toThrow(field);
  });
});
