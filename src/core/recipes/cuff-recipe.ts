import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A cuff that is folded along its outer edge. Edges: bottom, right, top, left. */
export const cuffRecipe: RecipeKind = {
  id: 'cuff',
  name: 'Cuff',
  words: 'A cuff folded at its lower edge, buttoned: as long as the wrist, its ease and the overlap.',
  fields: [
    { field: 'wrist', words: 'Wrist', kind: 'length', start: 170, min: 50, max: 1000 },
    { field: 'ease', words: 'Ease', kind: 'length', start: 40, min: 0, max: 300 },
    { field: 'overlap', words: 'Overlap', kind: 'length', start: 25, min: 0, max: 200 },
    { field: 'width', words: 'Finished width', kind: 'length', start: 60, min: 10, max: 300 },
    ALLOWANCE,
  ],
  make(values) {
    const { wrist, ease, overlap, width, allowance } = values as Record<string, number> & Cuffed;
    const length = wrist + ease + overlap;
    return {
      pieces: [
        {
          name: 'Cuff',
          shape: { kind: 'rectangle', width: length, height: 2 * width, corners: [false, false, false, false], corner: 0 },
          allowances: [allowance, allowance, allowance, allowance],
          grain: 90,
          marks: [
            { kind: 'fold-line', at: [0, width], to: [length, width] },
            { kind: 'notch', at: [length - overlap, 0] },
            { kind: 'buttonhole', at: [overlap / 2, width / 2] },
          ],
          cuts: [
            { duty: 'shell', count: 2, orientation: 'straight', jobs: [{ name: '', place: { kind: 'usual' }, role: 'cuff' }] },
          ],
        },
      ],
      facts: [
        { words: 'Round, when it is buttoned', length: wrist + ease },
        { words: 'The sleeve is gathered or pleated to', length },
        { words: 'Cut length', length: length + 2 * allowance },
        { words: 'Cut width', length: 2 * width + 2 * allowance },
      ],
      notes: [
        'The layer goes to the fold on the half that is seen, or over both halves where it is to be crisp.',
        'Sew the outer half to the sleeve, fold right sides together, sew the ends, turn, and catch the inner half.',
      ],
    };
  },
};

interface Cuffed {
  wrist: number;
  ease: number;
  overlap: number;
  width: number;
  allowance: number;
}
