import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A straight band that is folded along its middle. Edges: bottom, right, top, left. */
export const waistbandRecipe: RecipeKind = {
  id: 'waistband',
  name: 'Straight waistband',
  words: 'A band folded along its middle. Its finished width is that of the strip, between fold and edge.',
  fields: [
    { field: 'waist', words: 'Waist', kind: 'length', start: 720, min: 100, max: 5000 },
    { field: 'overlap', words: 'Overlap', kind: 'length', start: 30, min: 0, max: 500 },
    {
      field: 'width',
      words: 'Finished width',
      kind: 'length',
      start: 35,
      min: 5,
      max: 300,
    },
    ALLOWANCE,
  ],
  make(values) {
    const { waist, overlap, width, allowance } = values as Record<string, number> & Banded;
    const length = waist + overlap;
    return {
      pieces: [
        {
          name: 'Waistband',
          shape: { kind: 'rectangle', width: length, height: 2 * width, corners: [false, false, false, false], corner: 0 },
          allowances: [allowance, allowance, allowance, allowance],
          grain: 90,
          marks: [
            { kind: 'fold-line', at: [0, width], to: [length, width] },
            { kind: 'notch', at: [waist, 0] },
          ],
          cuts: [
            {
              duty: 'shell',
              count: 1,
              orientation: 'straight',
              jobs: [{ name: '', place: { kind: 'usual' }, role: 'waistband' }],
            },
          ],
        },
      ],
      facts: [
        { words: 'Cut length', length: length + 2 * allowance },
        { words: 'Cut width', length: 2 * width + 2 * allowance },
        { words: 'Strip', length },
      ],
      notes: [
        'The perforations of a strip lie on the fold line; the notch is where the waist ends and the overlap begins.',
        'Sew the band on with the strip’s edge along the seam line, then fold and catch the inside.',
      ],
    };
  },
};

interface Banded {
  waist: number;
  overlap: number;
  width: number;
  allowance: number;
}
