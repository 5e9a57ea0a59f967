import { InputError, within } from '../core/input-error';
import { runTasks, type DayRun, type TimedStep } from '../core/schedule';
import type { BenchPlan } from '../core/bench';
import { benchRuns, jobsOfRun, shortName } from '../store/bench-runs';
import type { Db } from '../store/database';
import { pacesOf } from '../store/timings';
import { edgeOf } from './edge-of-jobs';
import { setRun } from './hooping-sets';
import { planBatch } from './start-bench';

/** Most runs that are planned at once. */
const MOST_RUNS = 60;

/**
 * The tasks of some jobs and of runs that are open, from where these stand.
 *
 * @throws {InputError} naming the job that is not ready @throws {NotFoundError} when a run is gone
 */
export function dayRuns(
  db: Db,
  jobIds: readonly string[],
  runIds: readonly string[],
  hoopingIds: readonly string[] = [],
): DayRun[] {
  const all = jobIds.length + runIds.length + hoopingIds.length;
  if (all > MOST_RUNS)
    throw new InputError('jobIds', `and runIds and hoopingIds must name at most ${MOST_RUNS} together, saw ${all}`);
  const open = runIds.map((id): DayRun => {
    const run = benchRuns.get(db, id);
    return dayRun(db, id, run.plan, jobsOfRun(run), run.state.step);
  });
  const begun = jobIds.map((id, i): DayRun => {
    const { plan } = within(`jobIds[${i}]`, () => planBatch(db, [id], 'iron'));
    return dayRun(db, id, plan, [id], 0);
  });
  const sewn = hoopingIds.map((id, i) => within(`hoopingIds[${i}]`, () => setRun(db, id)));
  return [...open, ...begun, ...sewn];
}

function dayRun(db: Db, id: string, plan: BenchPlan, jobIds: readonly string[], from: number): DayRun {
  const name = shortName(plan);
  const steps: TimedStep[] = plan.steps.slice(from);
  return { id, name, tasks: runTasks({ id, name, steps, edge: edgeOf(db, jobIds), from, paces: pacesOf(db) }) };
}
