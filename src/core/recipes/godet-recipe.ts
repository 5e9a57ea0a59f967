import { requireNumber } from '../input-error';
import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A layer on a seam line reaches this far beyond it, mm. */
const BEYOND = 2;
/** Stitches are halved for so much before the point, mm. */
const HALVED = 25;

/** A sector whose sides are as long as the slash that it is set into. Edges: hem, right side, point, left side. */
export const godetRecipe: RecipeKind = {
  id: 'godet',
  name: 'Godet in a slash',
  words: 'A sector set into a slash, so that the hem flares from its point.',
  fields: [
    { field: 'slash', words: 'Slash', kind: 'length', start: 300, min: 20, max: 3000 },
    { field: 'adds', words: 'Adds to the hem', kind: 'length', start: 250, min: 10, max: 6000 },
    { field: 'count', words: 'How many', kind: 'number', start: 4, min: 1, max: 100 },
    ALLOWANCE,
    { field: 'hem', words: 'Hem allowance', kind: 'length', start: 10, min: 0, max: 200 },
  ],
  make(values) {
    const { slash, adds, count, allowance, hem } = values as Record<string, number> & Slashed;
    const angle = ((adds / slash) * 180) / Math.PI;
    requireNumber('adds', adds, 'mm', { above: 0, max: Math.PI * slash });
    return {
      pieces: [
        {
          name: 'Godet',
          shape: { kind: 'sector', inner: 0, outer: slash, angle },
          allowances: [hem, allowance, 0, allowance],
          grain: 0,
          marks: [],
          cuts: [
            {
              duty: 'shell',
              count: Math.round(count),
              orientation: 'straight',
              jobs: [
                {
                  name: 'seam lines',
                  place: { kind: 'edges', edges: [1, 3], width: allowance + BEYOND },
                  role: 'godet-slash',
                },
              ],
            },
          ],
        },
      ],
      facts: [
        { words: 'Each side, as long as the slash', length: slash },
        { words: 'Angle at the point', value: `${Math.round(angle)}°` },
        { words: 'All of them add to the hem', length: adds * Math.round(count) },
      ],
      notes: [
        'The slash has no allowance of its own: the stitching runs from the seam’s width at the hem to nothing at the point.',
        'On the piece that is slashed, add a job along the line of the slash, a little past its end, with something no heavier than the cloth, and a thin patch at its point.',
        `Halve the stitches for the last ${HALVED} mm before the point, and turn there with the needle down.`,
        'Clip to the thread at the point, never through it.',
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
