import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openPiece, seamLength, type Mark, type PieceSpec } from '../../src/core/pieces';
import { lengthenEdges, placeAlong, quarterMarksOf, seamRuns, walkSeam } from '../../src/core/seams';
import { drawShape, nearestOnBorder, type Point } from '../../src/core/shape';

const giving = { stretch: 2, held: false };
const both = { first: giving, second: giving };
/** A quadrilateral that stands on its first edge; sewn on the line that is drawn. */
const four = (points: Point[], more: Partial<PieceSpec> = {}): PieceSpec => ({
  ...{ shape: { kind: 'drawn', edges: points.map((from) => ({ from })) }, line: 'sew', allowances: [10, 10, 10, 10] },
  ...{ fold: null, grain: 0, marks: [] },
  ...more,
});
const box = (width: number, height: number, more: Partial<PieceSpec> = {}) =>
  four([[0, 0], [width, 0], [width, height], [0, height]], more); // prettier-ignore
const notch = (x: number, y: number): Mark => ({ kind: 'notch', at: [x, y] });
const walked = (a: PieceSpec, b: PieceSpec, turned?: boolean) =>
  walkSeam(seamRuns(a, [0])[0]!, seamRuns(b, [0])[0]!, both, turned);

describe('a seam that is walked', () => {
  it('tells where it creeps: between which marks, by how much, on which side', () => {
    // The sides are named as they are sewn, right sides together: the second runs backwards, so 90 from its end is 90 from the beginning.
    const walk = walked(
      box(300, 80, { marks: [notch(90, 0), notch(200, 0)] }),
      box(306, 80, { marks: [notch(306 - 90, 0), notch(306 - 206, 0)] }),
    );
    expect(walk.turned).toBe(false);
    expect(walk.stretches.map(({ first, second }) => [first, second])).toEqual([
      [90, 90],
      [110, 116],
      [100, 100],
    ]);
    expect(walk.stretches.map(({ fit, gives }) => [fit, gives])).toEqual([['fits', undefined], ['misfit', undefined], ['fits', undefined]]); // prettier-ignore
  });

  it('turns the other half of a pair over, by its marks', () => {
    const walk = walked(box(300, 80, { marks: [notch(60, 0)] }), box(300, 80, { marks: [notch(60, 0)] }));
    expect(walk.turned).toBe(true);
    expect(walk.stretches.map(({ difference }) => Math.round(difference))).toEqual([0, 0]);
    expect(walked(box(300, 80, { marks: [notch(60, 0)] }), box(300, 80, { marks: [notch(60, 0)] }), false).lone).toHaveLength(2);
  });

  it('pairs like with like, and names a mark that meets nothing', () => {
    const first = box(400, 80, { marks: [{ kind: 'centre-back', at: [200, 0] }, notch(100, 0)] });
    const second = box(400, 80, { marks: [{ kind: 'side', at: [205, 0] }, notch(300, 0)] });
    const { lone, stretches } = walked(first, second);
    expect(stretches).toHaveLength(2);
    expect(lone.map(({ side, kind }) => [side, kind]).sort()).toEqual([['first', 'centre-back'], ['second', 'side']]); // prettier-ignore
  });

  it('takes the fold for the centre it is, and each half of a shoulder by itself', () => {
    // Half of a back, on the fold along its left side: a neck of 70 at the fold, a shoulder of 120 beside it.
    const back = four([[0, 0], [190, 0], [190, 300], [70, 320], [0, 300]], { fold: 4, allowances: [10, 10, 10, 10, 0] }); // prettier-ignore
    const shoulder = seamRuns(back, [2]);
    expect(shoulder).toHaveLength(2);
    for (const { length } of shoulder) expect(length).toBeCloseTo(Math.hypot(120, 20), 9);
    const [hem] = seamRuns(back, [0]);
    expect(hem!.length).toBeCloseTo(380, 9);
    expect(hem!.marks.map(({ kind }) => kind)).toEqual(['fold']);
    expect(hem!.marks[0]!.at).toBeCloseTo(190, 6);
    const band = box(380, 60, { marks: [{ kind: 'centre-back', at: [193, 0] }] });
    const walk = walkSeam(hem!, seamRuns(band, [0])[0]!, both);
    expect(walk.stretches.map(({ first, second }) => [Math.round(first), Math.round(second)])).toEqual([[190, 187], [190, 193]]); // prettier-ignore
  });

  it('begins a closed line at the centre back when it is sewn to one with ends', () => {
    const hole: Point[] = [[60, 60], [60, 140], [140, 140], [140, 60]]; // prettier-ignore
    const brim = box(200, 200, {
      allowances: [10, 10, 10, 10, 0],
      marks: [{ kind: 'centre-back', at: [60, 100] }, { kind: 'centre-front', at: [140, 100] }],
    }); // prettier-ignore
    const spec = { ...brim, shape: { ...(brim.shape as object), holes: [hole] } as PieceSpec['shape'] };
    const [round] = seamRuns(spec, [4]);
    expect(round).toMatchObject({ closed: true, length: 320 });
    const band = box(320, 90, { marks: [{ kind: 'centre-front', at: [160, 0] }] });
    const walk = walkSeam(round!, seamRuns(band, [0])[0]!, both);
    expect(walk.stretches.map(({ first, second }) => [first, second])).toEqual([[160, 160], [160, 160]]); // prettier-ignore
    expect(placeAlong(round!.points, walk.begins.first).place).toEqual([60, 100]);
    // The centre back of the ring meets both ends of the band: nothing is left alone.
    expect(walk.lone).toEqual([]);
    const quartered = (of: PieceSpec, edges: number[]) => ({ ...of, marks: [...of.marks, ...quarterMarksOf(of, edges)] });
    const marked = walkSeam(seamRuns(quartered(spec, [4]), [4])[0]!, seamRuns(quartered(band, [0]), [0])[0]!, both);
    expect(marked.stretches.map(({ first, second }) => [Math.round(first), Math.round(second)])).toEqual([[80, 80], [80, 80], [80, 80], [80, 80]]); // prettier-ignore
    expect(marked.lone).toEqual([]);
  });

  it('adds up to both lines, whatever is marked on them', () => {
    const marks = fc.array(fc.double({ min: 5, max: 295, noNaN: true }), { maxLength: 6 });
    fc.assert(
      fc.property(marks, marks, fc.boolean(), fc.integer({ min: 290, max: 320 }), (a, b, turned, width) => {
        const on = (places: number[]) => [...new Set(places.filter((x) => x < width - 2))].map((x) => notch(x, 0));
        const walk = walked(box(300, 80, { marks: on(a) }), box(width, 80, { marks: on(b) }), turned);
        const sum = (side: 'first' | 'second') => walk.stretches.reduce((all, each) => all + each[side], 0);
        expect(sum('first')).toBeCloseTo(300, 6);
        expect(sum('second')).toBeCloseTo(width, 6);
        // Every mark is met, or named.
        expect(2 * (walk.stretches.length - 1) + walk.lone.length).toBe(on(a).length + on(b).length);
        for (const { first, second } of walk.stretches) expect(Math.min(first, second)).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('an edge that is made longer', () => {
  const corner = fc.double({ min: -40, max: 40, noNaN: true });
  it('is as long as was asked, at either end, sewn or cut, and keeps its edges and their marks', () => {
    fc.assert(
      fc.property(corner, corner, corner, fc.double({ min: -30, max: 30, noNaN: true }), fc.constantFrom('start', 'end', 'both'), fc.constantFrom('cut', 'sew'), (x, y, z, by, at, line) => {
        const spec = four([[x / 4, 0], [300 + y / 4, 0], [300 + z, 200], [x, 200]], { line, marks: [notch(300 + (y / 4 + z) / 2, 100)] }); // prettier-ignore
        const longer = lengthenEdges(spec, [0], by, at);
        expect(seamLength(longer, [0]) - seamLength(spec, [0])).toBeCloseTo(by, 0);
        expect(Math.abs(seamLength(longer, [0]) - seamLength(spec, [0]) - by)).toBeLessThan(0.25);
        expect(drawShape(longer.shape).edges).toEqual([0, 1, 2, 3]);
        expect(nearestOnBorder(drawShape(longer.shape).outline, longer.marks[0]!.at).distance).toBeLessThan(0.01);
        // The edge across is not touched.
        if (line === 'sew') expect(seamLength(longer, [2])).toBeCloseTo(seamLength(spec, [2]), 6);
      }), // prettier-ignore
    );
  });

  it('leaves the fold where it lies', () => {
    const half = box(150, 200, { fold: 3, allowances: [10, 10, 10, 0] });
    const longer = lengthenEdges(half, [0], 12, 'both');
    expect(seamLength(longer, [0])).toBeCloseTo(312, 1);
    expect(openPiece(longer).fold!.map(([x]) => x)).toEqual([0, 0]);
    expect(() => lengthenEdges(half, [0], 12, 'start')).toThrow(/free/);
  });

  it('is refused by more than a quarter, or all round', () => {
    expect(() => lengthenEdges(box(100, 100), [0], 26, 'both')).toThrow(/^by/);
    expect(() => lengthenEdges(box(100, 100), [0, 1, 2, 3], 6, 'both')).toThrow(/^edges/);
  });
});

describe('quarters', () => {
  it('part the line in four, once, and meet those of the edge it is sewn to', () => {
    const marked = (spec: PieceSpec): PieceSpec => ({ ...spec, marks: [...spec.marks, ...quarterMarksOf(spec, [0])] });
    const [a, b] = [marked(box(320, 80)), marked(box(300, 80))];
    expect(a.marks.map(({ at }) => at[0])).toEqual([80, 160, 240]);
    expect(quarterMarksOf(a, [0])).toEqual([]);
    expect(walked(a, b).stretches.map(({ difference }) => Math.round(difference))).toEqual([5, 5, 5, 5]);
  });

  it('are drawn on the half that is there, the fold being one of them', () => {
    const half = box(150, 200, { fold: 3, allowances: [10, 10, 10, 0] });
    expect(quarterMarksOf(half, [0]).map(({ at }) => Math.round(at[0]))).toEqual([75]);
  });
});
