import type { Workplace } from '../core/choose';
import type { Air, Hanging } from '../core/liquid';
import { timingsOf } from '../core/schedule';
import { benchRuns, jobsOfRun } from '../store/bench-runs';
import type { Db } from '../store/database';
import { airOf, readSettings } from '../store/settings';
import { driedCloths, dryingPaceOf, keepTimings } from '../store/timings';
import { edgeOf } from './edge-of-jobs';

/** Where and with what the person works: the air in which wet cloth hangs, with how fast this one dries there by their own times, and the iron. */
export function workplaceOf(db: Db, clothId: string | null): Workplace & { air: Air & Pick<Hanging, 'pace'> } {
  const { settings } = readSettings(db);
  return {
    air: { ...airOf(settings), pace: dryingPaceOf(db, clothId).factor },
    iron: { steam: settings.ironSteam, weight: settings.ironWeight },
  };
}

/** The same for each cloth of which it was timed how it dries, by its id. */
export function workplacesByCloth(db: Db): Record<string, Workplace> {
  return Object.fromEntries(driedCloths(db).map((id) => [id, workplaceOf(db, id)]));
}

/** Keeps what a run tells of the person's pace, once it is finished. A scrap tells nothing: it is too small. */
export function learnTimes(db: Db, runId: string): void {
  const run = benchRuns.get(db, runId);
  if (run.finishedAt === null || run.scrapId !== null) return;
  const { plan, state } = run;
  const timings = timingsOf({
    ...{ steps: plan.steps, edge: edgeOf(db, jobsOfRun(run)), hangs: plan.hangs },
    ...{ stamps: state.stamps ?? [], hung: state.hung ?? [], weighed: state.weighed },
  });
  keepTimings(db, runId, timings, run.finishedAt);
}
