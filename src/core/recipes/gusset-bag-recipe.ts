import type { PieceShape } from '../shape';
import { ALLOWANCE } from './allowance-field';
import type { RecipeCut, RecipeKind, RecipePiece } from './recipe';

/** A firm base stays so far inside the seams on every side, mm. */
const CLEAR = 3;

const rectangle = (width: number, height: number): PieceShape => ({
  kind: 'rectangle',
  ...{ width, height, corners: [false, false, false, false] as [boolean, boolean, boolean, boolean], corner: 0 },
});

/** Two panels, and one strip that is their sides and their base. Edges of each piece: bottom, right, top, left. */
export const gussetBagRecipe: RecipeKind = {
  id: 'gusset-bag',
  name: 'Bag with a gusset',
  words: 'Two panels with one strip between them for sides and base, lined with the same, and two straps.',
  fields: [
    { field: 'width', words: 'Wide', kind: 'length', start: 360, min: 60, max: 1500 },
    { field: 'height', words: 'High', kind: 'length', start: 320, min: 60, max: 1500 },
    { field: 'depth', words: 'Deep', kind: 'length', start: 100, min: 20, max: 600 },
    { field: 'strap', words: 'Straps, long', kind: 'length', start: 600, min: 0, max: 2500 },
    { field: 'strapWidth', words: 'Straps, wide', kind: 'length', start: 25, min: 8, max: 120 },
    { field: 'firm', words: 'A firm base laid in', kind: 'yes', start: 1, min: 0, max: 1 },
    { field: 'lined', words: 'Lined with the same pieces', kind: 'yes', start: 1, min: 0, max: 1 },
    ALLOWANCE,
  ],
  make(values) {
    const { width, height, depth, strap, strapWidth, firm, lined, allowance } = values as Record<string, number> & Bag;
    const cuts = (count: number, jobs: RecipeCut['jobs']): RecipeCut[] => [
      { duty: 'shell', count, orientation: 'straight', jobs },
      ...(lined === 1 ? [{ duty: 'lining' as const, count, orientation: 'straight' as const, jobs: [] }] : []),
    ];
    const all = [allowance, allowance, allowance, allowance];
    const run = 2 * height + width;
    const pieces: RecipePiece[] = [
      {
        ...{ name: 'Panel', shape: rectangle(width, height), allowances: all, grain: 0, marks: [] },
        cuts: cuts(2, [{ name: '', place: { kind: 'whole' }, role: 'bag-panel' }]),
      },
      {
        ...{ name: 'Gusset', shape: rectangle(run, depth), allowances: all, grain: 90 },
        // Where the lower corners of the panels come, on both long edges.
        marks: [height, height + width].flatMap((x) => [
          { kind: 'notch' as const, at: [x, 0] as [number, number] },
          { kind: 'notch' as const, at: [x, depth] as [number, number] },
        ]),
        cuts: cuts(1, [{ name: '', place: { kind: 'whole' }, role: 'bag-panel' }]),
      },
    ];
    if (firm === 1)
      pieces.push({
        ...{
          name: 'Base',
          shape: rectangle(width - 2 * CLEAR, depth - 2 * CLEAR),
          allowances: [0, 0, 0, 0],
          grain: 0,
          marks: [],
        },
        cuts: [
          { duty: 'base', count: 1, orientation: 'straight', jobs: [{ name: '', place: { kind: 'whole' }, role: 'bag-base' }] },
        ],
      });
    if (strap > 0)
      pieces.push({
        // Folded to the middle from both sides and once more: nothing is allowed along it.
        ...{ name: 'Strap', shape: rectangle(strap, 4 * strapWidth), allowances: [0, allowance, 0, allowance], grain: 90 },
        marks: [1, 2, 3].map((k) => ({
          kind: 'fold-line' as const,
          at: [0, k * strapWidth] as [number, number],
          to: [strap, k * strapWidth] as [number, number],
        })),
        cuts: [
          { duty: 'shell', count: 2, orientation: 'straight', jobs: [{ name: '', place: { kind: 'whole' }, role: 'bag-strap' }] },
        ],
      });
    return {
      pieces,
      // Down one side of the panel, along its base and up the other: the first panel below, the second above.
      seams: [
        { first: { piece: 0, edges: [3, 0, 1] }, second: { piece: 1, edges: [0] } },
        { first: { piece: 0, edges: [3, 0, 1] }, second: { piece: 1, edges: [2] } },
      ],
      facts: [
        { words: 'Round its opening', length: 2 * (width + depth) },
        { words: 'Gusset, as it is cut', length: run + 2 * allowance },
        { words: 'Holds', value: `about ${litres(width * height * depth)} l` },
      ],
      notes: [
        'The layers go on first: firm ones end at the seam lines, padding stays out of every seam.',
        ...(strap > 0
          ? ['Fold the straps to the middle and once more, stitch both edges, and baste them to the upper edges of the panels.']
          : []),
        'Sew the gusset to a panel from the middle of the base outwards; clip its allowance to the stitching at the two notches, so that it turns the corner.',
        ...(firm === 1 ? ['Catch the base to the allowances of the gusset before the lining goes in.'] : []),
        ...(lined === 1
          ? [
              'Sew the lining the same way, with 10 cm of its base left open; join both round the opening, turn, and close the gap.',
            ]
          : ['Turn the upper edge in twice and stitch it.']),
      ],
    };
  },
};

/** mm³ as litres, as roughly as a bag is filled. */
const litres = (volume: number): string => (volume / 1e6 < 3 ? (volume / 1e6).toFixed(1) : String(Math.round(volume / 1e6)));

interface Bag {
  width: number;
  height: number;
  depth: number;
  strap: number;
  strapWidth: number;
  firm: number;
  lined: number;
  allowance: number;
}
