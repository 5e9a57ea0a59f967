import { describe, expect, it } from 'vitest';
import { judgeMotif, ladderMotif, ladderResults, ladderStep, motifLoad, LADDER_SPACINGS } from '../../src/core/hoop';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { islandsOf, motifFigures } from '../../src/core/motif';

describe('a ladder', () => {
  it('is five squares, in as many rows as the field asks for, and needs room', () => {
    const wide = motifFigures(ladderMotif({ fieldWidth: 180, fieldHeight: 100 })).bounds!;
    expect(wide.maxX - wide.minX).toBeCloseTo(5 * 20 + 4 * 12, 0);
    const small = motifFigures(ladderMotif({ fieldWidth: 100, fieldHeight: 100 })).bounds!;
    expect(Math.max(small.maxX - small.minX, small.maxY - small.minY)).toBeLessThanOrEqual(100);
    // Fills first, then all outlines: the thread is changed once.
    expect(motifFigures(ladderMotif({ fieldWidth: 180, fieldHeight: 100 })).colourChanges).toBe(1);
    expect(() => ladderMotif({ fieldWidth: 60, fieldHeight: 60 })).toThrow(/^hoop/);
  });

  it('grows denser from step to step, by what every motif is judged by', () => {
    const lawn = LIBRARY_CLOTHS.find(({ id }) => id === 'cotton-lawn')!;
    const share = (step: number) => {
      const motif = ladderStep(step);
      const box = motifFigures(motif).bounds!;
      return judgeMotif(lawn, { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-warm' }, [], motifLoad(islandsOf(motif, box, false), box, 40)).share; // prettier-ignore
    };
    const shares = LADDER_SPACINGS.map((_, i) => share(i + 1));
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(() => ladderStep(6)).toThrow(/^step/);
  });

  it.each([
    [1, [[1, false]]],
    [3, [[2, true], [3, false]]],
    [6, [[5, true]]],
  ] as const)('whose first bad square is %s says %j', (firstBad, told) => {
    expect(ladderResults(firstBad, (step) => step).map(({ step, held }) => [step, held])).toEqual(told);
  }); // prettier-ignore
});

describe('leather and film', () => {
  it('are judged by their needle holes, which stay', () => {
    const leather = LIBRARY_CLOTHS.find(({ construction }) => construction === 'leather' || construction === 'coated')!;
    const part = { role: 'badge', cut: 'straight', stretch: 'any', care: 'none' } as const;
    const box = { minX: 0, minY: 0, maxX: 40, maxY: 40 };
    const judge = (peak: number) => judgeMotif(leather, part, [], motifLoad([], box, peak));
    const { borne } = judge(1).holes;
    expect(judge(0.5 * borne).verdict).toBe('easily');
    const twice = judge(2 * borne);
    expect([twice.verdict, twice.share]).toEqual(['too-much', expect.closeTo(2, 6)]);
    expect(twice.change!.fewer).toBe(50);
  });
});
