import type { Air } from '../core/liquid';
import { timingsOf } from '../core/schedule';
import { benchRuns, jobsOfRun } from '../store/bench-runs';
import type { Db } from '../store/database';
import { airOf, readSettings } from '../store/settings';
import { keepTimings, pacesOf } from '../store/timings';
import { edgeOf } from './edge-of-jobs';

/** The air in which the person hangs wet cloth, with how fast it dries there by their own times. */
export function ownAir(db: Db): Air & { pace: number } {
  return { ...airOf(readSettings(db).settings), pace: pacesOf(db).drying.factor };
}

/** Keeps what a run tells of the person's pace, once it is finished. A scrap tells nothing: it is too small. */
export function learnTimes(db: Db, runId: string): void {
  const run = benchRuns.get(db, runId);
  if (run.finishedAt === null || run.scrapId !== null) return;
  const { plan, state } = run;
  const timings = timingsOf({
    ...{ steps: plan.steps, edge: edgeOf(db, jobsOfRun(run)), dryingPace: plan.dryingPace },
    ...{ stamps: state.stamps ?? [], hung: state.hung ?? [] },
  });
  keepTimings(db, runId, timings, run.finishedAt);
}
