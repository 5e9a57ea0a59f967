import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutPlan, layoutFaults, overlapArea } from '../../src/core/nesting';
import { closerThan } from '../../src/core/nesting/clearance';
import { signedArea, transformed, type Outline, type Point } from '../../src/core/shape';
import { withoutSpikes, windingUnion } from '../../src/core/shape/regions';
import { distance, judge, triangles } from '../layouts/judge';

const square = (x: number, y: number, size: number): Outline => [[x, y], [x + size, y], [x + size, y + size], [x, y + size]]; // prettier-ignore

/** Simple outlines, hollow ones too: corners at random distances round a middle. */
const star = fc
  .array(fc.double({ min: 10, max: 100, noNaN: true }), { minLength: 3, maxLength: 14 })
  .map((radii): Outline =>
    radii.map((r, i): Point => [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)]),
  );
const shift = fc.double({ min: -150, max: 150, noNaN: true });

describe('overlapArea', () => {
  it.each([
    ['a corner', square(0, 0, 10), square(5, 5, 10), 25],
    ['one within the other', square(0, 0, 10), square(2, 2, 3), 9],
    ['touching along an edge', square(0, 0, 10), square(10, 0, 10), 0],
    ['apart', square(0, 0, 10), square(30, 0, 10), 0],
    ['the same', square(0, 0, 10), square(0, 0, 10), 100],
    ['either winding', square(0, 0, 10), [...square(5, 0, 10)].reverse(), 50],
    [
      'within a hollow',
      [
        [0, 0],
        [30, 0],
        [30, 30],
        [20, 30],
        [20, 10],
        [10, 10],
        [10, 30],
        [0, 30],
      ] as Outline,
      square(11, 11, 8),
      0,
    ],
  ] as const)('%s', (_words, a, b, expected) => {
    expect(overlapArea(a as Outline, b as Outline)).toBeCloseTo(expected, 9);
    expect(overlapArea(b as Outline, a as Outline)).toBeCloseTo(expected, 9);
  });

  it('agrees with triangles cut by triangles, on any two outlines', () => {
    fc.assert(
      fc.property(star, star, shift, shift, fc.integer({ min: 0, max: 359 }), (a, b, x, y, turn) => {
        const there = transformed(b, false, turn, x, y);
        const sum = sharedByTriangles(a, there);
        expect(overlapArea(a, there)).toBeCloseTo(sum, 4);
      }),
      { numRuns: 300 },
    );
  });
});

/** Another way: both cut into triangles, convex ones clipped by each other. */
function sharedByTriangles(a: Outline, b: Outline): number {
  let sum = 0;
  for (const p of triangles(a)) for (const q of triangles(b)) sum += clippedArea(p as Outline, q as Outline);
  return sum;
}

function clippedArea(p: Outline, q: Outline): number {
  const ccw = (o: Outline) => (signedArea(o) < 0 ? [...o].reverse() : o);
  let kept: Outline = ccw(p);
  const cutter = ccw(q);
  cutter.forEach((s, i) => {
    const e = cutter[(i + 1) % 3]!;
    const side = ([x, y]: Point) => (e[0] - s[0]) * (y - s[1]) - (e[1] - s[1]) * (x - s[0]);
    const was = kept;
    kept = [];
    was.forEach((u, k) => {
      const v = was[(k + 1) % was.length]!;
      const [su, sv] = [side(u), side(v)];
      if (su >= 0) kept.push(u);
      if (su * sv < 0) kept.push([u[0] + (su / (su - sv)) * (v[0] - u[0]), u[1] + (su / (su - sv)) * (v[1] - u[1])]);
    });
  });
  return kept.length > 2 ? Math.abs(signedArea(kept)) : 0;
}

describe('closerThan', () => {
  it('measures outlines that come close, and no others', () => {
    fc.assert(
      fc.property(star, star, shift, shift, fc.double({ min: 1, max: 40, noNaN: true }), (a, b, x, y, least) => {
        const there = transformed(b, false, 0, x, y);
        fc.pre(overlapArea(a, there) === 0);
        const apart = distance(a, there);
        const found = closerThan(least, a, there);
        if (apart < least - 1e-9) expect(found).toBeCloseTo(apart, 6);
        else if (apart > least + 1e-9) expect(found).toBeUndefined();
      }),
      { numRuns: 300 },
    );
  });
});

describe('layoutFaults', () => {
  const outlines = new Map([['a', square(0, 0, 100)]]);
  const at = (x: number, y: number, copy = 0) => ({ id: 'a', copy, rotation: 0, flipped: false, x, y });
  const sheet = { outlines, gap: 0, width: 300, length: 300 };
  it('finds nothing wrong with pieces side by side', () => {
    expect(layoutFaults({ ...sheet, placements: [at(0, 0), at(100, 0, 1), at(0, 100, 2)] })).toEqual([]);
  });
  it.each([
    ['past the width', at(201, 0)],
    ['before the start', at(0, -1)],
    ['past the length', at(0, 201)],
    ['nowhere', at(NaN, 0)],
    ['of a piece that is not there', { ...at(0, 0), id: 'b' }],
  ])('a piece %s lies outside', (_words, placement) => {
    expect(layoutFaults({ ...sheet, placements: [placement] })).toMatchObject([{ kind: 'outside', index: 0 }]);
  });
  it('a piece that is turned and flipped lies where the placement says', () => {
    const corner = new Map([['a', [[0, 0], [90, 0], [0, 30]] as Outline]]); // prettier-ignore
    // Flipped it reaches 90 mm to the left; turned it reaches 90 mm down and 30 mm to the left.
    const placed = { id: 'a', copy: 0, rotation: 90, flipped: true, x: 30, y: 90 };
    const faults = (width: number, length: number) =>
      layoutFaults({ outlines: corner, gap: 0, width, length, placements: [placed] });
    expect(faults(30, 90)).toEqual([]);
    expect(faults(29, 90)).toMatchObject([{ kind: 'outside' }]);
    expect(faults(30, 89)).toMatchObject([{ kind: 'outside' }]);
  });
});

describe('the spikes of a path', () => {
  const path = (points: [number, number][]) => points.map(([x, y]) => ({ x, y }));
  it('are taken out, again and again and across the start', () => {
    expect(withoutSpikes(path([[0, 0], [10, 0], [20, 0], [10, 0], [10, 10], [0, 10]]))).toEqual(path([[0, 0], [10, 0], [10, 10], [0, 10]])); // prettier-ignore
    expect(withoutSpikes(path([[5, 0], [10, 0], [10, 10], [0, 10], [0, 0], [-7, 0]]))).toHaveLength(5); // prettier-ignore
    expect(
      withoutSpikes(
        path([
          [0, 0],
          [10, 0],
          [0, 0],
        ]),
      ),
    ).toEqual([]);
    expect(
      withoutSpikes(
        path([
          [0, 0],
          [0, 0],
          [4, 0],
          [4, 4],
        ]),
      ),
    ).toHaveLength(3);
  });

  it('do not make one area into two', () => {
    const loop: Outline = [[-124, 22], [-121, 12], [-44, 16], [-113, 16], [-112, 16], [-31, 15]]; // prettier-ignore
    const area = (outline: Outline) => windingUnion([outline]).reduce((sum, each) => sum + signedArea(each), 0);
    expect(windingUnion([loop])).toHaveLength(1);
    const wound = signedArea(loop) > 0 ? loop : [...loop].reverse();
    expect(area(wound)).toBeCloseTo(area(turnedBy(wound, 90)), 3);
  });

  it('leave a union’s area the same, mirrored, transposed or turned by quarters', () => {
    const coordinate = fc.integer({ min: -200, max: 200 });
    const loop = fc.array(fc.tuple(coordinate, coordinate), { minLength: 3, maxLength: 12 }).chain((points) =>
      // Edges out and straight back along themselves, level ones above all, as sums of hollow outlines have them.
      fc.integer({ min: 0, max: points.length - 1 }).map((k): Outline => {
        const [x, y] = points[k]!;
        return [...points.slice(0, k + 1), [x + 60, y], [x - 20, y], ...points.slice(k + 1)] as Outline;
      }),
    );
    fc.assert(
      fc.property(loop, (outline) => {
        const area = (moved: Outline) => windingUnion([moved]).reduce((sum, each) => sum + signedArea(each), 0);
        const plain = area(outline);
        const mirrored = outline.map(([x, y]): Point => [-x, y]).reverse();
        const transposed = outline.map(([x, y]): Point => [y, x]).reverse();
        for (const other of [mirrored, transposed, ...[90, 180, 270].map((turn) => turnedBy(outline, turn))])
          expect(area(other)).toBeCloseTo(plain, 1);
      }),
      { numRuns: 400 },
    );
  });
});

function turnedBy(outline: Outline, turn: number): Outline {
  return transformed(outline, false, turn);
}

describe('layouts', () => {
  it('of two pieces whose sum has a spike do not lie on each other', () => {
    const pieces = [
      { id: 'a', outline: [[58, 152], [263, 15], [111, 75], [74, 75], [0, 0]] as Outline, count: 1, rotations: [0] }, // prettier-ignore
      { id: 'b', outline: [[113, 0], [225, 40], [0, 40]] as Outline, count: 1, rotations: [0] }, // prettier-ignore
    ];
    const plan = cutPlan({ width: 750, gap: 0, seconds: 0, pieces }, () => 0);
    expect(judge(750, 0, pieces, plan)).toEqual([]);
  });

  it('of hollow pieces never overlap, and nothing had to be dropped on the way', () => {
    const dropped: unknown[] = [];
    const size = fc.integer({ min: 40, max: 180 });
    const shapes = fc.oneof(
      fc.tuple(size, fc.double({ min: 0.4, max: 0.9, noNaN: true })).map(([s, t]): Outline => [[0, 0], [s, 0], [s, s * (1 - t)], [s * (1 - t), s * (1 - t)], [s * (1 - t), s], [0, s]]), // prettier-ignore
      fc.tuple(size, fc.double({ min: 0.4, max: 1.2, noNaN: true })).map(([s, half]) => crescent(s, 0.6 * s, half)),
      star.map((outline) => outline.map(([x, y]): Point => [Math.round(x), Math.round(y)])),
    );
    fc.assert(
      fc.property(
        fc.array(shapes, { minLength: 2, maxLength: 7 }),
        fc.constantFrom(0, 4),
        fc.boolean(),
        (outlines, gap, flip) => {
          fc.pre(outlines.every((outline) => Math.abs(signedArea(outline)) > 50));
          const pieces = outlines.map((outline, i) => ({
            id: `p${i}`,
            outline,
            count: 1 + (i % 2),
            rotations: [0, 90, 180, 270],
            flip,
          }));
          const plan = cutPlan({ width: 420, gap, seconds: 0, pieces, onFault: (faults) => dropped.push(faults) }, () => 0);
          expect(judge(420, gap, pieces, plan)).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
    expect(dropped).toEqual([]);
  });
});

function crescent(outer: number, inner: number, half: number): Outline {
  const at = (r: number, a: number): Point => [Math.round(r * Math.sin(a)), Math.round(r * Math.cos(a))];
  const steps = 8;
  return [
    ...Array.from({ length: steps + 1 }, (_, i) => at(outer, half - (2 * half * i) / steps)),
    ...Array.from({ length: steps + 1 }, (_, i) => at(inner, -half + (2 * half * i) / steps)),
  ];
}
