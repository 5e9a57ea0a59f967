import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clothItems, cutPieces, layerItems, type ListedPart } from '../../src/core/cutlist';
import { convertLength, leftoverSource, remains, tablePlans, type Source } from '../../src/core/cutplan';
import { layoutFaults } from '../../src/core/nesting';
import type { Material } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { openPiece, plainPiece } from '../../src/core/pieces';
import {
  bounds,
  difference,
  drawShape,
  intersection,
  polygonArea,
  regionArea,
  SHAPE_KINDS,
  slitOpen,
  transformed,
  type Outline,
  type PieceShape,
} from '../../src/core/shape';
import { judge } from '../layouts/judge';

const woven = LIBRARY_LAYERS.find(({ family, grain }) => family === 'woven' && grain)!;
const tape = LIBRARY_LAYERS.find(({ family }) => family === 'stay-tape')!;
const lopsided: PieceShape = { kind: 'angled', width: 200, height: 100, corners: [false, false, true, false], corner: 60 };

function part(change: Partial<ListedPart> = {}, material: Material = woven): ListedPart {
  return {
    id: 'front',
    name: 'Front',
    piece: plainPiece(lopsided, 10),
    cut: 'straight',
    count: 4,
    pairs: false,
    mirrored: false,
    oneWay: false,
    clothId: 'linen',
    rule: 'top',
    layers: [{ material, extent: 'full' }],
    ...change,
  };
}
const cutFirst = { trim: 6, method: 'cut-first', glueUp: true } as const;
const rectangle = (w: number, h: number): Outline => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];

describe('layerItems', () => {
  it('mirrors a one-sided layer that lies glue side down, and only then', () => {
    const outline = drawShape(lopsided).outline;
    const mirrored = transformed(outline, true, 0).reverse();
    const [up] = layerItems([part()], woven, cutFirst).items;
    expect(up).toMatchObject({ mirrored: false, outline, count: 4, flip: false });
    const [down] = layerItems([part()], woven, { ...cutFirst, glueUp: false }).items;
    expect(down).toMatchObject({ mirrored: true, outline: mirrored });
    const sewIn = { ...woven, id: 'sewn', form: 'sew-in' as const };
    const [either] = layerItems([part({}, sewIn)], sewIn, { ...cutFirst, glueUp: false }).items;
    expect(either).toMatchObject({ mirrored: false, flip: true });
  });

  it('makes left and right of a pair', () => {
    const items = layerItems([part({ pairs: true, count: 5 })], woven, cutFirst).items;
    expect(items.map(({ count, mirrored }) => [count, mirrored])).toEqual([
      [3, false],
      [2, true],
    ]);
    const [left, right] = items;
    expect(polygonArea(intersection([left!.outline], [transformed(right!.outline, true, 0)])[0]!)).toBeCloseTo(
      polygonArea(left!.outline),
      3,
    );
  });

  it('lays whole cloth pieces on the layer when they are fused together first', () => {
    const trimmed = part({ layers: [{ material: woven, extent: 'trimmed' }] });
    const area = (method: 'cut-first' | 'fuse-together' | 'fuse-net') =>
      polygonArea(layerItems([trimmed], woven, { trim: 6, method, glueUp: true }).items[0]!.outline);
    const whole = polygonArea(drawShape(lopsided).outline);
    expect(area('fuse-together')).toBeCloseTo(whole, 6);
    expect(area('cut-first')).toBeLessThan(whole);
    expect(area('fuse-net')).toBeLessThan(area('cut-first'));
  });

  it('measures tapes by the metre, and says what vanishes, splits or cannot be drawn', () => {
    expect(layerItems([part({ layers: [{ material: tape, extent: 'strip' }] })], tape, cutFirst)).toMatchObject({ items: [] });
    expect(layerItems([part({ layers: [{ material: tape, extent: 'strip' }] })], tape, cutFirst).tape).toBeGreaterThan(400);
    const thin = part({ piece: plainPiece({ kind: 'circle', diameter: 15 }, 10), layers: [{ material: woven, extent: 'net' }] });
    expect(layerItems([thin], woven, cutFirst).faults).toEqual([{ workId: 'front', name: 'Front', why: 'vanishes' }]);
    const broken = part({ piece: { ...plainPiece(lopsided, 10), allowances: [1] } });
    expect(layerItems([broken], woven, cutFirst).faults[0]).toMatchObject({ why: 'shape' });
  });

  it('lays a ring with its hollow open for other pieces, mirrored or not', () => {
    const ring: PieceShape = { kind: 'ring', outer: 240, inner: 120 };
    const area = (Math.PI / 4) * (240 ** 2 - 120 ** 2);
    for (const glueUp of [true, false]) {
      const [item] = layerItems([part({ piece: plainPiece(ring, 0) })], woven, { ...cutFirst, glueUp }).items;
      expect(item!.holes).toHaveLength(1);
      expect(polygonArea(item!.holes[0]!)).toBeCloseTo((Math.PI / 4) * 120 ** 2, -2);
      expect(polygonArea(item!.outline) / area).toBeCloseTo(1, 2);
    }
  });

  it('letters the pieces of a layer that splits, and counts the second half of a pair on from the first', () => {
    const waisted: PieceShape = {
      kind: 'drawn',
      edges: ([[0, 0], [100, 0], [100, 40], [60, 50], [100, 60], [100, 100], [0, 100], [0, 60], [40, 50], [0, 40]] as const).map(
        ([x, y]) => ({ from: [x, y] }),
      ), // prettier-ignore
    };
    const split = part({ piece: plainPiece(waisted, 12), layers: [{ material: woven, extent: 'net' }], pairs: true, count: 4 });
    const { items, splits } = layerItems([split], woven, cutFirst);
    expect(splits).toEqual([{ workId: 'front', name: 'Front', pieces: 2 }]);
    expect(items.map(({ letter, first, mirrored }) => [letter, first, mirrored])).toEqual([
      ['a', 1, false],
      ['b', 1, false],
      ['a', 3, true],
      ['b', 3, true],
    ]);
    expect(new Set(items.map(({ id }) => id)).size).toBe(4);
  });

  it('keeps what every mark says, and mirrors its place with the piece', () => {
    const marks = [
      { kind: 'notch', at: [20, 0] },
      { kind: 'buttonhole', at: [30, 40] },
      { kind: 'centre-front', at: [0, 50] },
    ] as const;
    const marked = part({ piece: { ...plainPiece(lopsided, 10), marks: marks.map(({ kind, at }) => ({ kind, at: [...at] })) } });
    const of = (glueUp: boolean) => layerItems([marked], woven, { ...cutFirst, glueUp }).items[0]!.marks;
    expect(of(true)).toEqual(marks);
    expect(of(false).map(({ kind }) => kind)).toEqual(marks.map(({ kind }) => kind));
    expect(of(false)[1]!.at).toEqual([-30, 40]);
  });

  it('draws no seams past a patch, and only the marks that lie in it', () => {
    const marks = [
      { kind: 'buttonhole', at: [100, 50] },
      { kind: 'notch', at: [0, 50] },
    ] as const;
    const piece = {
      ...plainPiece(lopsided, 10),
      marks: marks.map(({ kind, at }) => ({ kind, at: [...at] as [number, number] })),
    };
    const of = (extent: 'patch' | 'trimmed' | 'net' | 'full') =>
      layerItems([part({ piece, layers: [{ material: woven, extent }] })], woven, cutFirst).items[0]!;
    expect(of('patch')).toMatchObject({ seam: [], marks: [marks[0]] });
    for (const extent of ['trimmed', 'net', 'full'] as const) {
      expect(of(extent).seam, extent).toHaveLength(1);
      expect(of(extent).marks, extent).toHaveLength(2);
    }
  });

  it('leans every turn the other way when a piece is seen from behind', () => {
    const bias = part({ cut: 'bias' });
    const turns = (glueUp: boolean) => layerItems([bias], woven, { ...cutFirst, glueUp }).items[0]!.rotations;
    expect(
      turns(false)
        .map((turn) => (360 - turn) % 360)
        .sort((a, b) => a - b),
    ).toEqual([...turns(true)].sort((a, b) => a - b));
    const grain = (glueUp: boolean) =>
      layerItems([part({ piece: { ...plainPiece(lopsided, 10), grain: 30 } })], woven, { ...cutFirst, glueUp }).items[0]!.grain;
    expect([grain(true), grain(false)]).toEqual([30, -30]);
  });

  it('takes only the layer that is asked for', () => {
    expect(layerItems([part()], tape, cutFirst).items).toEqual([]);
  });
});

describe('clothItems', () => {
  const linen = { construction: 'woven' as const, surface: [] };
  it('enlarges by what the cloth shrinks and keeps a print one way up', () => {
    const [item] = clothItems([part({ oneWay: true })], linen, { length: 0.04, cross: 0 }).items;
    expect(bounds(item!.outline).maxY).toBeCloseTo(100 / 0.96, 6);
    expect(bounds(item!.outline).maxX).toBeCloseTo(200, 6);
    expect(item).toMatchObject({ rotations: [0], flip: false });
  });

  it('enlarges along the length of the cloth, however the grain of the piece lies to it', () => {
    const shrinkage = { length: 0.04, cross: 0 };
    const [across] = clothItems([part({ cut: 'cross' })], linen, shrinkage).items;
    expect(across!.rotations).toEqual([90, 270]);
    expect(bounds(across!.outline).maxX).toBeCloseTo(200 / 0.96, 6);
    expect(bounds(across!.outline).maxY).toBeCloseTo(100, 6);
    // Both diagonals are bias, but only one is what the arrow on paper shows.
    expect(clothItems([part({ cut: 'bias' })], linen, shrinkage).items[0]!.rotations).toEqual([315, 135]);
    // Laid as it may lie, the length of the cloth is what has grown, by any turn.
    for (const cut of ['straight', 'cross', 'bias'] as const) {
      const [plain] = clothItems([part({ cut })], linen, { length: 0, cross: 0 }).items;
      const [grown] = clothItems([part({ cut })], linen, shrinkage).items;
      const size = ({ outline }: { outline: Outline }, turn: number) => bounds(transformed(outline, false, turn));
      for (const turn of grown!.rotations) {
        const [before, after] = [size(plain!, turn), size(grown!, turn)];
        expect((after.maxY - after.minY) / (before.maxY - before.minY)).toBeCloseTo(1 / 0.96, 6);
        expect(after.maxX - after.minX).toBeCloseTo(before.maxX - before.minX, 6);
      }
    }
  });

  it('enlarges an opening as it does the piece', () => {
    const ring = part({ piece: plainPiece({ kind: 'ring', outer: 300, inner: 200 }, 0) });
    const [item] = clothItems([ring], linen, { length: 0.04, cross: 0.1 }).items;
    const hole = bounds(item!.holes[0]!);
    expect(hole.maxY - hole.minY).toBeCloseTo(200 / 0.96, 1);
    expect(hole.maxX - hole.minX).toBeCloseTo(200 / 0.9, 1);
  });

  it('lets felt lie freely as long as it shrinks evenly', () => {
    const felt = { construction: 'nonwoven' as const, surface: [] };
    const itemOf = (cross: number) => clothItems([part()], felt, { length: 0.04, cross }).items[0]!;
    expect(itemOf(0.04).free).toBe(true);
    expect(itemOf(0.01)).toMatchObject({ free: false, rotations: [0, 180] });
  });
});

describe('slitOpen', () => {
  it('opens a ring so that its area stays and its hollow can be used', () => {
    const ring = openPiece(plainPiece({ kind: 'ring', outer: 300, inner: 200 }, 0));
    const open = slitOpen(
      ring.outline,
      ring.holes.map((hole) => hole.outline),
    );
    const whole = polygonArea(ring.outline) - polygonArea(ring.holes[0]!.outline);
    expect(Math.abs(polygonArea(open) - whole)).toBeLessThan(2);
    const disc = { id: 'disc', outline: drawShape({ kind: 'circle', diameter: 190 }).outline, count: 1, rotations: [0] };
    let last;
    for (const plan of tablePlans({
      sources: [{ id: 'roll', width: 310 }],
      pieces: [{ id: 'ring', outline: open, count: 1, rotations: [0] }, disc],
      gap: 1,
      seconds: 0.2,
      seed: 1,
    }))
      last = plan;
    expect(last!.laid[0]!.length).toBeLessThan(301);
  });
});

describe('tablePlans', () => {
  const pieces = [
    { id: 'strap', outline: rectangle(140, 40), count: 6, rotations: [0, 180] },
    { id: 'panel', outline: rectangle(260, 180), count: 2, rotations: [0, 180] },
  ];
  const sources: Source[] = [
    leftoverSource('box', [
      [10, 20],
      [310, 20],
      [310, 140],
      [160, 240],
      [10, 240],
    ]),
    { id: 'roll', width: 500 },
  ];
  const run = (options: Partial<Parameters<typeof tablePlans>[0]> = {}) => {
    const all = [...tablePlans({ sources, pieces, gap: 2, seconds: 0.4, seed: 2, ...options })];
    return all.at(-1)!;
  };

  it('uses the leftover first and lays the rest on the roll, every copy once', () => {
    const plan = run();
    expect(plan.unplaced).toEqual([]);
    expect(plan.laid.map(({ sourceId }) => sourceId)).toEqual(['box', 'roll']);
    const every = plan.laid.flatMap(({ placements }) => placements.map(({ id, copy }) => `${id} ${copy}`));
    expect(every).toHaveLength(8);
    expect(new Set(every).size).toBe(8);
    for (const [i, { placements, length, density }] of plan.laid.entries()) {
      const there = pieces.map((piece) => ({ ...piece, count: placements.filter(({ id }) => id === piece.id).length }));
      const renamed = placements.map((placement, k) => ({
        ...placement,
        copy: placements.slice(0, k).filter(({ id }) => id === placement.id).length,
      }));
      expect(judge(sources[i]!.width, 2, there, { placements: renamed, length, density, unplaced: [] })).toEqual([]);
    }
  });

  it('hands on every step in the form in which it can be kept', () => {
    for (const { laid } of tablePlans({ sources, pieces, gap: 2, seconds: 0.2, seed: 2 }))
      for (const each of laid) expect(Object.keys(each).sort()).toEqual(['density', 'length', 'placements', 'sourceId']);
  });

  it('lays everything once it is told that it is enough', () => {
    const told = run({ seconds: 30, enough: () => true });
    expect(told.unplaced).toEqual([]);
    expect(told.laid.flatMap(({ placements }) => placements)).toHaveLength(8);
  });

  it('says what finds no place when there is no roll', () => {
    const plan = run({ sources: [sources[0]!] });
    expect(plan.unplaced.length).toBeGreaterThan(1);
    expect(plan.laid[0]!.placements.length + plan.unplaced.length).toBe(8);
  });

  it('leaves locked copies where they are', () => {
    const locked = [{ id: 'panel', copy: 1, rotation: 180, flipped: false, x: 400, y: 500 }];
    const plan = run({ locked: { roll: locked } });
    expect(plan.laid.find(({ sourceId }) => sourceId === 'roll')!.placements).toContainEqual(locked[0]);
    expect(plan.unplaced).toEqual([]);
  });
});

describe('remains', () => {
  it('keeps what is large enough, never any of what was cut', () => {
    const cloth = rectangle(500, 400);
    const cut = [rectangle(200, 380), transformed(drawShape({ kind: 'circle', diameter: 120 }).outline, false, 0, 380, 100)];
    const { kept, waste } = remains(cloth, cut, 150 * 100);
    expect(kept.length).toBeGreaterThan(0);
    const area = kept.reduce((sum, each) => sum + polygonArea(each.outline), 0);
    for (const { outline } of kept) {
      expect(regionArea(intersection([outline], cut))).toBeLessThan(1e-6);
      expect(regionArea(difference(outline, [cloth]))).toBeLessThan(1);
    }
    const whole = 500 * 400 - 200 * 380 - polygonArea(cut[1]!);
    expect(area + waste).toBeGreaterThan(0.985 * whole);
    expect(area + waste).toBeLessThan(1.01 * whole);
  });

  it('keeps nearly all of a round leftover, however finely it is drawn, in few corners', () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 900 }), fc.integer({ min: 150, max: 500 }), (corners, radius) => {
        const round: Outline = Array.from({ length: corners }, (_, i) => {
          const t = (2 * Math.PI * i) / corners;
          return [radius * Math.cos(t), radius * Math.sin(t)];
        });
        const { kept, waste } = remains(round, [], 1000);
        expect(kept).toHaveLength(1);
        expect(kept[0]!.area).toBeCloseTo(polygonArea(kept[0]!.outline), 6);
        expect(kept[0]!.area).toBeGreaterThan(0.985 * polygonArea(round));
        expect(kept[0]!.outline.length).toBeLessThan(120);
        expect(waste).toBeLessThan(0.02 * polygonArea(round));
      }),
      { numRuns: 40 },
    );
  });

  it('never claims cloth that was cut, whatever was cut of it', () => {
    const side = fc.integer({ min: 20, max: 260 });
    const at = fc.integer({ min: -40, max: 520 });
    const shape = fc
      .tuple(fc.constantFrom('rectangle', 'circle', 'half-moon', 'collar' as const), side, side, at, at)
      .map(([kind, w, h, x, y]): Outline => {
        const { outline } =
          kind === 'rectangle'
            ? { outline: rectangle(w, h) }
            : kind === 'circle'
              ? drawShape({ kind, diameter: w })
              : drawShape(SHAPE_KINDS.find((each) => each.kind === kind)!.start as PieceShape);
        return transformed(outline, false, w, x, y);
      });
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 5 }), (cut) => {
        const cloth = rectangle(600, 500);
        const { kept, waste } = remains(cloth, cut, 60 * 60);
        for (const { outline, area } of kept) {
          expect(regionArea(intersection([outline], cut))).toBeLessThan(1);
          expect(regionArea(difference(outline, [cloth]))).toBeLessThan(1);
          expect(area).toBeCloseTo(polygonArea(outline), 6);
        }
        // What is kept and what is wasted is what there was.
        const sum = kept.reduce((all, { area }) => all + area, 0) + waste;
        expect(sum / Math.max(1, regionArea(difference(cloth, cut)))).toBeLessThan(1.001);
        expect(sum).toBeGreaterThan(regionArea(difference(cloth, cut)) - 1);
      }),
      { numRuns: 60 },
    );
  });

  it('throws slivers away', () => {
    const { kept, waste } = remains(rectangle(500, 400), [rectangle(480, 400)], 100);
    expect(kept).toEqual([]);
    expect(waste).toBeCloseTo(20 * 400, 0);
  });
});

describe('convertLength', () => {
  it('gives the same area and a margin', () => {
    expect(convertLength(600, 500, 900).length).toBeCloseTo((600 * 500 * 1.1) / 900, 9);
    expect(convertLength(600, 900, 450).margin).toBeCloseTo(0.2, 9);
    expect(() => convertLength(0, 500, 900)).toThrow(/^length: /);
  });
});

describe('layoutFaults', () => {
  it('names what a piece lies on, and whether it leaves the cloth', () => {
    const outlines = new Map([['a', rectangle(100, 50)]]);
    const at = (x: number, y: number, copy: number) => ({ id: 'a', copy, rotation: 0, flipped: false, x, y });
    const placements = [at(0, 0, 0), at(50, 20, 1), at(200, 0, 2), at(450, 0, 3)];
    const faults = (only: number) => layoutFaults({ placements, outlines, gap: 0, width: 500, length: 400, only });
    expect(faults(0)).toEqual([{ kind: 'overlap', index: 0, other: 1, by: 50 * 30 }]);
    expect(faults(1)).toEqual([{ kind: 'overlap', index: 1, other: 0, by: 50 * 30 }]);
    expect(faults(2)).toEqual([]);
    expect(faults(3)).toEqual([{ kind: 'outside', index: 3, by: 50 }]);
    const cloth = leftoverSource('l', [[0, 0], [500, 0], [500, 400], [120, 400]]).outline!; // prettier-ignore
    const onCloth = layoutFaults({ placements: [at(0, 0, 0)], outlines, gap: 0, width: 500, length: 400, cloth });
    expect(onCloth).toEqual([{ kind: 'outside', index: 0, by: expect.closeTo(0.5 * 50 * 15, 6) }]);
    expect(layoutFaults({ placements, outlines, gap: 60, width: 600, length: 400, only: 2 })).toEqual([
      { kind: 'gap', index: 2, other: 1, by: 50 },
    ]);
  });
});

it('hands the search what it needs', () => {
  const [piece] = cutPieces(layerItems([part()], woven, cutFirst).items);
  expect(Object.keys(piece!).sort()).toEqual(['count', 'flip', 'id', 'outline', 'rotations']);
});

it('asks the search for fewer turns of free pieces the more there are', () => {
  const felt = { ...woven, grain: false };
  const turnsOf = (count: number) => {
    const { items } = layerItems([part({ count })], felt, cutFirst);
    expect(items[0]!.free).toBe(true);
    return cutPieces(items)[0]!.rotations;
  };
  const all = turnsOf(4);
  expect(all.slice(0, 4)).toEqual([0, 90, 180, 270]);
  expect(turnsOf(16)).toEqual(all.slice(0, 8));
  expect(turnsOf(30)).toEqual([0, 90, 180, 270]);
  const [strict] = cutPieces(layerItems([part({ count: 30 })], woven, cutFirst).items);
  expect(strict!.rotations).toEqual([0, 180]);
});
