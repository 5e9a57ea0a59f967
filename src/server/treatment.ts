import { keptKey } from '../core/layers';
import { treatmentBy, type Treatment } from '../core/pieces';
import type { Db } from '../store/database';
import { jobs } from '../store/jobs';
import { memoryOfCloth } from '../store/log';
import { knownLayers } from '../store/materials';

/**
 * What a heavy wetting does to a cloth of which some cuts are made: starch or stabilizer, damp or wet through, in any of their jobs. What
 * was read on the same cloth and stack goes before what is usual. A length that is treated is treated whole.
 */
export function treatmentOfCloth(db: Db, clothId: string, cutIds: readonly string[]): Treatment | null {
  const done = jobs.list(db, 'cut_id IN (SELECT value FROM json_each(?)) AND stack IS NOT NULL', [JSON.stringify(cutIds)], 'id');
  const treated = done.flatMap(({ stack, wish }) => {
    const materials = knownLayers(db, stack!.layers).map(({ material }) => material);
    // Read only where it is wanted: most cloths are never wetted.
    if (!treatmentBy(materials, false)) return [];
    const shrank = memoryOfCloth(db, clothId).get(stack!.layers.map(keptKey).join('+'))?.shrank;
    return treatmentBy(materials, wish.cutAlready === true, shrank) ?? [];
  });
  return treated.find(({ when }) => when === 'before') ?? treated[0] ?? null;
}
