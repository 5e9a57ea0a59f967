import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leftoverSource, remains, tablePlans, type Laid, type Source } from '../../src/core/cutplan';
import type { NestPiece } from '../../src/core/nesting';
import {
  difference,
  drawShape,
  grownBy,
  intersection,
  polygonArea,
  regionArea,
  SHAPE_KINDS,
  transformed,
  type Outline,
  type PieceShape,
} from '../../src/core/shape';

const rectangle = (w: number, h: number): Outline => [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore
const size = fc.integer({ min: 30, max: 260 });

const anyShape: fc.Arbitrary<Outline> = fc.oneof(
  fc.tuple(size, size).map(([w, h]) => rectangle(w, h)),
  size.map((diameter) => drawShape({ kind: 'circle', diameter }).outline),
  fc
    .constantFrom(...SHAPE_KINDS.filter(({ kind }) => ['half-moon', 'collar', 'trapezium', 'sector'].includes(kind)))
    .map(({ start }) => drawShape(start as PieceShape).outline),
);
const anyPieces: fc.Arbitrary<NestPiece[]> = fc
  .array(
    fc.record({
      outline: anyShape,
      count: fc.integer({ min: 1, max: 3 }),
      rotations: fc.constantFrom([0], [0, 180], [0, 90, 180, 270], [45, 225]),
      flip: fc.boolean(),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((pieces) => pieces.map((piece, i) => ({ id: `p${i}`, ...piece })));

/** Leftovers of any outline and sheets, then perhaps a roll: with an end, or as long as needed. */
const anySources: fc.Arbitrary<Source[]> = fc
  .record({
    leftovers: fc.array(fc.tuple(anyShape, fc.integer({ min: 1, max: 3 })), { maxLength: 2 }),
    sheets: fc.array(fc.tuple(size, size), { maxLength: 2 }),
    roll: fc.constantFrom('none', 'short', 'endless' as const),
    width: fc.integer({ min: 200, max: 700 }),
  })
  .map(({ leftovers, sheets, roll, width }) => [
    ...leftovers.map(([outline, larger], i) =>
      leftoverSource(
        `leftover${i}`,
        outline.map(([x, y]) => [larger * x, larger * y]),
      ),
    ),
    ...sheets.map(([w, h], i) => ({ id: `sheet${i}`, width: 2 * w, length: 2 * h })),
    ...(roll === 'none' ? [] : [{ id: 'roll', width, ...(roll === 'short' ? { length: 400 } : {}) }]),
  ]);

/** Where everything of a piece lies, by source. */
const outlinesOf = (pieces: readonly NestPiece[], { placements }: Laid): Outline[] =>
  placements.map(({ id, rotation, flipped, x, y }) =>
    transformed(pieces.find((piece) => piece.id === id)!.outline, flipped, rotation, x, y),
  );
const clothOf = ({ outline, width, length }: Source): Outline => outline ?? rectangle(width, length ?? 100_000);

describe('any pieces on any cloths', () => {
  it('lie on them whole, apart, in turns that are theirs, each once or told to be left over', () => {
    fc.assert(
      fc.property(anyPieces, anySources, fc.integer({ min: 0, max: 6 }), (pieces, sources, gap) => {
        const plan = [...tablePlans({ sources, pieces, gap, seconds: 0.05, seed: 1 })].at(-1);
        const { laid, unplaced } = plan ?? { laid: [], unplaced: [] };
        const told = [...laid.flatMap(({ placements }) => placements), ...unplaced].map(({ id, copy }) => `${id} ${copy}`);
        expect(told.sort()).toEqual(
          pieces.flatMap(({ id, count }) => Array.from({ length: count }, (_, copy) => `${id} ${copy}`)).sort(),
        );
        for (const each of laid) {
          const source = sources.find(({ id }) => id === each.sourceId)!;
          const outlines = outlinesOf(pieces, each);
          outlines.forEach((outline, i) => {
            expect(regionArea(difference(outline, [clothOf(source)]))).toBeLessThan(0.5);
            for (const other of outlines.slice(i + 1)) {
              expect(regionArea(intersection([outline], [other]))).toBeLessThan(0.5);
              if (gap > 0) expect(regionArea(intersection(grownBy([outline], gap - 0.1), [other]))).toBeLessThan(0.5);
            }
          });
          for (const { id, rotation, flipped } of each.placements) {
            const piece = pieces.find((own) => own.id === id)!;
            expect(piece.rotations).toContain(rotation);
            if (!piece.flip) expect(flipped).toBe(false);
          }
          // What the table reports is what lies there.
          const top = Math.max(0, ...outlines.flat().map(([, y]) => y));
          expect(each.length).toBeCloseTo(top, 6);
        }
        // A piece that a roll without an end can take is never left over.
        if (sources.some(({ id, length }) => id === 'roll' && length === undefined))
          for (const { id } of unplaced) {
            const piece = pieces.find((own) => own.id === id)!;
            const widths = piece.rotations.map((turn) => {
              const xs = transformed(piece.outline, false, turn).map(([x]) => x);
              return Math.max(...xs) - Math.min(...xs);
            });
            expect(Math.min(...widths)).toBeGreaterThan(sources.find((source) => source.id === 'roll')!.width - 1e-6);
          }
      }),
      { numRuns: 25 },
    );
  });

  it('leave what can be cut out and kept: never more than there is', () => {
    fc.assert(
      fc.property(anyPieces, anySources, (pieces, sources) => {
        const plan = [...tablePlans({ sources, pieces, gap: 2, seconds: 0.05, seed: 3 })].at(-1);
        for (const each of plan?.laid ?? []) {
          const source = sources.find(({ id }) => id === each.sourceId)!;
          const cloth = source.outline ?? rectangle(source.width, source.length ?? each.length);
          if (polygonArea(cloth) < 1) continue;
          const cut = outlinesOf(pieces, each);
          const { kept, waste } = remains(cloth, cut, 50 * 50);
          const sum = kept.reduce((all, { area }) => all + area, 0) + waste;
          expect(sum).toBeCloseTo(regionArea(difference(cloth, cut)), -1);
          for (const { outline } of kept) expect(regionArea(intersection([outline], cut))).toBeLessThan(1);
        }
      }),
      { numRuns: 15 },
    );
  });
});
