import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcLength, arcPoints, arcSteps, bulgingArc, CHORD_ERROR, chordOf } from '../../src/core/shape/arc';
import { smoothed, turnAt } from '../../src/core/shape/as-drawn';
import { cubicAt, cubicPoints } from '../../src/core/shape/cubic';
import { anticlockwise, isConvex, minkowskiSum, noFitOutline } from '../../src/core/shape/minkowski';
import { polygonArea, signedArea, transformed, type Outline, type Point } from '../../src/core/shape/polygon';
import {
  difference,
  grownBy,
  intersection,
  regionArea,
  unionOf,
  windingUnion,
  withoutSlivers,
} from '../../src/core/shape/regions';
import { simplifyOutward } from '../../src/core/shape/simplify';

const square = (side: number, x = 0, y = 0): Outline => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];
const apart = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);
const lengthOf = (points: Outline) => points.slice(1).reduce((sum, point, i) => sum + apart(points[i]!, point), 0);
/** A wavy blob: simple, with hollows. */
const blob = fc
  .record({
    n: fc.integer({ min: 5, max: 60 }),
    deep: fc.double({ min: 0, max: 0.5, noNaN: true }),
    waves: fc.integer({ min: 2, max: 7 }),
  })
  .map(({ n, deep, waves }) =>
    Array.from({ length: n }, (_, i): Point => {
      const angle = (2 * Math.PI * i) / n;
      const r = 100 * (1 + deep * Math.sin(waves * angle));
      return [r * Math.cos(angle), r * Math.sin(angle)];
    }),
  );

describe('arcs', () => {
  it('are drawn in as many steps as scissors can follow, and no more', () => {
    for (const radius of [0.01, 1, 10, 100, 3000]) {
      for (const angle of [0.1, 1, Math.PI, 2 * Math.PI]) {
        const steps = arcSteps(radius, angle);
        const sagitta = radius * (1 - Math.cos(angle / steps / 2));
        expect(sagitta).toBeLessThanOrEqual(CHORD_ERROR + 1e-12);
        if (steps > 2) expect(radius * (1 - Math.cos(angle / (steps - 1) / 2))).toBeGreaterThan(CHORD_ERROR * 0.999);
      }
    }
  });

  it('lie on their circle from one end to the other', () => {
    const points = arcPoints([30, -20], 55, 0.3, 2.4);
    for (const point of points) expect(apart([30, -20], point)).toBeCloseTo(55, 9);
    expect(Math.atan2(points[0]![1] + 20, points[0]![0] - 30)).toBeCloseTo(0.3, 9);
    expect(lengthOf(points)).toBeCloseTo(55 * 2.1, 1);
  });

  it('bulge by their sagitta, to the right of their direction or the left', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 600, noNaN: true }),
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (chord, sagitta, angle) => {
          const b: Point = [chord * Math.cos(angle), chord * Math.sin(angle)];
          const points = bulgingArc([0, 0], b, sagitta);
          expect(points[0]).toEqual([0, 0]);
          expect(points.at(-1)).toEqual(b);
          // Towards the right of a to b is positive.
          const right = points.map(([x, y]) => (x * b[1] - y * b[0]) / chord);
          const most = right.reduce((far, value) => (Math.abs(value) > Math.abs(far) ? value : far), 0);
          if (Math.abs(sagitta) > 0.1) expect(Math.abs(most - sagitta)).toBeLessThanOrEqual(CHORD_ERROR + 1e-6);
          expect(lengthOf(points)).toBeLessThanOrEqual(arcLength(chord, Math.abs(sagitta)) + 1e-6);
          expect(lengthOf(points)).toBeGreaterThan(arcLength(chord, Math.abs(sagitta)) - 0.1);
        },
      ),
    );
  });

  it('of a straight line are the line, of half a circle half its rim', () => {
    expect(bulgingArc([0, 0], [50, 10], 0)).toEqual([[0, 0], [50, 10]]); // prettier-ignore
    expect(arcLength(120, 0)).toBe(120);
    expect(arcLength(100, 50)).toBeCloseTo(50 * Math.PI, 9);
  });

  it('have the chord that gives their length', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (length, share) => {
          const sagitta = share * length;
          expect(arcLength(chordOf(length, sagitta), sagitta)).toBeCloseTo(length, 6);
        },
      ),
    );
  });
});

describe('cubic curves', () => {
  const point = fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 }));

  it('are never further from their chords than scissors can follow', () => {
    fc.assert(
      fc.property(point, point, point, point, (a, c, d, b) => {
        const points = cubicPoints(a, c, d, b);
        expect(points[0]).toEqual(a);
        expect(points.at(-1)).toEqual(b);
        const steps = points.length - 1;
        for (let i = 0; i < steps; i++) {
          const middle = cubicAt(a, c, d, b, (i + 0.5) / steps);
          const [p, q] = [points[i]!, points[i + 1]!];
          const halfway: Point = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
          expect(apart(middle, halfway)).toBeLessThanOrEqual(CHORD_ERROR + 1e-9);
        }
      }),
    );
  });

  it('with their handles on the line are the line', () => {
    for (const [x, y] of cubicPoints([0, 0], [10, 5], [20, 10], [30, 15])) expect(x).toBeCloseTo(2 * y, 9);
  });

  it('are found again in a run of points, and corners stay corners', () => {
    const rounded = arcPoints([0, 0], 80, 0, Math.PI / 2);
    const edges = smoothed([...rounded, [0, 140], [-60, 140]]);
    expect(edges.filter(({ curve }) => curve !== undefined).length).toBeLessThan(6);
    expect(edges.filter(({ curve }) => curve === undefined)).toHaveLength(2);
    const curved = edges.filter(({ curve }) => curve !== undefined);
    curved.forEach(({ from, curve }, i) => {
      const to = edges[i + 1]!.from;
      for (const t of [0.25, 0.5, 0.75]) expect(Math.hypot(...cubicAt(from, curve![0], curve![1], to, t))).toBeCloseTo(80, 0);
    });
    expect(turnAt(square(10), 0)).toBeCloseTo(Math.PI / 2, 9);
  });
});

describe('fewer corners', () => {
  it('contain the outline, add no more than the tolerance, and are never more', () => {
    fc.assert(
      fc.property(blob, fc.double({ min: 0.05, max: 5, noNaN: true }), (outline, tolerance) => {
        const simple = simplifyOutward(outline, tolerance);
        expect(simple.length).toBeLessThanOrEqual(outline.length);
        expect(regionArea(difference(outline, [simple]))).toBeLessThan(0.05);
        expect(regionArea(difference(simple, grownBy([anticlockwise(outline)], tolerance + 0.06)))).toBeLessThan(0.05);
      }),
      { numRuns: 60 },
    );
  });

  it('of a rectangle are its four', () => {
    const dense: Outline = [[0, 0], [50, 0], [100, 0], [100, 40], [100, 80], [40, 80], [0, 80]]; // prettier-ignore
    expect(simplifyOutward(dense, 0.1)).toHaveLength(4);
  });
});

describe('sums of outlines', () => {
  const sampled = (outline: Outline): Point[] =>
    outline.flatMap((a, i) => {
      const b = outline[(i + 1) % outline.length]!;
      return [a, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as Point];
    });

  it('hold every sum of a point of each, convex or hollow', () => {
    fc.assert(
      fc.property(blob, blob, (a, b) => {
        const sum = minkowskiSum(a, b);
        // A little of slack for the grid that the union works on.
        const slack = grownBy(sum, 0.01);
        for (const [ax, ay] of sampled(a).slice(0, 12))
          for (const [bx, by] of sampled(b).slice(0, 12)) {
            const dot = square(0.002, ax + bx - 0.001, ay + by - 0.001);
            expect(
              regionArea(
                difference(
                  dot,
                  slack.filter((path) => signedArea(path) > 0),
                ),
              ),
            ).toBeLessThan(1e-9);
          }
      }),
      { numRuns: 25 },
    );
  });

  it('of two squares are a square, and its area follows from both', () => {
    const [sum] = minkowskiSum(square(30), square(20));
    expect(polygonArea(sum!)).toBeCloseTo(50 * 50, 6);
    expect(isConvex(sum!)).toBe(true);
    // Of convex outlines: A + B + mixed area, which for an outline and its mirror image is its own.
    const triangle: Outline = [[0, 0], [40, 0], [0, 30]]; // prettier-ignore
    expect(polygonArea(noFitOutline(triangle, triangle)[0]!)).toBeCloseTo(6 * polygonArea(triangle), 6);
  });

  it('leave room inside a frame that is large enough', () => {
    const frame: Outline = [[0, 0], [100, 0], [100, 100], [49, 100], [49, 90], [90, 90], [90, 10], [10, 10], [10, 90], [48, 90], [48, 100], [0, 100]]; // prettier-ignore
    const free = (side: number) => noFitOutline(frame, square(side)).filter((path) => signedArea(path) < 0);
    expect(free(20)).toHaveLength(1);
    expect(polygonArea(free(20)[0]!)).toBeCloseTo(60 * 60, 3);
    expect(free(85)).toHaveLength(0);
  });
});

describe('regions', () => {
  it('add up: what is common and what is left of either is the whole', () => {
    fc.assert(
      fc.property(blob, blob, fc.integer({ min: -150, max: 150 }), (a, b, x) => {
        const moved = transformed(b, false, 0, x, 20);
        const common = regionArea(intersection([a], [moved]));
        const [left, right] = [regionArea(difference(a, [moved])), regionArea(difference(moved, [a]))];
        expect(common + left).toBeCloseTo(polygonArea(a), 0);
        expect(common + left + right).toBeCloseTo(regionArea(unionOf([a, moved])), 0);
      }),
      { numRuns: 60 },
    );
  });

  it('take away what runs clockwise, in the union that counts windings', () => {
    const hole = square(20, 10, 10).reverse();
    expect(regionArea(windingUnion([square(40), hole]))).toBeCloseTo(1200, 6);
    expect(regionArea(unionOf([square(40), hole]))).toBeCloseTo(1600, 6);
  });

  it('grow by as much all round and shrink back', () => {
    const grown = grownBy([square(40)], 5);
    // Four strips and four quarters of a disc, whose chords lie a twentieth of a millimetre inside.
    const disc = regionArea(grown) - 1600 - 4 * 200;
    expect(disc).toBeLessThan(25 * Math.PI);
    expect(disc).toBeGreaterThan(4.95 ** 2 * Math.PI);
    expect(regionArea(grownBy(grown, -5))).toBeCloseTo(1600, 0);
    expect(grownBy([square(40)], -21)).toEqual([]);
  });

  it('lose slivers, not pieces', () => {
    const sliver: Outline = [[0, 0], [300, 0], [300, 0.1], [0, 0.1]]; // prettier-ignore
    expect(withoutSlivers([square(40), sliver], 50)).toEqual([square(40)]);
  });
});
