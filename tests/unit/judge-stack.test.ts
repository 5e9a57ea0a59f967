import { libraryLayer } from '../files/library-layer';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choose, judgeStack, ROLES, CARES, CUTS, STRETCHES, type Part } from '../../src/core/choose';
import { flexuralRigidity } from '../../src/core/cloth';
import { clothAsMaterial, joinedAs, stackStiffness, type ChosenLayer, type Material } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';

const cloth = (id: string) => LIBRARY_CLOTHS.find((each) => each.id === id)!;
const layer = libraryLayer;
const used = (key: string) => joinedAs(layer(key));
const full = (material: Material): ChosenLayer => ({ material, extent: 'full', angle: 0 });
const collar: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };

describe('a stack of one’s own', () => {
  it('that is offered gets what the proposal got, to the last digit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIBRARY_CLOTHS),
        fc.constantFrom(...ROLES),
        fc.constantFrom(...CUTS),
        fc.constantFrom(...STRETCHES),
        fc.constantFrom(...CARES),
        (fabric, role, cut, stretch, care) => {
          const part: Part = { role, cut, stretch, care };
          for (const ranked of choose(fabric, part, LIBRARY_LAYERS, { limit: 12 }).ranked) {
            const layers = ranked.layers.map(({ materialId, extent, angle }) => ({ material: used(materialId), extent, angle }));
            const { stops, ...judged } = judgeStack(fabric, part, layers);
            expect(stops).toEqual([]);
            expect(judged).toEqual(ranked);
          }
        },
      ),
      { numRuns: 40, examples: [[cloth('interlock'), 'buttonhole', 'straight', 'keep', 'wash-hot']] },
    );
  });

  it('is told every hard stop that its layers break, and on which of them', () => {
    const wool = cloth('wool-coating');
    const { stops } = judgeStack(wool, collar, [
      full(layer('light-woven-fusible-45-g')),
      full(layer('coat-hair-canvas-sew-in-240-g')),
    ]);
    expect(stops.map(({ layer: at }) => at)).toContain(1);
    const beaded = { ...wool, surface: ['beaded' as const] };
    const fused = judgeStack(beaded, collar, [full(layer('light-woven-fusible-45-g'))]).stops;
    expect(fused.map(({ id }) => id)).toContain('pressing-ruins');
    expect(fused.find(({ id }) => id === 'pressing-ruins')!.words).toMatch(/beading/);
  });

  it('of what the part is never given scores less than what it is given', () => {
    const poplin = cloth('shirting-poplin');
    const usual = judgeStack(poplin, collar, [full(layer('light-woven-fusible-45-g'))]);
    const strange = judgeStack(poplin, collar, [full(layer('polyester-wadding-80-g'))]);
    const both = judgeStack(poplin, collar, [full(layer('light-woven-fusible-45-g')), full(layer('polyester-wadding-80-g'))]);
    const purpose = ({ criteria }: typeof usual) => criteria.find(({ id }) => id === 'purpose')!.score;
    expect(purpose(strange)).toBeLessThan(purpose(both));
    expect(purpose(both)).toBeLessThan(purpose(usual));
  });

  it('needs a layer', () => {
    expect(() => judgeStack(cloth('denim'), collar, [])).toThrow(/layers: must hold at least one/);
  });
});

describe('a cloth as a layer', () => {
  it('adds its own rigidity and weight, and slides', () => {
    const [chiffon, lawn] = [cloth('silk-chiffon'), { ...cloth('cotton-lawn'), overhang: 32 }];
    const under = clothAsMaterial(lawn);
    const bare = stackStiffness(chiffon, []);
    const both = stackStiffness(chiffon, [under]);
    expect(both.couplingRigidity).toBe(0);
    expect(both.rigidity - bare.rigidity).toBeCloseTo(flexuralRigidity(lawn.arealDensity, 16), 2);
    expect(both.arealDensity).toBeCloseTo(chiffon.arealDensity + lawn.arealDensity, 9);
  });

  it.each([
    ['cotton-lawn', 'hot'],
    ['silk-chiffon', 'hand'],
    ['wool-coating', 'hand'],
  ])('%s stands a wash: %s', (id, wash) => {
    expect(clothAsMaterial(cloth(id)).wash).toBe(wash);
  });

  it('is judged by the look and the care like any layer', () => {
    const chiffon = { ...cloth('silk-chiffon') };
    const words = (id: string) =>
      judgeStack(chiffon, { ...collar, role: 'bodice', care: 'wash-hot' }, [full(clothAsMaterial(cloth(id)))]).stops.map(
        (s) => s.id,
      );
    expect(words('wool-coating')).toContain('care-wash');
    expect(words('wool-coating')).toContain('shows-through');
  });
});

describe('joining', () => {
  it('makes sprayed wadding of loose wadding, and nothing fused of what has no glue', () => {
    const loose = layer('cotton-wadding-130-g');
    expect(joinedAs(loose, 'spray-glued')).toMatchObject({ form: 'spray-glued', thickness: loose.thickness, id: loose.id });
    expect(joinedAs(loose, undefined)).toBe(loose);
    expect(() => joinedAs(loose, 'fusible')).toThrow(/^join: must be one of loose, spray-glued, sew-in for Cotton wadding/);
    expect(() => joinedAs(layer('light-woven-fusible-45-g'), 'loose')).toThrow(/join/);
  });
});
