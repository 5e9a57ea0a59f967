import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openPiece, plainPiece } from '../../src/core/pieces';
import { checkLengths, judgeShape, type CheckLength } from '../../src/core/press';
import type { PieceShape } from '../../src/core/shape';

const rectangle = (width: number, height: number): PieceShape => ({
  ...{ kind: 'rectangle', width, height, corners: [false, false, false, false], corner: 0 },
});
const open = (shape: PieceShape) => openPiece(plainPiece(shape, 10));

describe('lengths of a piece that are held against its pattern', () => {
  it('of a rectangle are its sides and the bias through its middle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 800 }), fc.integer({ min: 60, max: 800 }), (w, h) => {
        const lengths = checkLengths(open(rectangle(w, h)));
        expect(lengths.map(({ way }) => way)).toEqual(['along', 'along', 'across', 'bias']);
        for (const { way, length, from, to } of lengths) {
          const expected = { along: h, across: w, bias: Math.min(w, h) * Math.SQRT2, edge: NaN }[way];
          expect(Math.abs(length - expected)).toBeLessThan(0.1);
          expect(Math.abs(Math.hypot(to[0] - from[0], to[1] - from[1]) - length)).toBeLessThan(1e-9);
        }
      }),
    );
  });

  it('of a ring stay inside it', () => {
    const facing = open({ kind: 'drawn', edges: [
      { from: [-150, 0] }, { from: [-90, 0], curve: [[-90, -80], [90, -80]] }, { from: [90, 0] }, { from: [150, 0], curve: [[150, -160], [-150, -160]] },
    ] } as PieceShape); // prettier-ignore
    for (const { from, to } of checkLengths(facing)) {
      const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as [number, number];
      // Not across the neck: between the curves it is 60 to 90 mm wide, the whole 300.
      expect(Math.hypot(to[0] - from[0], to[1] - from[1])).toBeLessThan(310);
      expect(Number.isFinite(middle[0] + middle[1])).toBe(true);
    }
  });

  it('of a very small piece are none: no ruler tells anything there', () => {
    expect(checkLengths(open(rectangle(30, 20)))).toEqual([]);
  });
});

describe('what is done about them', () => {
  const line = (way: CheckLength['way'], length: number): CheckLength => ({ way, from: [0, 0], to: [0, length], length });
  const lengths = [line('along', 300), line('along', 300), line('across', 100), line('bias', 140)];
  const verdict = (off: (number | null)[], allowance = 10) =>
    judgeShape(
      lengths,
      off.map((by, i) => (by === null ? null : lengths[i]!.length + by)),
      allowance,
    );

  it.each([
    ['within a millimetre or half a per cent', [1.4, -1, 0.9, -0.9], 10, 'go-on'],
    ['3 mm too long', [3, 2.8, 0, 0], 10, 'trim'],
    ['3 mm short, which the allowance gives', [-3, -3, null, null], 10, 'less-allowance'],
    ['14 mm short, which it does not', [-14, -14, null, null], 10, 'recut'],
    ['3 mm short without an allowance', [-3, null, null, null], 0, 'recut'],
    ['long one way, short the other', [4, 4, -3, null], 10, 'lay-again'],
  ] as const)('%s', (_words, off, allowance, told) => {
    expect(verdict([...off], allowance).verdict).toBe(told);
  });

  it('tells how much it shrank each way, the mean of what was read', () => {
    const { shrank, differences } = verdict([-3, -6, null, 1.4]);
    expect(shrank).toEqual({ along: expect.closeTo(1.5, 9), across: null, bias: expect.closeTo(-1, 9) });
    expect(differences[2]).toBeNull();
  });

  it('is not said of nothing, nor of a reading that cannot be of this piece', () => {
    expect(() => verdict([null, null, null, null])).toThrow(/at least one/);
    expect(() => judgeShape(lengths, [30, null, null, null], 10)).toThrow(/lengths\[0\]/);
  });
});
