import { fabricOf, type Fabric } from '../core/cloth';
import type { Method } from '../core/liquid';
import { wettedWith } from '../core/techniques';
import { usedOf } from '../core/layers';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { logEntries, type LogEntry } from '../store/log';
import { projects } from '../store/projects';
import { driedCloths, dryingPaceOf } from '../store/timings';
import { builtWorks } from './built-works';
import { drawnJob } from './job-work';

/** A job whose stack holds a liquid, as far as its liquid is concerned. */
export interface WetJob {
  id: string;
  name: string;
  project: string;
  liquid: string;
  /** Id of the layer that it is. */
  liquidId: string;
  method: Method;
  count: number;
  /** mm², all copies, as the technique wets them: what is soaked as a length, under the hoop its ground. */
  area: number;
  /** Share of its mass that the cloth takes up in all rounds. */
  pickUp: number;
  clothName: string;
  /** How many times longer than computed its cloth takes to dry here. */
  pace: number;
  arealDensity: number;
  tone: Fabric['tone'];
  fibres: Fabric['fibres'];
  water: Fabric['water'];
  uptake?: Fabric['uptake'];
}

/** So many projects are looked through, last touched first. */
const MOST_PROJECTS = 50;

/** Jobs of open projects in which something is sprayed, starched or soaked. */
export function wetJobs(db: Db): WetJob[] {
  const shown = projects.list(db, 'archived = 0', [], 'updated_at DESC, rowid', { limit: MOST_PROJECTS });
  const works = builtWorks(
    db,
    shown.map(({ id }) => id),
  );
  return works.flatMap((work): WetJob[] => {
    const job = drawnJob(db, work);
    const index = job?.layers.findIndex(({ material }) => material.form === 'liquid') ?? -1;
    if (!job || index === -1) return [];
    const layer = job.layers[index]!;
    const wetted = wettedWith({ job, layer, index });
    if (!wetted) return [];
    const cloth = cloths.get(db, work.clothId!);
    const { arealDensity, tone, fibres, water, uptake } = fabricOf(cloth);
    const mass = (wetted.area / 1e6) * arealDensity;
    return [
      {
        ...{ id: work.id, name: work.name, project: shown.find(({ id }) => id === work.projectId)?.name ?? '' },
        ...{
          liquid: layer.material.use?.of ?? layer.material.name,
          liquidId: layer.material.id,
          method: wetted.method,
          count: work.count,
          area: wetted.area,
        },
        ...{ pickUp: (wetted.each * wetted.rounds) / mass, clothName: cloth.name, pace: dryingPaceOf(db, cloth.id).factor },
        ...{ arealDensity, tone, fibres, water, ...(uptake === undefined ? {} : { uptake }) },
      },
    ];
  });
}

/** How many times longer than computed each cloth takes to dry that was timed, by its id. */
export function paceByCloth(db: Db): Record<string, number> {
  return Object.fromEntries(driedCloths(db).map((id) => [id, dryingPaceOf(db, id).factor]));
}

/** A cloth that a liquid was used on, by the logbook. */
export interface UsedOn {
  cloth: string;
  times: number;
  /** Date of the last time, and how it came out then. */
  on: string;
  outcome: LogEntry['outcome'];
}

/** What each liquid was used on, by its id: the cloth of the last time first. */
export function usedOn(db: Db): Record<string, UsedOn[]> {
  const found = new Map<string, Map<string, UsedOn>>();
  const liquids = layers.list(db, "form = 'liquid'").map(({ id }) => id);
  const entries = logEntries.list(
    db,
    `cloth_id IS NOT NULL AND EXISTS (SELECT 1 FROM json_each(layer_ids) k JOIN json_each(?) l
        ON k.value = l.value OR k.value LIKE l.value || '\\_\\_%' ESCAPE '\\')`,
    [JSON.stringify(liquids)],
    'done_on DESC, created_at DESC, id',
  );
  for (const { clothId, clothName, layerIds, doneOn, outcome } of entries)
    for (const { materialId } of layerIds.map(usedOf)) {
      if (!liquids.includes(materialId)) continue;
      const own = found.get(materialId) ?? new Map<string, UsedOn>();
      const before = own.get(clothId!);
      own.set(clothId!, before ? { ...before, times: before.times + 1 } : { cloth: clothName, times: 1, on: doneOn, outcome });
      found.set(materialId, own);
    }
  return Object.fromEntries([...found].map(([id, own]) => [id, [...own.values()]]));
}
