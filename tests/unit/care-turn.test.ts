import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CARES, choose, ROLES, type Part } from '../../src/core/choose';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';

const cotton = LIBRARY_CLOTHS.find(({ name }) => name === 'Quilting cotton')!;
const part = (role: Part['role'], care: Part['care']): Part => ({ role, cut: 'straight', stretch: 'any', care });

describe('care as part of the conversation', () => {
  it('says the usual answer that only the care rules out, and what would let it in', () => {
    const { care, ranked } = choose(cotton, part('modelling', 'wash-warm'), LIBRARY_LAYERS);
    expect(ranked[0]!.layers.every(({ family }) => family !== 'liquid-stabilizer')).toBe(true);
    expect(care).toMatchObject({ title: 'Liquid stabilizer', care: 'none' });
    expect(care!.why).toMatch(/washes out/);
    const turned = choose(cotton, part('modelling', care!.care), LIBRARY_LAYERS);
    expect(turned.ranked[0]!.layers[0]!.family).toBe('liquid-stabilizer');
    expect(turned.care).toBeUndefined();
  });

  it('says nothing where the care leaves the usual answer', () => {
    for (const role of ['collar', 'quilt-piece', 'bag-panel'] as const)
      expect(choose(cotton, part(role, 'wash-warm'), LIBRARY_LAYERS).care).toBeUndefined();
  });

  it('never names a care under which the answer is ruled out too', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIBRARY_CLOTHS),
        fc.constantFrom(...ROLES),
        fc.constantFrom(...CARES),
        (cloth, role, care) => {
          const { care: turn } = choose(cloth, part(role, care), LIBRARY_LAYERS);
          if (!turn) return;
          expect(turn.care).not.toBe(care);
          const ruledOut = choose(cloth, part(role, turn.care), LIBRARY_LAYERS).ruledOut.filter(({ group }) => group === 'Care');
          expect(ruledOut.map(({ title }) => title)).not.toContain(turn.title);
        },
      ),
      { numRuns: 120 },
    );
  });
});
