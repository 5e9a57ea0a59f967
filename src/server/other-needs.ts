import type { Bottle } from '../core/liquid';
import { workOf as workOfJob, type AmountKind } from '../core/techniques';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { projects } from '../store/projects';
import { builtWorks } from './built-works';
import { drawnJob } from './job-work';
import type { SetNeeds } from './set-needs';

/** What some projects need besides cloth and layers off the roll. */
export interface OtherNeeds {
  /** Zips, rings, thread: those that are not there yet, times what is made. */
  notions: { name: string; count: number; project: string }[];
  /** What is sprayed, starched or soaked, ml. */
  liquids: { name: string; millilitres: number; bottle: Bottle }[];
  /** Temporary spray glue, g; 0 where none is used. */
  glue: number;
  /** Thread for basting, catching and pad-stitching, mm; 0 where nothing is sewn by hand. */
  thread: number;
}

/** Notions, liquids, glue and thread of some projects, as the techniques of their jobs count them, and of sets in the hoop. */
export function otherNeeds(db: Db, projectIds: readonly string[], sets: readonly SetNeeds[] = []): OtherNeeds {
  const chosen = projects.byIds(db, projectIds);
  const notions = chosen.flatMap(({ name: project, makes, notions: all }) =>
    all.filter(({ there }) => !there).map(({ name, count }) => ({ name, count: count * makes, project })),
  );
  const byLiquid = new Map<string, { name: string; millilitres: number }>();
  const wet = (id: string, name: string, millilitres: number) =>
    byLiquid.set(id, { name, millilitres: (byLiquid.get(id)?.millilitres ?? 0) + millilitres });
  const sums = new Map<AmountKind, number>();
  for (const work of builtWorks(db, projectIds)) {
    const job = drawnJob(db, work);
    if (!job) continue;
    for (const { layer, kind, amount } of workOfJob(job).amounts) {
      sums.set(kind, (sums.get(kind) ?? 0) + amount);
      const { id, name, use } = job.layers[layer]!.material;
      if (kind === 'millilitres') wet(id, use?.of ?? name, amount);
    }
  }
  for (const { liquid, glue } of sets) {
    if (liquid) wet(liquid.layerId, liquid.name, liquid.millilitres);
    sums.set('grams', (sums.get('grams') ?? 0) + glue);
  }
  return {
    notions,
    liquids: [...byLiquid].map(([id, liquid]) => ({ ...liquid, bottle: layers.find(db, id)?.bottle ?? {} })),
    glue: sums.get('grams') ?? 0,
    thread: sums.get('thread') ?? 0,
  };
}
