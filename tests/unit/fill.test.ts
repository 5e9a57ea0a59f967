import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fillHoop, hullOf, repeated, type Hoop } from '../../src/core/hoop';
import { motifFigures, stitchedMotif } from '../../src/core/motif';
import type { Outline, Point } from '../../src/core/shape';

const hoopOf = (shape: 'rectangle' | 'oval', fieldWidth: number, fieldHeight: number): Hoop => ({
  ...{ name: '', shape, fieldWidth, fieldHeight, outerWidth: fieldWidth + 40, outerHeight: fieldHeight + 40 },
  ...{ clamp: 14, kind: 'screw', mount: 'arm', mountSide: 'left' },
});
const outlines = fc
  .array(fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1, max: 1, noNaN: true })), {
    minLength: 6,
    maxLength: 14,
  }) // prettier-ignore
  .chain((points) => fc.tuple(fc.constant(points), fc.integer({ min: 15, max: 60 }), fc.integer({ min: 15, max: 60 })))
  .map(([points, w, h]) => {
    const hull = hullOf(points.map(([x, y]): Point => [x * w, y * h]));
    const xs = hull.map(([x]) => x);
    const ys = hull.map(([, y]) => y);
    const [cx, cy] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
    return hull.map(([x, y]): Point => [x - cx, y - cy]);
  })
  .map((hull) => hull.filter(([x, y], i) => hull.findIndex(([u, v]) => Math.hypot(u - x, v - y) < 1e-6) === i))
  .filter((hull) => hull.length > 2 && Math.max(...hull.map(([x]) => x)) > 5 && Math.max(...hull.map(([, y]) => y)) > 5);
const laid = (hull: Outline, { x, y, angle }: { x: number; y: number; angle: number }): Outline =>
  hull.map(([px, py]) => (angle === 90 ? [x - py, y + px] : [x + px, y + py]));

/** Least distance between two convex outlines that do not overlap, by all corners and edges; negative where they do. */
function between(a: Outline, b: Outline): number {
  const toEdge = ([px, py]: Point, [ax, ay]: Point, [bx, by]: Point) => {
    const t = Math.max(0, Math.min(1, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2)));
    return Math.hypot(px - ax - t * (bx - ax), py - ay - t * (by - ay));
  };
  const inside = ([px, py]: Point, of: Outline) =>
    of.every(([ax, ay], i) => {
      const [bx, by] = of[(i + 1) % of.length]!;
      return (bx - ax) * (py - ay) - (by - ay) * (px - ax) > 1e-6 * Math.hypot(bx - ax, by - ay);
    });
  if (a.some((p) => inside(p, b)) || b.some((p) => inside(p, a))) return -1;
  const one = (from: Outline, to: Outline) =>
    Math.min(...from.flatMap((p) => to.map((q, i) => toEdge(p, q, to[(i + 1) % to.length]!))));
  return Math.min(one(a, b), one(b, a));
}

describe('filling a hoop', () => {
  it('never reaches past the field, keeps its margin, and holds at least what rows and columns give', () => {
    fc.assert(
      fc.property(
        outlines,
        fc.constantFrom('rectangle' as const, 'oval' as const),
        fc.integer({ min: 100, max: 360 }),
        fc.integer({ min: 100, max: 260 }),
        fc.integer({ min: 0, max: 12 }),
        (hull, shape, width, height, margin) => {
          const places = fillHoop(hull, hoopOf(shape, width, height), margin);
          const there = places.map((place) => laid(hull, place));
          for (const outline of there)
            for (const [x, y] of outline) {
              const [dx, dy] = [Math.abs(x) / (width / 2), Math.abs(y) / (height / 2)];
              expect(shape === 'oval' ? Math.hypot(dx, dy) : Math.max(dx, dy)).toBeLessThan(1 + 1e-6);
            }
          for (let i = 0; i < Math.min(there.length, 12); i++)
            for (let k = i + 1; k < there.length; k++) expect(between(there[i]!, there[k]!)).toBeGreaterThan(margin - 1e-4);
          if (shape === 'rectangle') {
            const w = Math.max(...hull.map(([x]) => x)) * 2;
            const h = Math.max(...hull.map(([, y]) => y)) * 2;
            const many = (a: number, b: number) => Math.floor((width + margin + 1e-9) / (a + margin)) * Math.floor((height + margin + 1e-9) / (b + margin)); // prettier-ignore
            expect(places.length).toBeGreaterThanOrEqual(Math.max(many(w, h), many(h, w)));
          }
        },
      ),
      { numRuns: 80 },
    );
  });

  it('lays round badges closer than rows and columns', () => {
    const round = Array.from({ length: 40 }, (_, i): Point => [
      25 * Math.cos((i * Math.PI) / 20),
      25 * Math.sin((i * Math.PI) / 20),
    ]);
    // Five columns of three, or rows of five and four shifted by half: 5 + 4 + 5 + 4 in 240 × 192.
    expect(fillHoop(round, hoopOf('rectangle', 251, 185), 0).length).toBeGreaterThanOrEqual(18);
  });

  it('sews one colour of all copies before the next', () => {
    const badge = stitchedMotif('Badge', [
      { outlines: [[[0, 0], [20, 0], [20, 20], [0, 20]]], stitching: { kind: 'fill', spacing: 1, stitchLength: 3, angle: 0 } },
      { outlines: [[[0, 0], [20, 0], [20, 20], [0, 20]]], stitching: { kind: 'running', stitchLength: 3 }, newColour: true },
    ]); // prettier-ignore
    const places = [{ x: 0, y: 0, angle: 0 }, { x: 40, y: 0, angle: 90 }]; // prettier-ignore
    const [one, two] = [motifFigures(badge), motifFigures(repeated(badge, [10, 10], places))];
    expect(two.stitches).toBe(2 * one.stitches);
    expect(two.colourChanges).toBe(one.colourChanges);
    expect(two.bounds!.maxX - two.bounds!.minX).toBeCloseTo(60, 0);
    expect(two.bounds!.maxY - two.bounds!.minY).toBeCloseTo(20, 0);
  });
});
