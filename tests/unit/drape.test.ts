import { describe, expect, it } from 'vitest';
import { layFlat, readDrape, settle, setCloth, shearStiffness, type DrapeSheet, type Support } from '../../src/core/drape';
import { LIBRARY_LAYERS } from '../../src/core/library';

const cloth = (bendingLength: number) => ({ bendingLength, shearStiffness: 40, arealDensity: 150 });
const SIZE = 400;

function draped(bendingLength: number, support: Support, cells: number): DrapeSheet {
  const sheet = layFlat(cloth(bendingLength), support, SIZE, cells);
  settle(sheet, 2.5);
  return sheet;
}

/** Node in the given row and column. */
function node({ position, cells }: DrapeSheet, row: number, column: number): [number, number, number] {
  const i = 3 * (row * (cells + 1) + column);
  return [position[i]!, position[i + 1]!, position[i + 2]!];
}

describe('drape of a square', () => {
  const round = draped(40, 'round', 16);
  const corner = draped(40, 'corner', 16);

  it('keeps every thread as long as it is', () => {
    expect(readDrape(round).stretch).toBeLessThan(0.005);
    expect(readDrape(corner).stretch).toBeLessThan(0.005);
    expect(readDrape(draped(15, 'round', 18)).stretch).toBeLessThan(0.01);
  });

  it('is its own mirror image', () => {
    for (let row = 0; row <= 16; row++) {
      for (let column = 0; column <= 16; column++) {
        const [x, y, z] = node(round, row, column);
        const [mx, my, mz] = node(round, row, 16 - column);
        expect(Math.hypot(x + mx, y - my, z - mz)).toBeLessThan(1e-6);
        const [tx, ty, tz] = node(round, column, row);
        expect(Math.hypot(x - ty, y - tx, z - tz)).toBeLessThan(1e-6);
        const [cx, cy, cz] = node(corner, row, column);
        const [sx, sy, sz] = node(corner, column, row);
        expect(Math.hypot(cx - sy, cy - sx, cz - sz)).toBeLessThan(1e-6);
      }
    }
  });

  it('hangs below its support and never inside the table', () => {
    for (let row = 0; row <= 16; row++) {
      for (let column = 0; column <= 16; column++) {
        const [x, y, z] = node(corner, row, column);
        expect(z).toBeLessThan(20);
        expect(x < -1e-6 && y < -1e-6 && z < -1e-6).toBe(false);
      }
    }
    expect(readDrape(corner).depth).toBeGreaterThan(100);
  });

  it('comes to the same drape as the net is refined', () => {
    for (const support of ['round', 'corner'] as const) {
      const shadows = [16, 18, 22].map((cells) => readDrape(draped(60, support, cells)).shadow);
      const finest = shadows[shadows.length - 1]!;
      for (const shadow of shadows) expect(Math.abs(shadow / finest - 1)).toBeLessThan(0.04);
      expect(Math.abs(shadows[1]! / finest - 1)).toBeLessThan(0.03);
    }
  });

  it('casts a larger shadow the stiffer it is', () => {
    const shadows = [15, 30, 60, 150].map((c) => readDrape(draped(c, 'round', 14)).shadow);
    for (let i = 1; i < shadows.length; i++) expect(shadows[i]!).toBeGreaterThan(shadows[i - 1]!);
    expect(shadows[3]!).toBeGreaterThan(0.9);
  });

  it('goes on from where it hangs when the layer is changed', () => {
    const sheet = draped(20, 'round', 14);
    const before = readDrape(sheet).shadow;
    setCloth(sheet, cloth(80));
    settle(sheet, 4);
    expect(readDrape(sheet).shadow).toBeGreaterThan(before + 0.1);
  });

  it.each([
    [{ bendingLength: 0, shearStiffness: 40, arealDensity: 150 }, 16, 'bendingLength'],
    [{ bendingLength: NaN, shearStiffness: 40, arealDensity: 150 }, 16, 'bendingLength'],
    [{ bendingLength: 20, shearStiffness: -1, arealDensity: 150 }, 16, 'shearStiffness'],
    [{ bendingLength: 20, shearStiffness: 40, arealDensity: 0 }, 16, 'arealDensity'],
    [cloth(20), 15, 'cells'],
    [cloth(20), 999, 'cells'],
  ])('refuses %j in %s cells, naming %s', (bad, cells, field) => {
    expect(() => layFlat(bad, 'round', SIZE, cells)).toThrow(field);
  });
});

describe('shear stiffness', () => {
  const woven = { construction: 'woven' as const, weave: 'plain' as const };
  const fused = LIBRARY_LAYERS.find(({ form, family }) => form === 'fusible' && family === 'nonwoven')!;
  const sewn = LIBRARY_LAYERS.find(({ form, family }) => form === 'sew-in' && family === 'nonwoven')!;

  it('rises with what is glued on and not with what is sewn on', () => {
    expect(shearStiffness(woven, [fused])).toBeGreaterThan(shearStiffness(woven, []));
    expect(shearStiffness(woven, [sewn])).toBe(shearStiffness(woven, []));
    expect(shearStiffness({ ...woven, weave: 'loose' }, [])).toBeLessThan(shearStiffness(woven, []));
  });
});
