import { lastingLayers } from '../core/choose';
import type { FlaredShape } from '../core/drape';
import { InputError } from '../core/input-error';
import type { Extent, Material } from '../core/layers';
import { cloths, type Cloth } from '../store/cloths';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import { recipes } from '../store/recipes';
import { workOf } from '../store/workpieces';
import { gluingFor } from './gluing-learnt';

/** A layer of a flare: all over it, or a strip along its hem. */
export interface StandingLayer {
  name: string;
  at: 'all' | 'hem';
  material: Material;
  /** Of a strip, mm. */
  width: number;
}

/** What a flare of a project is made of, to be seen as it stands. */
export interface Standing {
  shape: Required<FlaredShape>;
  cloth: Cloth | null;
  layers: StandingLayer[];
  /** How much more firmly than usual glues hold, by their layers, where that was learnt. */
  gluing: Record<string, number>;
}

/** What covers only a part of the piece that it is put on. */
const PARTLY: readonly Extent[] = ['strip', 'patch', 'field'];

/**
 * The flare that a recipe made, with its cloth and the layers that were chosen for it so far; each layer once, as all parts have it.
 *
 * @throws {NotFoundError} {InputError} naming the recipe where it makes no flare
 */
export function standingOf(db: Db, recipeId: string): Standing {
  const { kind, measures, pieces, projectId } = recipes.get(db, recipeId);
  if (kind !== 'flare') throw new InputError('recipe', `must make a flare, saw ${kind}`);
  const { circles = 1, waist = 700, length = 500, behind = 0 } = measures;
  const own = new Set(pieces);
  const { workpieces, cutPieces } = workOf(db, [projectId]);
  const cloth = cutPieces.find(({ pieceId, duty, clothId }) => own.has(pieceId) && duty === 'shell' && clothId)?.clothId;
  const layers: StandingLayer[] = [];
  for (const { pieceId, duty, stack, place, wish } of workpieces) {
    if (!own.has(pieceId) || duty !== 'shell') continue;
    const at = wish.role === 'flare-hem' || place.kind === 'edges' ? 'hem' : 'all';
    // A patch, a field or a line bears on a spot of it, not on how the whole hangs; what is torn or rinsed away does not stay.
    if (at === 'all' && place.kind !== 'whole' && place.kind !== 'usual') continue;
    const wide = knownLayers(db, stack?.layers ?? []).filter(({ extent }) => at === 'hem' || !PARTLY.includes(extent));
    for (const material of lastingLayers(
      wish.role,
      wide.map((each) => each.material),
    )) {
      if (layers.some((each) => each.material.id === material.id && each.at === at)) continue;
      const width = place.kind === 'edges' ? place.width : Math.min(material.rollWidth, length);
      layers.push({ name: material.name, at, material, width: material.family === 'braid' ? material.rollWidth : width });
    }
  }
  return {
    shape: { circles, waist, length, behind },
    cloth: (cloth && cloths.find(db, cloth)) || null,
    layers,
    gluing: Object.fromEntries(gluingFor(db, cloth ?? null)),
  };
}
