import { describe, expect, it } from 'vitest';
import { clothBendingLength, clothMembraneStiffness, clothThickness, fabricOf, fibreShare } from '../../src/core/cloth';
import { LIBRARY_CLOTHS } from '../../src/core/library';

const cloth = (name: string) => LIBRARY_CLOTHS.find((each) => each.name === name)!;

describe('what is estimated of a cloth', () => {
  it.each([
    ['Silk chiffon', 6, 12],
    ['Cotton lawn', 14, 18],
    ['Shirting poplin', 18, 24],
    ['Quilting cotton', 20, 25],
    ['Medium linen', 22, 32],
    ['Denim', 30, 40],
    ['Duck canvas', 35, 50],
  ])('%s hangs with a bending length of %d to %d mm', (name, low, high) => {
    const { value, source } = clothBendingLength(cloth(name));
    expect(source).toBe('estimated');
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
  });

  it('gives way to what was measured, and is then surer', () => {
    const measured = clothBendingLength({ ...cloth('Denim'), overhang: 70 });
    expect(measured).toMatchObject({ source: 'measured' });
    expect(measured.value).toBeCloseTo(35, 1);
    expect(measured.sigma).toBeLessThan(clothBendingLength(cloth('Denim')).sigma);
    expect(clothThickness({ ...cloth('Denim'), thickness: 0.9 }).value).toBe(0.9);
  });

  it('estimates thickness near the typical figure, and less stiffness in the sheet for what stretches', () => {
    for (const name of ['Shirting poplin', 'Denim', 'Polar fleece', 'Terry towelling']) {
      const { thickness, ...unmeasured } = cloth(name);
      expect(clothThickness(unmeasured).value / thickness!, name).toBeGreaterThan(0.6);
      expect(clothThickness(unmeasured).value / thickness!, name).toBeLessThan(1.6);
    }
    const jersey = cloth('Light cotton jersey');
    expect(clothMembraneStiffness(jersey)).toBeLessThan(
      clothMembraneStiffness({ ...jersey, stretchLength: 1, stretchCross: 2 }) / 3,
    );
  });

  it('shares fibres by mass and leaves the record out of the fabric', () => {
    expect(fibreShare(cloth('Linen-cotton'), 'linen')).toBeCloseTo(0.55, 9);
    expect(fibreShare({ fibres: [] }, 'linen')).toBe(0);
    expect(fabricOf(cloth('Denim'))).not.toHaveProperty('name');
  });
});
