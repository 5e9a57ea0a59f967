import type { Place } from '../pieces';
import { ALLOWANCE, HEM } from './allowance-field';
import { BRAID_JOIN, flare, flareSectors, slitRing } from './flare';
import type { RecipeCut, RecipeKind } from './recipe';

/** Width of a braid that nobody measured, mm. */
const BRAID = 25;

/** A skirt, peplum or cape of so many circles, cut as equal sectors. Edges of a sector: hem, right side, waist, left side. */
export const flareRecipe: RecipeKind = {
  id: 'flare',
  name: 'Flare',
  words: 'A skirt, peplum, collar or cape of half a circle (½), a whole one, or more.',
  fields: [
    { field: 'circles', words: 'Circles', kind: 'number', start: 1, min: 0.1, max: 12 },
    { field: 'waist', words: 'Waist seam', kind: 'length', start: 700, min: 20, max: 10_000 },
    { field: 'length', words: 'Length', kind: 'length', start: 500, min: 10, max: 5000 },
    ALLOWANCE,
    HEM,
    { field: 'clothWidth', words: 'Cloth width', kind: 'length', start: 1400, min: 100, max: 10_000 },
    { field: 'ring', words: 'In one ring with a slit, where the cloth takes it', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'braid', words: 'Braid in the hem', kind: 'yes', start: 1, min: 0, max: 1 },
    { field: 'interfaced', words: 'Interfaced all over', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'lined', words: 'Lined with the same pieces', kind: 'yes', start: 0, min: 0, max: 1 },
  ],
  make(values) {
    const { circles, waist, length, allowance, hem, clothWidth } = values as Record<string, number> & Flared;
    const measures = { circles, waist, length, allowance };
    const ring = values['ring'] ? slitRing(measures, clothWidth, hem) : null;
    const lines = ring ? { ...ring, braid: ring.hem + BRAID_JOIN } : flare(measures);
    const sectors = ring ? { count: 1, grain: 0, ...ring } : flareSectors(measures, clothWidth, hem);
    const atHem: Place = { kind: 'edges', edges: [0], width: BRAID };
    const shell: RecipeCut = {
      duty: 'shell',
      count: sectors.count,
      orientation: 'straight',
      jobs: [
        ...(values['interfaced'] ? [{ name: 'all over', place: { kind: 'whole' } as const, role: 'whole-panel' as const }] : []),
        ...(values['braid'] ? [{ name: 'hem', place: atHem, role: 'flare-hem' as const }] : []),
      ],
    };
    const lining: RecipeCut = { duty: 'lining', count: sectors.count, orientation: 'straight', jobs: [] };
    return {
      pieces: [
        {
          name: sectors.count === 1 ? 'Flare' : 'Flare, sector',
          shape: { kind: 'sector', inner: lines.innerRadius, outer: lines.outerRadius, angle: sectors.angle },
          allowances: [hem, allowance, allowance, allowance],
          grain: sectors.grain,
          marks: [{ kind: 'notch', at: [0, -lines.innerRadius] }],
          cuts: values['lined'] ? [shell, lining] : [shell],
        },
      ],
      // Sectors are joined side to side; a ring closes at its slit, and a half circle at its own two sides.
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Radius at the seam', length: lines.innerRadius },
        { words: 'Radius at the hem', length: lines.outerRadius },
        { words: 'Hem, all round', length: lines.hem },
        ...(values['braid'] ? [{ words: 'Braid, with one join', length: lines.braid }] : []),
        ring
          ? { words: 'Cut as', value: `one ring with a slit, ${Math.round(ring.angle * 10) / 10}°` }
          : { words: 'Sectors', value: `${sectors.count} of ${Math.round(sectors.angle * 10) / 10}°` },
        { words: 'Width that one takes', length: sectors.width },
      ],
      notes: [
        ...(values['ring'] && !ring
          ? [
              'No ring with a slit: it takes one circle, a waist that leaves room for its allowances, and cloth as wide as the whole ring.',
            ]
          : []),
        ...(sectors.grain === 90 ? ['Each half circle lies with its straight side along the selvedge.'] : []),
        ...(ring ? ['Sew the slit, or leave it as the opening, before the waist is sewn.'] : []),
        ...(sectors.count > 1 ? ['Join the sectors at their straight sides before the waist is sewn.'] : []),
        'Let it hang overnight before the hem is marked: what lies on the bias grows.',
        ...(values['braid']
          ? [
              'Sew the braid along the hem without pulling it, about 13 mm from the edge. If it ripples under the needle, change the needle; do not stretch it.',
            ]
          : []),
        ...(values['lined'] ? ['Understitch the lining, so that the hem turns flat.'] : []),
      ],
    };
  },
};

interface Flared {
  circles: number;
  waist: number;
  length: number;
  allowance: number;
  hem: number;
  clothWidth: number;
}
