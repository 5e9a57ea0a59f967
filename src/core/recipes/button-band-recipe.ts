import { InputError } from '../input-error';
import type { Mark } from '../pieces';
import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A band that is folded along its front edge and carries buttons or holes. Edges: bottom, right (the garment’s), top, left. */
export const buttonBandRecipe: RecipeKind = {
  id: 'button-band',
  name: 'Button band',
  words: 'A band folded along its outer edge, with its buttonholes evenly spaced; one for each front.',
  fields: [
    { field: 'length', words: 'Front edge', kind: 'length', start: 600, min: 40, max: 2000 },
    { field: 'width', words: 'Finished width', kind: 'length', start: 30, min: 8, max: 150 },
    { field: 'count', words: 'Buttons', kind: 'number', start: 6, min: 1, max: 40 },
    { field: 'first', words: 'First one below the top', kind: 'length', start: 15, min: 5, max: 500 },
    { field: 'last', words: 'Last one above the hem', kind: 'length', start: 80, min: 5, max: 1500 },
    ALLOWANCE,
  ],
  make(values) {
    const { length, width, count, first, last, allowance } = values as Record<string, number> & Banded;
    if (!Number.isInteger(count)) throw new InputError('count', `must be a whole number, saw ${count}`);
    const apart = (length - first - last) / Math.max(1, count - 1);
    if (count > 1 && apart < LEAST_APART)
      throw new InputError('count', `lie closer than ${LEAST_APART} mm at these distances; saw ${count}`);
    if (length - first <= 0) throw new InputError('first', `must lie on the band, which is ${length} mm long; saw ${first} mm`);
    // In the middle of the half that is seen, which lies to the left of the fold.
    const holes = Array.from({ length: count }, (_, i): Mark => ({
      kind: 'buttonhole',
      at: [width / 2, length - first - i * apart],
    }));
    return {
      pieces: [
        {
          name: 'Button band',
          shape: { kind: 'rectangle', width: 2 * width, height: length, corners: [false, false, false, false], corner: 0 },
          allowances: [allowance, allowance, allowance, allowance],
          grain: 0,
          marks: [{ kind: 'fold-line', at: [width, 0], to: [width, length] }, ...holes],
          cuts: [
            {
              ...{ duty: 'shell', count: 2, pairs: true, orientation: 'straight' },
              jobs: [{ name: '', place: { kind: 'whole' }, role: 'button-band' }],
            },
          ],
        },
      ],
      facts: [
        { words: 'From one button to the next', length: count > 1 ? apart : 0 },
        { words: 'Cut length', length: length + 2 * allowance },
        { words: 'Cut width', length: 2 * width + 2 * allowance },
      ],
      notes: [
        'Press the fold and the allowance of the inner edge before it is sewn on.',
        'Sew the outer half to the front, right sides together; fold, sew across top and hem, turn, and close the inner half.',
        'One buttonhole at the fullest place first, the others to both sides; the buttons are marked through the holes.',
      ],
    };
  },
};

/** Buttonholes closer than this tear into each other, mm. */
const LEAST_APART = 12;

interface Banded {
  length: number;
  width: number;
  count: number;
  first: number;
  last: number;
  allowance: number;
}
