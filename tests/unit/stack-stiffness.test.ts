import { libraryLayer } from '../files/library-layer';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { overhangFromBendingLength, type Fabric } from '../../src/core/cloth';
import { stackStiffness, type Material } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';

const poplin = LIBRARY_CLOTHS.find(({ id }) => id === 'shirting-poplin')!;
const layer = libraryLayer;

const cloth = fc.constantFrom(...LIBRARY_CLOTHS);

describe('stackStiffness', () => {
  it('adds the rigidities of sewn layers and nothing else', () => {
    const sewn = layer('light-woven-sew-in-50-g');
    const { clothRigidity, layerRigidity, couplingRigidity, rigidity } = stackStiffness(poplin, [sewn, sewn]);
    expect(couplingRigidity).toBe(0);
    expect(rigidity).toBeCloseTo(clothRigidity + layerRigidity, 9);
    expect(layerRigidity).toBeCloseTo(2 * stackStiffness(poplin, [sewn]).layerRigidity, 9);
  });

  it('follows the coupling formula for one glued layer', () => {
    const fused = layer('light-woven-fusible-45-g');
    const clothMembrane = (30 * poplin.arealDensity) / (1 + poplin.stretchCross / 4);
    const shared = (clothMembrane * fused.membraneStiffness) / (clothMembrane + fused.membraneStiffness);
    const expected = 0.06 * shared * ((poplin.thickness! + fused.thickness) / 2) ** 2;
    expect(stackStiffness(poplin, [fused]).couplingRigidity).toBeCloseTo(expected, 6);
  });

  it('holds a second glued layer at a distance from all that lies under it', () => {
    const [first, second] = [layer('light-woven-fusible-45-g'), layer('light-woven-sew-in-50-g')];
    const over: Material = { ...second, form: 'fusible', glue: 'dots' };
    const clothMembrane = (30 * poplin.arealDensity) / (1 + poplin.stretchCross / 4);
    const under = clothMembrane + first.membraneStiffness;
    const shared = (under * over.membraneStiffness) / (under + over.membraneStiffness);
    const pile = poplin.thickness! + first.thickness;
    const both = stackStiffness(poplin, [first, over]);
    expect(both.couplingRigidity - stackStiffness(poplin, [first]).couplingRigidity).toBeCloseTo(
      0.06 * shared * ((pile + over.thickness) / 2) ** 2,
      6,
    );
    expect(both.thickness).toBeCloseTo(pile + over.thickness, 9);
  });

  it('never predicts a heavier layer of a family and form less rigid', () => {
    fc.assert(
      fc.property(cloth, (fabric) => {
        for (const light of LIBRARY_LAYERS) {
          if (light.form === 'liquid') continue;
          for (const heavy of LIBRARY_LAYERS) {
            if (
              heavy.family !== light.family ||
              heavy.form !== light.form ||
              heavy.glue !== light.glue ||
              heavy.arealDensity <= light.arealDensity
            )
              continue;
            // Cloths that were picked for being soft, and tapes, are sold by what they are rather than by weight.
            if (['cloth-underlining', 'stay-tape', 'wadding'].includes(light.family)) continue;
            expect(stackStiffness(fabric, [heavy]).rigidity, `${heavy.name} over ${light.name}`).toBeGreaterThanOrEqual(
              stackStiffness(fabric, [light]).rigidity,
            );
          }
        }
      }),
      { numRuns: 12 },
    );
  });

  it('never predicts a layer stiffer sewn in than glued', () => {
    fc.assert(
      fc.property(cloth, fc.constantFrom(...LIBRARY_LAYERS.filter((l) => l.form === 'fusible')), (fabric, fused) => {
        const sewn: Material = { ...fused, form: 'sew-in', glue: 'none' };
        expect(stackStiffness(fabric, [sewn]).bendingLength).toBeLessThanOrEqual(stackStiffness(fabric, [fused]).bendingLength);
      }),
    );
  });

  it('is less sure when less is measured', () => {
    fc.assert(
      fc.property(cloth, fc.constantFrom(...LIBRARY_LAYERS), (fabric, any) => {
        const estimated = stackStiffness(fabric, [any]);
        const measured = stackStiffness(
          { ...fabric, overhang: overhangFromBendingLength(stackStiffness(fabric, []).bendingLength) } satisfies Fabric,
          [any],
        );
        expect(estimated.sigma).toBeGreaterThan(measured.sigma);
        expect(estimated.low).toBeLessThan(estimated.bendingLength);
        expect(estimated.high).toBeGreaterThan(estimated.bendingLength);
      }),
    );
  });

  it('multiplies the cloth by what a liquid does to it', () => {
    const starched = stackStiffness(poplin, [layer('starch__full')]);
    expect(starched.rigidity).toBeCloseTo(5.8 * stackStiffness(poplin, []).rigidity, 6);
  });
});
