import { InputError } from '../input-error';
import type { Point } from '../shape';
import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A tray that folds up: cloth outside and inside, a stiff core for its floor and one for each side, smaller by what a fold takes. */
export const trayRecipe: RecipeKind = {
  id: 'tray',
  name: 'Fold tray',
  words: 'A flat tray whose corners are pinched or snapped: two cloths, a stiff core between them, kept clear of every fold.',
  fields: [
    { field: 'length', words: 'Floor, long', kind: 'length', start: 200, min: 40, max: 1500 },
    { field: 'width', words: 'Floor, wide', kind: 'length', start: 140, min: 40, max: 1500 },
    { field: 'height', words: 'Sides, high', kind: 'length', start: 40, min: 10, max: 400 },
    { field: 'core', words: 'Core, thick', kind: 'length', start: 2, min: 0.2, max: 15 },
    ALLOWANCE,
  ],
  make(values) {
    const { length, width, height, core, allowance } = values as Record<string, number> & Tray;
    // A fold takes the thickness of the core on either side of it.
    const clear = core + 1;
    if (height <= 2 * clear) throw new InputError('height', `must be more than ${2 * clear} mm at this core; saw ${height} mm`);
    const [long, wide] = [length + 2 * height, width + 2 * height];
    const fold = (from: Point, to: Point) => ({ kind: 'fold-line' as const, at: from, to });
    const outer = {
      shape: { kind: 'rectangle' as const, width: long, height: wide, corners: [false, false, false, false] as [boolean, boolean, boolean, boolean], corner: 0 }, // prettier-ignore
      allowances: [allowance, allowance, allowance, allowance],
      grain: 0,
      marks: [
        fold([height, 0], [height, wide]),
        fold([long - height, 0], [long - height, wide]),
        fold([0, height], [long, height]),
        fold([0, wide - height], [long, wide - height]),
      ],
    };
    const plain = (w: number, h: number) => ({ kind: 'rectangle' as const, width: w, height: h, corners: [false, false, false, false] as [boolean, boolean, boolean, boolean], corner: 0 }); // prettier-ignore
    const stiff = (name: string, w: number, h: number, count: number) => ({
      name,
      shape: plain(w, h),
      allowances: [0, 0, 0, 0],
      grain: 0,
      marks: [],
      cuts: [{ duty: 'base' as const, count, orientation: 'straight' as const, jobs: [{ name: '', place: { kind: 'whole' as const }, role: 'box-panel' as const }] }], // prettier-ignore
    });
    return {
      pieces: [
        { ...outer, name: 'Tray', cuts: [{ duty: 'shell', count: 1, orientation: 'straight', jobs: [] }, { duty: 'lining', count: 1, orientation: 'straight', jobs: [] }] }, // prettier-ignore
        stiff('Floor', length - 2 * clear, width - 2 * clear, 1),
        stiff('Long side', length - 2 * clear, height - 2 * clear, 2),
        stiff('Short side', width - 2 * clear, height - 2 * clear, 2),
      ],
      seams: [{ first: { piece: 0, edges: [0, 1, 2, 3] }, second: { piece: 0, edges: [0, 1, 2, 3] } }],
      facts: [
        { words: 'Laid flat, long', length: long },
        { words: 'Laid flat, wide', length: wide },
        { words: 'Kept clear at each fold, each side', length: clear },
      ],
      notes: [
        'Sew the two cloths together on three sides, right sides in, turn, and slide the cores in.',
        'Stitch each fold line beside its core, then close the last side.',
        'Pinch the corners and hold them with a stitch, a snap or a tie.',
      ],
    };
  },
};

interface Tray {
  length: number;
  width: number;
  height: number;
  core: number;
  allowance: number;
}
