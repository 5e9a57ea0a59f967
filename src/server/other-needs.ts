import { liquidPlan, pickUpOf } from '../core/liquid';
import { layerOutline, openPiece } from '../core/pieces';
import { layerCutOf } from '../core/workpiece';
import type { Db } from '../store/database';
import { knownLayers } from '../store/materials';
import { projects } from '../store/projects';
import { readSettings } from '../store/settings';
import { workOf, type Workpiece } from '../store/workpieces';
import { wetJobs } from './wet-work';

/** What some projects need besides cloth and layers off the roll. */
export interface OtherNeeds {
  /** Zips, rings, thread: those that are not there yet, times what is made. */
  notions: { name: string; count: number; project: string }[];
  /** What is sprayed, starched or soaked, ml. */
  liquids: { name: string; millilitres: number }[];
  /** Temporary spray glue, g; 0 where none is used. */
  glue: number;
}

/** Spray glue on a layer that is stuck down, g/m². */
const GLUE = 20;

/** Notions, liquids and glue of some projects. */
export function otherNeeds(db: Db, projectIds: readonly string[]): OtherNeeds {
  const chosen = projects.byIds(db, projectIds);
  const notions = chosen.flatMap(({ name: project, makes, notions: all }) =>
    all.filter(({ there }) => !there).map(({ name, count }) => ({ name, count: count * makes, project })),
  );
  const { workpieces } = workOf(db, projectIds);
  const ids = new Set(workpieces.map(({ id }) => id));
  const byLiquid = new Map<string, number>();
  for (const { id, liquid, method, area, arealDensity, tone, fibres } of wetJobs(db)) {
    if (!ids.has(id)) continue;
    const { millilitres } = liquidPlan([{ id, area, arealDensity, tone, pickUp: pickUpOf({ fibres }, method) }], {
      method,
      strength: 1,
    });
    byLiquid.set(liquid, (byLiquid.get(liquid) ?? 0) + millilitres);
  }
  return {
    notions,
    liquids: [...byLiquid].map(([name, millilitres]) => ({ name, millilitres })),
    glue: workpieces.reduce((sum, work) => sum + glueOf(db, work), 0),
  };
}

/** Spray glue that the layers of a job take, g. */
function glueOf(db: Db, work: Workpiece): number {
  const { trim } = readSettings(db).settings;
  try {
    const piece = openPiece(work);
    return (work.stack?.layers ?? []).reduce((sum, kept) => {
      const [layer] = knownLayers(db, [kept]);
      if (layer?.material.form !== 'spray-glued') return sum;
      const { area } = layerOutline(piece, layer.extent, layer.material, layerCutOf(work, kept.cut, trim, piece));
      return sum + (area * work.count * GLUE) / 1e6;
    }, 0);
  } catch {
    // A piece that cannot be drawn is told where it is described.
    return 0;
  }
}
