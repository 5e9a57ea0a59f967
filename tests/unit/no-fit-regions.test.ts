import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Orientation } from '../../src/core/nesting/orientation';
import { NoFitTable } from '../../src/core/nesting/no-fit';
import { NoFitRegions, type WayOut } from '../../src/core/nesting/no-fit-regions';
import { bounds, intersection, regionArea, transformed, type Outline, type Point } from '../../src/core/shape';

/** Stars with many corners, some of them hollow. */
const star = fc
  .record({
    n: fc.integer({ min: 3, max: 40 }),
    radii: fc.array(fc.integer({ min: 30, max: 150 }), { minLength: 40, maxLength: 40 }),
  })
  .map(({ n, radii }) => starOf(radii.slice(0, n)));

function starOf(radii: readonly number[]): Outline {
  return radii.map((r, i): Point => {
    const angle = (2 * Math.PI * i) / radii.length;
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
}

/** By every edge, one after the other: what cells and strips must agree with. */
function distanceToBorder(outline: Outline, [x, y]: Point): number {
  return Math.min(
    ...outline.map(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!;
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
      return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }),
  );
}

function isInside(outline: Outline, [x, y]: Point): boolean {
  let inside = false;
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  });
  return inside;
}

const somewhere = fc.tuple(fc.double({ min: -160, max: 160, noNaN: true }), fc.double({ min: -160, max: 160, noNaN: true }));
const points = fc.array(somewhere, { minLength: 5, maxLength: 60 });

describe('regions in cells and strips', () => {
  it('tell how deep a point lies as if every edge had been looked at', () => {
    fc.assert(
      fc.property(star, points, (outline, asked) => {
        const regions = new NoFitRegions();
        const at = regions.add([outline]);
        for (const point of asked) {
          const border = distanceToBorder(outline, point);
          if (border < 1e-6) continue;
          expect(regions.depth(at, ...point)).toBeCloseTo(isInside(outline, point) ? border : 0, 9);
        }
      }),
      { numRuns: 150 },
    );
  });

  it('answer the same the first time and ever after', () => {
    const regions = new NoFitRegions();
    const at = regions.add([starOf([90, 40, 100, 35, 80, 120, 60, 110, 30, 100, 50, 90])]);
    const asked = Array.from({ length: 400 }, (_, i): Point => [((i * 37) % 240) - 120, ((i * 91) % 240) - 120]);
    const first = asked.map((point) => regions.depth(at, ...point));
    expect(asked.map((point) => regions.depth(at, ...point))).toEqual(first);
    expect(first.some((depth) => depth > 20)).toBe(true);
    expect(first.some((depth) => depth === 0)).toBe(true);
  });

  it('answer the same when there is no room to remember, and grow no further', () => {
    const [plenty, little] = [new NoFitRegions(), new NoFitRegions(200)];
    const outlines = [3, 5, 9].map((step) => starOf(Array.from({ length: 30 }, (_, i) => 60 + ((i * step * 17) % 80))));
    const at = outlines.map((outline) => [plenty.add([outline]), little.add([outline])] as const);
    for (let i = 0; i < 3000; i++) {
      const point: Point = [((i * 37) % 280) - 140, ((i * 91) % 280) - 140];
      const [a, b] = at[i % at.length]!;
      expect(little.depth(b, ...point)).toBe(plenty.depth(a, ...point));
    }
    // It has to find out again and again what the other remembers.
    expect(little.work).toBeGreaterThan(1.5 * plenty.work);
  });

  it('know the inner side at a sharp tip and at the end of a narrow cleft', () => {
    // A spike to the right, and a cleft that comes in from the left: nearest is a corner, where both edges disagree.
    const outline: Outline = [[0, -100], [100, -100], [300, 0], [100, 100], [0, 100], [0, 5], [80, 0], [0, -5]]; // prettier-ignore
    const regions = new NoFitRegions();
    const at = regions.add([outline]);
    fc.assert(
      fc.property(fc.double({ min: -20, max: 20, noNaN: true }), fc.double({ min: -20, max: 20, noNaN: true }), (dx, dy) => {
        for (const [cx, cy] of [
          [300, 0],
          [80, 0],
        ] as const) {
          // prettier-ignore
          const point: Point = [cx + dx, cy + dy];
          const border = distanceToBorder(outline, point);
          if (border < 1e-6) continue;
          expect(regions.depth(at, ...point)).toBeCloseTo(isInside(outline, point) ? border : 0, 9);
        }
      }),
    );
  });

  it('lead out by the shortest way, just to the border', () => {
    const out: WayOut = { depth: 0, dx: 0, dy: 0 };
    fc.assert(
      fc.property(star, points, (outline, asked) => {
        const regions = new NoFitRegions();
        const at = regions.add([outline]);
        for (const [x, y] of asked) {
          regions.wayOut(at, x, y, out);
          expect(out.depth).toBe(regions.depth(at, x, y));
          if (out.depth === 0) continue;
          expect(Math.hypot(out.dx, out.dy)).toBeCloseTo(out.depth, 9);
          expect(distanceToBorder(outline, [x + out.dx, y + out.dy])).toBeLessThan(1e-9);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('tell where a line runs through them, along and across', () => {
    fc.assert(
      fc.property(
        star,
        fc.constantFrom(0 as const, 1 as const),
        fc.double({ min: -140, max: 140, noNaN: true }),
        fc.boolean(),
        (outline, axis, line, mirrored) => {
          const regions = new NoFitRegions();
          const at = regions.add([outline]);
          const n = regions.stretchesOn(at, axis, line, mirrored, 1000, 7, 0);
          const stretches = Array.from({ length: n }, (_, k) => regions.stretches.slice(3 * k, 3 * k + 3));
          let before = -Infinity;
          for (const [from, to, weight] of stretches) {
            expect(weight).toBe(7);
            expect(from!).toBeGreaterThanOrEqual(before);
            expect(to!).toBeGreaterThanOrEqual(from!);
            before = to!;
          }
          for (let p = -158.3; p < 160; p += 9.7) {
            const there = mirrored ? -p : p;
            const point: Point = axis === 0 ? [there, line] : [line, there];
            if (distanceToBorder(outline, point) < 1e-6) continue;
            const covered = stretches.some(([from, to]) => p + 1000 > from! && p + 1000 < to!);
            expect(covered).toBe(isInside(outline, point));
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('keep a hole out, and count the work of every question', () => {
    const regions = new NoFitRegions();
    const outer = starOf(Array<number>(24).fill(100));
    const hole = starOf(Array<number>(24).fill(40)).reverse();
    const at = regions.add([outer, hole]);
    expect(regions.depth(at, 10, 5)).toBe(0);
    expect(regions.depth(at, 0, 70)).toBeCloseTo(distanceToBorder(outer, [0, 70]), 9);
    const before = regions.work;
    regions.depth(at, 0, 72);
    expect(regions.work).toBeGreaterThan(before);
    // A point outside the box costs nothing.
    const after = regions.work;
    expect(regions.depth(at, 500, 0)).toBe(0);
    expect(regions.work).toBe(after);
  });

  it('hold many regions beside one another', () => {
    const regions = new NoFitRegions();
    const sizes = Array.from({ length: 300 }, (_, i) => 20 + i);
    const at = sizes.map((r) => regions.add([starOf(Array<number>(48).fill(r))]));
    sizes.forEach((r, i) => expect(regions.depth(at[i]!, 0, 0)).toBeCloseTo(r * Math.cos(Math.PI / 48), 9));
  });
});

describe('no-fit regions of pairs', () => {
  const drawn = starOf([90, 40, 100, 35, 80, 120, 60, 110]);
  const other = starOf([50, 20, 60, 25, 70]);
  const orientation = (piece: number, outline: Outline, rotation: number, flipped: boolean): Orientation => {
    const laid = transformed(outline, flipped, rotation);
    const outlineOf = flipped ? laid.reverse() : laid;
    return { piece, rotation, flipped, outline: outlineOf, box: bounds(outlineOf), reach: bounds(outlineOf) };
  };
  const turns = [0, 90, 180, 270, 33];
  const orientations = [drawn, other].flatMap((outline, piece) =>
    [false, true].flatMap((flipped) => turns.map((rotation) => orientation(piece, outline, rotation, flipped))),
  );

  it('are free exactly where the outlines share nothing, however the pair is turned and flipped', () => {
    const table = new NoFitTable(orientations);
    const index = fc.integer({ min: 0, max: orientations.length - 1 });
    const away = fc.double({ min: -260, max: 260, noNaN: true });
    fc.assert(
      fc.property(index, index, away, away, (a, b, x, y) => {
        const depth = table.depth(a, 0, 0, b, x, y);
        const shared = regionArea(
          intersection([orientations[a]!.outline], [orientations[b]!.outline.map(([px, py]): Point => [px + x, py + y])]),
        );
        if (depth === 0) expect(shared).toBeLessThan(0.5);
        else if (depth > 0.5) expect(shared).toBeGreaterThan(0);
        // Seen from the other orientation it is the same overlap.
        expect(table.depth(b, x, y, a, 0, 0)).toBeCloseTo(depth, 6);
      }),
      { numRuns: 400 },
    );
  });

  it('lead out by the shortest way, mirrored or not', () => {
    const table = new NoFitTable(orientations);
    const out: WayOut = { depth: 0, dx: 0, dy: 0 };
    const index = fc.integer({ min: 0, max: orientations.length - 1 });
    const away = fc.double({ min: -150, max: 150, noNaN: true });
    fc.assert(
      fc.property(index, index, away, away, (a, b, x, y) => {
        table.wayOut(a, 0, 0, b, x, y, out);
        expect(out.depth).toBeCloseTo(table.depth(a, 0, 0, b, x, y), 9);
        if (out.depth === 0) return;
        expect(Math.hypot(out.dx, out.dy)).toBeCloseTo(out.depth, 6);
        expect(table.depth(a, 0, 0, b, x + out.dx, y + out.dy)).toBeLessThan(1e-6);
        if (out.depth > 0.1) expect(table.depth(a, 0, 0, b, x + 0.9 * out.dx, y + 0.9 * out.dy)).toBeGreaterThan(0);
      }),
      { numRuns: 400 },
    );
  });

  it('tell in order where a pair overlaps on a line, as depths along it do', () => {
    const table = new NoFitTable(orientations);
    const index = fc.integer({ min: 0, max: orientations.length - 1 });
    fc.assert(
      fc.property(
        index,
        index,
        fc.constantFrom(0 as const, 1 as const),
        fc.double({ min: -150, max: 150, noNaN: true }),
        (a, b, axis, line) => {
          const n = table.stretchesOn(a, b, axis, line, 500, 3, 0);
          const stretches = Array.from({ length: n }, (_, k) => [...table.stretches.slice(3 * k, 3 * k + 2)]);
          expect(stretches.flat()).toEqual(stretches.flat().sort((p, q) => p - q));
          for (let p = -239.7; p < 240; p += 13.1) {
            if (stretches.flat().some((end) => Math.abs(end - 500 - p) < 1e-3)) continue;
            const depth = axis === 0 ? table.depth(a, 0, 0, b, p, line) : table.depth(a, 0, 0, b, line, p);
            // Just beside a stretch on a slanting edge a point lies a hair within.
            if (depth > 0 && depth < 1e-6) continue;
            expect(stretches.some(([from, to]) => p + 500 > from! && p + 500 < to!)).toBe(depth > 0);
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  it('have their corners where a line along the piece changes how it overlaps', () => {
    const table = new NoFitTable(orientations);
    orientations.forEach((_, b) => {
      const heights: number[] = [];
      table.cornerLines(3, b, 40, heights);
      const [low, high] = [Math.min(...heights), Math.max(...heights)];
      // Just within its lowest and highest corner the region begins and ends.
      expect(table.stretchesOn(3, b, 0, low - 40 - 1e-3, 0, 1, 0)).toBe(0);
      expect(table.stretchesOn(3, b, 0, low - 40 + 0.5, 0, 1, 0)).toBeGreaterThan(0);
      expect(table.stretchesOn(3, b, 0, high - 40 - 0.5, 0, 1, 0)).toBeGreaterThan(0);
      expect(table.stretchesOn(3, b, 0, high - 40 + 1e-3, 0, 1, 0)).toBe(0);
    });
  });

  it('come to the same whether a pair is made or taken over from one that lies alike', () => {
    const all = new NoFitTable(orientations);
    for (let a = 0; a < orientations.length; a += 3)
      for (let b = 0; b < orientations.length; b += 2) {
        const alone = new NoFitTable(orientations);
        for (const [x, y] of [
          [30, 10],
          [-70, 45],
          [5, -120],
        ] as const)
          // prettier-ignore
          expect(all.depth(a, 0, 0, b, x, y)).toBeCloseTo(alone.depth(a, 0, 0, b, x, y), 4);
      }
  });
});
