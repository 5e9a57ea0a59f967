import { isSoaked } from '../core/layers';
import type { Db } from '../store/database';
import { layers } from '../store/layers';

/** Whether some of these parts are soaked in starch before they are sewn, which shrinks them. */
export function areStarched(db: Db, all: readonly { stack: { layers: { materialId: string }[] } | null }[]): boolean {
  const soaked = ({ materialId }: { materialId: string }) => {
    const layer = layers.find(db, materialId);
    return layer?.family === 'starch' && isSoaked(layer);
  };
  return all.some(({ stack }) => stack?.layers.some(soaked) === true);
}
