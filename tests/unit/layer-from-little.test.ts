import { describe, expect, it } from 'vitest';
import { stackStiffness, type Material } from '../../src/core/layers';
import { layerFromLittle, LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';

const duck = LIBRARY_CLOTHS.find(({ id }) => id === 'duck-canvas')!;
const mine = (more: object): Material => ({
  id: 'mine',
  ...layerFromLittle({ name: 'Mine', family: 'nonwoven', arealDensity: 40, ...more }),
});

describe('a layer of which only family and weight are known', () => {
  it('is predicted like the library’s of that weight', () => {
    const library = LIBRARY_LAYERS.find(({ name }) => name === 'Firm non-woven sew-in, 200 g')!;
    const own = mine({ family: 'firm-nonwoven', arealDensity: 200 });
    expect(stackStiffness(duck, [own])).toEqual(stackStiffness(duck, [library]));
    expect(own.estimated).toEqual(['thickness', 'bendingLength', 'membraneStiffness']);
  });

  it('grows stiffer and thicker with its weight, in every family that is not a liquid', () => {
    for (const { family, form } of LIBRARY_LAYERS) {
      if (form === 'liquid') continue;
      const [light, heavy] = [40, 160].map((arealDensity) => mine({ family, arealDensity }));
      expect(heavy!.thickness, family).toBeGreaterThan(light!.thickness);
      expect(heavy!.bendingLength, family).toBeGreaterThan(light!.bendingLength);
    }
  });

  it('put on another way has the glue and the iron of that way', () => {
    expect(mine({ family: 'firm-nonwoven', arealDensity: 200, form: 'fusible' })).toMatchObject({
      glue: 'dots',
      leaflet: { ironDots: 2 },
    });
    expect(mine({ family: 'woven', form: 'sew-in' })).toMatchObject({ glue: 'none', leaflet: { seconds: 0 } });
  });

  it('refuses a weight that cannot be', () => {
    expect(() => mine({ arealDensity: 0 })).toThrow(/^arealDensity/);
    expect(() => mine({ arealDensity: NaN })).toThrow(/^arealDensity/);
    expect(() => mine({ form: 'liquid' })).toThrow(/^form/);
  });
});
