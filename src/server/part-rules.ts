import { InputError } from '../core/input-error';
import { openPiece } from '../core/pieces';
import { cloths } from '../store/cloths';
import { database } from '../store/database';
import { layers } from '../store/layers';
import type { PartFields } from '../store/parts';

/**
 * What a schema cannot see: that the shape can be built, and that cloth and layers exist.
 *
 * @throws {InputError} naming the field
 */
export function requirePart(part: PartFields): PartFields {
  openPiece(part);
  const db = database();
  if (part.clothId !== null && !cloths.find(db, part.clothId))
    throw new InputError('clothId', `points to a cloth that is not in the cupboard: ${JSON.stringify(part.clothId)}`);
  part.stack?.layers.forEach((layer, i) => {
    if (!layers.find(db, layer.materialId))
      throw new InputError(
        `stack.layers[${i}].materialId`,
        `points to a layer that is not in the cupboard: ${JSON.stringify(layer.materialId)}`,
      );
  });
  return part;
}
