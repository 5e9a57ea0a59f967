import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { joinedAs } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';
import {
  allowedTurns,
  clothTurns,
  DEFAULT_LAYER_OUTLINE,
  enlarged,
  FREELY,
  freeTurns,
  innerCorners,
  layerOutline,
  openPiece,
  pieceSize,
  plainPiece,
  seamBulkOf,
  shrinkageOf,
  tapeLength,
  treatmentBy,
  type PieceSpec,
} from '../../src/core/pieces';
import {
  asDrawn,
  bounds,
  convexHull,
  difference,
  drawShape,
  edgeNames,
  inset,
  intersection,
  perimeter,
  polygonArea,
  regionArea,
  requireOutline,
  SHAPE_KINDS,
  signedArea,
  transformed,
  type Outline,
  type PieceShape,
  type Point,
} from '../../src/core/shape';
import { arcLength, bulgingArc, chordOf } from '../../src/core/shape/arc';

const RECTANGLE = { kind: 'rectangle', width: 200, height: 100, corners: [false, false, false, false], corner: 0 } as const;
const rectangle = (change: object = {}): PieceShape =>
  ({ ...RECTANGLE, corners: [false, false, false, false], ...change }) as PieceShape;
const plain: PieceSpec = plainPiece(rectangle(), 10);
const roll = { rollWidth: 900 };

describe('shapes', () => {
  it.each(SHAPE_KINDS.map((kind) => [kind.words, kind] as const))('%s: start shape is sound, edges are named', (_words, kind) => {
    const shape = kind.start as PieceShape;
    const { outline, edges, holes } = drawShape(shape);
    expect(requireOutline(outline)).toBe(outline);
    expect(signedArea(outline)).toBeGreaterThan(0);
    expect(edges).toHaveLength(outline.length);
    const names = edgeNames(shape);
    for (const edge of [...edges, ...holes.map(({ edge: hole }) => hole)]) expect(names[edge]).toBeDefined();
    for (const hole of holes) expect(signedArea(hole.outline)).toBeLessThan(0);
    for (const { field } of kind.measures) {
      expect(() => drawShape({ ...shape, [field]: NaN } as PieceShape)).toThrow(new RegExp(`^${field}: `));
      expect(() => drawShape({ ...shape, [field]: -5 } as PieceShape)).toThrow(new RegExp(`^${field}: `));
    }
  });

  it('draws rounded and angled corners with the right area', () => {
    const rounded = drawShape(rectangle({ kind: 'rounded', corners: [true, false, true, false], corner: 30 }));
    expect(polygonArea(rounded.outline)).toBeCloseTo(20_000 - 2 * (900 - (Math.PI * 900) / 4), -1);
    const angled = drawShape(rectangle({ kind: 'angled', corners: [true, true, true, true], corner: 20 }));
    expect(polygonArea(angled.outline)).toBeCloseTo(20_000 - 4 * 200, 6);
    expect(() => drawShape(rectangle({ kind: 'rounded', corners: [true, true, false, false], corner: 120 }))).toThrow(
      /^corner: /,
    );
  });

  it('draws circles, ellipses and sectors with the right area', () => {
    const area = (shape: PieceShape) => polygonArea(drawShape(shape).outline);
    expect(area({ kind: 'circle', diameter: 200 }) / (Math.PI * 100 ** 2)).toBeCloseTo(1, 3);
    expect(area({ kind: 'ellipse', width: 300, height: 120 }) / (Math.PI * 150 * 60)).toBeCloseTo(1, 3);
    const sector = area({ kind: 'sector', inner: 100, outer: 300, angle: 90 });
    expect(sector / ((Math.PI / 4) * (300 ** 2 - 100 ** 2))).toBeCloseTo(1, 3);
    expect(area({ kind: 'sector', inner: 0, outer: 300, angle: 60 }) / ((Math.PI / 6) * 300 ** 2)).toBeCloseTo(1, 3);
  });

  it('makes a collar whose neck seam has the length of the neck, and a waistband whose edges have theirs', () => {
    const lengthOf = (shape: PieceShape, edge: number) => {
      const { outline, edges } = drawShape(shape);
      return outline.reduce((sum, a, i) => {
        const b = outline[(i + 1) % outline.length]!;
        return edges[i] === edge ? sum + Math.hypot(b[0] - a[0], b[1] - a[1]) : sum;
      }, 0);
    };
    expect(lengthOf({ kind: 'collar', neck: 400, height: 75, rise: 15, point: 20 }, 0)).toBeCloseTo(400, 1);
    const band: PieceShape = { kind: 'waistband', waist: 700, overlap: 35, height: 50, lower: 735 };
    expect(lengthOf(band, 2)).toBeCloseTo(700 * 1.05, 0);
    expect(lengthOf(band, 0)).toBeCloseTo(735 * 1.05, 0);
    expect(lengthOf({ ...band, lower: 700 }, 0)).toBeCloseTo(735, 6);
  });

  it('finds the chord that an arc of a length has', () => {
    for (const sagitta of [0, 3, 20, 60]) expect(arcLength(chordOf(300, sagitta), sagitta)).toBeCloseTo(300, 6);
    const arc = bulgingArc([0, 0], [100, 0], 10);
    expect(Math.min(...arc.map(([, y]) => y))).toBeCloseTo(-10, 1);
    expect(Math.max(...bulgingArc([0, 0], [100, 0], -10).map(([, y]) => y))).toBeCloseTo(10, 1);
  });

  it('draws curves and points of a drawn outline, whichever way round it runs', () => {
    const shape: PieceShape = {
      kind: 'drawn',
      edges: [
        { from: [0, 0], via: [[50, -5]] },
        { from: [100, 0] },
        {
          from: [100, 80],
          curve: [
            [70, 120],
            [30, 120],
          ],
        },
        { from: [0, 80] },
      ],
      holes: [
        [
          [20, 20],
          [40, 20],
          [30, 40],
        ],
      ],
    };
    const forward = drawShape(shape);
    const backward = drawShape({
      ...shape,
      edges: [
        {
          from: [0, 80],
          curve: [
            [30, 120],
            [70, 120],
          ],
        },
        { from: [100, 80] },
        { from: [100, 0], via: [[50, -5]] },
        { from: [0, 0] },
      ],
    });
    expect(polygonArea(forward.outline)).toBeCloseTo(polygonArea(backward.outline), 6);
    expect(signedArea(backward.outline)).toBeGreaterThan(0);
    /** Edge whose segment runs along x = 100. */
    const along = ({ outline, edges }: typeof forward) =>
      edges[outline.findIndex((a, i) => a[0] === 100 && outline[(i + 1) % outline.length]![0] === 100)];
    expect(along(forward)).toBe(1);
    expect(along(backward)).toBe(1);
    expect(edgeNames(shape)).toEqual(['edge 1', 'edge 2', 'edge 3', 'edge 4', 'opening']);
  });

  it('turns any shape into a drawn one that is the same within a tenth of a millimetre', () => {
    for (const kind of SHAPE_KINDS) {
      const shape = kind.start as PieceShape;
      const { shape: drawn, sources } = asDrawn(shape);
      expect(sources).toHaveLength(drawn.edges.length);
      const before = drawShape(shape);
      const after = drawShape(drawn);
      expect(Math.abs(polygonArea(before.outline) - polygonArea(after.outline))).toBeLessThan(0.1 * perimeter(before.outline));
      expect(bounds(after.outline).maxX).toBeCloseTo(bounds(before.outline).maxX, 0);
      expect(drawn.edges.length).toBeLessThan(20);
    }
  });
});

describe('a typed shape that is to be drawn on', () => {
  const size = fc.double({ min: 120, max: 900, noNaN: true });
  const anyCorners = fc.tuple(fc.boolean(), fc.boolean(), fc.boolean(), fc.boolean());

  it('keeps the straight sides between its rounded corners as straight edges', () => {
    fc.assert(
      fc.property(size, size, fc.double({ min: 5, max: 50, noNaN: true }), anyCorners, (width, height, corner, corners) => {
        const shape: PieceShape = { kind: 'rounded', width, height, corners, corner };
        const { shape: drawn, sources } = asDrawn(shape);
        for (let side = 0; side < 4; side++) {
          const taken = [side, (side + 1) % 4].filter((k) => corners[k]).length * corner;
          const straight = drawn.edges.flatMap(({ from, curve }, i) => {
            const to = drawn.edges[(i + 1) % drawn.edges.length]!.from;
            return curve || sources[i] !== side ? [] : [Math.hypot(to[0] - from[0], to[1] - from[1])];
          });
          expect(straight).toHaveLength(1);
          expect(straight[0]).toBeCloseTo((side % 2 === 0 ? width : height) - taken, 6);
        }
        expect(drawn.edges.some(({ curve }) => curve !== undefined)).toBe(corners.includes(true));
      }),
    );
  });

  it('becomes curves where it is round, and no straight edge at all when it is an ellipse', () => {
    const round = SHAPE_KINDS.find(({ kind }) => kind === 'ellipse')!.start as PieceShape;
    expect(asDrawn(round).shape.edges.every(({ curve }) => curve !== undefined)).toBe(true);
  });
});

describe('openPiece', () => {
  it.each([0, 1, 2, 3] as const)('opens a piece out on fold edge %d: twice the area, no seam on the fold', (fold) => {
    const allowances = [10, 10, 10, 10];
    allowances[fold] = 0;
    const opened = openPiece({ ...plain, allowances, fold });
    expect(polygonArea(opened.outline)).toBeCloseTo(40_000, 6);
    expect(opened.allowances).toHaveLength(opened.outline.length);
    const half = inset(openPiece({ ...plain, allowances }).outline, allowances).area;
    expect(opened.seam.reduce((sum, path) => sum + polygonArea(path), 0)).toBeCloseTo(2 * half, 3);
    expect(opened.fold).toBeDefined();
  });

  it('doubles marks and openings at the fold, but not what lies on it', () => {
    const shape = asDrawn(rectangle()).shape;
    shape.holes = [
      [
        [150, 40],
        [170, 40],
        [160, 60],
      ],
    ];
    const opened = openPiece({
      ...plainPiece(shape, 0),
      fold: 1,
      marks: [
        { kind: 'centre-front', at: [200, 50] },
        { kind: 'notch', at: [50, 0] },
      ],
    });
    expect(opened.marks.map(({ at }) => at)).toEqual([
      [200, 50],
      [50, 0],
      [350, 0],
    ]);
    expect(opened.holes).toHaveLength(2);
    for (const { outline } of opened.holes) expect(signedArea(outline)).toBeLessThan(0);
  });

  it('lays the allowances outside when the shape is the seam line', () => {
    const sewn = openPiece({ ...plain, line: 'sew', allowances: [10, 20, 10, 0] });
    expect(pieceSize(sewn)).toEqual({ width: 220, height: 120 });
    expect(polygonArea(sewn.seam[0]!)).toBe(20_000);
    expect(inset(sewn.outline, sewn.allowances).area).toBeCloseTo(20_000, 3);
  });

  it('gives a ring the allowance of each of its edges', () => {
    const spec: PieceSpec = { ...plainPiece({ kind: 'ring', outer: 340, inner: 190 }, 0), allowances: [0, 12] };
    const cut = openPiece(spec);
    expect(polygonArea(cut.holes[0]!.outline) / (Math.PI * 95 ** 2)).toBeCloseTo(1, 3);
    expect(polygonArea(cut.seam[1]!) / (Math.PI * 107 ** 2)).toBeCloseTo(1, 3);
    const sewn = openPiece({ ...spec, line: 'sew' });
    expect(polygonArea(sewn.holes[0]!.outline) / (Math.PI * 83 ** 2)).toBeCloseTo(1, 3);
    expect(() => openPiece({ ...spec, line: 'sew', allowances: [0, 100] })).toThrow(/^allowances\[1\]: /);
  });

  it.each([
    [{ allowances: [10, 10, 10] }, 'allowances'],
    [{ allowances: [10, 10, 10, -1] }, 'allowances\\[3\\]'],
    [{ shape: { kind: 'circle', diameter: 100 }, allowances: [5], fold: 0 }, 'fold'],
    [{ shape: rectangle({ kind: 'rounded', corners: [true, true, true, true], corner: 50 }), fold: 7 }, 'fold'],
  ])('refuses %j', (change, field) => {
    expect(() => openPiece({ ...plain, ...change } as PieceSpec)).toThrow(new RegExp(`^${field}: `));
  });
});

describe('layerOutline', () => {
  it('cuts layers full, trimmed, net and as a strip', () => {
    const piece = openPiece(plain);
    expect(layerOutline(piece, 'full', roll).area).toBe(20_000);
    expect(layerOutline(piece, 'trimmed', roll).area).toBeCloseTo(188 * 88, 3);
    expect(layerOutline(piece, 'trimmed', roll, { ...DEFAULT_LAYER_OUTLINE, trim: 3 }).area).toBeCloseTo(194 * 94, 3);
    expect(layerOutline(piece, 'net', roll).area).toBeCloseTo(180 * 80, 3);
    expect(layerOutline(piece, 'strip', roll).area).toBeCloseTo(180 * DEFAULT_LAYER_OUTLINE.width, 3);
    expect(layerOutline(piece, 'patch', roll).area).toBe(50 * 50);
    expect(layerOutline(piece, 'field', roll, { ...DEFAULT_LAYER_OUTLINE, field: { width: 80, height: 60 } }).area).toBe(
      160 * 140,
    );
    expect(tapeLength(layerOutline(piece, 'strip', { rollWidth: 10 }), { rollWidth: 10 }, 3)).toBe(3 * 200);
  });

  it('lays a strip along the edges that are chosen, and a patch where it is wanted', () => {
    const piece = openPiece(plain);
    const strip = layerOutline(piece, 'strip', roll, { ...DEFAULT_LAYER_OUTLINE, edges: [1, 3], width: 20 });
    expect(strip.outlines).toHaveLength(2);
    expect(strip.area).toBeCloseTo(2 * 20 * 80, 3);
    // From seam to seam, as its edges are sewn.
    expect(strip.runningLength).toBeCloseTo(2 * 80, 6);
    const patch = layerOutline(piece, 'patch', roll, { ...DEFAULT_LAYER_OUTLINE, at: [180, 90], size: 40 });
    // What would hang over the edge of the piece is not cut.
    expect(bounds(patch.outlines[0]!)).toEqual({ minX: 160, minY: 70, maxX: 200, maxY: 100 });
  });

  it('puts the patch of a slash at its point, whichever end was named first', () => {
    const piece = openPiece(plain);
    const slash: [number, number][] = [[60, 0], [60, 45]]; // prettier-ignore
    for (const line of [slash, [...slash].reverse()] as [[number, number], [number, number]][]) {
      const patch = layerOutline(piece, 'patch', roll, { ...DEFAULT_LAYER_OUTLINE, line, size: 30 });
      expect(bounds(patch.outlines[0]!)).toEqual({ minX: 45, minY: 30, maxX: 75, maxY: 60 });
    }
    // Both ends of a godet's side lie at its edge: the line is drawn from the point.
    const side = layerOutline(piece, 'patch', roll, { ...DEFAULT_LAYER_OUTLINE, line: [[0, 100], [0, 0]], size: 30 }); // prettier-ignore
    expect(bounds(side.outlines[0]!)).toEqual({ minX: 0, minY: 85, maxX: 15, maxY: 100 });
  });

  it('puts a patch where the piece is widest when its middle is hollow', () => {
    for (const kind of ['ring', 'sector', 'half-moon'] as const) {
      const start = SHAPE_KINDS.find((each) => each.kind === kind)!.start as PieceShape;
      const piece = openPiece(plainPiece(start, 0));
      const patch = layerOutline(piece, 'patch', roll, { ...DEFAULT_LAYER_OUTLINE, size: 30 });
      expect(patch.area, kind).toBeGreaterThan(0.95 * 30 * 30);
      // These are the same on the left and on the right, and so is where it lies, or it lies straight beside the middle.
      const [box, whole] = [bounds(patch.outlines[0]!), bounds(piece.outline)];
      const off = (axis: 'X' | 'Y') =>
        Math.abs(box[`min${axis}`] + box[`max${axis}`] - whole[`min${axis}`] - whole[`max${axis}`]) / 2;
      expect(Math.min(off('X'), off('Y')), kind).toBeLessThan(0.01);
      expect(regionArea(difference(patch.outlines[0]!, [piece.outline])), kind).toBeLessThan(0.01);
    }
  });

  it('never reaches beyond the piece, whatever it is made of, and tells its area', () => {
    const shapes = SHAPE_KINDS.map(({ start }) => start as PieceShape);
    fc.assert(
      fc.property(
        fc.constantFrom(...shapes),
        fc.constantFrom('full', 'trimmed', 'net', 'strip', 'patch' as const),
        fc.integer({ min: 0, max: 15 }),
        fc.record({ trim: fc.integer({ min: 0, max: 12 }), width: fc.integer({ min: 5, max: 60 }), size: fc.integer({ min: 10, max: 200 }) }), // prettier-ignore
        fc.boolean(),
        (shape, extent, allowance, sizes, clipped) => {
          const piece = openPiece(plainPiece(shape, allowance));
          const layer = layerOutline(piece, extent, roll, { ...DEFAULT_LAYER_OUTLINE, ...sizes, clipped });
          const whole = polygonArea(piece.outline) - piece.holes.reduce((sum, hole) => sum + polygonArea(hole.outline), 0);
          for (const outline of layer.outlines) expect(regionArea(difference(outline, [piece.outline]))).toBeLessThan(0.5);
          for (const { outline: opening } of piece.holes) {
            const over = (paths: Outline[]) => regionArea(intersection(paths, [opening]));
            expect(over(layer.outlines)).toBeCloseTo(over(layer.holes.map((hole) => [...hole].reverse())), 1);
          }
          const sum = layer.outlines.reduce((all, path) => all + polygonArea(path), 0) - layer.holes.reduce((all, path) => all + polygonArea(path), 0); // prettier-ignore
          expect(layer.area).toBeCloseTo(sum, 3);
          expect(layer.area + layer.removedArea).toBeCloseTo(whole, 1);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('clips corners through the point where the seams meet', () => {
    const piece = openPiece(plain);
    const clipped = layerOutline(piece, 'full', roll, { ...DEFAULT_LAYER_OUTLINE, clipped: true });
    // Each corner loses a triangle of twice the allowance along both edges.
    expect(clipped.area).toBeCloseTo(20_000 - 4 * ((20 * 20) / 2), 3);
    const [corner] = openPiece({ ...plain, allowances: [10, 4, 10, 10] }).seam[0]!;
    expect(corner).toBeDefined();
  });

  it('keeps the opening of a ring out of its layer, by its own allowance', () => {
    const ring = openPiece({ ...plainPiece({ kind: 'ring', outer: 340, inner: 190 }, 0), allowances: [10, 12] });
    const net = layerOutline(ring, 'net', roll);
    expect(net.area / (Math.PI * (160 ** 2 - 107 ** 2))).toBeCloseTo(1, 3);
    expect(net.holes).toHaveLength(1);
    const full = layerOutline(ring, 'full', roll);
    expect(full.area / (Math.PI * (170 ** 2 - 95 ** 2))).toBeCloseTo(1, 3);
  });

  it('says when a layer falls apart or vanishes', () => {
    const waist: Outline = [
      [0, 0],
      [100, 0],
      [100, 100],
      [60, 100],
      [55, 50],
      [60, 0],
    ];
    void waist;
    const bone: PieceShape = {
      kind: 'drawn',
      edges: (
        [
          [0, 0],
          [80, 0],
          [80, 30],
          [140, 30],
          [140, 0],
          [220, 0],
          [220, 80],
          [140, 80],
          [140, 45],
          [80, 45],
          [80, 80],
          [0, 80],
        ] as [number, number][]
      ).map((from) => ({ from })),
    };
    const piece = openPiece(plainPiece(bone, 10));
    expect(layerOutline(piece, 'net', roll).outlines).toHaveLength(2);
    const narrow = openPiece(plainPiece(rectangle({ height: 18 }), 10));
    expect(layerOutline(narrow, 'net', roll)).toMatchObject({ outlines: [], area: 0 });
  });

  it('counts bulk twice in a seam and four times in a corner', () => {
    const bulk = seamBulkOf(
      0.4,
      [
        { thickness: 0.3, extent: 'full' },
        { thickness: 3, extent: 'net' },
        { thickness: 0.2, extent: 'trimmed' },
      ],
      10,
      6,
      6,
    );
    expect(bulk.seam).toBeCloseTo(1.8, 9);
    expect(bulk.corner).toBeCloseTo(3.6, 9);
    expect(bulk.clears).toBe(true);
  });
});

describe('turns', () => {
  const woven = { grain: true, stretchLength: 2, stretchCross: 3 };
  it.each([
    ['straight on a woven', woven, { cut: 'straight', grain: 0 }, [0, 180]],
    ['across', woven, { cut: 'cross', grain: 0 }, [90, 270]],
    ['bias', woven, { cut: 'bias', grain: 0 }, [315, 135]],
    ['a grain line that leans', woven, { cut: 'straight', grain: 30 }, [330, 150]],
    ['no grain', { ...woven, grain: false }, { cut: 'bias', grain: 30 }, FREELY],
    ['a knit that gives across', { ...woven, stretchCross: 28 }, { cut: 'straight', grain: 0 }, [0, 180]],
    ['a knit that gives along', { ...woven, stretchLength: 28 }, { cut: 'straight', grain: 0 }, [90, 270]],
  ] as const)('layer, %s', (_words, material, piece, expected) => {
    expect(allowedTurns(material, piece)).toEqual(expected);
  });
  const cloth = { construction: 'woven' as const, surface: [] };
  it.each([
    ['plain', cloth, { cut: 'straight', grain: 0 }, [0, 180]],
    ['one-way print', cloth, { cut: 'straight', grain: 0, oneWay: true }, [0]],
    ['velvet', { ...cloth, surface: ['pile'] as const }, { cut: 'straight', grain: 0 }, [0]],
    ['felt', { ...cloth, construction: 'nonwoven' as const }, { cut: 'straight', grain: 0 }, FREELY],
    ['leather', { ...cloth, construction: 'leather' as const }, { cut: 'straight', grain: 0 }, [0, 90, 180, 270]],
    ['felt with a print', { ...cloth, construction: 'nonwoven' as const }, { cut: 'straight', grain: 0, oneWay: true }, [0]],
  ] as const)('cloth, %s', (_words, fabric, piece, expected) => {
    expect(clothTurns(fabric as never, piece)).toEqual(expected);
  });
});

describe('free turns', () => {
  const leaning = transformed(drawShape(rectangle()).outline, false, 23);

  it('lay the longest edge and the narrowest box along the cloth, in all four quarters', () => {
    const turns = freeTurns(leaning, 12);
    expect(turns.slice(0, 4)).toEqual([0, 90, 180, 270]);
    expect(turns).toHaveLength(8);
    const { minX, minY, maxX, maxY } = bounds(transformed(leaning, false, turns[4]!));
    expect((maxX - minX) * (maxY - minY)).toBeCloseTo(polygonArea(leaning), 6);
  });

  it('are those of the piece as drawn where nothing is gained, or no more are asked for', () => {
    expect(freeTurns(drawShape(rectangle()).outline, 12)).toEqual([0, 90, 180, 270]);
    expect(freeTurns(leaning, 4)).toEqual([0, 90, 180, 270]);
  });

  it('look at the chord of a hollow piece, which is no edge of its own', () => {
    // A crescent as steps of an arc, turned: its horns lie on one line.
    const horns = [-60, -40, -20, 0, 20, 40, 60].map((a) => (a * Math.PI) / 180);
    const crescent = [
      ...horns.map((a): Point => [100 * Math.sin(a), 100 * Math.cos(a)]),
      ...[...horns].reverse().map((a): Point => [70 * Math.sin(a), 70 * Math.cos(a)]),
    ];
    const turned = transformed(crescent, false, 31);
    const flat = freeTurns(turned, 8).some((turn) => {
      const { minX, minY, maxX, maxY } = bounds(transformed(turned, false, turn));
      return Math.min(maxX - minX, maxY - minY) < 65.001;
    });
    expect(flat).toBe(true);
  });

  it('come from a hull that holds every corner and bulges everywhere', () => {
    const point = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }));
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 40 }), (points) => {
        const hull = convexHull(points);
        fc.pre(hull.length > 2);
        const left = (a: Point, b: Point, p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
        hull.forEach((a, i) => {
          const b = hull[(i + 1) % hull.length]!;
          for (const p of points) expect(left(a, b, p)).toBeGreaterThanOrEqual(0);
          expect(left(a, b, hull[(i + 2) % hull.length]!)).toBeGreaterThan(0);
        });
      }),
    );
  });
});

describe('shrinkage', () => {
  it('cuts larger by what is lost, each way', () => {
    const grown = enlarged(drawShape(rectangle()).outline, { length: 0.05, cross: 0.02 }, 0);
    expect(bounds(grown).maxX).toBeCloseTo(200 / 0.98, 9);
    expect(bounds(grown).maxY).toBeCloseTo(100 / 0.95, 9);
    const turned = enlarged(drawShape(rectangle()).outline, { length: 0.05, cross: 0.02 }, 90);
    expect(bounds(turned).maxX).toBeCloseTo(200 / 0.95, 9);
  });
  it('asks nothing of a cloth that was washed before, unless it is wetted after it is cut', () => {
    const cloth = { shrinkLength: 4, shrinkCross: 2 };
    expect(shrinkageOf(cloth)).toEqual({ length: 0.04, cross: 0.02 });
    expect(shrinkageOf({ ...cloth, prewashed: true })).toEqual({ length: 0, cross: 0 });
    const after = { when: 'after' as const, length: 0.03, cross: 0.01 };
    expect(shrinkageOf({ prewashed: true }, after)).toEqual({ length: 0.03, cross: 0.01 });
    expect(shrinkageOf({ prewashed: true }, { ...after, when: 'before' })).toEqual({ length: 0, cross: 0 });
  });
  it('of a heavy wetting is 10 to 15 mm on half a metre, or what was read; a mist does nothing', () => {
    const starch = LIBRARY_LAYERS.find(({ id }) => id === 'starch')!;
    const by = (join: 'liquid' | 'damp' | 'full', shrank?: { along: number | null; across: number | null }[]) => treatmentBy([joinedAs(starch, join)], false, shrank); // prettier-ignore
    expect(by('liquid')).toBeUndefined();
    for (const join of ['damp', 'full'] as const) {
      expect(500 * by(join)!.length).toBeGreaterThanOrEqual(10);
      expect(500 * by(join)!.length).toBeLessThanOrEqual(15);
    }
    expect(by('full', [{ along: 4, across: null }, { along: 6, across: 1 }])).toEqual({ when: 'before', length: 0.05, cross: 0.01 }); // prettier-ignore
    expect(by('full', [{ along: -2, across: null }])!.length).toBe(0);
    expect(treatmentBy([joinedAs(starch, 'full')], true)!.when).toBe('after');
    expect(
      treatmentBy(
        LIBRARY_LAYERS.filter(({ form }) => form === 'fusible'),
        false,
      ),
    ).toBeUndefined();
  });
});

it('a piece keeps its seam where points fall together at a sharp corner, whichever way it is drawn', () => {
  const piece: Outline = [[392.89936, 236.30057], [40.29504, 402.80808], [39.09568, 390.81881], [1.71103, 17.10435], [0, 0], [17.73884, 10.66864]]; // prettier-ignore
  const asRead: Outline = [[392.89936, 236.3005700000001], [40.29503999999997, 402.80808000000013], [39.095680000000016, 390.8188100000001], [1.711029999999937, 17.104350000000068], [0, 0], [17.738839999999982, 10.668640000000096]]; // prettier-ignore
  // Its allowances cover about a tenth of it.
  for (const outline of [piece, asRead]) expect(inset(outline, [7, 14.3, 13, 15.6, 12, 6]).area).toBeCloseTo(64_018, -1);
});

describe('inner corners', () => {
  const drawn = (points: [number, number][], more: object = {}): PieceSpec =>
    ({
      shape: { kind: 'drawn', edges: points.map((from) => ({ from })) },
      ...{ line: 'sew', allowances: points.map(() => 10), fold: null, grain: 0, marks: [] },
      ...more,
    }) as PieceSpec;
  /** An L: one corner turns inward, at (100, 100). mm. */
  const ell: [number, number][] = [[0, 0], [300, 0], [300, 100], [100, 100], [100, 250], [0, 250]]; // prettier-ignore

  it('are found where the sewn line turns into the piece, whichever line was drawn and however it is turned', () => {
    expect(innerCorners(drawn(ell))).toEqual([{ at: [100, 100], turn: expect.closeTo(90, 9), allowance: 10 }]);
    // The same drawn as it is cut: the sewn corner lies an allowance into the piece on both sides.
    const cut = innerCorners(drawn(ell, { line: 'cut', allowances: [10, 10, 8, 12, 10, 10] }));
    expect(cut).toHaveLength(1);
    expect(cut[0]!.at.map((mm) => Math.round(1000 * mm) / 1000)).toEqual([88, 92]);
    expect(cut[0]!.allowance).toBe(12);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), (turn) => {
        const [c, s] = [Math.cos(turn), Math.sin(turn)];
        const turned = ell.map(([x, y]): [number, number] => [c * x - s * y, s * x + c * y]);
        const [corner, ...more] = innerCorners(drawn(turned));
        expect(more).toEqual([]);
        expect(Math.hypot(corner!.at[0] - (100 * c - 100 * s), corner!.at[1] - (100 * s + 100 * c))).toBeLessThan(1e-6);
      }),
    );
  });

  it('come twice on the fold, with the allowance that the cut has there, and none lies on a curve or an outer corner', () => {
    const folded = innerCorners(drawn(ell, { fold: 5, own: [null, null, 15, null, null, null] }));
    expect(folded.map(({ at }) => at).sort((a, b) => a[0] - b[0])).toEqual([[-100, 100], [100, 100]]); // prettier-ignore
    expect(folded.map(({ allowance }) => allowance)).toEqual([15, 15]);
    expect(innerCorners(drawn([[0, 0], [100, 0], [100, 100], [0, 100]]))).toEqual([]); // prettier-ignore
    const scooped = {
      kind: 'drawn' as const,
      edges: [{ from: [0, 0] }, { from: [400, 0] }, { from: [400, 300] }, { from: [300, 300], curve: [[300, 150], [100, 150]] }, { from: [100, 300] }, { from: [0, 300] }], // prettier-ignore
    };
    // The scoop itself has none; where it begins and ends the line turns outward.
    expect(innerCorners({ ...drawn([[0, 0], [1, 0], [1, 1], [0, 1], [0, 2], [0, 3]]), shape: scooped } as PieceSpec)).toEqual([]); // prettier-ignore
  });
});
