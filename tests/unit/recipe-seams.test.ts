import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../src/core/input-error';
import { RECIPES, toldRecipe, type ToldRecipe, type ToldSide } from '../../src/core/recipes';

/** Length of some edges along the points of the sewn line, by plain chords. */
function lengthOf({ pieces }: ToldRecipe, { piece, edges, times = 1 }: ToldSide): number {
  const { sewLine, edges: all } = pieces.find(({ id }) => id === piece)!;
  let sum = 0;
  for (const edge of edges) {
    const [from, to] = all[edge]!;
    for (let i = from; i !== to; i = (i + 1) % sewLine.length) {
      const [a, b] = [sewLine[i]!, sewLine[(i + 1) % sewLine.length]!];
      sum += Math.hypot(b[0] - a[0], b[1] - a[1]);
    }
  }
  return times * sum;
}

const areaOf = (line: readonly (readonly [number, number])[]) =>
  Math.abs(
    line.reduce((sum, [x, y], i) => sum + x * line[(i + 1) % line.length]![1] - line[(i + 1) % line.length]![0] * y, 0) / 2,
  );

/** Evenly: doubles by chance are mostly next to nothing. */
const between = (min: number, max: number) => fc.integer({ min: 0, max: 9973 }).map((k) => min + ((max - min) * k) / 9973);

/** Two diameters and a circumference by chance are no head: these are tried by themselves. */
const onlyRead = (field: string) => ['lengthRead', 'headLength', 'widthRead', 'headWidth'].includes(field);

describe.each(RECIPES.map((kind) => [kind.id, kind] as const))('the recipe of a %s', (_id, kind) => {
  const values = fc.record(
    Object.fromEntries(
      kind.fields.map(({ field, kind: of, start, min, max }) => [
        field,
        onlyRead(field)
          ? fc.constant(start)
          : of === 'yes'
            ? fc.integer({ min: 0, max: 1 })
            : field === 'count'
              ? fc.integer({ min: 1, max: 12 })
              : field === 'gores'
                ? fc.constantFrom(4, 6, 8, 10, 12)
                : between(Math.max(min, start * 0.6), Math.min(max, start * 1.6 + 30)),
      ]),
    ),
  );
  it('fits at every seam, has its edges one after the other, and keeps its cut line outside', () => {
    let made = 0;
    fc.assert(
      fc.property(values, (measures) => {
        let told: ToldRecipe;
        try {
          told = toldRecipe(kind, measures);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
          return;
        }
        made++;
        expect(new Set(told.pieces.map(({ id }) => id)).size).toBe(told.pieces.length);
        for (const { first, second, ease = 0 } of told.seams)
          expect(Math.abs(lengthOf(told, first) - lengthOf(told, second) - ease)).toBeLessThan(0.5);
        for (const { sewLine, cutLine, edges, count } of told.pieces) {
          expect(count).toBeGreaterThan(0);
          expect(areaOf(cutLine)).toBeGreaterThan(areaOf(sewLine) - 0.1);
          // Edges of the outline meet at their ends, all the way round.
          const outer = edges.filter(([from, to]) => Math.hypot(sewLine[from]![0] - sewLine[to]![0], sewLine[from]![1] - sewLine[to]![1]) > 1e-9); // prettier-ignore
          outer.forEach(([, to], i) => {
            const [next] = outer[(i + 1) % outer.length]!;
            expect(Math.hypot(sewLine[to]![0] - sewLine[next]![0], sewLine[to]![1] - sewLine[next]![1])).toBeLessThan(1e-9);
          });
        }
      }),
      { numRuns: 120 },
    );
    expect(made).toBeGreaterThan(20);
  });
});

describe('what recipes come to', () => {
  const made = (id: string, values: Record<string, number>) =>
    toldRecipe(
      RECIPES.find((each) => each.id === id)!,
      values,
    );
  const round = (told: ToldRecipe, piece: number, edge: number) =>
    lengthOf(told, { piece: told.pieces[piece]!.id, edges: [edge] });

  it('a curved waistband is as long above and below as the body, with its overlap', () => {
    const told = made('curved-waistband', { upper: 700, lower: 780, overlap: 30, width: 50, ease: 0 });
    expect(round(told, 0, 2)).toBeCloseTo(730, 0);
    expect(round(told, 0, 0)).toBeCloseTo(810, 0);
    expect(() => made('curved-waistband', { upper: 700, lower: 690 })).toThrow(/^lower/);
  });

  it('a bias binding reaches round its edge, joins taken off, from strips the cloth gives', () => {
    const told = made('bias-binding', { edge: 3000, width: 10, double: 0, clothWidth: 1000, clothLength: 400, allowance: 6 });
    const [strip] = told.pieces;
    const each = round(told, 0, 0);
    // Out of 400 mm of cloth, from edge to edge: its slanted ends lie on both of them, along the grain.
    expect(each).toBeLessThanOrEqual(400 * Math.SQRT2 + 1e-6);
    const { sewLine, edges } = strip!;
    const [from, to] = edges[1]!;
    expect([sewLine[to]![0] - sewLine[from]![0], sewLine[to]![1] - sewLine[from]![1]]).toEqual([expect.closeTo(43, 6), expect.closeTo(43, 6)]); // prettier-ignore
    expect(strip!.count * each - (strip!.count - 1) * 12 * Math.SQRT2).toBeGreaterThanOrEqual(3000 + 12);
  });

  it('a tray’s cores leave every fold its room', () => {
    const told = made('tray', { length: 200, width: 140, height: 40, core: 2 });
    const width = (piece: number) => round(told, piece, 0);
    expect([width(0), width(1), width(2), width(3)]).toEqual([280, 194, 194, 134].map((mm) => expect.closeTo(mm, 6)));
    expect(() => made('tray', { height: 10, core: 8 })).toThrow(/^height/);
  });

  it('a collar’s stand is as long as the neckline with both ends, rises as asked, and its fall meets it between the centre fronts', () => {
    const told = made('collar', { neck: 380, overlap: 20, stand: 30, rise: 14, fall: 42, drop: 25, spread: 12 });
    expect(round(told, 0, 0)).toBeCloseTo(420, 1);
    const [stand, fall] = told.pieces;
    const lower = stand!.sewLine.slice(stand!.edges[0]![0], stand!.edges[0]![1] + 1);
    const lowest = Math.min(...lower.map(([, y]) => y));
    // Both ends lie so much above the middle.
    expect(lower[0]![1] - lowest).toBeCloseTo(14, 1);
    expect(lower.at(-1)![1] - lowest).toBeCloseTo(14, 1);
    // Everywhere as high: each point of the upper edge is 30 mm from the lower line.
    const away = (p: readonly [number, number]) => Math.min(...lower.map(([x, y]) => Math.hypot(x - p[0], y - p[1])));
    for (const edge of [2, 3, 4]) expect(away(stand!.sewLine[stand!.edges[edge]![0]]!)).toBeCloseTo(30, 0);
    const fronts = stand!.marks.filter(({ kind }) => kind === 'centre-front');
    // The centre fronts are a neckline apart, along the curve.
    const at = fronts.map(({ at: p }) => lower.findIndex(([x]) => x >= p[0]));
    const between = lower.slice(Math.min(...at), Math.max(...at) + 1);
    const step = Math.hypot(lower[1]![0] - lower[0]![0], lower[1]![1] - lower[0]![1]);
    const along = between.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - between[i]![0], y - between[i]![1]), 0);
    expect(Math.abs(along - 380)).toBeLessThan(2 * step);
    // The fall: behind as high as asked, its points longer.
    const ys = fall!.sewLine.map(([, y]) => y);
    const [from, to] = fall!.edges[2]!;
    const outerEdge = fall!.sewLine.slice(from, to + 1);
    const middle = outerEdge.reduce((best, p) => (Math.abs(p[0] - round(told, 1, 0) / 2) < Math.abs(best[0] - round(told, 1, 0) / 2) ? p : best)); // prettier-ignore
    expect(middle[1]).toBeCloseTo(42, 0);
    expect(Math.max(...ys)).toBeCloseTo(67, 6);
  });

  it('a button band has its holes evenly, the first and the last where they are wanted; too many are told', () => {
    const told = made('button-band', { length: 500, width: 32, count: 5, first: 20, last: 60 });
    const holes = told.pieces[0]!.marks.filter(({ kind }) => kind === 'buttonhole');
    expect(holes.map(({ at }) => at)).toEqual([480, 375, 270, 165, 60].map((y) => [16, y]));
    expect(() => made('button-band', { length: 500, first: 20, last: 60, count: 40 })).toThrow(/count/);
    expect(() => made('button-band', { count: 2.5 })).toThrow(/count/);
  });

  it('a bag’s gusset goes down one side of a panel, along its base and up the other, with a notch at each corner', () => {
    const told = made('gusset-bag', { width: 300, height: 250, depth: 90, strap: 0, lined: 0 });
    expect(told.pieces.map(({ name }) => name)).toEqual(['Panel', 'Gusset', 'Base']);
    // A firm base stays clear of every seam; the sides of the gusset are no base.
    expect([round(told, 2, 0), round(told, 2, 1)]).toEqual([294, 84]);
    expect(round(told, 1, 0)).toBeCloseTo(800, 9);
    expect(told.pieces[1]!.marks.map(({ at }) => at)).toEqual([[250, 0], [250, 90], [550, 0], [550, 90]]); // prettier-ignore
    expect(told.facts.find(({ words }) => words === 'Holds')!.value).toBe('about 7 l');
  });
});
