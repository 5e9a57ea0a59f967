import { joinedAs, usedOf, type Material } from '../../src/core/layers';
import { LIBRARY_LAYERS } from '../../src/core/library';

/** A layer of the library by its id, used as the id says (`starch__full`), or as it is in the cupboard. */
export function libraryLayer(key: string): Material {
  const { materialId, join } = usedOf(key);
  const found = LIBRARY_LAYERS.find(({ id }) => id === materialId);
  if (!found) throw new Error(`no layer ${materialId} in the library`);
  return join ? joinedAs(found, join) : found;
}
