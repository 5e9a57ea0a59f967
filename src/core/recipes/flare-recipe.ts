import type { Place } from '../pieces';
import { ALLOWANCE, HEM } from './allowance-field';
import { BRAID_JOIN, flare, flareSectors, slitRing } from './flare';
import { flareParts, flareSeams, type FlareLines, type FlarePart } from './flare-parts';
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
    { field: 'behind', words: 'Longer behind by', kind: 'length', start: 0, min: 0, max: 3000 },
    ALLOWANCE,
    HEM,
    { field: 'clothWidth', words: 'Cloth width', kind: 'length', start: 1400, min: 100, max: 10_000 },
    { field: 'ring', words: 'In one ring with a slit, where the cloth takes it', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'braid', words: 'Braid in the hem', kind: 'yes', start: 1, min: 0, max: 1 },
    { field: 'interfaced', words: 'Interfaced all over', kind: 'yes', start: 0, min: 0, max: 1 },
    { field: 'lined', words: 'Lined with the same pieces', kind: 'yes', start: 0, min: 0, max: 1 },
  ],
  make(values) {
    const { circles, waist, length, behind, allowance, hem, clothWidth } = values as Record<string, number> & Flared;
    const measures = { circles, waist, length, allowance };
    // Cloth must take the longest part of it.
    const longest = { ...measures, length: length + behind };
    const ring = values['ring'] ? slitRing(longest, clothWidth, hem) : null;
    const { innerRadius } = ring ?? flare(measures);
    const sectors = ring ? { count: 1, grain: 0, ...ring } : flareSectors(longest, clothWidth, hem);
    const lines: FlareLines = { innerRadius, length, behind, count: sectors.count, angle: sectors.angle };
    const parts = flareParts(lines);
    const hemLength = parts.reduce((sum, { hem: of, count }) => sum + count * of, 0);
    const atHem: Place = { kind: 'edges', edges: [0], width: BRAID };
    const jobs = [
      ...(values['interfaced'] ? [{ name: 'all over', place: { kind: 'whole' } as const, role: 'whole-panel' as const }] : []),
      ...(values['braid'] ? [{ name: 'hem', place: atHem, role: 'flare-hem' as const }] : []),
    ];
    const cutsOf = ({ count, pairs }: FlarePart): RecipeCut[] => {
      const common = { count, orientation: 'straight' as const, ...(pairs ? { pairs } : {}) };
      const shell: RecipeCut = { duty: 'shell', ...common, jobs };
      return values['lined'] ? [shell, { duty: 'lining', ...common, jobs: [] }] : [shell];
    };
    return {
      pieces: parts.map((part) => ({
        name: part.name,
        shape: part.shape,
        allowances: [hem, allowance, allowance, allowance],
        grain: sectors.grain,
        marks: [{ kind: 'notch', at: [0, -innerRadius] }],
        cuts: cutsOf(part),
      })),
      seams: flareSeams(parts),
      facts: [
        { words: 'Radius at the seam', length: innerRadius },
        { words: behind > 0 ? 'Radius at the hem, in front' : 'Radius at the hem', length: innerRadius + length },
        ...(behind > 0 ? [{ words: 'Radius at the hem, behind', length: innerRadius + length + behind }] : []),
        { words: 'Hem, all round', length: hemLength },
        ...(values['braid'] ? [{ words: 'Braid, with one join', length: hemLength + BRAID_JOIN }] : []),
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
        ...(behind > 0
          ? ['Its middle in front is its shortest, and a seam lies in the middle behind. Parts lie in pairs, left and right.']
          : []),
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
  behind: number;
  allowance: number;
  hem: number;
  clothWidth: number;
}
