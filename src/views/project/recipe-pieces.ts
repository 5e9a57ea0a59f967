import type { Care } from '../../core/choose';
import { flexuralRigidity } from '../../core/cloth';
import type { Material } from '../../core/layers';
import type { Recipe, RecipeCut } from '../../core/recipes';
import { OF_LAYERS, type Duty } from '../../core/workpiece';

/** What cuts of each duty are made of: a cloth, or a layer of the cupboard. */
export interface CutFrom {
  cloths: Partial<Record<Duty, string | null>>;
  layers: Partial<Record<Duty, Material>>;
}

/** A layer by itself as the stack of a job. */
function stackOf(material: Material) {
  const { id, name, arealDensity, thickness, bendingLength } = material;
  return {
    title: name,
    layers: [{ materialId: id, extent: 'full' as const, angle: 0 }],
    predicted: {
      ...{ bendingLength, low: bendingLength, high: bendingLength },
      ...{ rigidity: flexuralRigidity(arealDensity, bendingLength), arealDensity, thickness },
    },
    reasons: ['Cut by the recipe of its piece.'],
    cautions: [],
  };
}

function cutOf({ duty, count, orientation, pairs, jobs }: RecipeCut, from: CutFrom, care: Care) {
  const layer = OF_LAYERS.includes(duty) ? from.layers[duty] : undefined;
  return {
    ...(pairs ? { pairs } : {}),
    ...{ duty, count, orientation, clothId: OF_LAYERS.includes(duty) ? null : (from.cloths[duty] ?? null) },
    jobs: jobs.map(({ name, place, role }) => ({
      ...{ name, place, wish: { role, stretch: 'any', care } },
      ...(layer ? { stack: stackOf(layer) } : {}),
    })),
  };
}

/** What a recipe makes, as pieces that can be added to a project. */
export function recipePieces({ pieces }: Recipe, from: CutFrom, care: Care) {
  return pieces.map(({ cuts, ...piece }) => ({
    ...{ ...piece, line: 'sew' as const, fold: null },
    cuts: cuts.map((cut) => cutOf(cut, from, care)),
  }));
}
