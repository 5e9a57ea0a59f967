import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  fall,
  FALL_STEPS_PER_SECOND,
  flaredNet,
  layFlared,
  readFlared,
  type FlaredShape,
  type HemBraid,
  type SheetCloth,
} from '../../src/core/drape';

const CLOTH: SheetCloth = { bendingLength: 22, shearStiffness: 40, arealDensity: 150 };
const BRAID: HemBraid = { width: 25, arealDensity: 60, rigidity: 900 };

/** Hangs a flare until it is still, or for two seconds. */
function hung(
  shape: FlaredShape,
  { cloth = CLOTH, braid = null as HemBraid | null, net = flaredNet(shape), seed = 1, seconds = 2 } = {},
) {
  const sheet = layFlared(cloth, shape, net.rows, net.columns, braid, seed);
  for (let k = 0; k < 10 * seconds; k++) if (fall(sheet, FALL_STEPS_PER_SECOND / 10) < 8 && k > 10) break;
  return { sheet, ...readFlared(sheet) };
}
/** How far the hem is from the axis, mm. */
const hemOut = (shape: FlaredShape, found: { standsOut: number }) => shape.waist / (2 * Math.PI) + found.standsOut;

const PEPLUM = { circles: 1, waist: 500, length: 200 };

describe('a flare that hangs from its waist', () => {
  it('keeps the length of its threads within one per cent, whatever it is made of', () => {
    fc.assert(
      fc.property(
        fc.record({
          circles: fc.constantFrom(0.5, 1, 1.5, 2),
          waist: fc.integer({ min: 400, max: 700 }),
          length: fc.integer({ min: 120, max: 300 }),
          behind: fc.constantFrom(0, 0, 80),
        }),
        fc.integer({ min: 12, max: 45 }),
        fc.boolean(),
        (shape, bendingLength, stiffened) => {
          const found = hung(shape, {
            cloth: { ...CLOTH, bendingLength },
            braid: stiffened ? BRAID : null,
            net: { rows: 6, columns: 48 },
          });
          expect(found.stretch).toBeLessThan(0.01);
          // Nothing hangs deeper than it is long, or inside the body.
          expect(found.depth.greatest).toBeLessThan(1.01 * (shape.length + shape.behind));
          expect(found.standsOut).toBeGreaterThan(-1);
        },
      ),
      { numRuns: 5 },
    );
  });

  it('stands out further the more circles it has, and the stiffer it is', () => {
    const out = [0.5, 1, 2, 3].map((circles) => hung({ ...PEPLUM, circles }).standsOut);
    expect(out).toEqual([...out].sort((a, b) => a - b));
    expect(out[3]! - out[0]!).toBeGreaterThan(20);
    const soft = hung(PEPLUM, { cloth: { ...CLOTH, bendingLength: 12 } });
    const firm = hung(PEPLUM, { cloth: { ...CLOTH, bendingLength: 40 } });
    expect(firm.standsOut).toBeGreaterThan(soft.standsOut + 20);
    expect(firm.folds).toBeLessThan(soft.folds);
  });

  it('hangs no lower with a braid in its hem, and stands out further', () => {
    for (const length of [160]) {
      const shape = { ...PEPLUM, length };
      const [bare, braided] = [hung(shape), hung(shape, { braid: BRAID })];
      expect(braided.depth.mean).toBeLessThan(bare.depth.mean + 0.5);
      expect(braided.standsOut).toBeGreaterThan(bare.standsOut);
      expect(braided.folds).toBeLessThanOrEqual(bare.folds);
    }
  });

  it('stands out further with a wider braid of the same stuff, also one that is wider than a row of the net', () => {
    const out = [0, 20, 60, 120].map(
      (width) => hung({ ...PEPLUM, length: 280 }, { braid: width > 0 ? { ...BRAID, width } : null }).standsOut,
    );
    expect(out).toEqual([...out].sort((a, b) => a - b));
    expect(out[3]! - out[1]!).toBeGreaterThan(15);
  });

  it('has its hem within five per cent as far out in a finer net', () => {
    const { rows, columns } = flaredNet(PEPLUM);
    const as = hemOut(PEPLUM, hung(PEPLUM, { net: { rows, columns } }));
    const finer = hemOut(PEPLUM, hung(PEPLUM, { net: { rows: rows + 2, columns: 4 * Math.round((1.4 * columns) / 4) } }));
    expect(Math.abs(finer / as - 1)).toBeLessThan(0.05);
  });

  it('without weight to speak of keeps its flat shape: a full circle lies level, half a circle is its cone', () => {
    const board = { ...CLOTH, bendingLength: 900, shearStiffness: 1e5 };
    const flat = hung({ circles: 1, waist: 500, length: 120 }, { cloth: board, net: { rows: 5, columns: 48 }, seconds: 1 });
    expect(flat.standsOut).toBeGreaterThan(0.97 * 120);
    expect(flat.folds).toBe(0);
    const cone = hung({ circles: 0.5, waist: 500, length: 120 }, { cloth: board, net: { rows: 5, columns: 48 }, seconds: 1 });
    // A cone of half a circle leaves its axis by 30°.
    expect(Math.abs(cone.standsOut - 60)).toBeLessThan(3);
  });

  it('falls the same way every time it is hung, and another way with another unevenness', () => {
    const once = hung(PEPLUM).sheet.position;
    expect(hung(PEPLUM).sheet.position).toEqual(once);
    expect(hung(PEPLUM, { seed: 2 }).sheet.position).not.toEqual(once);
  });

  it('is longer behind by what was asked', () => {
    const { sheet, depth } = hung({ ...PEPLUM, behind: 100 });
    const hem = sheet.rows * sheet.columns;
    const at = (column: number) => -sheet.position[3 * (hem + column) + 2]!;
    expect(at(sheet.columns / 2) - at(0)).toBeGreaterThan(70);
    expect(depth.greatest).toBeLessThan(301);
  });

  it.each([
    ['circles', { circles: 13 }, 8, 48],
    ['waist', { waist: 0 }, 8, 48],
    ['length', { length: Number.NaN }, 8, 48],
    ['behind', { behind: -1 }, 8, 48],
    ['rows', {}, 3, 48],
    ['columns', {}, 8, 25.5],
  ])('refuses %s that cannot be', (field, wrong, rows, columns) => {
    expect(() => layFlared(CLOTH, { ...PEPLUM, ...wrong }, rows, columns)).toThrow(new RegExp(`^${field}`));
  });
});
