import { InputError } from '../../core/input-error';
import { openPiece } from '../../core/pieces';
import { cloths } from '../cloths';
import type { Db } from '../database';
import { layers } from '../layers';
import type { PartFields } from '../parts';

/**
 * What a schema cannot see: that the shape can be built, and that cloth and layers exist. What a part was kept with may have been
 * deleted since, which must not keep the rest from being saved.
 *
 * @throws {InputError} naming the field
 */
export function requirePart(db: Db, part: PartFields, current?: PartFields): PartFields {
  openPiece(part);
  if (part.clothId !== null && part.clothId !== current?.clothId && !cloths.find(db, part.clothId))
    throw new InputError('clothId', `points to a cloth that is not in the cupboard: ${JSON.stringify(part.clothId)}`);
  const before = current?.stack?.layers.map(({ materialId }) => materialId) ?? [];
  part.stack?.layers.forEach(({ materialId }, i) => {
    if (!before.includes(materialId) && !layers.find(db, materialId))
      throw new InputError(
        `stack.layers[${i}].materialId`,
        `points to a layer that is not in the cupboard: ${JSON.stringify(materialId)}`,
      );
  });
  return part;
}
