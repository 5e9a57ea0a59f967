import { describe, expect, it } from 'vitest';
import {
  BUY,
  clothMaterial,
  copyName,
  fingerprint,
  foldedItems,
  layerMaterial,
  sourceOutline,
  tableList,
  lengthOffRoll,
  shoppingLine,
  shoppingQuestion,
  tableSources,
  usualOptions,
  type CutItem,
  type KeptPart,
  type ShoppingNeed,
  type StockEntry,
} from '../../src/core/cutlist';
import { tablePlans, type TablePlan } from '../../src/core/cutplan';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { bounds, polygonArea, transformed, type Outline, type Point } from '../../src/core/shape';
import {
  changed,
  lockedPlacements,
  lockKey,
  outlinesOf,
  search,
  tilted,
  turned,
} from '../../src/views/cutting-table/table-state';

const rectangle = (width: number, height: number): Outline => [[0, 0], [width, 0], [width, height], [0, height]]; // prettier-ignore
const leaning: Outline = [[0, 0], [80, 0], [120, 60], [40, 60]]; // prettier-ignore
const item = (id: string, outline: Outline, more: Partial<CutItem> = {}): CutItem => ({
  ...{ id, workId: id, twinOf: null, name: id, outline, holes: [], seam: [], marks: [], count: 1, first: 1, letter: '' },
  ...{ edge: outline, rotations: [0, 180], free: false, flip: false, mirrored: false, grain: 0 },
  ...{ cut: 'straight', oneWay: false, fold: null },
  ...more,
});
const linen = LIBRARY_CLOTHS.find(({ construction, weave }) => construction === 'woven' && weave === 'plain')!;
const fusible = LIBRARY_LAYERS.find(({ family, form }) => family === 'woven' && form === 'fusible')!;
const entry = (id: string, more: Partial<StockEntry>): StockEntry =>
  ({
    id,
    kind: 'roll',
    ofKind: 'cloth',
    ofId: linen.id,
    width: 1400,
    length: 2000,
    count: 1,
    outline: null,
    place: '',
    ...more,
  }) as StockEntry;
const part = (id: string, more: Partial<KeptPart> = {}): KeptPart =>
  ({
    ...{ id, name: id, projectId: 'p', cutDone: false, clothId: linen.id, count: 2, pairs: false, oneWay: false, glueUp: null },
    ...{ wish: { role: 'tab', cut: 'straight', stretch: 'any', care: 'wash-warm' }, stack: null },
    ...{ shape: { kind: 'rectangle', width: 300, height: 200, corners: [false, false, false, false], corner: 0 } },
    ...{ line: 'cut', allowances: [10, 10, 10, 10], fold: null, grain: 0, marks: [] },
    ...more,
  }) as unknown as KeptPart;

describe('cloth that lies folded', () => {
  it('cuts a symmetrical piece as a half at the fold, as often as it is wanted', () => {
    const { items, locked, mirroredBy } = foldedItems([item('front', rectangle(200, 300), { count: 2 })], 5);
    expect(bounds(items[0]!.outline)).toMatchObject({ minX: 0, maxX: 100 });
    expect(polygonArea(items[0]!.outline)).toBeCloseTo(100 * 300, 3);
    expect(locked.map(({ x, y }) => [x, y])).toEqual([[0, 0], [0, 305]]); // prettier-ignore
    expect(mirroredBy).toEqual([]);
  });

  it('cuts a pair once from both layers, and warns of single pieces that come out mirrored', () => {
    const twin = leaning.map(([x, y]): Point => [-x, y]).reverse();
    const pair = foldedItems(
      [item('side', leaning, { count: 3 }), item('sidem', twin, { count: 3, mirrored: true, twinOf: 'side' })],
      0,
    );
    expect(pair.items.map(({ id, count }) => [id, count])).toEqual([['side', 3]]);
    expect(pair.mirroredBy).toEqual([]);
    // Felt goes by the grain line that was drawn, if any, to find out what is a half.
    const drawnLeaning = transformed(rectangle(200, 300), false, 20);
    const felt = foldedItems([item('felt', drawnLeaning, { rotations: [0, 90, 180, 270], free: true, grain: 20 })], 0);
    expect(felt.items[0]).toMatchObject({ id: 'felt/fold', free: false });
    expect(bounds(felt.items[0]!.outline).maxX).toBeCloseTo(100, 6);
    const single = foldedItems([item('flap', leaning, { count: 4 })], 0);
    expect(single.items[0]!.count).toBe(2);
    expect(single.mirroredBy).toEqual(['flap']);
  });
});

describe('what is cut from', () => {
  const material = clothMaterial({ ...linen, rollWidth: 1400, pricePerMetre: 1200 });
  const stock = [
    entry('box', { kind: 'leftover', width: 300, length: 260, outline: [[0, 0], [300, 0], [300, 260]] }), // prettier-ignore
    entry('roll', {}),
    entry('sheet', { kind: 'sheet', width: 500, length: 400, count: 3 }),
  ];
  const options = { ...usualOptions(material, stock), margin: 10, squaring: 30 };

  it('stands in the order in which it is used, less selvedges and squaring, the roll to buy last', () => {
    const sources = tableSources(options, stock, material);
    expect(sources.map(({ source }) => source.id)).toEqual(['box', 'roll', 'sheet#0', 'sheet#1', 'sheet#2', BUY]);
    expect(sources[1]!.source).toMatchObject({ width: 1380, length: 1970 });
    expect(sources[0]!.source.outline).toHaveLength(3);
    expect(sources.at(-1)!.source).toEqual({ id: BUY, width: 1380 });
    expect(bounds(sourceOutline(sources.at(-1)!, 700))).toMatchObject({ maxX: 1380, maxY: 700 });
  });

  it('is only rolls, half as wide, when the cloth lies folded', () => {
    const sources = tableSources({ ...options, folded: true }, stock, material);
    expect(sources.map(({ source }) => source.id)).toEqual(['roll', BUY]);
    expect(sources[0]!.source.width).toBeCloseTo(690, 6);
  });

  it('lies there as it is after it was wetted and has shrunk; unless nothing is to be cut larger or smaller', () => {
    const wetted = { when: 'before' as const, length: 0.1, cross: 0.05 };
    const [box, roll, sheet] = tableSources(options, stock, material, wetted);
    expect(roll!.source).toMatchObject({ width: 0.95 * 1400 - 20, length: 0.9 * 2000 - 30 });
    expect(sheet!.source).toMatchObject({ width: 475, length: 360 });
    expect(bounds(box!.source.outline!)).toMatchObject({ maxX: 285, maxY: 234 });
    // What is cut off the roll is told as it lies in the cupboard.
    expect(lengthOffRoll(900, options, wetted)).toBeCloseTo(1030, 9);
    expect(lengthOffRoll(0, options, wetted)).toBe(0);
    for (const same of [tableSources({ ...options, shrink: false }, stock, material, wetted), tableSources(options, stock, material, { ...wetted, when: 'after' })]) expect(same[1]!.source).toMatchObject({ width: 1380, length: 1970 }); // prettier-ignore
  });

  it('leaves out what is not ticked, and a roll that is shorter than its squaring', () => {
    const short = [...stock.slice(0, 1), entry('roll', { length: 20 })];
    const sources = tableSources({ ...options, stockIds: ['roll'] }, short, material);
    expect(sources.map(({ source }) => source.id)).toEqual([BUY]);
  });
});

describe('a piece on the table', () => {
  const list = [item('side', leaning, { count: 2, rotations: [0, 90, 180] }), item('band', rectangle(200, 50), { flip: true })];
  const [side, band] = list as [CutItem, CutItem];
  const at = (id: string, copy: number, x: number, y: number, more = {}) => ({
    id,
    copy,
    rotation: 0,
    flipped: false,
    x,
    y,
    ...more,
  });
  const source = { source: { id: 'roll', width: 1000 }, fullWidth: 1000, margin: 0 };
  const laid = [
    {
      sourceId: 'roll',
      placements: [at('side', 0, 0, 0), at('side', 1, 150, 0), at('band', 0, 300, 0)],
      length: 60,
      density: 0.1,
    },
  ];

  it('turns through what its grain allows, and flips, about its own middle', () => {
    let placed = at('side', 0, 100, 100);
    const middle = () => {
      const box = bounds(transformed(leaning, placed.flipped, placed.rotation, placed.x, placed.y));
      return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    };
    const before = middle();
    for (const rotation of [90, 180, 0]) {
      placed = turned(placed, side, false);
      expect(placed.rotation).toBe(rotation);
      middle().forEach((value, i) => expect(value).toBeCloseTo(before[i]!, 9));
    }
    expect(turned(at('band', 0, 0, 0), band, true)).toMatchObject({ flipped: true, rotation: 0 });
  });

  it('is tilted about its middle by as much as is asked, and goes on to a turn of its own from there', () => {
    const felt = item('felt', leaning, { rotations: [0, 90], free: true, grain: null });
    let placed = at('felt', 0, 100, 200);
    const middle = () => {
      const box = bounds(transformed(leaning, placed.flipped, placed.rotation, placed.x, placed.y));
      return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    };
    const before = middle();
    for (const [by, rotation] of [
      [5, 5],
      [5, 10],
      [-15, 355],
      [10, 5],
    ] as const) {
      // prettier-ignore
      placed = tilted(placed, felt, by);
      expect(placed.rotation).toBe(rotation);
      middle().forEach((value, i) => expect(value).toBeCloseTo(before[i]!, 9));
    }
    expect(felt.rotations).toContain(turned(placed, felt, false).rotation);
  });

  it('is moved alone, and the length used is measured anew', () => {
    const [next] = changed(laid, { sourceId: 'roll', id: 'side', copy: 1 }, (p) => ({ ...p, y: 500 }), list, [source]);
    expect(next!.length).toBeCloseTo(560, 6);
    expect(next!.placements[0]).toEqual(laid[0]!.placements[0]);
    const area = 2 * polygonArea(leaning) + 200 * 50;
    expect(next!.density).toBeCloseTo(area / (1000 * 560), 9);
    expect(changed(laid, { sourceId: 'other', id: 'side', copy: 1 }, (p) => ({ ...p, y: 9 }), list, [])).toEqual(laid);
  });

  it('stays where it is when it is locked, in what the search is asked', () => {
    const locked = [lockKey('roll', { id: 'side', copy: 1 })];
    expect(lockedPlacements(laid, locked)).toEqual({ roll: [laid[0]!.placements[1]] });
    const asked = search(
      { items: list, faults: [], splits: [], tape: 0, atFold: [at('side/fold', 0, 0, 0)], mirroredBy: [] },
      [source],
      { ...usualOptions(clothMaterial(linen), []), gap: 3, seconds: 2, seed: 9 },
      laid,
      locked,
    );
    expect(asked.locked['roll']!.map(({ id }) => id)).toEqual(['side/fold', 'side']);
    expect([asked.gap, asked.seconds, asked.seed]).toEqual([3, 2, 9]);
    expect(outlinesOf(list).get('band')).toHaveLength(4);
  });

  it('has a number of its own: mirrored halves are numbered on, parts of a layer get letters', () => {
    expect(copyName(item('Hood side', leaning, { first: 4 }), 1)).toBe('Hood side 5');
    expect(copyName(item('Facing', leaning, { letter: 'b' }), 0)).toBe('Facing 1b');
  });

  it('changes the fingerprint of its list when it changes, and only then', () => {
    const print = fingerprint(list);
    expect(fingerprint([...list])).toBe(print);
    expect(fingerprint([item('side', leaning, { count: 3, rotations: [0, 90, 180] }), band])).not.toBe(print);
    const moved = leaning.map(([x, y]): Point => [x + 0.02, y]);
    expect(fingerprint([{ ...side, outline: moved }, band])).not.toBe(print);
  });
});

describe('what to buy', () => {
  const material = clothMaterial({ ...linen, rollWidth: 1400, pricePerMetre: 1200 });
  const last = (need: ShoppingNeed): TablePlan | undefined => {
    const { question } = shoppingQuestion(need, 6);
    return question && [...tablePlans(question)].at(-1);
  };
  const line = (more: Partial<ShoppingNeed> = {}) => {
    const need: ShoppingNeed = { material, works: [part('panel')], stock: [], treatment: null, method: 'cut-first', ...more };
    return shoppingLine(need, last(need), 6, 'metric');
  };

  it('is a length as shops cut it, with its price', () => {
    const { pieces, covered, misfits, buy, cost } = line();
    expect([pieces, covered, misfits]).toEqual([2, 0, 0]);
    // Two pieces of 300 × 200 mm side by side, and 30 mm of squaring: up to the next ten centimetres.
    expect(buy).toBe(300);
    expect(cost).toBe(360);
  });

  it('is nothing when the cupboard covers it, and says what remains there', () => {
    const { covered, buy, remains } = line({ stock: [entry('roll', {})] });
    expect([covered, buy]).toEqual([2, 0]);
    expect(remains).toBeGreaterThan(2000 - 300);
    expect(remains).toBeLessThan(2000 - 200);
  });

  it('grows by what a wetting takes: pieces that are wetted after they are cut, the length where it is wetted before', () => {
    const question = (when?: 'before' | 'after') =>
      shoppingQuestion(
        { ...{ material, works: [part('panel')], stock: [], method: 'cut-first' }, treatment: when ? { when, length: 0.2, cross: 0 } : null },
        6,
      ); // prettier-ignore
    const area = (when?: 'before' | 'after') => polygonArea(question(when).list.items[0]!.outline);
    expect(area('after') / area()).toBeCloseTo(1 / 0.8, 9);
    expect(area('before')).toBeCloseTo(area(), 9);
    // 230 mm are laid with squaring: of a cloth that loses a fifth more has to be bought.
    expect(line({ treatment: { when: 'before', length: 0.28, cross: 0 } }).buy).toBeGreaterThan(line().buy);
    const roll = { stock: [entry('roll', {})] };
    const wetted = line({ ...roll, treatment: { when: 'before', length: 0.2, cross: 0 } });
    expect(line(roll).remains - wetted.remains).toBeGreaterThan(40);
  });

  it('names pieces that fit on no roll, and buys tapes by the metre', () => {
    const wide = { ...part('banner').shape, width: 1600, height: 1500 } as KeptPart['shape'];
    expect(line({ works: [part('banner', { shape: wide, count: 1 })] }).misfits).toBe(1);
    const tape = LIBRARY_LAYERS.find(({ family }) => family === 'stay-tape')!;
    const stack = { title: '', layers: [{ materialId: tape.id, extent: 'strip', angle: 0 }] } as unknown as KeptPart['stack'];
    const bought = line({ material: layerMaterial(tape), works: [part('edge', { stack })] });
    expect(bought.tape).toBeGreaterThan(0);
    expect(bought.buy).toBeGreaterThanOrEqual(bought.tape);
  });

  it('asks for a layer as the table would: mirrored when the glue lies down', () => {
    const stack = {
      title: '',
      layers: [{ materialId: fusible.id, extent: 'trimmed', angle: 0 }],
    } as unknown as KeptPart['stack'];
    const options = usualOptions(layerMaterial(fusible), []);
    const list = (glueUp: boolean) =>
      tableList([part('collar', { stack })], layerMaterial(fusible), { ...options, glueUp }, null, 6);
    expect([list(true).items[0]!.mirrored, list(false).items[0]!.mirrored]).toEqual([false, true]);
  });
});
