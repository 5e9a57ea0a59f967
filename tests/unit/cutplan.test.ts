import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lengthToBuy } from '../../src/core/cutplan';
import { cutPlan, cutPlans, largestLeftover, latest, type NestPiece, type CutPlanOptions } from '../../src/core/nesting';
import { bounds, intersection, regionArea, transformed, type Outline } from '../../src/core/shape';
import { judge } from '../layouts/judge';
import { garments, hollowJigsaw, jigsaw, rectangles } from '../layouts/sets';

/** Runs on work alone, so that a busy machine lays no other layout. */
const plan = (options: CutPlanOptions) => cutPlan(options, () => 0);

const rectangle = (w: number, h: number): Outline => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];
const piece = (id: string, outline: Outline, count = 1, rotations = [0, 180]): NestPiece => ({ id, outline, count, rotations });

describe('cutPlan', () => {
  it('lays any set of rectangles inside the cloth, apart and truthfully', () => {
    const each = fc.record({
      w: fc.integer({ min: 5, max: 300 }),
      h: fc.integer({ min: 5, max: 300 }),
      count: fc.integer({ min: 1, max: 5 }),
      rotations: fc.constantFrom<number[]>([0], [0, 180], [90], [0, 90, 180, 270], [45]),
    });
    fc.assert(
      fc.property(
        fc.array(each, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 100, max: 900 }),
        fc.constantFrom(0, 3, 12),
        fc.option(fc.integer({ min: 50, max: 1500 }), { nil: undefined }),
        (list, width, gap, length) => {
          const pieces = list.map(({ w, h, count, rotations }, i) => piece(`p${i}`, rectangle(w, h), count, rotations));
          const found = plan({ width, gap, pieces, seconds: 0.02, ...(length === undefined ? {} : { length }) });
          expect(judge(width, gap, pieces, found)).toEqual([]);
          if (length !== undefined) expect(found.length).toBeLessThanOrEqual(length + 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('lays any set of hollow shapes, flipped where that is allowed', () => {
    /** A U, an L or a star with corners drawn by chance. */
    const shape = fc
      .record({
        n: fc.integer({ min: 4, max: 12 }),
        radii: fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 12, maxLength: 12 }),
        count: fc.integer({ min: 1, max: 4 }),
        flip: fc.boolean(),
        rotations: fc.constantFrom<number[]>([0], [0, 180], [0, 90, 180, 270], [30, 210]),
      })
      .map(({ n, radii, ...rest }) => ({
        ...rest,
        outline: Array.from({ length: n }, (_, i): [number, number] => {
          const angle = (2 * Math.PI * i) / n;
          return [radii[i]! * Math.cos(angle), radii[i]! * Math.sin(angle)];
        }),
      }));
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 6 }), fc.constantFrom(0, 4), (list, gap) => {
        const pieces = list.map((each, i) => ({ ...each, id: `s${i}` }));
        const found = plan({ width: 420, gap, pieces, seconds: 0.1 });
        expect(judge(420, gap, pieces, found)).toEqual([]);
        expect(found.unplaced).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });

  it.each([
    ['rectangles cut from a strip', rectangles(4, 20), 0.9],
    ['polygons cut from a strip', jigsaw(5, 24), 0.99],
    ['hollow polygons cut from a strip', hollowJigsaw(6, 3, 4), 0.99],
    ['garment pieces', garments(7, 16), 0.72],
  ])('packs %s densely', (_words, { width, pieces }, density) => {
    const found = plan({ width, gap: 0, pieces, seconds: 4, seed: 3 });
    expect(judge(width, 0, pieces, found)).toEqual([]);
    expect(found.density).toBeGreaterThan(density);
  });

  it('gives the same layout for the same seed, and each one better than the one before', () => {
    const { width, pieces } = garments(8, 12);
    const options = { width, gap: 3, pieces, seconds: 0.8, seed: 11 };
    let length = Infinity;
    let reports = 0;
    for (const found of cutPlans(options)) {
      expect(found.length).toBeLessThanOrEqual(length + 1e-9);
      length = found.length;
      reports++;
    }
    expect(reports).toBeGreaterThan(5);
    expect(plan(options)).toEqual(plan(options));
    expect(plan(options).length).toBeCloseTo(length, 9);
  });

  it('is ended by the clock a little after the time allowed, and never before', () => {
    const { width, pieces } = garments(4, 24);
    for (const [seconds, latestEnd] of [
      [1, 1.4],
      [2, 2.8],
      [20, 21],
    ] as const) {
      expect(latest(seconds)).toBeCloseTo(latestEnd, 9);
      let asked = 0;
      // A machine so slow that a twentieth of the time allowed passes between two looks at the clock.
      const step = 50 * seconds;
      const plan = cutPlan({ width, gap: 0, pieces, seconds, seed: 1 }, () => step * asked++);
      expect(step * (asked - 1)).toBeGreaterThanOrEqual(1000 * latestEnd);
      // Once it is late, it is asked a few times more on the way out, but nothing long is begun.
      expect(step * (asked - 12)).toBeLessThan(1000 * latestEnd);
      expect(judge(width, 0, pieces, plan)).toEqual([]);
    }
  });

  it('lays pieces round those that stay', () => {
    const { width, pieces } = garments(9, 10);
    const first = plan({ width, gap: 2, pieces, seconds: 0 });
    const [kept] = first.placements;
    const locked = [{ ...kept!, x: kept!.x + 40, y: kept!.y + 130 }];
    const found = plan({ width, gap: 2, pieces, seconds: 0.5, locked });
    expect(found.placements).toContainEqual(locked[0]);
    expect(judge(width, 2, pieces, found)).toEqual([]);
  });

  it('keeps to the outline of a leftover and leaves what does not fit', () => {
    const cloth: Outline = [
      [0, 0],
      [400, 0],
      [400, 150],
      [180, 200],
      [150, 420],
      [0, 380],
    ];
    const pieces = [piece('strap', rectangle(120, 30), 9, [0, 90, 180, 270]), piece('panel', rectangle(300, 250))];
    const found = plan({ width: 400, length: 420, gap: 2, pieces, seconds: 0.3, cloth });
    expect(judge(400, 2, pieces, found)).toEqual([]);
    expect(found.unplaced).toContainEqual({ id: 'panel', copy: 0 });
    expect(found.placements.length).toBeGreaterThanOrEqual(8);
    for (const { id, flipped, rotation, x, y } of found.placements) {
      const laid = transformed(pieces.find((each) => each.id === id)!.outline, flipped, rotation, x, y);
      const inside = regionArea(intersection([laid], [cloth]));
      expect(inside).toBeCloseTo(Math.abs(regionArea([laid])), 1);
    }
  });

  it('lays nothing on a hole or a stain, also beside a piece that stays', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 30, max: 370 }), y: fc.integer({ min: 30, max: 470 }), r: fc.integer({ min: 8, max: 45 }) }), { minLength: 1, maxLength: 4 }), // prettier-ignore
        fc.integer({ min: 1, max: 9 }),
        (holes, seed) => {
          const spots = holes.map(({ x, y, r }): Outline =>
            Array.from({ length: 12 }, (_, i) => [x + r * Math.cos((i * Math.PI) / 6), y + r * Math.sin((i * Math.PI) / 6)]),
          );
          const pieces = [piece('tab', rectangle(90, 60), 12, [0, 180]), piece('welt', rectangle(150, 40), 4, [0])];
          const cloth = rectangle(400, 500);
          const found = plan({ width: 400, length: 500, gap: 0, pieces, seconds: 0.05, seed, cloth, spots });
          expect(judge(400, 0, pieces, found)).toEqual([]);
          for (const { id, flipped, rotation, x, y } of found.placements) {
            const laid = transformed(pieces.find((each) => each.id === id)!.outline, flipped, rotation, x, y);
            for (const spot of spots) expect(regionArea(intersection([laid], [spot]))).toBeLessThan(0.3);
          }
          // Where nothing else is free, it is left over rather than laid on a spot.
          expect(found.placements.length + found.unplaced.length).toBe(16);
        },
      ),
      { numRuns: 25 },
    );
    const whole = [piece('panel', rectangle(400, 500))];
    const all = { width: 400, length: 500, gap: 0, pieces: whole, seconds: 0, cloth: rectangle(400, 500) };
    expect(plan(all).unplaced).toEqual([]);
    expect(plan({ ...all, spots: [transformed(rectangle(10, 10), false, 0, 390, 0)] }).unplaced).toHaveLength(1);
  });

  it('squeezes a set into a length that rows would not reach', () => {
    const { width, pieces } = rectangles(12, 14);
    const rows = plan({ width, gap: 0, pieces, seconds: 0 });
    const length = 0.97 * rows.length;
    const found = plan({ width, gap: 0, pieces, seconds: 3, length });
    expect(found.unplaced).toEqual([]);
    expect(found.length).toBeLessThanOrEqual(length);
    expect(judge(width, 0, pieces, found)).toEqual([]);
  });

  it('takes the turn that fits when another does not', () => {
    const found = plan({ width: 100, gap: 0, seconds: 0.1, pieces: [piece('long', rectangle(300, 90), 1, [0, 90])] });
    expect(found.placements[0]!.rotation).toBe(90);
  });

  it('says what cannot be placed', () => {
    const found = plan({ width: 100, gap: 0, seconds: 0.1, pieces: [piece('wide', rectangle(300, 90), 2, [0])] });
    expect(found.unplaced).toEqual([
      { id: 'wide', copy: 0 },
      { id: 'wide', copy: 1 },
    ]);
    expect(found).toMatchObject({ length: 0, density: 0, placements: [] });
  });

  it('answers a very large set in rows', () => {
    const pieces = [piece('tab', rectangle(40, 20), 900)];
    const found = plan({ width: 500, gap: 1, seconds: 20, pieces });
    expect(found.placements).toHaveLength(900);
    expect(found.length).toBeCloseTo(75 * 21 - 1, 6);
  });

  const bow: Outline = [
    [0, 0],
    [1, 1],
    [1, 0],
    [0, 1],
  ];
  it.each([
    [{ pieces: [piece('a', rectangle(10, 10)), piece('a', rectangle(10, 10))] }, 'pieces\\[1\\].id'],
    [{ pieces: [piece('a', bow)] }, 'pieces\\[0\\].outline'],
    [{ width: 0 }, 'width'],
    [{ gap: -1 }, 'gap'],
    [{ locked: [{ id: 'b', copy: 0, rotation: 0, flipped: false, x: 0, y: 0 }] }, 'locked\\[0\\].id'],
  ])('refuses %o', (change, field) => {
    const options = { width: 100, gap: 0, seconds: 1, pieces: [piece('a', rectangle(10, 10))], ...change };
    expect(() => plan(options)).toThrow(new RegExp(`^${field}: `));
  });

  it('buys by the shop’s step, with shrinkage and squaring', () => {
    expect(lengthToBuy(970, 0.03, 'metric', 30)).toEqual({ needed: 970, withAllowances: 1030, buy: 1100 });
    expect(lengthToBuy(1000, 0, 'metric', 0).buy).toBe(1000);
    expect(lengthToBuy(100, 0, 'inch', 0).buy).toBeCloseTo(114.3, 6);
    expect(lengthToBuy(0, 0, 'metric').buy).toBe(0);
  });
});

describe('largestLeftover', () => {
  it('finds the free rectangle, never too large', () => {
    const left = largestLeftover([rectangle(200, 300)], 500, 400);
    expect(left.width * left.height).toBeGreaterThan(0.97 * 300 * 400);
    expect(left.width * left.height).toBeLessThanOrEqual(300 * 400 + 1e-6);
    expect(left.x).toBeGreaterThanOrEqual(200);
  });

  it('lies on nothing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 380 }), fc.integer({ min: 0, max: 380 }), fc.integer({ min: 5, max: 120 })), {
          maxLength: 8,
        }),
        (discs) => {
          const outlines = discs.map(([x, y, r]): Outline =>
            Array.from({ length: 20 }, (_, i) => [x + r * Math.cos((i * Math.PI) / 10), y + r * Math.sin((i * Math.PI) / 10)]),
          );
          const { x, y, width, height } = largestLeftover(outlines, 400, 400);
          if (width === 0 || height === 0) return;
          const free = rectangle(width, height).map(([px, py]): [number, number] => [px + x, py + y]);
          for (const outline of outlines) {
            const box = bounds(outline);
            if (box.minX < x + width && box.maxX > x) expect(regionArea(intersection([outline], [free]))).toBeLessThan(1e-3);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
