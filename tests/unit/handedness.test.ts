import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clothItems, type ListedPart } from '../../src/core/cutlist';
import { mirrorPiece, openPiece, plainPiece } from '../../src/core/pieces';
import { bounds, difference, polygonArea, regionArea, signedArea, type Outline, type PieceShape } from '../../src/core/shape';
import { DUTIES, isMirrored } from '../../src/core/workpiece';

const cloth = { construction: 'woven' as const, surface: [] };
const still = { length: 0, cross: 0 };

/** What is seen of an outline from behind: written out here, not taken from the core. */
const fromBehind = (outline: Outline): Outline => outline.map(([x, y]): [number, number] => [-x, y]).reverse();
const home = (outline: Outline): Outline => {
  const { minX, minY } = bounds(outline);
  return outline.map(([x, y]): [number, number] => [x - minX, y - minY]);
};
/** Share of one outline that the other does not cover, corners at the origin. */
const uncovered = (a: Outline, b: Outline) => regionArea(difference(home(a), [home(b)])) / polygonArea(a);

const lopsided: fc.Arbitrary<PieceShape> = fc
  .tuple(fc.integer({ min: 120, max: 400 }), fc.integer({ min: 80, max: 300 }), fc.double({ min: 0.2, max: 0.6, noNaN: true }))
  .map(([width, height, share]) => ({
    ...{ kind: 'angled' as const, width, height, corners: [false, false, true, false] as [boolean, boolean, boolean, boolean] },
    corner: share * Math.min(width, height),
  }));

const listed = (shape: PieceShape, change: Partial<ListedPart>): ListedPart => ({
  ...{ id: 'front', name: 'Front', piece: plainPiece(shape, 10), cut: 'straight', count: 4, pairs: false, mirrored: false },
  ...{ oneWay: false, clothId: 'linen', rule: 'top', layers: [] },
  ...change,
});

describe('a lining', () => {
  it('lies on its shell, wrong sides together, whatever the piece', () => {
    fc.assert(
      fc.property(lopsided, (shape) => {
        const [shell] = clothItems([listed(shape, { mirrored: isMirrored('shell') })], cloth, still).items;
        const [lining] = clothItems([listed(shape, { mirrored: isMirrored('lining') })], cloth, still).items;
        expect(uncovered(shell!.outline, fromBehind(lining!.outline))).toBeLessThan(1e-6);
        // Cut as the shell is, it would not: the shape has a hand.
        expect(uncovered(shell!.outline, fromBehind(shell!.outline))).toBeGreaterThan(1e-3);
        expect(lining!.count).toBe(shell!.count);
      }),
      { numRuns: 120 },
    );
  });

  it('of pairs is cut in pairs, as many of each hand', () => {
    fc.assert(
      fc.property(lopsided, fc.integer({ min: 1, max: 9 }), (shape, pairs) => {
        const items = clothItems([listed(shape, { count: 2 * pairs, pairs: true, mirrored: true })], cloth, still).items;
        expect(items.map(({ count }) => count)).toEqual([pairs, pairs]);
        expect(uncovered(items[0]!.outline, fromBehind(items[1]!.outline))).toBeLessThan(1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('and pocketing face the shell; nothing else does', () => {
    expect(DUTIES.filter(isMirrored)).toEqual(['lining', 'pocketing']);
  });
});

describe('the mirror image of a piece', () => {
  it('keeps its allowances at its edges and its winding, and twice is the piece itself', () => {
    fc.assert(
      fc.property(lopsided, (shape) => {
        const piece = openPiece(plainPiece(shape, 12));
        const mirror = mirrorPiece(piece);
        expect(Math.sign(signedArea(mirror.outline))).toBe(Math.sign(signedArea(piece.outline)));
        expect(polygonArea(mirror.outline)).toBeCloseTo(polygonArea(piece.outline), 6);
        const twice = mirrorPiece(mirror);
        expect(twice.outline).toEqual(piece.outline.map(([x, y]) => [x + 0, y]));
        expect(twice.allowances).toEqual(piece.allowances);
      }),
      { numRuns: 60 },
    );
  });
});
