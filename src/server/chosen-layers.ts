import { InputError, within } from '../core/input-error';
import { clothAsMaterial, joinedAs, usedOf, type ChosenLayer, type Extent, type Join, type Material } from '../core/layers';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { layers } from '../store/layers';

/** A layer of a stack as it is named in a request or kept: a material of the cupboard, or a cloth of it. */
export interface NamedLayer {
  materialId?: string | undefined;
  clothId?: string | undefined;
  extent: Extent;
  angle?: number | undefined;
  join?: Join | undefined;
}

/**
 * The layers of a stack with their materials as they are joined.
 *
 * @throws {InputError} naming the layer that is not there or cannot be joined so
 */
export function chosenLayers(db: Db, named: readonly NamedLayer[]): ChosenLayer[] {
  return named.map(({ materialId, clothId, extent, angle, join }, i) => {
    const at = `layers[${i}]`;
    if ((materialId === undefined) === (clothId === undefined))
      throw new InputError(at, 'must name either a materialId or a clothId');
    let found: Material | undefined;
    const named = materialId === undefined ? undefined : usedOf(materialId);
    if (named) found = layers.find(db, named.materialId);
    else {
      const cloth = cloths.find(db, clothId!);
      found = cloth && clothAsMaterial(cloth);
    }
    if (!found)
      throw new InputError(
        `${at}.${materialId === undefined ? 'clothId' : 'materialId'}`,
        `must be in the cupboard, saw "${materialId ?? clothId}"`,
      );
    return { material: within(at, () => joinedAs(found, join ?? named?.join)), extent, angle: angle ?? 0 };
  });
}
