import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutPlan, lengthToBuy, type CutPiece, type CutPlanOptions } from '../../src/core/cutplan';
import { inscribedRectangle, ironSole, pressPlan, type PressOptions } from '../../src/core/press';
import { bounds, intersection, polygonArea, regionArea, transformed, type Outline } from '../../src/core/shape';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { stackSteps, type StepsFor } from '../../src/core/steps';

const rectangle = (w: number, h: number): Outline => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];
const you: Outline = [
  [0, 0],
  [400, 0],
  [400, 300],
  [300, 300],
  [300, 80],
  [100, 80],
  [100, 300],
  [0, 300],
];

/** Checks a layout without its code: all placed once, inside, apart by the gap, turned as allowed, figures true. */
function checkLayout({ width, gap, pieces, length: limit }: CutPlanOptions, plan: ReturnType<typeof cutPlan>) {
  const laid = plan.placements.map((p) => ({ ...p, piece: pieces.find(({ id }) => id === p.id)! }));
  const outlines = laid.map(({ piece, flipped, rotation, x, y }) => transformed(piece.outline, flipped, rotation, x, y));
  expect(plan.placements.length + plan.unplaced.length).toBe(pieces.reduce((sum, { count }) => sum + count, 0));
  expect(new Set([...plan.placements, ...plan.unplaced].map(({ id, copy }) => `${id}/${copy}`)).size).toBe(
    plan.placements.length + plan.unplaced.length,
  );
  let used = 0;
  outlines.forEach((outline, i) => {
    const box = bounds(outline);
    expect(box.minX).toBeGreaterThanOrEqual(-1e-6);
    expect(box.minY).toBeGreaterThanOrEqual(-1e-6);
    expect(box.maxX).toBeLessThanOrEqual(width + 1e-6);
    if (limit !== undefined) expect(box.maxY).toBeLessThanOrEqual(limit + 1e-6);
    expect(laid[i]!.piece.rotations).toContain(laid[i]!.rotation);
    used = Math.max(used, box.maxY);
    for (let k = 0; k < i; k++) {
      const other = bounds(outlines[k]!);
      const apart = Math.max(box.minX - other.maxX, other.minX - box.maxX, box.minY - other.maxY, other.minY - box.maxY);
      if (apart < gap - 1e-6) expect(regionArea(intersection([outline], [outlines[k]!]))).toBeLessThan(0.5);
      expect(apart).toBeGreaterThanOrEqual(gap - 1e-6);
    }
  });
  expect(plan.length).toBeCloseTo(used, 6);
  const area = outlines.reduce((sum, outline) => sum + polygonArea(outline), 0);
  if (used > 0) expect(plan.density).toBeCloseTo(area / (width * used), 9);
}

describe('cutPlan', () => {
  it('lays any set of pieces inside the cloth, apart and truthfully', () => {
    const piece = fc.record({
      w: fc.integer({ min: 5, max: 300 }),
      h: fc.integer({ min: 5, max: 300 }),
      count: fc.integer({ min: 1, max: 5 }),
      rotations: fc.constantFrom([0], [0, 180], [90], [0, 90, 180, 270], [45]),
    });
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 100, max: 900 }),
        fc.constantFrom(0, 3, 12),
        fc.option(fc.integer({ min: 50, max: 1500 }), { nil: undefined }),
        (list, width, gap, length) => {
          const pieces: CutPiece[] = list.map(({ w, h, count, rotations }, i) => ({
            id: `p${i}`,
            outline: rectangle(w, h),
            count,
            rotations,
          }));
          const options = { width, gap, pieces, seconds: 1, ...(length === undefined ? {} : { length }) };
          checkLayout(options, cutPlan(options));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('takes the turn that fits when another does not', () => {
    const plan = cutPlan({
      width: 100,
      gap: 0,
      seconds: 1,
      pieces: [{ id: 'long', outline: rectangle(300, 90), count: 1, rotations: [0, 90] }],
    });
    expect(plan.placements[0]!.rotation).toBe(90);
  });

  it('says what cannot be placed', () => {
    const plan = cutPlan({
      width: 100,
      gap: 0,
      seconds: 1,
      pieces: [{ id: 'wide', outline: rectangle(300, 90), count: 2, rotations: [0] }],
    });
    expect(plan.unplaced).toEqual([
      { id: 'wide', copy: 0 },
      { id: 'wide', copy: 1 },
    ]);
    expect(plan).toMatchObject({ length: 0, density: 0, placements: [] });
  });

  it.each([
    [
      {
        pieces: [
          { id: 'a', outline: rectangle(10, 10), count: 1, rotations: [0] },
          { id: 'a', outline: rectangle(10, 10), count: 1, rotations: [0] },
        ],
      },
      'pieces\\[1\\].id',
    ],
    [
      {
        pieces: [
          {
            id: 'a',
            outline: [
              [0, 0],
              [1, 1],
              [1, 0],
              [0, 1],
            ] as Outline,
            count: 1,
            rotations: [0],
          },
        ],
      },
      'pieces\\[0\\].outline',
    ],
    [{ width: 0 }, 'width'],
    [{ gap: -1 }, 'gap'],
  ])('refuses %o', (change, field) => {
    const options = {
      width: 100,
      gap: 0,
      seconds: 1,
      pieces: [{ id: 'a', outline: rectangle(10, 10), count: 1, rotations: [0] }],
      ...change,
    };
    expect(() => cutPlan(options)).toThrow(new RegExp(`^${field}: `));
  });

  it('buys by the shop’s step, with shrinkage and squaring', () => {
    expect(lengthToBuy(970, 0.03, 'metric', 30)).toEqual({ needed: 970, withAllowances: 1030, buy: 1100 });
    expect(lengthToBuy(1000, 0, 'metric', 0).buy).toBe(1000);
    expect(lengthToBuy(100, 0, 'inch', 0).buy).toBeCloseTo(114.3, 6);
    expect(lengthToBuy(0, 0, 'metric').buy).toBe(0);
  });
});

describe('pressPlan', () => {
  const base: PressOptions = {
    outline: rectangle(500, 300),
    plate: { width: 120, height: 80 },
    overlap: 10,
    order: 'one-way',
    secondsPerStop: 10,
    moveSeconds: 2,
  };

  it.each<[string, Partial<PressOptions>]>([
    ['a rectangle', {}],
    ['a U', { outline: you }],
    [
      'an ellipse',
      {
        outline: Array.from({ length: 200 }, (_, i) => [
          300 * Math.cos((i * Math.PI) / 100),
          160 * Math.sin((i * Math.PI) / 100),
        ]),
      },
    ],
    ['an iron with a tip', { plate: { outline: ironSole(220, 115) } }],
    [
      'a plate that is a triangle',
      {
        plate: {
          outline: [
            [0, 0],
            [120, -60],
            [120, 60],
          ],
        },
        overlap: 5,
      },
    ],
    ['a piece smaller than the plate', { outline: rectangle(60, 30) }],
    ['a long strip', { outline: rectangle(1500, 40) }],
  ])('covers %s in every order', (_words, change) => {
    for (const order of ['centre-out', 'edge-first', 'one-way'] as const) {
      const options = { ...base, ...change, order };
      const plan = pressPlan(options);
      const plate: Outline =
        'outline' in options.plate
          ? options.plate.outline
          : [
              [-60, -40],
              [60, -40],
              [60, 40],
              [-60, 40],
            ];
      // Sampled, without the polygon library: every point of a fine grid inside the piece lies under some stop.
      const soles = plan.stops.map(({ x, y, rotation }) => transformed(plate, false, rotation, x, y));
      const box = bounds(options.outline);
      let inside = 0;
      let covered = 0;
      for (let x = box.minX + 0.37; x < box.maxX; x += 5) {
        for (let y = box.minY + 0.41; y < box.maxY; y += 5) {
          if (!contains(options.outline, x, y)) continue;
          inside++;
          if (soles.some((sole) => contains(sole, x, y))) covered++;
        }
      }
      expect(covered / inside).toBeGreaterThanOrEqual(0.995);
      expect(plan.coverage).toBeGreaterThanOrEqual(0.995);
      expect(plan.seconds).toBe(plan.stops.length * 10 + (plan.stops.length - 1) * 2);
    }
  });

  it('keeps the overlap between neighbours in a row', () => {
    const { stops } = pressPlan({ ...base, overlap: 25 });
    const rows = new Map<number, number[]>();
    for (const { x, y } of stops) rows.set(y, [...(rows.get(y) ?? []), x]);
    for (const xs of rows.values()) {
      xs.sort((a, b) => a - b);
      for (let i = 1; i < xs.length; i++) expect(xs[i]! - xs[i - 1]!).toBeLessThanOrEqual(120 - 25 + 1e-6);
    }
    const ys = [...rows.keys()].sort((a, b) => a - b);
    for (let i = 1; i < ys.length; i++) expect(ys[i]! - ys[i - 1]!).toBeLessThanOrEqual(80 - 25 + 1e-6);
  });

  it.each([
    [{ overlap: 80 }, 'overlap'],
    [{ overlap: -1 }, 'overlap'],
    [{ plate: { width: 0, height: 10 } }, 'plate.width'],
    [{ outline: rectangle(20_000, 20_000) }, 'plate'],
    [
      {
        plate: {
          outline: [
            [0, 0],
            [1, 1],
          ] as Outline,
        },
      },
      'plate.outline',
    ],
  ])('refuses %o', (change, field) => {
    expect(() => pressPlan({ ...base, ...change })).toThrow(new RegExp(`^${field}: `));
  });

  it('finds a rectangle inside the sole', () => {
    const sole = ironSole(220, 115);
    const { minX, minY, maxX, maxY } = inscribedRectangle(sole);
    for (const [x, y] of [
      [minX, minY],
      [maxX, minY],
      [maxX, maxY],
      [minX, maxY],
    ] as const) {
      expect(contains(sole, x * 0.9999 - 1e-6 * Math.sign(x), y * 0.999)).toBe(true);
    }
    expect((maxX - minX) * (maxY - minY)).toBeGreaterThan(0.55 * polygonArea(sole));
  });
});

function contains(outline: Outline, x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [xi, yi] = outline[i]!;
    const [xj, yj] = outline[j]!;
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

describe('stackSteps', () => {
  const fabric = LIBRARY_CLOTHS.find(({ id }) => id === 'shirting-poplin')!;
  const layer = (id: string) => ({ material: LIBRARY_LAYERS.find((each) => each.id === id)!, extent: 'full' as const, angle: 0 });
  const input: StepsFor = {
    fabric,
    layers: [layer('light-woven-fusible-45-g')],
    stitched: false,
    floats: false,
    bias: false,
    washed: true,
    cutAlready: false,
    schools: DEFAULT_SCHOOLS,
  };

  it('goes through the stages in order, with the leaflet’s seconds and cooling', () => {
    const steps = stackSteps(input);
    const order = ['prepare', 'cut', 'apply', 'check'];
    const stages = steps.map(({ stage }) => order.indexOf(stage));
    expect(stages).toEqual([...stages].sort((a, b) => a - b));
    expect(steps.find(({ kind }) => kind === 'press')).toMatchObject({ seconds: 12 });
    expect(steps.find(({ kind }) => kind === 'wait')).toMatchObject({ seconds: 300 });
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    expect(steps.at(-1)!.checks!.length).toBeGreaterThanOrEqual(5);
  });

  it('washes and shrinks only what will be washed', () => {
    const ids = (change: Partial<StepsFor>) => stackSteps({ ...input, ...change }).map(({ id }) => id);
    expect(ids({})).toEqual(expect.arrayContaining(['prewash', 'preshrink']));
    expect(ids({ washed: false })).not.toContain('preshrink');
    expect(ids({ cutAlready: true })).not.toContain('prewash');
  });

  it('floats what must not be hooped, and tells of the moving needle', () => {
    const steps = stackSteps({ ...input, layers: [layer('sticky-cut-away-65-g')], stitched: true, floats: true });
    expect(steps.map(({ title }) => title).join(' ')).toContain('Hoop the sheet alone');
    expect(steps.some(({ safety }) => safety?.includes('needle'))).toBe(true);
  });

  it('gives a step that is pressed for every layer that is fused, whatever the stack', () => {
    for (const material of LIBRARY_LAYERS) {
      const steps = stackSteps({ ...input, layers: [{ material, extent: 'full', angle: 0 }] });
      expect(steps.some(({ kind }) => kind === 'press')).toBe(material.leaflet.seconds > 0 && material.ends !== 'melted');
    }
  });
});
