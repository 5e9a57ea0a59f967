import { CLOTH_ID } from '../core/layers';

/** Key of what a layer of a stack is cut from: a layer, or a cloth that is used as one. */
export function materialKey(materialId: string): string {
  return materialId.startsWith(CLOTH_ID) ? `cloth/${materialId.slice(CLOTH_ID.length)}` : `layer/${materialId}`;
}
