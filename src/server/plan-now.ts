import { InputError } from '../core/input-error';
import { firstOf, planDay, stillPlanned, type DayRun, type PlannedNow } from '../core/schedule';
import { readDayPlan } from '../store/day-plan';
import type { Db } from '../store/database';
import { NotFoundError } from '../store/errors';
import { benchBoard } from './bench-board';
import { dayRuns } from './day-work';
import { openSets } from './hooping-sets';

/** What is to be done now by the plan of the day. */
export interface ByPlan extends PlannedNow {
  /** Runs of the plan that are open at the bench; the others are jobs that are still to be started. */
  open: string[];
}

/** A run or job of the plan; none when it is gone, finished or no longer ready. */
function still(db: Db, jobIds: string[], runIds: string[], hoopingIds: string[] = []): DayRun[] {
  try {
    return dayRuns(db, jobIds, runIds, hoopingIds);
  } catch (error) {
    if (error instanceof InputError || error instanceof NotFoundError) return [];
    throw error;
  }
}

/**
 * What the plan of the day says to do now, next and alongside.
 *
 * @param without a run that is in hand: what can be done besides it
 */
export function planNow(db: Db, without?: string): ByPlan {
  const { plan } = readDayPlan(db);
  if (!plan) return { now: null, next: null, alongside: [], open: [] };
  const board = benchBoard(db);
  const readyIds = board.ready.flatMap(({ jobs }) => jobs.map(({ id }) => id));
  const sets = openSets(db).map(({ id }) => id);
  const { jobIds, runIds, hoopingIds } = stillPlanned(plan, { runs: board.runs, readyIds, hoopingIds: sets });
  const open = runIds.filter((id) => id !== without);
  const runs = [
    ...open.flatMap((id) => still(db, [], [id])),
    ...jobIds.flatMap((id) => still(db, [id], [])),
    ...hoopingIds.flatMap((id) => still(db, [], [], [id])),
  ];
  return { ...firstOf(planDay(runs, plan, plan)), open };
}
