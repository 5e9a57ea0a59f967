import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openPiece, seamLength, sewnOutline, type PieceSpec } from '../../src/core/pieces';
import { EDGE_RECIPES, edgeRecipeOf, SOURCE, type EdgeSource } from '../../src/core/recipes';
import { mirroredPart, partAlong } from '../../src/core/recipes/edge/along-edges';
import { distanceToBorder, drawShape, isInside, perimeter, polygonArea, type Outline, type Point } from '../../src/core/shape';

const kindOf = (id: string) => EDGE_RECIPES.find((each) => each.id === id)!;

/** Half a bodice front on its fold: waist, side, armhole, shoulder, neckline, centre front. mm. */
const front: PieceSpec = {
  shape: {
    kind: 'drawn',
    edges: [
      { from: [0, 0] },
      { from: [240, 10] },
      { from: [250, 180], curve: [[200, 190], [180, 260]] }, // prettier-ignore
      { from: [190, 400] },
      { from: [75, 430], curve: [[70, 370], [40, 340]] }, // prettier-ignore
      { from: [0, 335] },
    ],
  },
  line: 'sew',
  allowances: [20, 15, 10, 12, 7, 0],
  fold: 5,
  grain: 0,
  marks: [
    { kind: 'centre-front', at: [0, 335] },
    { kind: 'notch', at: [0, 0] },
  ],
} as PieceSpec;
const source = (edges: number[], more: Partial<EdgeSource> = {}): EdgeSource => ({
  ...{ name: 'Front', spec: front, edges, count: 1, pairs: false, orientation: 'straight' as const },
  ...more,
});
const specOf = (piece: {
  shape: PieceSpec['shape'];
  allowances: number[];
  grain: number;
  marks: PieceSpec['marks'];
}): PieceSpec => ({
  ...piece,
  line: 'sew',
  fold: null,
});
const lineLength = (points: Outline): number =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);

describe('a facing of an edge', () => {
  it('is as long as the neckline, everywhere as deep, and takes the allowances that the piece has there', () => {
    const { pieces, facts } = edgeRecipeOf(kindOf('edge-neck'), source([4]), { depth: 60 });
    const [facing] = pieces;
    const spec = specOf(facing!);
    const { from } = partAlong(front, [4], 60).along;
    // Neckline across the fold, a shoulder on each side, and the inner edge.
    expect([...from].sort()).toEqual([3, 3, 4, null].sort());
    const [neck, inner] = [from.indexOf(4), from.indexOf(null)];
    expect(seamLength(spec, [neck])).toBeCloseTo(seamLength(front, [4]), 1);
    expect(facts[0]!.length).toBeCloseTo(seamLength(front, [4]), 1);
    expect(facing!.allowances[neck]).toBe(7);
    expect(facing!.allowances[inner]).toBe(0);
    expect(facing!.allowances.filter((mm) => mm === 12)).toHaveLength(2);
    // The mark of the centre front lies on it, the notch at the waist does not.
    expect(facing!.marks.map(({ kind }) => kind)).toEqual(['centre-front']);
    const sewn = sewnOutline(spec);
    const neckline = sewn.outline.filter((_, i) => sewn.edges[i] === neck);
    const points = sewn.outline.filter((_, i) => sewn.edges[i] === inner).slice(1);
    const away = points.map((p) => Math.min(...neckline.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1]))));
    expect(Math.min(...away)).toBeGreaterThan(59.8);
    expect(openPiece(spec).seam).toHaveLength(1);
  });

  it('of an armhole comes twice in a piece on the fold: one of each hand', () => {
    const { pieces, seams } = edgeRecipeOf(kindOf('edge-armhole'), source([2]), { depth: 50 });
    expect(pieces[0]!.cuts).toMatchObject([{ count: 2, pairs: true }]);
    expect(seams![0]!.second.times).toBe(2);
    const one = pieces[0]!;
    const along = specOf(one).shape as Extract<PieceSpec['shape'], { kind: 'drawn' }>;
    expect(Math.max(...along.edges.map((_, i) => seamLength(specOf(one), [i])))).toBeGreaterThan(0);
    // Both of them together are what the opened front has of armholes.
    expect(2 * seamLength(specOf(one), seams![0]!.second.edges)).toBeCloseTo(seamLength(front, [2]), 1);
  });

  it('with a lining that meets it: the two are the piece again, and their common seam is one length', () => {
    const { pieces, seams } = edgeRecipeOf(kindOf('edge-neck'), source([4]), { depth: 60, lining: 1, join: 8 });
    const [facing, lining] = pieces.map(specOf);
    const area = (spec: PieceSpec) => polygonArea(sewnOutline(spec).outline);
    expect(area(facing!) + area(lining!)).toBeCloseTo(area(front), 0);
    const meeting = seams![1]!;
    expect(seamLength(facing!, meeting.first.edges)).toBeCloseTo(seamLength(lining!, meeting.second.edges), 1);
    expect(pieces[1]!.cuts).toMatchObject([{ duty: 'lining', count: 1 }]);
    for (const [piece, { edges }] of [
      [facing, meeting.first],
      [lining, meeting.second],
    ] as const)
      // prettier-ignore
      expect(edges.map((edge) => piece!.allowances[edge])).toEqual(edges.map(() => 8));
  });

  it('of both armholes of a piece on the fold leaves a lining that is even, and as long where the two facings meet it', () => {
    const { pieces, seams } = edgeRecipeOf(kindOf('edge-armhole'), source([2]), { depth: 40, lining: 1 });
    const [facing, lining] = pieces.map(specOf);
    const area = (spec: PieceSpec) => polygonArea(sewnOutline(spec).outline);
    expect(2 * area(facing!) + area(lining!)).toBeCloseTo(area(front), 0);
    const xs = sewnOutline(lining!).outline.map(([x]) => x);
    const axis = Math.min(...xs) + Math.max(...xs);
    for (const [x, y] of sewnOutline(lining!).outline)
      expect(distanceToBorder(sewnOutline(lining!).outline, [axis - x, y])).toBeLessThan(0.05);
    const meeting = seams![1]!;
    expect(meeting.first.times! * seamLength(facing!, meeting.first.edges)).toBeCloseTo(
      seamLength(lining!, meeting.second.edges),
      1,
    );
  });

  it('takes halves, number and own allowances from the cut of the cloth', () => {
    const uneven: PieceSpec = { ...front, fold: null, allowances: [20, 15, 10, 12, 7, 10], own: [null, null, null, 4, 6, null] };
    const of = source([4], { spec: uneven, count: 14, pairs: true });
    const [facing, lining] = edgeRecipeOf(kindOf('edge-neck'), of, { depth: 50, lining: 1 }).pieces;
    expect(facing!.cuts).toMatchObject([{ count: 14, pairs: true }]);
    // A lining that is not cut in halves would be of one hand throughout.
    expect(lining!.cuts).toMatchObject([{ count: 14, pairs: true }]);
    expect(facing!.allowances).toEqual(expect.arrayContaining([4, 6]));
    expect(facing!.allowances).not.toContain(7);
  });

  it('of an uneven piece is its mirror image, of an even one the same', () => {
    const uneven: PieceSpec = { ...front, fold: null, allowances: [20, 15, 10, 12, 7, 10], grain: 12 };
    const { along } = partAlong(uneven, [4], 50);
    const { pieces } = edgeRecipeOf(kindOf('edge-neck'), source([4], { spec: uneven }), { depth: 50 });
    const flip = (points: Outline): Outline => points.map(([x, y]): Point => [-x, y]);
    const made = drawShape(pieces[0]!.shape).outline;
    for (const point of flip(drawShape(along.shape).outline)) expect(distanceToBorder(made, point)).toBeLessThan(1e-6);
    expect(pieces[0]!.grain).toBe(-12);
    expect(mirroredPart(mirroredPart(along)).shape).toEqual(along.shape);
    const even = edgeRecipeOf(kindOf('edge-neck'), source([4]), { depth: 50 }).pieces[0]!;
    expect(even.shape).toEqual(partAlong(front, [4], 50).along.shape);
  });

  it('is refused by name where it cannot be', () => {
    const made = (edges: number[], values: Record<string, number> = {}) =>
      edgeRecipeOf(kindOf('edge-neck'), source(edges), values);
    expect(() => made([])).toThrow(/^edges: /);
    expect(() => made([9])).toThrow(/edges\[0\]/);
    expect(() => made([5])).toThrow(/edges\[0\]/);
    expect(() => made([0, 4])).toThrow(/follow each other/);
    expect(() => made([0, 1, 2, 3, 4])).toThrow(/leave an edge/);
    expect(() => made([4], { depth: 599 })).toThrow(/depth/);
    expect(() => made([4], { depth: 2 })).toThrow(/depth/);
  });
});

describe('a binding of an edge', () => {
  it('is as long as the edge where it is sewn, four times as wide as it shows, on the bias', () => {
    const { pieces, seams, facts } = edgeRecipeOf(kindOf('edge-binding'), source([4]), { width: 6, join: 10 });
    const spec = specOf(pieces[0]!);
    const { minX, maxX, minY, maxY } = openPiece(spec).outline.reduce(
      (box, [x, y]) => ({ minX: Math.min(box.minX, x), maxX: Math.max(box.maxX, x), minY: Math.min(box.minY, y), maxY: Math.max(box.maxY, y) }),
      { minX: Infinity, maxX: -Infinity, minY: Infinity, maxY: -Infinity },
    ); // prettier-ignore
    expect(maxY - minY).toBeCloseTo(24, 9);
    expect(maxX - minX).toBeCloseTo(seamLength(front, [4]) + 20, 4);
    expect(pieces[0]!.cuts[0]!.orientation).toBe('bias');
    expect(seams![0]!.first).toEqual({ piece: SOURCE, edges: [4] });
    expect(facts.find(({ words }) => words === 'Cut width')!.length).toBe(24);
  });

  it('of an edge that comes twice is two strips', () => {
    const { pieces, seams } = edgeRecipeOf(kindOf('edge-binding'), source([2]), {});
    expect(pieces[0]!.cuts[0]!.count).toBe(2);
    expect(2 * seamLength(specOf(pieces[0]!), [0])).toBeCloseTo(seamLength(front, [2]), 6);
    expect(seams![0]!.second.times).toBe(2);
  });
});

describe('a binding joined on the slant', () => {
  it('reaches along the edge with its ends once the joins are taken off, out of the cloth there is, as many for each copy', () => {
    fc.assert(
      fc.property(
        fc.record({
          width: fc.integer({ min: 4, max: 20 }),
          clothWidth: fc.integer({ min: 400, max: 1500 }),
          clothLength: fc.integer({ min: 200, max: 500 }),
        }),
        fc.integer({ min: 1, max: 3 }),
        (measures, count) => {
          const edges = [0, 1, 2, 3, 4];
          const recipe = edgeRecipeOf(kindOf('edge-binding'), source(edges, { count }), { ...measures, join: 10, pieced: 1 });
          const [strip] = recipe.pieces;
          const asked = seamLength(front, edges) + 20;
          const line = sewnOutline(specOf(strip!)).outline;
          if (strip!.shape.kind === 'rectangle') return;
          const each = Math.hypot(line[1]![0] - line[0]![0], line[1]![1] - line[0]![1]);
          const strips = strip!.cuts[0]!.count / count;
          expect(Number.isInteger(strips) && strips > 1).toBe(true);
          // A join on the slant takes 6 mm of both, along the strip by the root of two.
          expect(strips * each - (strips - 1) * 12 * Math.SQRT2).toBeCloseTo(asked, 6);
          // Its slanted ends lie on both edges of the cloth: it is no longer than the cloth is deep times the root of two.
          expect(each).toBeLessThanOrEqual(Math.min(measures.clothWidth, measures.clothLength) * Math.SQRT2 + 1e-9);
          // Four times as wide as it shows, measured across.
          expect(polygonArea(line) / each).toBeCloseTo(4 * measures.width, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is cut in one where the cloth is long enough, and says where it gives no strip', () => {
    const long = edgeRecipeOf(kindOf('edge-binding'), source([4]), { pieced: 1, clothWidth: 1500, clothLength: 1000 });
    expect(long.pieces[0]!.shape.kind).toBe('rectangle');
    expect(() => edgeRecipeOf(kindOf('edge-binding'), source([4]), { pieced: 1, width: 60, clothLength: 100 })).toThrow(/^clothLength/); // prettier-ignore
  });
});

describe('any piece', () => {
  const corner = (x: number, y: number) => fc.tuple(fc.double({ min: x - 40, max: x + 40, noNaN: true }), fc.double({ min: y - 40, max: y + 40, noNaN: true })); // prettier-ignore
  it('is parted into what lies along an edge and the rest, without loss, the edge as long as before', () => {
    fc.assert(
      fc.property(
        fc.tuple(corner(0, 0), corner(300, 0), corner(320, 260), corner(150, 340), corner(-10, 250)),
        fc.integer({ min: 0, max: 4 }),
        fc.double({ min: 8, max: 60, noNaN: true }),
        fc.boolean(),
        (corners, edge, depth, two) => {
          const edges = two ? [edge, (edge + 1) % 5] : [edge];
          const spec: PieceSpec = {
            shape: { kind: 'drawn', edges: corners.map((from) => ({ from })) },
            ...{ line: 'sew', allowances: [10, 10, 10, 10, 10], fold: null, grain: 0, marks: [] },
          };
          const { along, rest } = partAlong(spec, edges, depth);
          const whole = sewnOutline(spec).outline;
          const [a, b] = [drawShape(along.shape).outline, drawShape(rest.shape).outline];
          expect(polygonArea(a) + polygonArea(b)).toBeCloseTo(polygonArea(whole), 0);
          // Nothing is drawn twice: both borders together are the piece's own and the inner line, there and back.
          const innerLength = rest.from.reduce<number>((sum, owner, i) => sum + (owner === null ? rest.lengths[i]! : 0), 0);
          expect(perimeter(a) + perimeter(b)).toBeCloseTo(perimeter(whole) + 2 * innerLength, 1);
          for (const each of edges) {
            const mine = along.from.flatMap((owner, i) => (owner === each ? i : []));
            expect(mine).toHaveLength(1);
            const next = (corners.findIndex((_, i) => i === each) + 1) % 5;
            expect(along.lengths[mine[0]!]).toBeCloseTo(lineLength([corners[each]!, corners[next]!]), 1);
          }
          for (const point of b) expect(isInside(point, whole) || distanceToBorder(whole, point) < 0.01).toBe(true);
          const inner = rest.shape.edges.flatMap(({ from, via = [] }, i) => (rest.from[i] === null ? [from, ...via] : []));
          for (const point of inner)
            for (const each of edges) {
              const line: Outline = [corners[each]!, corners[(each + 1) % 5]!];
              expect(distanceToBorder(line, point)).toBeGreaterThan(depth - 0.01);
            }
        },
      ),
    );
  });
});

describe('slashes with godets', () => {
  const kind = kindOf('edge-slashes');
  /** A skirt panel on its fold, hem down. mm. */
  const panel: PieceSpec = {
    shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [300, 0] }, { from: [200, 700] }, { from: [0, 700] }] },
    ...{ line: 'sew', allowances: [30, 15, 10, 0], fold: 3, grain: 0, marks: [] },
  } as PieceSpec;
  const on = (values: Record<string, number>, spec = panel, count = 1) =>
    edgeRecipeOf(kind, { name: 'Panel', spec, edges: [0], count, pairs: false, orientation: 'straight' }, values);

  it('add to the hem what was asked, once both seams have eaten their allowances', () => {
    const { pieces, onSource, facts } = on({ slash: 300, gain: 200, count: 2, allowance: 12 });
    // Two on the half that is drawn, two on its mirror image.
    expect(onSource!.jobs).toHaveLength(4);
    expect(pieces[0]!.cuts[0]!.count).toBe(4);
    const shape = pieces[0]!.shape as { outer: number; angle: number };
    const arc = (shape.outer * shape.angle * Math.PI) / 180;
    // The panel loses an allowance on each side of each slash.
    expect(600 - 4 * 2 * 12 + 4 * arc).toBeCloseTo(600 + 4 * 200, 6);
    expect(facts.find(({ words }) => words === 'They add to the hem of each piece')!.length).toBeCloseTo(800, 6);
    // The stitching runs from an allowance beside the slash at the hem to its point.
    expect(shape.outer).toBeCloseTo(Math.sqrt(300 * 300 + 12 * 12), 6);
    expect(pieces[0]!.allowances).toEqual([30, 12, 0, 12]);
  });

  it('begin at the cut edge, evenly along the hem and square to it, the other half mirrored', () => {
    const { onSource } = on({ slash: 200, gain: 150, count: 3 });
    expect(onSource!.marks.map(({ at, to }) => [at, to])).toEqual([
      [[50, -30], [50, 200]],
      [[150, -30], [150, 200]],
      [[250, -30], [250, 200]],
    ].map((ends) => ends.map((p) => p.map((x) => expect.closeTo(x, 6))))); // prettier-ignore
    const xs = onSource!.jobs.map(({ place }) => (place.kind === 'line' ? Math.round(place.line[1][0]) : NaN));
    expect([...xs].sort((a, b) => a - b)).toEqual([-250, -150, -50, 50, 150, 250]);
  });

  it('may have one on the fold itself: it comes once, the others as far from it as from each other', () => {
    const { pieces, onSource } = on({ slash: 200, gain: 150, count: 2, onFold: 1 });
    const xs = onSource!.jobs.map(({ place }) => (place.kind === 'line' ? Math.round(place.line[1][0]) : NaN));
    expect([...xs].sort((a, b) => a - b)).toEqual([-240, -120, 0, 120, 240]);
    expect(pieces[0]!.cuts[0]!.count).toBe(5);
    const [own] = onSource!.marks;
    expect([own!.at, own!.to]).toEqual([[0, -30], [0, 200]].map((p) => p.map((x) => expect.closeTo(x, 6)))); // prettier-ignore
    // Alone too; and with the fold at the other end of the hem.
    expect(on({ slash: 200, gain: 150, count: 0, onFold: 1 }).onSource!.jobs).toHaveLength(1);
    const turned = { ...panel, shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [300, 0] }, { from: [300, 700] }, { from: [100, 700] }] }, allowances: [30, 0, 10, 15], fold: 1 } as PieceSpec; // prettier-ignore
    expect(on({ slash: 200, gain: 150, count: 1, onFold: 1 }, turned).onSource!.marks.map(({ at: [x] }) => Math.round(x))).toEqual([300, 100]); // prettier-ignore
    expect(() => on({ onFold: 1, slash: 100 }, { ...panel, fold: null })).toThrow(/^onFold/);
    expect(() => on({ onFold: 1, slash: 690, count: 0 })).toThrow(/^slash/);
    expect(() => on({ count: 0, slash: 100 })).toThrow(/^count/);
    // A side that runs in towards the fold.
    const narrow = { ...panel, shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [60, 0] }, { from: [6, 700] }, { from: [0, 700] }] } } as PieceSpec; // prettier-ignore
    expect(() => on({ count: 0, onFold: 1, slash: 660, gain: 20 }, narrow)).toThrow(/^slash/);
  });

  it('lie inside the piece, clear of its other edges and of each other, whatever the measures', () => {
    fc.assert(
      fc.property(
        fc.record({ slash: fc.integer({ min: 20, max: 900 }), count: fc.integer({ min: 1, max: 40 }) }),
        ({ slash, count }) => {
          let marks;
          try {
            ({ marks } = on({ slash, count, gain: 20 }).onSource!);
          } catch (problem) {
            expect(String(problem)).toMatch(/slash|count/);
            return;
          }
          const { outline } = openPiece({ ...panel, fold: null });
          for (const { at, to } of marks) {
            expect(isInside(to!, outline)).toBe(true);
            expect(distanceToBorder(outline, at)).toBeLessThan(0.1);
            // Beside the fold lies its own mirror image.
            expect(2 * to![0]).toBeGreaterThan(14.9);
            // The slanted side of the panel.
            expect((300 - to![0] - to![1] / 7) * (7 / Math.sqrt(50))).toBeGreaterThan(14.9);
          }
          const xs = marks.map(({ at }) => at[0]);
          xs.slice(1).forEach((x, i) => expect(x - xs[i]!).toBeGreaterThan(14.9));
        },
      ),
    );
  });

  it('name the measure that cannot be', () => {
    expect(() => on({ slash: 720 })).toThrow(/^slash/);
    expect(() => on({ count: 21, slash: 100 })).toThrow(/^count/);
    expect(() => on({ gain: 1000, slash: 200 })).toThrow(/^gain/);
    expect(() => on({ count: 1.5 })).toThrow(/^count/);
  });
});

describe('a half-moon', () => {
  const kind = kindOf('edge-half-moon');

  it('has the neckline of the opened back above, an arc of one circle below, and lies inside the piece', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 160 }), fc.integer({ min: 0, max: 20 }), (depth, free) => {
        const { pieces, seams } = edgeRecipeOf(kind, source([4]), { depth, free });
        const spec = specOf(pieces[0]!);
        const { outline } = sewnOutline(front);
        expect(seams![0]!.first).toEqual({ piece: SOURCE, edges: [4] });
        const neck = seams![0]!.second.edges;
        expect(seamLength(spec, neck)).toBeCloseTo(seamLength(front, [4]), 2);
        const own = sewnOutline(spec);
        for (const point of own.outline) expect(isInside(point, outline) || distanceToBorder(outline, point) < 0.1).toBe(true);
        // Both ends, and the place so deep below the middle of the neckline, lie on one circle with all of the curve.
        const curve = own.outline.filter((_, i) => !neck.includes(own.edges[i]!));
        const lowest = Math.min(...curve.map(([, y]) => y));
        expect(lowest).toBeCloseTo(335 - depth, 1);
        const [half, sag] = [75, 430 - lowest];
        const radius = (half * half + sag * sag) / (2 * sag);
        for (const [x, y] of curve) expect(Math.abs(Math.hypot(x, y - (lowest + radius)) - radius)).toBeLessThan(0.05);
        expect(pieces[0]!.allowances).toEqual(neck[0] === 0 ? [7, free] : [free, 7]);
      }),
      { numRuns: 40 },
    );
  });

  it('keeps the edges of a neckline that has several, each with its own allowance, mirrored where it is not even', () => {
    const uneven: PieceSpec = {
      shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [400, 0] }, { from: [400, 300] }, { from: [300, 320] }, { from: [180, 250] }, { from: [90, 330] }, { from: [0, 300] }] }, // prettier-ignore
      ...{ line: 'sew', allowances: [20, 15, 10, 7, 9, 10, 15], fold: null, grain: 0, marks: [] },
    } as PieceSpec;
    const { pieces, seams } = edgeRecipeOf(kind, { ...source([3, 4]), spec: uneven }, { depth: 60 });
    const spec = specOf(pieces[0]!);
    const neck = seams![0]!.second.edges;
    expect(neck).toHaveLength(2);
    expect(seamLength(spec, neck)).toBeCloseTo(seamLength(uneven, [3, 4]), 6);
    const lengths = neck.map((edge) => [pieces[0]!.allowances[edge], Math.round(seamLength(spec, [edge]))]);
    expect(lengths).toContainEqual([7, Math.round(seamLength(uneven, [3]))]);
    expect(lengths).toContainEqual([9, Math.round(seamLength(uneven, [4]))]);
    // Wrong side to wrong side: its mirror image lies in the piece, it itself does not.
    const inside = (flip: 1 | -1) =>
      sewnOutline(spec).outline.every(([x, y]) => {
        const at: Point = [flip * x, y];
        return isInside(at, sewnOutline(uneven).outline) || distanceToBorder(sewnOutline(uneven).outline, at) < 0.1;
      });
    expect([inside(1), inside(-1)]).toEqual([false, true]);
  });

  it('is refused where it would leave the piece, and of a line that comes twice', () => {
    expect(() => edgeRecipeOf(kind, source([4]), { depth: 500 })).toThrow(/^depth/);
    expect(() => edgeRecipeOf(kind, source([2]), { depth: 50 })).toThrow(/^edges/);
  });
});
