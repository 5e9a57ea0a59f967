import { InputError, requireNumber } from '../input-error';
import type { Place } from '../pieces';
import type { Point } from '../shape';
import { ALLOWANCE, HEM } from './allowance-field';
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
    HEM,
  ],
  make(values) {
    const { slash, adds, count, allowance, hem } = values as Record<string, number> & Slashed;
    const angle = ((adds / slash) * 180) / Math.PI;
    requireNumber('adds', adds, 'mm', { above: 0, max: Math.PI * slash });
    if (!Number.isInteger(count)) throw new InputError('count', `must be a whole number, saw ${count}`);
    // A side runs from the point down to the hem; its layer covers the allowance and a little of the cloth within.
    const half = (angle * Math.PI) / 360;
    const besideSide = (side: 1 | -1): Place => {
      const out = (allowance - BEYOND) / 2;
      const at = (along: number): Point => [
        side * (along * Math.sin(half) + out * Math.cos(half)),
        -along * Math.cos(half) + out * Math.sin(half),
      ];
      return { kind: 'line', line: [at(0), at(slash)], width: allowance + BEYOND };
    };
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
              count,
              orientation: 'straight',
              jobs: [
                { name: 'right seam line', place: besideSide(1), role: 'godet-slash' },
                { name: 'left seam line', place: besideSide(-1), role: 'godet-slash' },
              ],
            },
          ],
        },
      ],
      // Its two sides go onto the two sides of the slash, each as long as it is.
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Each side, as long as the slash', length: slash },
        { words: 'Angle at the point', value: `${Math.round(angle)}°` },
        // Each of its two seams eats an allowance of the godet, and one of the slash that has none of its own.
        { words: 'All of them add to the hem, seams taken off', length: Math.max(0, adds - 2 * allowance) * count },
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
