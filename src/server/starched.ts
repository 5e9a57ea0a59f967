import { isSoaked } from '../core/layers';
import type { Db } from '../store/database';
import { findMaterial } from '../store/materials';

/** Whether some of these pieces are soaked in starch before they are sewn, which shrinks them. */
export function areStarched(db: Db, all: readonly { stack: { layers: { materialId: string }[] } | null }[]): boolean {
  const soaked = ({ materialId }: { materialId: string }) => {
    const layer = findMaterial(db, materialId);
    return layer?.family === 'starch' && isSoaked(layer);
  };
  return all.some(({ stack }) => stack?.layers.some(soaked) === true);
}
