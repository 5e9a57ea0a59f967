import { InputError, requireNumber } from '../input-error';
import { ALLOWANCE, HEM } from './allowance-field';
import { godetPiece, sewingGodet } from './godet-piece';
import type { RecipeKind } from './recipe';

/** A sector whose sides are as long as the slash that it is set into. Edges: hem, right side, point, left side. */
export const godetRecipe: RecipeKind = {
  id: 'godet',
  name: 'Godet in a slash',
  words:
    'A sector set into a slash, so that the hem flares from its point. To slash a piece that is here, touch its hem: “From an edge”.',
  fields: [
    { field: 'slash', words: 'Slash', kind: 'length', start: 300, min: 20, max: 3000 },
    { field: 'adds', words: 'Hem of one godet, sewn', kind: 'length', start: 250, min: 10, max: 6000 },
    { field: 'count', words: 'How many', kind: 'number', start: 4, min: 1, max: 100 },
    ALLOWANCE,
    HEM,
  ],
  make(values) {
    const { slash, adds, count, allowance, hem } = values as Record<string, number> & Slashed;
    const angle = ((adds / slash) * 180) / Math.PI;
    requireNumber('adds', adds, 'mm', { above: 0, max: Math.PI * slash });
    if (!Number.isInteger(count)) throw new InputError('count', `must be a whole number, saw ${count}`);
    const [begin, ...rest] = sewingGodet();
    return {
      pieces: [godetPiece({ name: 'Godet', side: slash, angle, allowance, hem, count })],
      // Its two sides go onto the two sides of the slash, each as long as it is.
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Each side, as long as the slash', length: slash },
        { words: 'Angle at the point', value: `${Math.round(angle)}°` },
        // Each of its two seams eats an allowance of the godet, and one of the slash that has none of its own.
        { words: 'All of them add to the hem, seams taken off', length: Math.max(0, adds - 2 * allowance) * count },
      ],
      notes: [
        begin!,
        'On the piece that is slashed, add a job along the line of the slash, a little past its end, with something no heavier than the cloth, and a thin patch at its point.',
        ...rest,
      ],
    };
  },
};

interface Slashed {
  slash: number;
  adds: number;
  count: number;
  allowance: number;
  hem: number;
}
