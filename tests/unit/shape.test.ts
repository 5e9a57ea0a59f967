import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  inset,
  outset,
  polygonArea,
  requireOutline,
  selfCrossing,
  transformed,
  type Outline,
  type Point,
} from '../../src/core/shape';
import { distanceTo, isInside, nearestFault } from '../files/geometry';

const square: Outline = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
];
const ell: Outline = [
  [0, 0],
  [100, 0],
  [100, 40],
  [40, 40],
  [40, 100],
  [0, 100],
];
const you: Outline = [
  [0, 0],
  [100, 0],
  [100, 100],
  [70, 100],
  [70, 15],
  [30, 15],
  [30, 100],
  [0, 100],
];
const ellipse = (n: number): Outline =>
  Array.from({ length: n }, (_, i) => [100 * Math.cos((2 * Math.PI * i) / n), 60 * Math.sin((2 * Math.PI * i) / n)]);

describe('inset', () => {
  it.each<[string, Outline, number | number[], number, number]>([
    ['a rectangle all round', square, 10, 3200, 1],
    ['a rectangle the other way round', [...square].reverse(), 10, 3200, 1],
    ['a different allowance on each edge', square, [10, 0, 5, 20], 3600, 1],
    ['the same, given the other way round', [...square].reverse(), [5, 0, 10, 20], 3600, 1],
    ['a fold edge without allowance', square, [0, 10, 10, 10], 80 * 50, 1],
    ['no allowance at all', square, 0, 6000, 1],
    ['an L with its hollow corner mitred', ell, 10, 2800, 1],
    ['a U that splits in two', you, 10, 1600, 2],
    ['a rectangle that vanishes', square, 31, 0, 0],
    ['a rectangle that just vanishes', square, 30, 0, 0],
  ])('takes %s', (_words, outline, allowance, area, count) => {
    const result = inset(outline, allowance);
    expect(result.area).toBeCloseTo(area, 3);
    expect(result.outlines).toHaveLength(count);
    expect(result.area + result.removedArea).toBeCloseTo(polygonArea(outline), 3);
  });

  it('keeps the mitred corner of an L exactly', () => {
    expect(inset(ell, 10).outlines[0]).toContainEqual([30, 30]);
  });

  it('steps square where nearly straight neighbours have different allowances', () => {
    const bar: Outline = [
      [0, 0],
      [50, 0],
      [100, 1],
      [100, 40],
      [0, 40],
    ];
    const { outlines, area } = inset(bar, [10, 2, 0, 0, 0]);
    expect(outlines).toHaveLength(1);
    const step = outlines[0]!.filter(([x, y]) => x > 48 && x < 51 && y > 1 && y < 11);
    expect(step.length).toBeGreaterThanOrEqual(2);
    expect(area).toBeCloseTo(polygonArea(bar) - 500 - 2 * Math.hypot(50, 1), -1);
  });

  it('keeps every point its allowance away, on curves with different allowances', () => {
    const curve = ellipse(200);
    const allowances = curve.map((_, i) => (i < 100 ? 10 : 5));
    const result = inset(curve, allowances);
    expect(result.outlines).toHaveLength(1);
    expect(nearestFault(curve, allowances, result.outlines)).toBeLessThan(0.01);
  });

  it('keeps the mitre of an almost straight corner', () => {
    const roof: Outline = [
      [0, 0],
      [97, 0],
      [97, 50],
      [48.5, 49.9],
      [0, 50],
    ];
    const { outlines } = inset(roof, [0, 0, 3, 3, 0]);
    expect(outlines[0]!.some(([x, y]) => Math.abs(x - 48.5) < 0.01 && Math.abs(y - 46.9) < 0.001)).toBe(true);
  });

  it('keeps every point its allowance away, on random star-shaped pieces', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ r: fc.double({ min: 40, max: 120, noNaN: true }), a: fc.constantFrom(0, 3, 6, 10, 15) }), {
          minLength: 4,
          maxLength: 24,
        }),
        fc.boolean(),
        (spokes, reversed) => {
          const forward: Outline = spokes.map(({ r }, i) => [
            r * Math.cos((2 * Math.PI * i) / spokes.length),
            r * Math.sin((2 * Math.PI * i) / spokes.length),
          ]);
          const outline = reversed ? [...forward].reverse() : forward;
          const allowances = spokes.map(({ a }) => a);
          const result = inset(outline, allowances);
          expect(nearestFault(outline, allowances, result.outlines)).toBeLessThan(0.01);
          expect(result.area).toBeLessThanOrEqual(polygonArea(outline) + 1e-6);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('keeps its distance from the foot of a cleft, however narrow, and takes no more than a mitre does', () => {
    const allowance = fc.constantFrom(0, 3, 6, 10, 15);
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 140, noNaN: true }),
        fc.double({ min: 20, max: 80, noNaN: true }),
        fc.double({ min: 0.5, max: 25, noNaN: true }),
        fc.double({ min: -20, max: 20, noNaN: true }),
        fc.tuple(allowance, allowance),
        (x, foot, half, lean, [left, right]) => {
          const tip: Point = [x, foot];
          const cleft: Outline = [[0, 0], [200, 0], [200, 120], [x + lean + half, 120], tip, [x + lean - half, 120], [0, 120]]; // prettier-ignore
          const allowances = [0, 0, 0, right, left, 0, 0];
          const { outlines } = inset(cleft, allowances);
          expect(nearestFault(cleft, allowances, outlines)).toBeLessThan(0.01);
          for (const outline of outlines) expect(distanceTo(outline, tip)).toBeGreaterThan(Math.min(left, right) - 0.01);
          // What is taken away lies near the cleft: no further than the longest mitre.
          const far = 4 * Math.max(left, right) + 0.01;
          for (let px = 2.5; px < 200; px += 5)
            for (let py = 2.5; py < 120; py += 5) {
              const point: Point = [px, py];
              if (!isInside(point, cleft) || outlines.some((outline) => isInside(point, outline))) continue;
              expect(distanceTo([cleft[3]!, tip, cleft[5]!, tip], point)).toBeLessThan(far);
            }
        },
      ),
      { numRuns: 200 },
    );
  });

  it.each<[string, Outline, number | number[], string]>([
    [
      'two corners',
      [
        [0, 0],
        [1, 1],
      ],
      1,
      'outline',
    ],
    [
      'a crossing',
      [
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ],
      1,
      'outline',
    ],
    [
      'no area',
      [
        [0, 0],
        [10, 0],
        [20, 0],
      ],
      1,
      'outline',
    ],
    [
      'a corner that is no number',
      [
        [0, 0],
        [10, 0],
        [NaN, 5],
      ],
      1,
      'outline\\[2\\]',
    ],
    [
      'a corner far outside',
      [
        [0, 0],
        [10, 0],
        [1e9, 5],
      ],
      1,
      'outline\\[2\\]',
    ],
    ['too few allowances', square, [1, 2, 3], 'allowance'],
    ['a negative allowance', square, [1, 2, -3, 4], 'allowance\\[2\\]'],
    ['an allowance that is no number', square, NaN, 'allowance'],
  ])('refuses %s', (_words, outline, allowance, field) => {
    expect(() => inset(outline, allowance)).toThrow(new RegExp(`^${field}: `));
  });
});

describe('outlines', () => {
  it('sees a piece that touches itself, and leaves a doubled corner alone', () => {
    expect(
      selfCrossing([
        [0, 0],
        [10, 0],
        [5, 5],
        [10, 10],
        [0, 10],
        [5, 5],
      ]),
    ).toBeDefined();
    expect(
      requireOutline([
        [0, 0],
        [10, 0],
        [10, 0],
        [10, 10],
      ]),
    ).toHaveLength(4);
  });

  it('flips first, then turns, then moves', () => {
    expect(transformed([[1, 2]], true, 90, 10, 20)[0]).toEqual([10 - 2, 20 - 1]);
  });
});

describe('outset', () => {
  it('moves each edge out by its own allowance and says which edge is which', () => {
    const { outline, sources } = outset(square, [10, 5, 0, 20]);
    expect(polygonArea(outline)).toBeCloseTo(125 * 70, 6);
    for (const [i, source] of sources.entries()) {
      const a = outline[i]!;
      const b = outline[(i + 1) % outline.length]!;
      expect(source % 2 === 0 ? a[1] - b[1] : a[0] - b[0]).toBeCloseTo(0, 6);
    }
  });

  it('is taken back by an inset, for any outline without narrow hollows', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 80, max: 140 }), { minLength: 5, maxLength: 16 }),
        fc.integer({ min: 1, max: 20 }),
        (radii, allowance) => {
          const outline = radii.map((r, i): Point => {
            const angle = (2 * Math.PI * i) / radii.length;
            return [r * Math.cos(angle), r * Math.sin(angle)];
          });
          const out = outset(outline, allowance);
          const back = inset(out.outline, allowance);
          // Corners that were cut off square on the way out stay a little short on the way back.
          expect(Math.abs(back.area - polygonArea(outline))).toBeLessThan(0.02 * polygonArea(outline));
          const apart = (p: Point) =>
            Math.min(
              ...outline.map((a, i) => {
                const b = outline[(i + 1) % outline.length]!;
                const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
                const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy)));
                return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
              }),
            );
          out.outline.forEach((p, i) => {
            const q = out.outline[(i + 1) % out.outline.length]!;
            for (const t of [0, 0.25, 0.5, 0.75])
              expect(apart([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])])).toBeGreaterThan(allowance - 1e-3);
          });
        },
      ),
      { numRuns: 200 },
    );
  });
});
