import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layerMaterial, shoppingQuestion, usualOptions } from '../../src/core/cutlist';
import { starching } from '../../src/core/hoop';
import { keyOfUse, usesOf } from '../../src/core/layers';
import { seamLength, type PieceSpec } from '../../src/core/pieces';
import { compareSeam } from '../../src/core/seams';
import { layerRegions, workOf } from '../../src/core/techniques';
import { openSeeded } from '../../src/server/database';
import { hoopWorkOf } from '../../src/server/hooping-sets';
import { jobOfWork } from '../../src/server/job-work';
import { needsOfStack, shoppingNeeds } from '../../src/server/shopping-needs';
import { tableParts } from '../../src/server/sound-table';
import { cloths } from '../../src/store/cloths';
import { cuts } from '../../src/store/cuts';
import { loadDemo } from '../../src/store/demo';
import { hoopings } from '../../src/store/hoopings';
import { jobs } from '../../src/store/jobs';
import { layers } from '../../src/store/layers';
import { pieces } from '../../src/store/pieces';
import { projects } from '../../src/store/projects';
import { getWorkpiece } from '../../src/store/workpieces';

type Point = [number, number];

/** Area of an outline, mm²: half the sum of its edges' cross products. */
const areaOf = (outline: readonly (readonly [number, number])[]) =>
  Math.abs(outline.reduce((sum, [x, y], i) => sum + x * outline[(i + 1) % outline.length]![1] - y * outline[(i + 1) % outline.length]![0], 0)) / 2; // prettier-ignore

/** How far a path turns at a point, degrees. */
const turnAt = ([ax, ay]: Point, [x, y]: Point, [bx, by]: Point) =>
  (Math.abs(Math.atan2((x - ax) * (by - y) - (y - ay) * (bx - x), (x - ax) * (bx - x) + (y - ay) * (by - y))) * 180) / Math.PI;

/** A convex outline round the origin, counter-clockwise: points of a circle at angles that leave no flat corner, drawn out. */
const convex = fc
  .record({
    gaps: fc.array(fc.double({ min: 0.4, max: 1, noNaN: true }), { minLength: 4, maxLength: 6 }),
    radius: fc.double({ min: 90, max: 240, noNaN: true }),
    wide: fc.double({ min: 0.7, max: 1.5, noNaN: true }),
  })
  .map(({ gaps, radius, wide }): Point[] => {
    const whole = gaps.reduce((a, b) => a + b);
    let turn = 0;
    return gaps.map((gap) => {
      turn += (2 * Math.PI * gap) / whole;
      return [Math.round(radius * wide * Math.cos(turn)), Math.round(radius * Math.sin(turn))];
    });
  })
  // Where unequal allowances meet on a nearly straight edge the line steps square instead of crossing.
  .filter((outline) => outline.every((at, i) => turnAt(outline.at(i - 1)!, at, outline[(i + 1) % outline.length]!) > 40));

/** The convex outline that lies inside another by so much at each edge: every line moved, neighbours crossed. */
function movedIn(outline: readonly Point[], by: readonly number[]): Point[] {
  const lines = outline.map(([x, y], i) => {
    const [u, v] = outline[(i + 1) % outline.length]!;
    const length = Math.hypot(u - x, v - y);
    const [nx, ny] = [-(v - y) / length, (u - x) / length];
    return { nx, ny, c: nx * x + ny * y + by[i]! };
  });
  return lines.map((line, i) => {
    const before = lines[(i + lines.length - 1) % lines.length]!;
    const det = before.nx * line.ny - line.nx * before.ny;
    return [(before.c * line.ny - line.c * before.ny) / det, (before.nx * line.c - line.nx * before.c) / det];
  });
}

/** Length of the first edge of an outline, mm. */
const edge = ([[x, y], [u, v]]: readonly Point[] | [Point, Point]) => Math.hypot(u! - x!, v! - y!);

/** An outline made larger or smaller until its first seam line has a length; its allowances stay. */
function drawnOut(outline: readonly Point[], by: readonly number[], length: number): Point[] {
  let [low, high] = [0.3, 12];
  const at = (scale: number) => outline.map(([x, y]): Point => [x * scale, y * scale]);
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (edge(movedIn(at(middle), by)) < length) low = middle;
    else high = middle;
  }
  return at(low);
}

/** A piece that is cut by an outline. */
const specOf = (outline: readonly Point[], allowances: readonly number[]): PieceSpec => ({
  ...{ shape: { kind: 'drawn', edges: outline.map((from) => ({ from })) }, line: 'cut', fold: null, grain: 0, marks: [] },
  allowances: outline.map((_, i) => allowances[i]!),
});

const FORMS = [
  { materialId: 'light-non-woven-fusible-32-g', extents: ['full', 'trimmed', 'net'] },
  { materialId: 'very-light-non-woven-sew-in-25-g', extents: ['full', 'net'] },
] as const;
/** How far a trimmed layer stays inside the edge, mm: as the settings have it at first. */
const TRIM = 6;
const job = fc.record({
  outline: convex,
  allowances: fc.array(fc.integer({ min: 4, max: 20 }), { minLength: 7, maxLength: 7 }),
  form: fc.integer({ min: 0, max: FORMS.length - 1 }),
  extent: fc.nat(),
  count: fc.integer({ min: 1, max: 7 }),
  pairs: fc.boolean(),
});

describe('one figure, whoever tells it', () => {
  const db = openSeeded(':memory:');
  loadDemo(db, { onlyIfEmpty: false });
  db.prepare('DELETE FROM cut_table').run();
  const was = getWorkpiece(db, 'tq-wc-collar');

  it('a layer’s area is the same in choosing, work, drawing, list, table and sheet, and is what geometry says', () => {
    const { id: _id, version: _version, ...spare } = projects.get(db, was.projectId);
    fc.assert(
      fc.property(job, ({ outline, allowances: all, form, extent: nth, count, pairs }) => {
        const project = projects.insert(db, { ...spare, makes: 1 } as never);
        const allowances = outline.map((_, i) => all[i]!);
        const { materialId, extents } = FORMS[form]!;
        const extent = extents[nth % extents.length]!;
        const shape = { kind: 'drawn', edges: outline.map((from) => ({ from })) };
        const piece = pieces.insert(db, { ...pieces.get(db, was.pieceId), projectId: project.id, name: 'Tab', fold: null, marks: [], line: 'cut', allowances, shape } as never); // prettier-ignore
        const cut = cuts.insert(db, { ...cuts.get(db, was.cutId), pieceId: piece.id, count, pairs, done: false, own: null } as never); // prettier-ignore
        const stack = { ...was.stack!, schools: {}, layers: [{ materialId, extent, angle: 0 }] };
        const of = jobs.insert(db, { ...jobs.get(db, was.id), cutId: cut.id, stack, place: { kind: 'whole' }, cutDone: false } as never); // prettier-ignore
        const work = getWorkpiece(db, of.id);

        const inward = allowances.map((mm) => ({ full: 0, trimmed: Math.min(mm, TRIM), net: mm })[extent]);
        const expected = count * areaOf(movedIn(outline, inward));

        const asked = jobOfWork(db, work)!;
        const { amounts } = workOf(asked);
        const told = amounts.find(({ kind, layer }) => kind === 'area' && layer === 0)!.amount;
        expect(told / expected).toBeCloseTo(1, 3);
        expect((count * layerRegions(asked)[0]!.reduce((sum, each) => sum + areaOf(each), 0)) / told).toBeCloseTo(1, 6);
        const [chosen] = needsOfStack(db, work.id, stack as never);
        const [listed] = shoppingNeeds(db, [project.id]).filter(({ material }) => material.kind === 'layer');
        const laid = [chosen!, listed!].map((need) => ({ items: shoppingQuestion(need, TRIM).list.items, method: need.method }));
        const options = { ...usualOptions(layerMaterial(layers.get(db, materialId)), [], listed!.method), stockIds: [] };
        const onTable = tableParts(db, { ofKind: 'layer', ofId: materialId, options, workIds: [work.id] } as never);
        for (const { items, method } of [...laid, { items: onTable.items, method: options.method }]) {
          expect(method).toBe(listed!.method);
          expect(items.reduce((sum, item) => sum + item.count, 0)).toBe(count);
          const sum = items.reduce((area, item) => area + item.count * areaOf(item.outline), 0);
          // Laid on a sheet the piece itself is what takes room, whole.
          expect(sum / (method === 'cut-first' ? told : count * areaOf(outline))).toBeCloseTo(1, 6);
        }
      }),
      { numRuns: 200, endOnFailure: true },
    );
  });
});

describe('a job at a place of its own', () => {
  it.each<[string, object, string, (sewn: number) => number, number?]>([
    ['a patch behind a mark', { kind: 'patch', at: [0, 0], size: 40 }, 'patch', () => 1600],
    // An opening of 20 mm that nobody measured; 18 mm past it, on fine cloth 10.
    ['a patch that nobody measured', { kind: 'usual' }, 'patch', () => 56 * 56, 150],
    ['the same on fine cloth', { kind: 'usual' }, 'patch', () => 40 * 40, 70],
    ['a strip along one edge', { kind: 'edges', edges: [1], width: 25 }, 'strip', (sewn) => sewn * 25],
  ])('takes as much in its work as is cut for it: %s', (_, place, extent, about, clothWeight) => {
    const db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
    db.prepare('DELETE FROM cut_table').run();
    const was = getWorkpiece(db, 'tq-wc-collar');
    const corners: Point[] = [[-150, -100], [150, -100], [150, 100], [-150, 100]]; // prettier-ignore
    const shape = { kind: 'drawn', edges: corners.map((from) => ({ from })) };
    const piece = pieces.insert(db, { ...pieces.get(db, was.pieceId), name: 'Tab', fold: null, marks: [], line: 'cut', allowances: [10, 10, 10, 10], shape } as never); // prettier-ignore
    const cloth = cloths.get(db, was.clothId!);
    const clothId = cloths.insert(db, { ...cloth, arealDensity: clothWeight ?? cloth.arealDensity }).id;
    const cut = cuts.insert(db, { ...cuts.get(db, was.cutId), pieceId: piece.id, clothId, count: 1, pairs: false, done: false, own: null } as never); // prettier-ignore
    const stack = { ...was.stack!, schools: {}, layers: [{ materialId: 'light-non-woven-fusible-32-g', extent, angle: 0 }] };
    const wish = { ...jobs.get(db, was.id).wish, ...(clothWeight ? { role: 'buttonhole' } : {}) };
    const of = jobs.insert(db, { ...jobs.get(db, was.id), wish, cutId: cut.id, stack, place, cutDone: false } as never);
    const told = workOf(jobOfWork(db, getWorkpiece(db, of.id))!).amounts.find(({ kind }) => kind === 'area')!.amount;
    const [need] = needsOfStack(db, of.id, stack as never);
    const { items } = shoppingQuestion(need!, TRIM).list;
    expect(items.reduce((sum, item) => sum + item.count * areaOf(item.outline), 0) / told).toBeCloseTo(1, 6);
    // The side between the seams, 180 mm, and a little past them.
    expect(Math.abs(told / about(180) - 1)).toBeLessThan(0.2);
  });
});

describe('a seam that is said to fit', () => {
  const side = (length: number) => ({ length, thickness: 0.4, stretch: 2, held: false });

  it('fits when the two pieces are laid right sides together, end on end', () => {
    const said = { fits: 0, not: 0 };
    fc.assert(
      fc.property(
        ...[convex, convex, fc.integer({ min: 4, max: 20 }), fc.integer({ min: 4, max: 20 }), fc.double({ min: 0.98, max: 1.02, noNaN: true })] as const, // prettier-ignore
        (outline, mate, first, second, stretch) => {
          const own = [first, second].map((mm) => new Array<number>(7).fill(mm));
          // The mate is drawn so large that the seam lines of its first edge and of the other's are about equally long.
          const wanted = edge(movedIn(outline, own[0]!));
          const larger = drawnOut(mate, own[1]!, wanted * stretch);
          const lengths = [outline, larger].map((each, i) => seamLength(specOf(each, own[i]!), [0]));
          const { fit } = compareSeam(side(lengths[0]!), side(lengths[1]!), 6);
          // Laid with their first ends on each other, the other ends are as far apart as the two lines differ.
          const [a, b] = [edge(movedIn(outline, own[0]!)), edge(movedIn(larger, own[1]!))];
          const apart = Math.abs(a - b);
          said[fit === 'fits' ? 'fits' : 'not'] += 1;
          expect(fit === 'fits').toBe(apart <= Math.max(2, 0.005 * Math.max(a, b)));
        },
      ),
      { numRuns: 300, endOnFailure: true },
    );
    expect(Math.min(said.fits, said.not)).toBeGreaterThan(30);
  });
});

describe('starch under the hoop', () => {
  const starched = [
    { materialId: 'starch', joined: 'damp' },
    { materialId: 'light-tear-away-30-g', joined: undefined },
  ];
  it('is reckoned by the smallest hoop of the house that holds the motif, then by the one that lies on the cloth, as the hoop has it', () => {
    const db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
    const kept = hoopings.get(db, 'tq-job-banner');
    const banner = getWorkpiece(db, 'tq-ba-panel');
    const uses = layers.list(db).flatMap(usesOf);
    const layerIds = starched.map(({ materialId, joined }) => keyOfUse(uses.find(({ id, use }) => (use?.of ? id.startsWith(materialId) : id === materialId) && use?.join === joined)!)); // prettier-ignore
    const stack = { ...banner.stack!, schools: {}, layers: layerIds.map((materialId) => ({ materialId, extent: 'field', angle: 0 })) }; // prettier-ignore
    const cloth = cloths.insert(db, { ...cloths.get(db, banner.clothId!), arealDensity: 100, water: 'safe' });
    const outline: Point[] = [[0, 0], [900, 0], [900, 900], [0, 900]]; // prettier-ignore
    const shape = { kind: 'drawn', edges: outline.map((from) => ({ from })) };
    const piece = pieces.insert(db, { ...pieces.get(db, banner.pieceId), fold: null, marks: [], line: 'cut', allowances: [10, 10, 10, 10], shape } as never); // prettier-ignore
    const cut = cuts.insert(db, { ...cuts.get(db, banner.cutId), pieceId: piece.id, clothId: cloth.id, count: 1, pairs: false, done: false, own: null } as never); // prettier-ignore
    const wish = { ...jobs.get(db, banner.id).wish, role: 'embroidery', embroidery: { stitches: 4000, width: 120, height: 110 } };
    const of = jobs.insert(db, { ...jobs.get(db, banner.id), wish, cutId: cut.id, stack, place: { kind: 'field', at: [450, 450] }, cutDone: false } as never); // prettier-ignore
    const told = () => workOf(jobOfWork(db, getWorkpiece(db, of.id))!).amounts.find(({ kind }) => kind === 'millilitres')!.amount;
    // 130 × 180 mm of field; outside 180 × 236, and 10 mm more, its corners rounded. Wet is nine tenths of the cloth’s weight.
    const rounds = told() / (((200 * 256) / 1e6) * 100 * 0.9);
    expect(Math.abs(rounds / Math.round(rounds) - 1)).toBeLessThan(0.02);
    const placed = hoopings.insert(db, {
      ...{ ...kept, jobId: of.id, clothId: cloth.id, hoopId: 'tq-hoop-wide', count: 1, run: null, sewn: [], result: null },
      ...{ ground: { ...kept.ground, outline }, hoopPlace: { x: 450, y: 450, angle: 0 } },
      stack: { ...kept.stack!, layers: layerIds.map((materialId) => ({ materialId, angle: 0 })) },
    });
    expect(told()).toBeCloseTo(starching(hoopWorkOf(db, placed))!.millilitres, 6);
    expect(told() / (((242 * 338) / 1e6) * 100 * 0.9)).toBeCloseTo(Math.round(rounds), 1);
  });
});
