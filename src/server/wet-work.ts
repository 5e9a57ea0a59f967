import { fabricOf, type Fabric } from '../core/cloth';
import type { Method } from '../core/liquid';
import { wettedWith } from '../core/techniques';
import { cloths } from '../store/cloths';
import type { Db } from '../store/database';
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
    const { arealDensity, tone, fibres, water } = fabricOf(cloth);
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
        ...{ arealDensity, tone, fibres, water },
      },
    ];
  });
}

/** How many times longer than computed each cloth takes to dry that was timed, by its id. */
export function paceByCloth(db: Db): Record<string, number> {
  return Object.fromEntries(driedCloths(db).map((id) => [id, dryingPaceOf(db, id).factor]));
}
