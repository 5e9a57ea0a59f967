import { clothBendingLength, clothMembraneStiffness, clothThickness, fibreShare, type Fabric } from '../cloth';
import type { Material, Wash } from './material';

/** Ids of cloths among the materials of a stack begin so. */
export const CLOTH_ID = 'cloth:';

/** Width that a cloth is taken to have when nobody said, mm. */
const USUAL_WIDTH = 1400;

/** Most of a cloth that must be washed by hand or not at all makes the whole so. */
const TENDER = 0.5;

function washOf(fabric: Fabric): Wash {
  if (fabric.construction === 'leather') return 'none';
  if (fabric.construction === 'coated' || fibreShare(fabric, 'wool', 'silk', 'acetate') >= TENDER) return 'hand';
  return fibreShare(fabric, 'cotton', 'linen') >= TENDER && fabric.ironDots === 3 ? 'hot' : 'warm';
}

/**
 * A cloth in the place of a layer: underlining from the stash. It is sewn in, stays, has a grain, and hangs as it would by itself;
 * what was not measured is estimated as for any cloth.
 *
 * @param cloth g/m², mm, % @param cloth.rollWidth mm @param cloth.pricePerMetre minor units
 * @returns a material whose id is `cloth:` and the cloth's
 * @example clothAsMaterial({ ...lawn, id: 'lawn', name: 'Lawn' }).id // 'cloth:lawn'
 */
export function clothAsMaterial(
  cloth: Fabric & { id: string; name: string; rollWidth?: number; pricePerMetre?: number },
): Material {
  return {
    id: `${CLOTH_ID}${cloth.id}`,
    name: cloth.name,
    family: 'cloth-underlining',
    form: 'sew-in',
    arealDensity: cloth.arealDensity,
    thickness: clothThickness(cloth).value,
    bendingLength: clothBendingLength(cloth).value,
    membraneStiffness: clothMembraneStiffness(cloth),
    stretchLength: cloth.stretchLength,
    stretchCross: cloth.stretchCross,
    tones: [cloth.tone],
    opacity: cloth.sheer,
    rollWidth: cloth.rollWidth ?? USUAL_WIDTH,
    leaflet: { ironDots: 0, seconds: 0, steam: false, cover: 'none', coolMinutes: 0 },
    glue: 'none',
    wash: washOf(cloth),
    dryClean: true,
    preShrink: cloth.prewashed !== true && (cloth.shrinkLength ?? 1) > 0,
    grain: cloth.construction === 'woven',
    ends: 'stays',
    stiffening: 1,
    pricePerMetre: cloth.pricePerMetre ?? 0,
  };
}
