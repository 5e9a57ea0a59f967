import { InputError } from '../input-error';
import { ALLOWANCE } from './allowance-field';
import type { RecipeKind } from './recipe';

/** A band that lies on the body between two lines of different length. Edges: lower, right end, upper, left end; two of them, faced. */
export const curvedWaistbandRecipe: RecipeKind = {
  id: 'curved-waistband',
  name: 'Curved waistband',
  words: 'A band that sits below the waist: its lower edge is longer than its upper one. Cut twice, outside and facing.',
  fields: [
    { field: 'upper', words: 'Round its upper edge', kind: 'length', start: 720, min: 100, max: 5000 },
    { field: 'lower', words: 'Round its lower edge', kind: 'length', start: 790, min: 100, max: 5000 },
    { field: 'overlap', words: 'Overlap', kind: 'length', start: 30, min: 0, max: 500 },
    { field: 'width', words: 'Finished width', kind: 'length', start: 45, min: 5, max: 300 },
    { field: 'ease', words: 'Ease of the garment', kind: 'length', start: 10, min: 0, max: 100 },
    ALLOWANCE,
  ],
  make(values) {
    const { upper, lower, overlap, width, allowance, ease } = values as Record<string, number> & Curved;
    if (lower <= upper)
      throw new InputError('lower', `must be more than the upper edge, ${upper} mm: take the straight band; saw ${lower} mm`);
    // Part of a ring: both arcs have one angle, and lie the width apart.
    const angle = (lower - upper) / width;
    const inner = (upper + overlap) / angle;
    const degrees = (angle * 180) / Math.PI;
    if (degrees > 350)
      throw new InputError('lower', `curves right round at this width; take a wider band or less difference; saw ${lower} mm`);
    const outer = inner + width;
    return {
      pieces: [
        {
          name: 'Curved waistband',
          shape: { kind: 'sector', inner, outer, angle: degrees },
          allowances: [allowance, allowance, allowance, allowance],
          grain: 0,
          marks: [
            { kind: 'notch', at: [0, -outer] },
            { kind: 'notch', at: [0, -inner] },
          ],
          cuts: [
            {
              duty: 'shell',
              count: 2,
              orientation: 'straight',
              jobs: [{ name: '', place: { kind: 'whole' }, role: 'curved-waistband' }],
            },
          ],
        },
      ],
      // Outside and facing are joined along the upper edge and both ends.
      seams: [{ first: { piece: 0, edges: [1, 2, 3] }, second: { piece: 0, edges: [1, 2, 3] } }],
      facts: [
        { words: 'Lower seam, with the overlap', length: angle * outer },
        { words: 'The garment is eased into it by', length: ease },
        { words: 'Radius of the upper edge', length: inner },
        { words: 'Radius of the lower edge', length: outer },
      ],
      notes: [
        'A layer that gives, such as tricot, on both; a stay that does not stretch along the upper seam.',
        'Join outside and facing along the upper edge, understitch the facing, and then the ends.',
        ...(ease > 0 ? ['The garment is a little longer than the band: ease it in, more behind than in front.'] : []),
      ],
    };
  },
};

interface Curved {
  upper: number;
  lower: number;
  overlap: number;
  width: number;
  allowance: number;
  ease: number;
}
