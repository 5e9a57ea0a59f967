import { describe, expect, it } from 'vitest';
import type { Fabric } from '../../src/core/cloth';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { openPiece } from '../../src/core/pieces';
import { layerCutOf, layersTogether, type LayeredJob } from '../../src/core/workpiece';

const poplin = LIBRARY_CLOTHS.find(({ name }) => /poplin/i.test(name))! as Fabric;
const layer = (find: RegExp) => LIBRARY_LAYERS.find(({ name }) => find.test(name))!;
const square = openPiece({
  ...{ shape: { kind: 'rectangle', width: 200, height: 100, corners: [false, false, false, false], corner: 0 }, line: 'cut' },
  ...{ allowances: [10, 10, 10, 10], own: null, fold: null, grain: 0, marks: [] },
} as never);
const woven = layer(/light woven fusible/i);
const organdy = layer(/organdy/i);
const starch = LIBRARY_LAYERS.find(({ form }) => form === 'liquid')!;
const job = (
  name: string,
  place: LayeredJob['place'],
  material = woven,
  extent: 'full' | 'patch' | 'strip' | 'net' = 'full',
): LayeredJob => ({
  ...{ name, place, wish: { role: 'collar' } },
  layers: [{ material, extent }],
});

describe('layers of several jobs on one cut', () => {
  it('are counted together where they lie on each other, and nowhere else', () => {
    const patch = job('buttonhole', { kind: 'patch', at: [100, 50], size: 40 }, organdy, 'patch');
    const { places, weight, clothWeight } = layersTogether(square, poplin, [job('whole', { kind: 'whole' }), patch], 6);
    expect(places).toHaveLength(1);
    expect(places[0]!.jobs).toEqual(['whole', 'buttonhole']);
    expect(places[0]!.area).toBeGreaterThan(1600 * 0.95);
    expect(places[0]!.area).toBeLessThan(1600 * 1.05);
    expect(places[0]!.predicted.arealDensity).toBeCloseTo(poplin.arealDensity + woven.arealDensity + organdy.arealDensity, 6);
    // 200 × 100 mm of cloth and of the woven layer, 40 × 40 mm of organdy.
    expect(clothWeight).toBeCloseTo(0.02 * poplin.arealDensity, 6);
    expect(weight).toBeCloseTo(0.02 * (poplin.arealDensity + woven.arealDensity) + 0.0016 * organdy.arealDensity, 4);
  });

  it('that lie side by side are not', () => {
    const at = (x: number) => job(`patch ${x}`, { kind: 'patch', at: [x, 50], size: 40 }, organdy, 'patch');
    expect(layersTogether(square, poplin, [at(40), at(160)], 6).places).toEqual([]);
    expect(layersTogether(square, poplin, [at(90), at(110)], 6).places[0]!.area).toBeGreaterThan(700);
  });

  it('are one place each for each pile that is found', () => {
    const strip = job('edge', { kind: 'edges', edges: [0], width: 20 }, organdy, 'strip');
    const patch = job('point', { kind: 'patch', at: [100, 10], size: 40 }, organdy, 'patch');
    const { places } = layersTogether(square, poplin, [job('whole', { kind: 'whole' }), strip, patch], 6);
    expect(places.map(({ jobs }) => jobs.join('+')).sort()).toEqual(['whole+edge', 'whole+edge+point', 'whole+point']);
    const stiffest = [...places].sort((a, b) => b.predicted.rigidity - a.predicted.rigidity)[0]!;
    expect(stiffest.jobs).toHaveLength(3);
  });

  it('have the area of a round piece less its round opening', () => {
    const round = (radius: number) =>
      Array.from({ length: 400 }, (_, i): [number, number] => [
        100 + radius * Math.cos((i * Math.PI) / 200),
        100 + radius * Math.sin((i * Math.PI) / 200),
      ]);
    const ring = { ...square, outline: round(100), holes: [{ ...square.holes[0]!, outline: round(40) }] };
    const { places } = layersTogether(ring, poplin, [job('one', { kind: 'whole' }, starch), job('two', { kind: 'whole' }, starch)], 6); // prettier-ignore
    const exact = Math.PI * (100 ** 2 - 40 ** 2);
    expect(places).toHaveLength(1);
    expect(places[0]!.area / exact).toBeGreaterThan(0.99);
    expect(places[0]!.area / exact).toBeLessThan(1.01);
  });

  it('what is sprayed is on all of the piece', () => {
    const { places } = layersTogether(square, poplin, [job('spray', { kind: 'whole' }, starch), job('edge', { kind: 'edges', edges: [0], width: 20 }, organdy, 'strip')], 6); // prettier-ignore
    expect(places).toHaveLength(1);
    expect(places[0]!.area).toBeGreaterThan(0.85 * 4000);
    expect(places[0]!.area).toBeLessThan(1.1 * 4000);
  });

  it('are cut as the layer says for itself before the place', () => {
    expect(layerCutOf({ place: { kind: 'patch', at: [1, 1], size: 40 }, wish: { role: 'collar' } }, { size: 30 }, 6, square, null)).toMatchObject({ size: 30, at: [1, 1], trim: 6 }); // prettier-ignore
  });
});
