import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LINING_PLEAT, liningOwn } from '../../src/core/lining';
import { openPiece, sewnOutline, type PieceSpec } from '../../src/core/pieces';
import { EDGE_RECIPES, edgeRecipeOf } from '../../src/core/recipes';
import { quarterMarksOf, seamRuns } from '../../src/core/seams';
import { bounds, polygonArea } from '../../src/core/shape';

/** Half of a back, 240 wide and 600 high, its middle (the left edge) on the fold, a dart mark and one on the fold. */
const BACK: PieceSpec = {
  shape: { kind: 'rectangle', width: 240, height: 600, corners: [false, false, false, false], corner: 0 },
  line: 'sew',
  allowances: [40, 10, 10, 10],
  fold: 3,
  grain: 0,
  marks: [
    { kind: 'notch', at: [100, 600] },
    { kind: 'centre-back', at: [0, 0] },
  ],
};

describe('a lining with a pleat to move in', () => {
  it.each(['sew', 'cut'] as const)(
    'on the fold is wider by the pleat of both halves, and as high (drawn by its %s line)',
    (line) => {
      const [plain, pleated] = [null, [15, null, null, LINING_PLEAT]].map((own) => openPiece({ ...BACK, line, own }));
      const size = ({ outline }: { outline: readonly (readonly [number, number])[] }) => {
        const { minX, maxX, minY, maxY } = bounds(outline as never);
        return [maxX - minX, maxY - minY];
      };
      const [width, height] = size(plain!);
      expect(size(pleated!)).toEqual([expect.closeTo(width! + 40, 6), expect.closeTo(height! - 25, 6)]);
      // The fold lies in the middle of the wider piece.
      const { minX, maxX } = bounds(pleated!.outline);
      expect(pleated!.fold!.map(([x]) => x)).toEqual([(minX + maxX) / 2, (minX + maxX) / 2].map((x) => expect.closeTo(x, 6)));
      // Both of the pattern's fold lines are marked, 40 mm apart, and so is what lay on the fold.
      expect(pleated!.marks.filter(({ kind }) => kind === 'fold-line').map(({ at: [x] }) => Math.round(x)).sort((a, b) => a - b)).toEqual([-40, 0]); // prettier-ignore
      expect(pleated!.marks.filter(({ kind }) => kind === 'centre-back')).toHaveLength(2);
      expect(pleated!.marks.filter(({ kind }) => kind === 'notch').map(({ at: [x] }) => Math.round(x)).sort((a, b) => a - b)).toEqual([-140, 100]); // prettier-ignore
      // Once it is stitched, what is sewn is the pattern's.
      expect(polygonArea(sewnOutline({ ...BACK, line, own: [15, null, null, LINING_PLEAT] }).outline)).toBeCloseTo(polygonArea(sewnOutline({ ...BACK, line }).outline), 3); // prettier-ignore
    },
  );

  it('keeps the allowance of every edge, whatever the shape and the fold', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 5, max: 60 }),
        fc.integer({ min: 50, max: 400 }),
        (fold, pleat, width) => {
          const shape = { ...BACK.shape, width } as PieceSpec['shape'];
          const own = BACK.allowances.map((_, i) => (i === fold ? pleat : null));
          const [plain, wide] = [null, own].map((each) => openPiece({ ...BACK, shape, fold, own: each }));
          const high = fold % 2 === 0 ? width : 600;
          const [before, after] = [plain!, wide!].map(
            ({ allowances, edges }) => new Set(edges.map((edge, i) => `${edge} ${allowances[i]!.toFixed(6)}`)),
          );
          expect(after).toEqual(before);
          const across = BACK.allowances.filter((_, i) => i % 2 !== fold % 2).reduce((sum, mm) => sum + mm, 0);
          expect(polygonArea(wide!.outline) - polygonArea(plain!.outline)).toBeCloseTo(2 * pleat * (high + across), 3);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('meets what it is sewn to as the pattern does: its marks lie where the mirror image has them', () => {
    const own = [15, null, null, LINING_PLEAT];
    const marks = (spec: PieceSpec) =>
      seamRuns(spec, [2]).flatMap((run) => run.marks.map(({ kind, at }) => [kind, Math.round(at)]));
    expect(marks({ ...BACK, own }).length).toBeGreaterThan(1);
    expect(marks({ ...BACK, own })).toEqual(marks(BACK));
    expect(quarterMarksOf({ ...BACK, own }, [2])).toEqual(quarterMarksOf(BACK, [2]));
    // A pleat of the outer cloth is no slash of it.
    const slashes = EDGE_RECIPES.find(({ id }) => id === 'edge-slashes')!;
    const slashed = (spec: PieceSpec) => edgeRecipeOf(slashes, { name: 'Back', spec: { ...spec, marks: [] }, edges: [0], count: 1, pairs: false, orientation: 'straight' }, { slash: 100, gain: 80 }).onSource!.jobs.length; // prettier-ignore
    expect([slashed({ ...BACK, own }), slashed(BACK)]).toEqual([2, 2]);
  });

  it('in a seam has the pleat beside its allowance; nowhere, nothing of its own', () => {
    const piece = { allowances: [40, 10, 12, 10], fold: null };
    expect(liningOwn(piece, 0, 2)).toEqual([15, null, 32, null]);
    expect(liningOwn({ ...piece, fold: 2 }, null, 2)).toEqual([null, null, 20, null]);
    expect(liningOwn(piece, null, null)).toBeNull();
  });
});
