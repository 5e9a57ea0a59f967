import { CLOTH_ID, clothAsMaterial, joinedAs, usedOf, type ChosenLayer, type Material } from '../core/layers';
import { cloths } from './cloths';
import type { Db } from './database';
import { NotFoundError } from './errors';
import type { KeptLayer } from './jobs';
import { layers } from './layers';

/** What a stack can hold: a material of the cupboard, in whatever use its key names, or a cloth of it by `cloth:` and its id. */
export function findMaterial(db: Db, key: string): Material | undefined {
  const { materialId } = usedOf(key);
  if (!materialId.startsWith(CLOTH_ID)) return layers.find(db, materialId);
  const cloth = cloths.find(db, materialId.slice(CLOTH_ID.length));
  return cloth && clothAsMaterial(cloth);
}

/** The layers of a kept stack as they are joined; those that are gone are left out. */
export function knownLayers(db: Db, kept: readonly KeptLayer[]): ChosenLayer[] {
  return kept.flatMap(({ materialId, extent, angle, join }) => {
    const material = findMaterial(db, materialId);
    return material ? [{ material: joinedAs(material, join ?? usedOf(materialId).join), extent, angle }] : [];
  });
}

/** The same where none may be missing. @throws {NotFoundError} */
export function chosenOf(db: Db, kept: readonly KeptLayer[]): ChosenLayer[] {
  return kept.map((layer) => {
    const [known] = knownLayers(db, [layer]);
    if (!known) throw new NotFoundError('layer');
    return known;
  });
}
