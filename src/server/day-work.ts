import { InputError, within } from '../core/input-error';
import { openPiece } from '../core/pieces';
import { runTasks, type DayTask, type TimedStep } from '../core/schedule';
import { perimeter } from '../core/shape';
import { benchRuns, type BenchPlan } from '../store/bench-runs';
import type { Db } from '../store/database';
import { workpiecesByIds } from '../store/workpieces';
import { planBatch } from './start-bench';

/** A run as the day is planned from: one that is open, or a job that would become one. */
export interface DayRun {
  id: string;
  name: string;
  tasks: DayTask[];
}

/** Most runs that are planned at once. */
const MOST_RUNS = 60;

/**
 * The tasks of some jobs and of runs that are open, from where these stand.
 *
 * @throws {InputError} naming the job that is not ready @throws {NotFoundError} when a run is gone
 */
export function dayRuns(db: Db, jobIds: readonly string[], runIds: readonly string[]): DayRun[] {
  if (jobIds.length + runIds.length > MOST_RUNS)
    throw new InputError('jobIds', `and runIds must name at most ${MOST_RUNS} together, saw ${jobIds.length + runIds.length}`);
  const open = runIds.map((id): DayRun => {
    const { jobId, plan, state } = benchRuns.get(db, id);
    const jobs = plan.works?.map((work) => work.jobId) ?? [jobId];
    return dayRun(db, id, plan, jobs, state.step);
  });
  const begun = jobIds.map((id, i): DayRun => {
    const { plan } = within(`jobIds[${i}]`, () => planBatch(db, [id], 'iron'));
    return dayRun(db, id, plan, [id], 0);
  });
  return [...open, ...begun];
}

function dayRun(db: Db, id: string, plan: BenchPlan, jobIds: readonly string[], from: number): DayRun {
  const name = plan.works ? plan.stackTitle : plan.pieceName;
  const steps: TimedStep[] = plan.steps.slice(from);
  return { id, name, tasks: runTasks({ id, name, steps, edge: edgeOf(db, jobIds) }) };
}

/** Edge of all copies of some jobs, mm. */
function edgeOf(db: Db, jobIds: readonly string[]): number {
  return workpiecesByIds(db, jobIds).reduce((sum, work) => {
    try {
      return sum + perimeter(openPiece(work).outline) * work.count;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      // A piece that cannot be drawn is told where it is described.
      return sum;
    }
  }, 0);
}
