import { describe, expect, it } from 'vitest';
import { inscribedRectangle, ironSole, pressPlan, type PressOptions } from '../../src/core/press';
import { bounds, polygonArea, transformed, type Outline } from '../../src/core/shape';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { workSteps, type WorkJob } from '../../src/core/techniques';

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

  it('goes outward from the middle, or to and fro, as was asked', () => {
    const from = (order: PressOptions['order']) =>
      pressPlan({ ...base, order }).stops.map(({ x, y }) => ({ x, y, far: Math.hypot(x - 250, y - 150) }));
    const outward = from('centre-out').map(({ far }) => far);
    outward.slice(1).forEach((far, i) => expect(far).toBeGreaterThanOrEqual(outward[i]! - 1));
    expect(outward.at(-1)!).toBeGreaterThan(outward[0]! + 100);
    // One way: at the end of a row the iron goes on beside it, not back to where the row began.
    const along = from('one-way');
    const widest = Math.max(...along.slice(1).map(({ x, y }, i) => Math.hypot(x - along[i]!.x, y - along[i]!.y)));
    expect(widest).toBeLessThan(120);
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

describe('workSteps', () => {
  const fabric = LIBRARY_CLOTHS.find(({ id }) => id === 'shirting-poplin')!;
  const layer = (id: string) => ({ material: LIBRARY_LAYERS.find((each) => each.id === id)!, extent: 'full' as const, angle: 0 });
  const input: WorkJob = {
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
    const steps = workSteps(input);
    const order = ['prepare', 'cut', 'apply', 'check'];
    const stages = steps.map(({ stage }) => order.indexOf(stage));
    expect(stages).toEqual([...stages].sort((a, b) => a - b));
    expect(steps.find(({ kind }) => kind === 'press')).toMatchObject({ seconds: 12 });
    expect(steps.find(({ kind }) => kind === 'wait')).toMatchObject({ seconds: 300 });
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    expect(steps.at(-1)!.checks!.length).toBeGreaterThanOrEqual(5);
  });

  it('washes and shrinks only what will be washed', () => {
    const ids = (change: Partial<WorkJob>) => workSteps({ ...input, ...change }).map(({ id }) => id);
    expect(ids({})).toEqual(expect.arrayContaining(['prewash', 'preshrink']));
    expect(ids({ washed: false })).not.toContain('preshrink');
    expect(ids({ cutAlready: true })).not.toContain('prewash');
  });

  it('washes a second cloth as cloth is washed; only what carries glue is soaked and kept from the iron', () => {
    const shrunk = (family: string) => {
      const material = LIBRARY_LAYERS.find((each) => each.family === family && each.preShrink)!;
      const steps = workSteps({ ...input, layers: [{ material, extent: 'full', angle: 0 }] });
      return steps.find(({ title }) => title.startsWith('Shrink '))!.detail;
    };
    expect(shrunk('cloth-underlining')).toMatch(/^Wash and dry .* press it smooth/);
    expect(shrunk('woven')).toMatch(/Do not wring or iron/);
  });

  it('presses flat neither beads nor leather before anything is put on', () => {
    const flattened = (change: object) =>
      workSteps({ ...input, fabric: { ...input.fabric, ...change } }).some(({ id }) => id === 'flatten');
    expect(flattened({})).toBe(true);
    for (const change of [
      { surface: ['beaded'] },
      { surface: ['pile'] },
      { weave: 'pile' },
      { construction: 'leather' },
      { construction: 'coated' },
      { ironDots: 0 },
    ])
      expect(flattened(change)).toBe(false);
  });

  it('floats what must not be hooped, and tells of the moving needle', () => {
    const steps = workSteps({ ...input, layers: [layer('sticky-cut-away-65-g')], stitched: true, floats: true });
    expect(steps.map(({ title }) => title).join(' ')).toContain('Hoop the sheet alone');
    expect(steps.some(({ safety }) => safety?.includes('needle'))).toBe(true);
  });

  it('gives a step that is pressed for every layer that is fused, whatever the stack', () => {
    for (const material of LIBRARY_LAYERS) {
      const steps = workSteps({ ...input, layers: [{ material, extent: 'full', angle: 0 }] });
      // A length that was sprayed or soaked is ironed dry in one go.
      const ironed = material.form === 'liquid' && material.family !== 'edge-stiffener';
      expect(steps.some(({ title }) => title.startsWith('Press it dry'))).toBe(ironed);
      if (!ironed)
        expect(steps.some(({ kind }) => kind === 'press')).toBe(material.leaflet.seconds > 0 && material.ends !== 'melted');
    }
  });
});
