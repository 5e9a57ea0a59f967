import { isGlued, stackStiffness, type Gluing } from '../core/layers';
import { gluingFactor, gluingOf, type GluedReading } from '../core/learn';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { forgottenUntil, gluingSubject } from '../store/forgotten';
import { changeOf } from '../store/change-of';
import { logEntries } from '../store/log';
import { findMaterial } from '../store/materials';

/** A reading of a cloth with one glued layer, with where it stands. */
export interface FiledGluing extends GluedReading {
  layerId: string;
  layerName: string;
  clothId: string;
  on: string;
  entryId: string;
}

/** Until somebody writes, what was filed stays the same. */
const kept = new WeakMap<Db, { change: string; filed: FiledGluing[] }>();

/** All readings that say something of a glue and were not forgotten, in order of time. */
export function filedGluings(db: Db): FiledGluing[] {
  const change = changeOf(db);
  const known = kept.get(db);
  if (known?.change === change) return known.filed;
  const forgotten = forgottenUntil(db);
  const entries = logEntries.list(
    db,
    'cloth_id IS NOT NULL AND measured_bending_length IS NOT NULL AND json_array_length(layer_ids) = 1',
    [],
    'done_on, created_at, id',
  );
  const filed = entries.flatMap(({ id, clothId, layerIds, doneOn, createdAt, measuredBendingLength }): FiledGluing[] => {
    const [fabric, layer] = [cloths.find(db, clothId!), findMaterial(db, layerIds[0]!)];
    if (!fabric || !layer || !isGlued(layer.form) || createdAt <= (forgotten.get(gluingSubject(layer.id)) ?? '')) return [];
    const reading = { model: stackStiffness(fabric, [layer]), measured: measuredBendingLength! };
    if (gluingOf(reading) === undefined) return [];
    return [{ ...reading, layerId: layer.id, layerName: layer.name, clothId: clothId!, on: doneOn, entryId: id }];
  });
  kept.set(db, { change, filed });
  return filed;
}

/** How firmly glues hold by what was read on other cloths than this: what was read on the cloth itself counts for its pairs, and not twice. */
export function gluingFor(db: Db, clothId: string | null): Gluing {
  const of = new Map<string, FiledGluing[]>();
  for (const each of filedGluings(db))
    if (each.clothId !== clothId) of.set(each.layerId, [...(of.get(each.layerId) ?? []), each]);
  return new Map([...of].map(([layerId, readings]) => [layerId, gluingFactor(readings).factor]));
}
