import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choose, ROLES, stitchedField, type Part } from '../../src/core/choose';
import { layerMaterial, shoppingLine, shoppingQuestion, type KeptPart, type ShoppingNeed } from '../../src/core/cutlist';
import { asShopsCut, tablePlans } from '../../src/core/cutplan';
import { usedOf } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { cutPlan, latticeLength } from '../../src/core/nesting';
import type { Outline } from '../../src/core/shape';
import { sizedPiece } from '../../src/ui/piece/piece-draft';

const poplin = LIBRARY_CLOTHS.find(({ name }) => name === 'Shirting poplin')!;
const layerOf = new Map(LIBRARY_LAYERS.map((layer) => [layer.id, layer]));

/** What choosing tells to buy for the usual pieces of a role, and what the shopping list says once they are put to a project. */
function figures(part: Part) {
  const { ranked, piece } = choose(poplin, part, LIBRARY_LAYERS, { limit: 6 });
  const { cut: _cut, count: _count, pairs, oneWay, ...spec } = sizedPiece(piece.width, piece.height);
  return ranked.flatMap(({ id, layers, toBuy, needs }) =>
    toBuy.flatMap(({ materialId, length }) => {
      const material = layerOf.get(materialId)!;
      const stack = { layers: layers.map(({ materialId: key, extent }) => ({ ...usedOf(key), extent, angle: 0 })) };
      const work: KeptPart = { ...spec, id: 'w', name: 'w', clothId: null, wish: part, count: piece.count, pairs, oneWay, stack };
      const need: ShoppingNeed = {
        material: layerMaterial(material),
        works: [work],
        stock: [],
        treatment: null,
        method: 'cut-first',
      };
      const { question } = shoppingQuestion(need, 6);
      const line = shoppingLine(need, question && [...tablePlans({ ...question, seconds: 0.02 })].at(-1), 6, 'metric');
      const unfit = needs.layers.some((each) => each.materialId === materialId && each.tooWide !== undefined);
      return [
        {
          told: `${part.role}: ${id}`,
          choosing: asShopsCut(length, 'metric'),
          buying: line.buy,
          unfit,
          misfits: line.misfits,
          grain: material.grain,
        },
      ];
    }),
  );
}

describe('choosing and buying', () => {
  it.each(ROLES)('tell one length for %s', (role) => {
    const all = figures({ role, cut: 'straight', stretch: 'any', care: 'wash-warm' });
    for (const { told, choosing, buying, unfit, misfits } of all) {
      expect([told, unfit]).toEqual([told, misfits > 0]);
      if (!unfit) expect([told, choosing]).toEqual([told, buying]);
    }
  });

  it.each(['waistband', 'whole-panel', 'bag-lining', 'flare-hem', 'hem', 'knit-panel-quilt'] as const)(
    'on the bias the layout of %s is no longer than was told, and not much shorter',
    (role) => {
      for (const { told, choosing, buying, unfit, misfits } of figures({
        role,
        cut: 'bias',
        stretch: 'any',
        care: 'wash-warm',
      })) {
        expect([told, unfit]).toEqual([told, misfits > 0]);
        if (unfit) continue;
        expect(buying, told).toBeLessThanOrEqual(choosing);
        expect(choosing - buying, told).toBeLessThanOrEqual(100);
      }
    },
  );

  it('say so alike where a roll does not hold a piece along its grain', () => {
    const part: Part = { role: 'bag-strap', cut: 'cross', stretch: 'any', care: 'wash-warm' };
    const all = figures(part).filter(({ grain }) => grain);
    expect(all.length).toBeGreaterThan(0);
    for (const { unfit, misfits } of all) expect([unfit, misfits]).toEqual([true, 2]);
  });
});

describe('a lattice of rectangles', () => {
  const rectangle = (w: number, h: number): Outline => [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore

  it('is plain rows when nothing leans', () => {
    // Four side by side on 600; five need a second row.
    expect(latticeLength(100, 250, 4, 600, 5, 0)).toBe(250);
    expect(latticeLength(100, 250, 6, 600, 5, 0)).toBe(505);
    expect(latticeLength(100, 250, 4, 600, 5, 90)).toBeCloseTo(2 * 100 + 5, 9);
    expect(latticeLength(610, 100, 1, 600, 5, 0)).toBeUndefined();
  });

  it('leans the same to both sides', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 300 }), fc.integer({ min: 20, max: 300 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 179 }), (w, h, n, turn) => {
        const [one, other] = [latticeLength(w, h, n, 500, 3, turn), latticeLength(w, h, n, 500, 3, 180 - turn)];
        expect(one === undefined).toBe(other === undefined);
        if (one !== undefined) expect(one).toBeCloseTo(other!, 6);
      }),
    ); // prettier-ignore
  });

  it('holds what it says: never less than the area, one piece by its box, and a search finds nothing that is shorter by more than a quarter', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 300 }), fc.integer({ min: 40, max: 300 }), fc.integer({ min: 1, max: 8 }), (w, h, count) => {
        const length = latticeLength(w, h, count, 600, 4, 45);
        expect(length).toBeDefined();
        expect(length!).toBeGreaterThanOrEqual((w * h * count) / 600 - 1e-6);
        const box = (w + h) / Math.SQRT2;
        if (count === 1) expect(length!).toBeCloseTo(box, 6);
        expect(length!).toBeGreaterThanOrEqual(box - 1e-6);
        const found = cutPlan({ width: 600, gap: 4, pieces: [{ id: 'a', outline: rectangle(w, h), count, rotations: [45] }], seconds: 0.01, seed: 1 }, () => performance.now());
        expect(found.length).toBeGreaterThan(0.75 * length!);
      }),
      { numRuns: 40 },
    ); // prettier-ignore
  });
});

describe('two wide pieces on a roll', () => {
  it('are set upright beside each other where that takes less', () => {
    const outline: Outline = [[0, 0], [900, 0], [900, 600], [0, 600]]; // prettier-ignore
    const plan = (width: number) =>
      cutPlan({ width, gap: 3, pieces: [{ id: 'a', outline, count: 2, rotations: [0, 90] }], seconds: 0.05, seed: 1 }, () =>
        performance.now(),
      );
    // 600 + 3 + 600 across 1400: 900 long. Laid across each would end lower, and both together higher.
    expect(plan(1400).length).toBeCloseTo(900, 6);
    expect(plan(1200).length).toBeCloseTo(1203, 6);
  });
});

describe('the field that is stitched', () => {
  const piece = { width: 500, height: 120 };
  it.each([
    ['the motif, where it is known', { role: 'badge', embroidery: { width: 70, height: 60 } }, { width: 70, height: 60 }],
    ['all of a badge', { role: 'badge' }, piece],
    ['of embroidery as much as it usually takes', { role: 'embroidery' }, { width: 160, height: 120 }],
  ] as const)('is %s', (_, wish, field) => expect(stitchedField(wish, piece)).toEqual(field));
});
