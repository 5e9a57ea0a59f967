import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bendingLengthFromOverhang, overhangFromBendingLength, type Fabric } from '../../src/core/cloth';
import { InputError } from '../../src/core/input-error';
import {
  applyTest,
  clothDistance,
  clothTest,
  CLOTH_TESTS,
  measuredOf,
  overhangReading,
  overwritten,
  similarCloths,
  TEST_IDS,
  usualRange,
  type Readings,
  type TestId,
} from '../../src/core/measure';
import { LIBRARY_CLOTHS } from '../../src/core/library';

const cloth = (name: string) => LIBRARY_CLOTHS.find((each) => each.name === name)!;
const poplin = cloth('Shirting poplin');

/** Every test with readings that a person might take, and what must follow from them. */
const CASES: [words: string, test: TestId, readings: Readings, patch: Partial<Fabric>, figure?: number][] = [
  ['1.7 g on 10 × 10 cm', 'weight', { mass: 1.7, width: 100, height: 100, pieces: 1 }, { arealDensity: 170 }, 170],
  ['four swatches weigh four times', 'weight', { mass: 6.8, width: 100, height: 100, pieces: 4 }, { arealDensity: 170 }],
  ['a small swatch of 5 × 8 cm', 'weight', { mass: 0.6, width: 50, height: 80, pieces: 1 }, { arealDensity: 150 }],
  ['eight layers, 3 mm', 'thickness', { layers: 8, height: 3 }, { thickness: 0.375 }],
  [
    'jersey pulled from 100 to 140',
    'stretch',
    { mark: 100, lengthPulled: 115, crossPulled: 140 },
    { stretchLength: 15, stretchCross: 40 },
  ],
  ['other marks', 'stretch', { mark: 50, lengthPulled: 50, crossPulled: 60 }, { stretchLength: 0, stretchCross: 20 }],
  ['bias', 'bias', { mark: 100, pulled: 118 }, { biasGive: 18 }],
  ['uptake', 'uptake', { dry: 20, wet: 39 }, { uptake: 95 }],
  ['a drop that sinks in', 'water', { drop: 'sinks', mark: 'clean' }, { water: 'safe' }],
  ['a drop that stays', 'water', { drop: 'stays', mark: 'clean' }, { water: 'resists' }],
  ['a ring is worse than a drop that stays', 'water', { drop: 'stays', mark: 'ring' }, { water: 'spots' }],
  ['medium iron', 'heat', { dots: '2' }, { ironDots: 2 }],
  ['no iron', 'heat', { dots: '0' }, { ironDots: 0 }],
  ['words can be read', 'see-through', { print: 'read' }, { sheer: 'sheer' }],
  ['lines only', 'see-through', { print: 'lines' }, { sheer: 'veiled' }],
  ['by light: 30 % back, 50 % through', 'see-through', { way: 'photo', reflectance: 30, transmittance: 50 }, { sheer: 'sheer' }],
  ['by light: 65 % back, 20 % through', 'see-through', { way: 'photo', reflectance: 65, transmittance: 20 }, { sheer: 'veiled' }],
  ['by light: 60 % back, 5 % through', 'see-through', { way: 'photo', reflectance: 60, transmittance: 5 }, { sheer: 'opaque' }],
  ['a fringe', 'fray', { fringe: 'lots' }, { fray: 'high' }],
  ['200 to 194', 'shrinkage', { mark: 200, length: 194, finish: 'same' }, { shrinkLength: 3 }],
  ['both ways', 'shrinkage', { mark: 200, length: 190, cross: 198, finish: 'softer' }, { shrinkLength: 5, shrinkCross: 1 }],
];

describe('home tests', () => {
  it.each(CASES)('%s', (_words, id, readings, patch) => {
    const { patch: found, meaning } = clothTest(id).read(readings);
    for (const [key, value] of Object.entries(patch)) {
      const seen = found[key as keyof Fabric];
      if (typeof value === 'number') expect(seen as number).toBeCloseTo(value, 6);
      else expect(seen).toBe(value);
    }
    expect(Object.keys(found).sort()).toEqual(Object.keys(patch).sort());
    expect(meaning.length).toBeGreaterThan(10);
  });

  it('there is one for every id, with steps, fields and something that it settles', () => {
    expect(CLOTH_TESTS.map(({ id }) => id).sort()).toEqual([...TEST_IDS].sort());
    for (const { steps, fields, settles, purpose } of CLOTH_TESTS) {
      expect(Math.min(steps.length, fields.length, settles.length, purpose.length)).toBeGreaterThan(0);
    }
  });

  const all = (c: number, way: string, more: Readings = {}): Readings => ({
    way,
    ...more,
    ...Object.fromEntries(
      ['length', 'cross'].flatMap((side) => ['up1', 'up2', 'down1', 'down2'].map((end) => [`${side}-${end}`, c])),
    ),
  });

  it('eight overhang readings: mean and spread each way, overall by the geometric mean', () => {
    const readings: Readings = {
      way: 'jig',
      'length-up1': 50,
      'length-up2': 54,
      'length-down1': 46,
      'length-down2': 50,
      'cross-up1': 32,
      'cross-up2': 32,
      'cross-down1': 32,
      'cross-down2': 32,
    };
    const { figures, patch, meaning } = clothTest('overhang').read(readings);
    const along = bendingLengthFromOverhang(50);
    const across = bendingLengthFromOverhang(32);
    expect(figures[0]!.value).toBeCloseTo(Math.sqrt(along * across), 1);
    expect(figures[1]!.value).toBeCloseTo(along, 1);
    // Sample spread of 50, 54, 46, 50 is 3.27 mm of overhang.
    expect(figures[1]!.give).toBeCloseTo((1.2816 * 3.266) / 2, 1);
    expect(figures[2]!.give).toBeCloseTo(0, 6);
    expect(bendingLengthFromOverhang(patch.overhang!)).toBeCloseTo(figures[0]!.value, 6);
    expect(meaning).toContain('stiffer along than across');
  });

  it('reads the same stiffness from jig, other angle and fixed length', () => {
    const jig = clothTest('overhang').read(all(50, 'jig')).figures[0]!.value;
    expect(jig).toBeCloseTo(25, 1);
    // At 45° the tip must hang a little farther out; at a fixed 100 mm a cloth of 58.2 mm drops by half.
    const steeper = clothTest('overhang').read(all(53.2, 'angle', { angle: 45 })).figures[0]!.value;
    expect(steeper).toBeGreaterThan(24.5);
    expect(steeper).toBeLessThan(26);
    expect(clothTest('overhang').read(all(50, 'fixed', { length: 100 })).figures[0]!.value).toBeCloseTo(58.2, 0);
  });

  it('one reading is enough, and says that it is less sure', () => {
    const one = clothTest('overhang').read({ way: 'jig', 'length-up1': 50 }).figures[0]!;
    const eight = clothTest('overhang').read({ ...all(50, 'jig'), 'length-up1': 51, 'cross-up1': 49 }).figures[0]!;
    expect(one.value).toBeCloseTo(25, 1);
    expect(one.give!).toBeGreaterThan(eight.give!);
  });

  const WRONG: [test: TestId, readings: Readings, field: string][] = [
    ['weight', { width: 100, height: 100, pieces: 1 }, 'mass'],
    ['weight', { mass: 0, width: 100, height: 100, pieces: 1 }, 'mass'],
    ['weight', { mass: NaN, width: 100, height: 100, pieces: 1 }, 'mass'],
    ['weight', { mass: '2', width: 100, height: 100, pieces: 1 }, 'mass'],
    ['thickness', { layers: 8 }, 'height'],
    ['stretch', { mark: 100, lengthPulled: 90, crossPulled: 100 }, 'lengthPulled'],
    ['stretch', { mark: 100, lengthPulled: 110, crossPulled: 120, crossRest: 130 }, 'crossRest'],
    ['overhang', { way: 'jig' }, 'length-up1'],
    ['overhang', { way: 'guess', 'length-up1': 50 }, 'way'],
    ['overhang', { way: 'fixed', length: 100, 'length-up1': 120 }, 'length-up1'],
    ['overhang', { way: 'angle', angle: 95, 'length-up1': 50 }, 'angle'],
    ['water', { drop: 'sinks' }, 'mark'],
    ['heat', { dots: '4' }, 'dots'],
    ['shrinkage', { mark: 200, length: 90, finish: 'same' }, 'length'],
  ];
  it.each(WRONG)('%s refuses %j, naming %s', (id, readings, field) => {
    try {
      clothTest(id).read(readings);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(InputError);
      expect((error as InputError).field).toBe(field);
    }
  });
});

describe('what a test does to a cloth', () => {
  it('sets what it settles and nothing else', () => {
    const after = applyTest(poplin, 'thickness', { layers: 8, height: 4 });
    expect(after).toEqual({ ...poplin, thickness: 0.5 });
  });

  it('taking it back forgets what only a measurement can tell', () => {
    const measured = applyTest(poplin, 'overhang', { way: 'jig', 'length-up1': 44 });
    expect(measured.overhang).toBeCloseTo(44, 6);
    expect(applyTest(measured, 'overhang', null)).not.toHaveProperty('overhang');
    expect(applyTest(measured, 'heat', null).ironDots).toBe(measured.ironDots);
  });

  it('refuses readings that are not its own', () => {
    expect(() => applyTest(poplin, 'heat', { dots: '2', mass: 3 })).toThrow('mass');
  });

  it('knows which tests no longer stand, and which properties are measured', () => {
    expect(overwritten(poplin, { ...poplin, arealDensity: 200 }, ['weight', 'heat'])).toEqual(['weight']);
    expect(measuredOf({ tests: { stretch: {}, heat: {} } })).toEqual(['stretchLength', 'stretchCross', 'ironDots']);
  });
});

describe('similar cloths', () => {
  it('are nearest by kind and weight, never the cloth itself', () => {
    const names = similarCloths(poplin, LIBRARY_CLOTHS, 4).map(({ cloth: other }) => other.name);
    expect(names).not.toContain('Shirting poplin');
    expect(names).toContain('Dark shirting poplin');
    expect(similarCloths(cloth('Cotton velvet'), LIBRARY_CLOTHS, 3).some(({ cloth: other }) => other.weave === 'pile')).toBe(
      true,
    );
  });

  it('distance is symmetric, zero for the same, and grows with the difference in weight', () => {
    const any = fc.constantFrom(...LIBRARY_CLOTHS);
    fc.assert(
      fc.property(any, any, fc.double({ min: 1.05, max: 4, noNaN: true }), (a, b, factor) => {
        expect(clothDistance(a, b)).toBeCloseTo(clothDistance(b, a), 9);
        expect(clothDistance(a, a)).toBe(0);
        const heavier = { ...a, arealDensity: a.arealDensity * factor };
        expect(clothDistance(a, { ...a, arealDensity: heavier.arealDensity * 1.2 })).toBeGreaterThan(clothDistance(a, heavier));
      }),
    );
  });

  it('give a range that holds their own mean', () => {
    for (const each of LIBRARY_CLOTHS) {
      const similar = similarCloths(each, LIBRARY_CLOTHS, 8);
      for (const property of ['thickness', 'bendingLength', 'stretchCross'] as const) {
        const { low, middle, high } = usualRange(property, similar)!;
        expect(low <= middle && middle <= high).toBe(true);
      }
    }
    expect(usualRange('thickness', [])).toBeUndefined();
    expect(overhangFromBendingLength(usualRange('bendingLength', similarCloths(poplin, LIBRARY_CLOTHS))!.middle)).toBeGreaterThan(
      30,
    );
  });
});

describe('a strip that was measured otherwise', () => {
  it.each<Readings>([{ way: 'jig' }, { way: 'angle', angle: 60 }, { way: 'fixed', length: 100 }])(
    'is read as it would be: %j',
    (readings) => {
      for (const c of [12, 24, 50]) {
        const reading = overhangReading(c, readings);
        expect(clothTest('overhang').read({ ...readings, 'length-up1': reading }).figures[0]!.value).toBeCloseTo(c, 1);
      }
    },
  );
});
