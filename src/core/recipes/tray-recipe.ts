import { InputError } from '../input-error';
import type { Mark } from '../pieces';
import { ALLOWANCE } from './allowance-field';
import { plainRectangle } from './plain-rectangle';
import type { RecipeKind, RecipePiece, RecipeSeam } from './recipe';

/** A tray that folds up, or a box with its lid: cloth outside and inside, a stiff core for the floor and one for each side, smaller by what a fold takes. */
export const trayRecipe: RecipeKind = {
  id: 'tray',
  name: 'Fold tray, or box',
  words:
    'A flat tray whose corners are pinched or snapped: two cloths, a stiff core between them, kept clear of every fold. With a lid it is a box.',
  fields: [
    { field: 'length', words: 'Floor, long', kind: 'length', start: 200, min: 40, max: 1500 },
    { field: 'width', words: 'Floor, wide', kind: 'length', start: 140, min: 40, max: 1500 },
    { field: 'height', words: 'Sides, high', kind: 'length', start: 40, min: 10, max: 400 },
    { field: 'core', words: 'Core, thick', kind: 'length', start: 2, min: 0.2, max: 15 },
    { field: 'lid', words: 'With a lid', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'lidHeight', words: 'Lid, sides high', kind: 'length', start: 25, min: 10, max: 400, onlyIf: 'lid' },
    { field: 'cloths', words: 'Both cloths, thick', kind: 'length', start: 1, min: 0.1, max: 10, onlyIf: 'lid' },
    { field: 'play', words: 'Play of the lid, all round', kind: 'length', start: 1.5, min: 0, max: 20, onlyIf: 'lid' },
    ALLOWANCE,
  ],
  make(values) {
    const { length, width, height, core, lid, lidHeight, cloths, play, allowance } = values as Record<string, number> & Tray;
    // A fold takes the thickness of the core on either side of it.
    const clear = core + 1;
    // The lid goes over both walls of the tray, each as thick as its core and its cloths, with some play.
    const over = 2 * (core + cloths + play);
    const parts: FoldedUp[] = [
      { name: 'Tray', of: '', length, width, height, field: 'height' },
      ...(lid === 1
        ? [{ name: 'Lid', of: 'Lid, ', length: length + over, width: width + over, height: lidHeight, field: 'lidHeight' }]
        : []),
    ];
    const made = parts.map((part) => foldedUp(part, clear, allowance));
    const starts = made.map((_, i) => made.slice(0, i).reduce((sum, pieces) => sum + pieces.length, 0));
    return {
      pieces: made.flat(),
      seams: starts.map((piece): RecipeSeam => ({
        first: { piece, edges: [0, 1, 2, 3] },
        second: { piece, edges: [0, 1, 2, 3] },
      })),
      facts: [
        { words: 'Laid flat, long', length: length + 2 * height },
        { words: 'Laid flat, wide', length: width + 2 * height },
        ...(lid === 1
          ? [
              { words: 'Lid inside, long', length: length + over },
              { words: 'Lid inside, wide', length: width + over },
            ]
          : []),
        { words: 'Kept clear at each fold, each side', length: clear },
      ],
      notes: [
        'Sew the two cloths together on three sides, right sides in, turn, and slide the cores in.',
        'Stitch each fold line beside its core, then close the last side.',
        'Pinch the corners and hold them with a stitch, a snap or a tie.',
        ...(lid === 1
          ? [
              'Make the lid the same way, and try it on before its corners are stitched for good: cloth that is thicker than it was measured takes up its play.',
            ]
          : []),
      ],
    };
  },
};

/** What is cut flat and folded up on four sides, mm; the field that its height was typed in. */
interface FoldedUp {
  name: string;
  of: string;
  length: number;
  width: number;
  height: number;
  field: string;
}

/** Cloth, floor and sides: the cores end short of every fold. */
function foldedUp({ name, of, length, width, height, field }: FoldedUp, clear: number, allowance: number): RecipePiece[] {
  if (height <= 2 * clear) throw new InputError(field, `must be more than ${2 * clear} mm at this core; saw ${height} mm`);
  const [long, wide] = [length + 2 * height, width + 2 * height];
  const fold = (at: Mark['at'], to: Mark['at']): Mark => ({ kind: 'fold-line', at, to });
  const stiff = (part: string, w: number, h: number, count: number): RecipePiece => ({
    ...{
      name: of ? `${of}${part.toLowerCase()}` : part,
      shape: plainRectangle(w, h),
      allowances: [0, 0, 0, 0],
      grain: 0,
      marks: [],
    },
    cuts: [{ duty: 'base', count, orientation: 'straight', jobs: [{ name: '', place: { kind: 'whole' }, role: 'box-panel' }] }],
  });
  return [
    {
      name,
      shape: plainRectangle(long, wide),
      allowances: [allowance, allowance, allowance, allowance],
      grain: 0,
      marks: [
        fold([height, 0], [height, wide]),
        fold([long - height, 0], [long - height, wide]),
        fold([0, height], [long, height]),
        fold([0, wide - height], [long, wide - height]),
      ],
      cuts: [
        { duty: 'shell', count: 1, orientation: 'straight', jobs: [] },
        { duty: 'lining', count: 1, orientation: 'straight', jobs: [] },
      ],
    },
    stiff('Floor', length - 2 * clear, width - 2 * clear, 1),
    stiff('Long side', length - 2 * clear, height - 2 * clear, 2),
    stiff('Short side', width - 2 * clear, height - 2 * clear, 2),
  ];
}

interface Tray {
  length: number;
  width: number;
  height: number;
  core: number;
  lid: number;
  lidHeight: number;
  cloths: number;
  play: number;
  allowance: number;
}
