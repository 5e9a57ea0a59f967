import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { NestPiece } from '../../src/core/nesting';
import { layBottomLeft } from '../../src/core/nesting/bottom-left';
import { orientationsOf, layingOutline, samePlace } from '../../src/core/nesting/orientation';
import { singleLaying } from '../../src/core/nesting/laying';
import { nest } from '../../src/core/nesting/nest';
import { search } from '../../src/core/nesting/search';
import { searchAgain } from '../../src/core/nesting/search-again';
import { searchEdges } from '../../src/core/nesting/search-edges';
import { TOUCHING } from '../../src/core/nesting/pairs';
import { Separation } from '../../src/core/nesting/separation';
import { Positions } from '../../src/core/nesting/positions';
import { leftoverOf, compact } from '../../src/core/nesting/compaction';
import { seeded } from '../../src/core/random';
import { bounds, difference, distanceToBorder, polygonArea, regionArea, type Outline, type Point } from '../../src/core/shape';
import { garments, jigsaw } from '../layouts/sets';

const rectangle = (w: number, h: number): Outline => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];
const corner: Outline = [[0, 0], [90, 0], [90, 30], [30, 30], [30, 90], [0, 90]]; // prettier-ignore
const disc = (radius: number, n: number): Outline =>
  Array.from({ length: n }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / n;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });
const piece = (id: string, outline: Outline, more: Partial<NestPiece> = {}): NestPiece => ({
  ...{ id, outline, count: 1, rotations: [0, 180] },
  ...more,
});
const room = (pieces: NestPiece[], width = 300, length = Infinity) => singleLaying({ width, length, gap: 0, pieces });
const WORK = 1e6;

describe('positions', () => {
  it('are laid, lifted and copied without touching one another', () => {
    const positions = new Positions(3);
    positions.lay(1, { orientation: 4, x: 10, y: 20 });
    const copy = positions.clone();
    positions.lay(1, { orientation: 2, x: 1, y: 2 });
    positions.lay(2, { orientation: 0, x: 5, y: 5 });
    const seen: number[][] = [];
    copy.each((...position) => seen.push(position));
    expect(seen).toEqual([[4, 10, 20]]);
    positions.lift(1);
    seen.length = 0;
    positions.each((...position) => seen.push(position));
    expect(seen).toEqual([[0, 5, 5]]);
    copy.copyFrom(positions);
    expect([...copy.orientation]).toEqual([...positions.orientation]);
  });
});

describe('orientations', () => {
  it('are the positions that differ: half a turn of a rectangle is none', () => {
    const turns = (outline: Outline, more: Partial<NestPiece> = {}) =>
      orientationsOf(piece('a', outline, { rotations: [0, 90, 180, 270], ...more }), 0, 0).length;
    expect(turns(rectangle(80, 30))).toBe(2);
    expect(turns(rectangle(50, 50))).toBe(1);
    expect(turns(corner)).toBe(4);
    // Flipped over its diagonal a corner is itself: four positions, not eight.
    expect(turns(corner, { flip: true })).toBe(4);
    const leaning: Outline = [[0, 0], [80, 0], [100, 30], [20, 30]]; // prettier-ignore
    expect(turns(leaning, { flip: true })).toBe(4);
  });

  it('have the box of the true outline and the reach of what is kept free', () => {
    const [orientation] = orientationsOf(piece('a', rectangle(80, 30)), 0, 10);
    expect(orientation!.box).toEqual({ minX: 0, minY: 0, maxX: 80, maxY: 30 });
    expect(orientation!.reach.minX).toBeCloseTo(-5, 9);
    expect(orientation!.reach.maxY).toBeCloseTo(35, 9);
  });

  it('are told apart by their corners, wherever they lie and begin', () => {
    const shifted = [...corner.slice(2), ...corner.slice(0, 2)].map(([x, y]): Point => [x + 7, y - 3]);
    expect(samePlace(corner, shifted)).toBe(true);
    expect(samePlace(corner, corner.map(([x, y]): Point => [x, y + (x > 80 ? 1 : 0)]))).toBe(false); // prettier-ignore
    expect(samePlace(corner, rectangle(90, 90))).toBe(false);
  });

  it('are laid with few corners that contain the piece and its gap', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 400 }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.constantFrom(0, 2, 8),
        (n, radius, gap) => {
          const laid = layingOutline(disc(radius, n), gap);
          expect(laid.length).toBeLessThanOrEqual(64);
          for (const point of disc(radius, n)) if (gap > 0) expect(distanceToBorder(laid, point)).toBeGreaterThan(gap / 2 - 1e-6);
          // Areas come from a grid, to within its step along the whole border.
          expect(regionArea(difference(disc(radius, n), [laid]))).toBeLessThan(0.1);
          // Half a millimetre at most on top of the gap, unless it takes more to come down to 64 corners.
          if (n <= 64)
            for (const point of laid) expect(Math.hypot(...point)).toBeLessThan(radius + gap / 2 / Math.cos(Math.PI / 8) + 0.6);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('laying as low and then as far left as it goes', () => {
  it('fills a row from the left, and a hollow that is open to the side', () => {
    const { laying } = room([piece('c', corner, { rotations: [0] }), piece('s', rectangle(50, 50), { rotations: [0] })], 90);
    const { positions, order } = laying;
    expect(layBottomLeft(positions, order, laying, { width: 90, length: Infinity })).toEqual([]);
    expect([positions.x[1], positions.y[1]]).toEqual([30, 30]);
    expect(laying.top(positions)).toBeCloseTo(90, 6);
  });

  it('takes the turn that ends lowest, and tells what found no place', () => {
    const { laying } = room([piece('s', rectangle(40, 100), { rotations: [0, 90], count: 3 })], 110, 100);
    const left = layBottomLeft(laying.positions, laying.order, laying, { width: 110, length: 100 });
    expect(left).toHaveLength(1);
    expect(laying.top(laying.positions)).toBeCloseTo(80, 6);
  });

  it('stops when its work is done, the rest left lying', () => {
    const { laying } = room([piece('c', disc(30, 20), { count: 12 })], 400);
    const left = layBottomLeft(laying.positions, laying.order, laying, { width: 400, length: Infinity, work: 1 });
    expect(left.length).toBeGreaterThan(8);
  });

  it('never lays one over another, whatever comes first', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 15, max: 60 }), { minLength: 2, maxLength: 9 }), fc.integer(), (sizes, seed) => {
        const { laying } = room(
          sizes.map((size, i) => piece(`p${i}`, i % 2 === 0 ? disc(size, 9) : rectangle(size, 1.7 * size))),
          200,
        );
        const random = seeded(seed);
        const order = [...laying.order].sort(() => random() - 0.5);
        expect(layBottomLeft(laying.positions, order, laying, { width: 200, length: Infinity })).toEqual([]);
        expect(laying.isClear(laying.positions)).toBe(true);
        laying.positions.each((orientation, x, y) => {
          const { box } = laying.orientations[orientation]!;
          expect(box.minX + x).toBeGreaterThan(-1e-6);
          expect(box.maxX + x).toBeLessThan(200 + 1e-6);
          expect(box.minY + y).toBeGreaterThan(-1e-6);
        });
      }),
      { numRuns: 40 },
    );
  });
});

describe('pushing apart', () => {
  const pile = (length: number) => {
    const { laying } = room([piece('s', rectangle(60, 60), { count: 4 })], 130);
    laying.order.forEach((i, k) => laying.positions.lay(i, { orientation: laying.choices[i]![0]!, x: 30 + k, y: 20 + 2 * k }));
    return { laying, separation: new Separation(laying, laying.positions, length, seeded(5)) };
  };

  it('undoes overlaps where there is room', () => {
    const { laying, separation } = pile(130);
    separation.start();
    expect(separation.total).toBeGreaterThan(100);
    for (let k = 0; k < 60 && separation.total > TOUCHING; k++) separation.round();
    expect(separation.total).toBeLessThanOrEqual(TOUCHING);
    expect(laying.isClear(laying.positions)).toBe(true);
    expect(laying.top(laying.positions)).toBeLessThanOrEqual(130 + 1e-6);
  });

  it('leaves them where there is none, and keeps everything on the cloth', () => {
    const { laying, separation } = pile(100);
    separation.start();
    for (let k = 0; k < 40; k++) separation.round();
    expect(separation.total).toBeGreaterThan(5);
    expect(laying.top(laying.positions)).toBeLessThanOrEqual(100 + 1e-6);
  });

  it('measures after moves what measuring all anew would', () => {
    const { laying } = room(garments(3, 12).pieces, 900);
    const random = seeded(9);
    for (const i of laying.order)
      laying.positions.lay(i, { orientation: laying.choices[i]![0]!, x: 900 * random(), y: 500 * random() });
    const separation = new Separation(laying, laying.positions, 700, seeded(2));
    separation.start();
    for (let k = 0; k < 12; k++) {
      separation.round();
      const quick = separation.total;
      separation.measure();
      expect(separation.total).toBeCloseTo(quick, 6);
    }
  });

  it('lets two pieces change places where neither can move as long as the other is in the way', () => {
    // Two bays with a piece between them that stays, each holding what only the other has room for.
    const { laying } = singleLaying({
      ...{ width: 100, length: 120, gap: 0 },
      pieces: [piece('low', rectangle(100, 40)), piece('high', rectangle(100, 60)), piece('still', rectangle(100, 20))],
      locked: [{ id: 'still', copy: 0, rotation: 0, flipped: false, x: 0, y: 40 }],
    });
    const lay = (area: number, y: number) => {
      const i = laying.areas.indexOf(area);
      laying.positions.lay(i, { orientation: laying.choices[i]![0]!, x: 0, y });
      return i;
    };
    const low = lay(4000, 70);
    const high = lay(6000, 0);
    const separation = new Separation(laying, laying.positions, 120, seeded(3));
    separation.start();
    expect(separation.total).toBeGreaterThan(19);
    separation.round();
    expect(separation.total).toBeLessThanOrEqual(TOUCHING);
    expect(laying.positions.y[low]).toBeCloseTo(0, 6);
    expect(laying.positions.y[high]).toBeCloseTo(60, 6);
  });

  it('settles what is nearly apart together', () => {
    const { laying } = room([piece('s', rectangle(50, 50), { count: 4 })], 200);
    laying.order.forEach((i, k) => laying.positions.lay(i, { orientation: laying.choices[i]![0]!, x: 49.8 * k, y: 0 }));
    const separation = new Separation(laying, laying.positions, 50, seeded(1));
    separation.measure();
    expect(separation.total).toBeCloseTo(0.6, 6);
    separation.settle();
    expect(separation.total).toBeLessThanOrEqual(TOUCHING);
  });
});

describe('searching for shorter layouts', () => {
  const start = (seed: number, count: number) => {
    const { width, pieces } = garments(seed, count);
    const { laying } = room(pieces, width);
    layBottomLeft(laying.positions, laying.order, laying, { width, length: Infinity });
    return { laying, first: laying.top(laying.positions) };
  };

  it('finds each shorter than the one before, and nothing overlaps', () => {
    const { laying, first } = start(2, 12);
    let last = first;
    for (const better of search(laying, laying.positions.clone(), 1, WORK * 8)) {
      if (!better) continue;
      expect(laying.top(better)).toBeLessThan(last);
      expect(laying.isClear(better)).toBe(true);
      last = laying.top(better);
    }
    expect(last).toBeLessThan(0.97 * first);
    expect(last).toBeGreaterThanOrEqual(laying.bound);
  });

  it('finds the same again from the same seed, and another from another', () => {
    const lengths = (seed: number) => {
      const { laying } = start(1, 12);
      const found: number[] = [];
      for (const better of search(laying, laying.positions.clone(), seed, WORK * 4)) if (better) found.push(laying.top(better));
      return found;
    };
    expect(lengths(3)).toEqual(lengths(3));
    expect(lengths(4)).not.toEqual(lengths(3));
  });

  it('never ends with more than it began, from however many starts', () => {
    const { laying, first } = start(3, 12);
    let shortest = first;
    for (const better of searchAgain(laying, laying.positions.clone(), 1, WORK * 10, Infinity)) {
      if (!better) continue;
      expect(laying.top(better)).toBeLessThan(shortest);
      shortest = laying.top(better);
    }
    expect(shortest).toBeLessThan(first);
  });

  it('edge to edge puts a jigsaw together again', () => {
    const { width, pieces } = jigsaw(1, 9);
    const { laying } = room(pieces, width);
    let shortest = Infinity;
    for (const found of searchEdges(laying, 1, WORK * 20)) if (found) shortest = Math.min(shortest, laying.top(found));
    expect(shortest).toBeLessThan(1.01 * laying.bound);
  });

  it('gives up edge to edge where nothing was cut from one another', () => {
    const { laying } = room([piece('d', disc(40, 30), { count: 12 })], 300);
    const steps = [...searchEdges(laying, 1, WORK * 20)].length;
    expect(steps).toBeLessThan(5);
    expect(laying.table.work).toBeLessThan(WORK * 20);
  });

  it('reports how much is done, never a longer layout, and lets the rest be put in one place', () => {
    const { width, pieces } = garments(2, 12);
    let [length, done] = [Infinity, 0];
    for (const found of nest({ width, length: Infinity, gap: 0, pieces, seed: 1, work: WORK * 3 })) {
      expect(found.length).toBeLessThanOrEqual(length + 1e-6);
      expect(found.done).toBeGreaterThanOrEqual(done);
      [length, done] = [found.length, found.done];
    }
    expect(done).toBe(1);
  });
});

describe('tidying', () => {
  it('leaves one large piece of cloth rather than two small ones, on the same length', () => {
    const { laying } = room([
      piece('tall', rectangle(40, 200), { rotations: [0] }),
      piece('low', rectangle(60, 60), { rotations: [0], count: 2 }),
    ]);
    const at = (i: number, x: number, y: number) => laying.positions.lay(i, { orientation: laying.choices[i]![0]!, x, y });
    at(0, 0, 0);
    at(1, 140, 70);
    at(2, 220, 20);
    const before = leftoverOf(laying, laying.positions);
    const after = compact(laying, laying.positions);
    const area = ({ width, height }: { width: number; height: number }) => width * height;
    expect(laying.top(after)).toBeCloseTo(200, 6);
    expect(area(leftoverOf(laying, after))).toBeGreaterThan(area(before));
    expect(laying.isClear(after)).toBe(true);
  });

  it('keeps a layout that is tidy already', () => {
    const { laying } = room([piece('s', rectangle(300, 50), { rotations: [0], count: 2 })]);
    layBottomLeft(laying.positions, laying.order, laying, { width: 300, length: Infinity });
    const after = compact(laying, laying.positions);
    expect([...after.y]).toEqual([...laying.positions.y]);
    expect(bounds(laying.orientations[0]!.outline).maxX).toBe(300);
    expect(polygonArea(laying.orientations[0]!.outline)).toBe(15_000);
  });
});
