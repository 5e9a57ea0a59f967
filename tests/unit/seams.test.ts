import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openPiece, seamLength } from '../../src/core/pieces';
import { compareSeam, type SeamSide } from '../../src/core/seams';
import type { PieceShape } from '../../src/core/shape';

const side = (length: number, more: Partial<SeamSide> = {}): SeamSide => ({
  length,
  thickness: 0.4,
  stretch: 2,
  held: false,
  ...more,
});

describe('two edges that are sewn together', () => {
  it.each<[words: string, a: SeamSide, b: SeamSide, fit: string, gives: string | undefined]>([
    ['a millimetre more is nothing', side(300), side(301), 'fits', undefined],
    ['half a per cent is nothing', side(1000), side(1004.9), 'fits', undefined],
    ['three per cent are eased in', side(300), side(309), 'ease', 'second'],
    ['twelve millimetres in thirty centimetres are just eased in', side(312), side(300), 'ease', 'first'],
    ['five per cent do not fit woven cloth', side(315), side(300), 'misfit', undefined],
    ['an edge that a layer holds is not eased in', side(309, { held: true }), side(300), 'misfit', undefined],
    ['a neckband is stretched by a tenth', side(330, { stretch: 10 }), side(300, { stretch: 40 }), 'stretch', 'second'],
    ['but not by more than half of its stretch', side(380, { stretch: 10 }), side(300, { stretch: 40 }), 'misfit', undefined],
    ['nor where it is fused', side(330, { stretch: 10 }), side(300, { stretch: 40, held: true }), 'misfit', undefined],
  ])('%s', (_, a, b, fit, gives) => {
    expect(compareSeam(a, b, 6)).toMatchObject({ fit, gives });
  });

  it('say the same whichever is named first', () => {
    const any = fc.record({
      length: fc.double({ min: 50, max: 2000, noNaN: true }),
      thickness: fc.double({ min: 0.1, max: 3, noNaN: true }),
      stretch: fc.double({ min: 0, max: 60, noNaN: true }),
      held: fc.boolean(),
    });
    fc.assert(
      fc.property(any, any, (a, b) => {
        const [one, other] = [compareSeam(a, b, 5), compareSeam(b, a, 5)];
        expect(one.fit).toBe(other.fit);
        expect(one.difference).toBeCloseTo(-other.difference, 9);
        expect(one.seam).toBeCloseTo(a.thickness + b.thickness, 9);
        expect([one.corner, one.clears]).toEqual([other.corner, other.clears]);
      }),
    );
  });

  it('need a length', () => {
    expect(() => compareSeam(side(0), side(10), 6)).toThrow(/^first\.length/);
    expect(() => compareSeam(side(10), side(NaN), 6)).toThrow(/^second\.length/);
  });
});

describe('the length of a seam', () => {
  const rectangle: PieceShape = { kind: 'rectangle', width: 300, height: 100, corners: [false, false, false, false], corner: 0 };
  const piece = (line: 'cut' | 'sew', more: object = {}) => ({
    ...{ shape: rectangle, line, allowances: [10, 10, 10, 10], fold: null, grain: 0, marks: [] },
    ...more,
  });

  it('is that of the line that is sewn, not of the one that is cut', () => {
    expect(seamLength(piece('cut'), [0])).toBeCloseTo(280, 6);
    expect(seamLength(piece('cut'), [0, 1])).toBeCloseTo(280 + 80, 6);
    expect(seamLength(piece('sew'), [0])).toBeCloseTo(300, 6);
  });

  it('stays what it is when one cut has allowances of its own', () => {
    const own = piece('cut', { own: [0, null, 25, null] });
    expect(seamLength(own, [0])).toBeCloseTo(280, 6);
    const { outline } = openPiece(own);
    const height = Math.max(...outline.map(([, y]) => y)) - Math.min(...outline.map(([, y]) => y));
    expect(height).toBeCloseTo(100 - 10 + 15, 6);
  });

  it('of a half on the fold counts both halves', () => {
    expect(seamLength(piece('cut', { fold: 1, allowances: [10, 0, 10, 10] }), [0])).toBeCloseTo(2 * (300 - 10), 6);
  });
});
