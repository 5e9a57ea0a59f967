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

describe.each(RECIPES.map((kind) => [kind.id, kind] as const))('the recipe of a %s', (_id, kind) => {
  const values = fc.record(
    Object.fromEntries(
      kind.fields.map(({ field, kind: of, start, min, max }) => [
        field,
        of === 'yes'
          ? fc.integer({ min: 0, max: 1 })
          : field === 'count'
            ? fc.integer({ min: 1, max: 12 })
            : fc.double({ min: Math.max(min, start * 0.6), max: Math.min(max, start * 1.6 + 1), noNaN: true }),
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
});
