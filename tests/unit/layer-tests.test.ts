import { describe, expect, it } from 'vitest';
import { identifyLayer, LAYER_QUESTIONS } from '../../src/core/identify';
import type { Material } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { applyLayerTest, LAYER_TESTS, overwrittenLayerTests } from '../../src/core/measure';

const layer: Material = {
  ...LIBRARY_LAYERS.find(({ form }) => form === 'fusible')!,
  estimated: ['thickness', 'bendingLength', 'membraneStiffness'],
};

describe('home tests of a layer', () => {
  it.each([
    // 1.8 g for four swatches of 10 × 10 cm: 45 g/m².
    ['weight', { mass: 1.8, width: 100, height: 100, pieces: 4 }, { arealDensity: 45 }],
    ['thickness', { layers: 8, height: 4 }, { thickness: 0.5 }],
    // On the 41.5° jig the bending length is half the overhang.
    ['overhang', { way: 'jig', 'length-up1': 60 }, { bendingLength: 30 }],
    ['stretch', { mark: 100, lengthPulled: 103, crossPulled: 120 }, { stretchLength: 3, stretchCross: 20 }],
    ['shrinkage', { mark: 200, length: 196, finish: 'same' }, { preShrink: true }],
    ['shrinkage', { mark: 200, length: 199, finish: 'same' }, { preShrink: false }],
    ['heat', { dots: '1' }, { leaflet: { ...layer.leaflet, ironDots: 1 } }],
  ] as const)('%s: what was read is what the layer is', (id, readings, expected) => {
    const after = applyLayerTest(layer, id, readings as never);
    for (const [field, value] of Object.entries(expected))
      if (typeof value === 'number') expect(after[field as 'thickness']).toBeCloseTo(value, 1);
      else expect(after[field as 'thickness']).toEqual(value);
  });

  it('a measured figure is estimated no more, and is again when its test is taken back', () => {
    const measured = applyLayerTest(layer, 'thickness', { layers: 8, height: 4 });
    expect(measured.estimated).toEqual(['bendingLength', 'membraneStiffness']);
    expect(applyLayerTest(measured, 'thickness', null).estimated).toContain('thickness');
    expect(applyLayerTest(layer, 'stretch', null).estimated).toEqual(layer.estimated);
  });

  it('refuses readings that the test does not take, by name', () => {
    expect(() => applyLayerTest(layer, 'thickness', { layers: 8, height: 4, width: 3 })).toThrow(/width/);
    expect(() => applyLayerTest(layer, 'heat', { dots: '4' })).toThrow(/dots/);
  });

  it('no longer counts when its figure was changed by hand', () => {
    const after = { ...layer, thickness: layer.thickness + 0.1, leaflet: { ...layer.leaflet, ironDots: 3 } };
    expect(overwrittenLayerTests(layer, after, ['thickness', 'heat', 'weight'])).toEqual(
      layer.leaflet.ironDots === 3 ? ['thickness'] : ['thickness', 'heat'],
    );
  });

  it('each says how it is done, what it is for and where its figure comes from', () => {
    for (const test of LAYER_TESTS) {
      expect(test.steps.length).toBeGreaterThan(1);
      expect(test.why.length).toBeGreaterThan(20);
      expect(test.settles.length).toBeGreaterThan(0);
    }
  });
});

describe('what is this interfacing?', () => {
  const sheets = LIBRARY_LAYERS.filter(({ form }) => form !== 'liquid');
  /** Answers as they are seen on a layer. */
  const seen = (known: Material) =>
    Object.fromEntries(
      LAYER_QUESTIONS.map(({ id, answers, likelihood }) => {
        const chances = likelihood(known);
        return [id, answers[chances.indexOf(Math.max(...chances))]!.id];
      }),
    );

  it('finds the family of nearly every layer from honest looks', () => {
    const right = sheets.filter((known) => {
      const [first] = identifyLayer(sheets, seen(known)).likely;
      const found = sheets.find(({ id }) => id === first!.id)!;
      return found.family === known.family || found.arealDensity === known.arealDensity;
    });
    expect(right.length / sheets.length).toBeGreaterThan(0.75);
  });

  it.each([
    [{ look: 'loops', glue: 'dots', pull: 'one' }, ['tricot', 'stretch-knit']],
    [{ look: 'threads', glue: 'dots', tear: 'line', pull: 'none' }, ['woven', 'weft']],
    [{ look: 'film', wet: 'gone' }, ['wash-away', 'topping']],
    [{ look: 'paper', glue: 'none', tear: 'paper', pull: 'none' }, ['tear-away']],
    [{ look: 'fluff', glue: 'none' }, ['wadding', 'fleece']],
  ] as const)('%j is one of %j', (given, families) => {
    const [first] = identifyLayer(sheets, given as never).likely;
    expect(families).toContain(sheets.find(({ id }) => id === first!.id)!.family);
  });

  it('refuses answers that it does not know', () => {
    expect(() => identifyLayer(sheets, { look: 'cheese' })).toThrow(/look/);
    expect(() => identifyLayer(sheets, { smell: 'sweet' })).toThrow(/smell/);
  });
});
