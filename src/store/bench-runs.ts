import type { BenchPlan, BenchState, BenchTimer } from '../core/bench';
import type { Db } from './database';
import { Table, type Kept } from './table';

export interface BenchRunFields {
  /** The job, or the first of a batch. */
  jobId: string;
  /** The scrap that it leads through, instead of the job itself. */
  scrapId: string | null;
  plan: BenchPlan;
  state: BenchState;
  finishedAt: string | null;
}
export type BenchRun = BenchRunFields & Kept;

export const benchRuns = new Table<BenchRunFields>('bench_run', 'bench run', {
  jobId: 'plain',
  scrapId: 'plain',
  plan: 'json',
  state: 'json',
  finishedAt: 'plain',
});

/** Ids of the jobs that a run works. */
export function jobsOfRun({ jobId, plan }: Pick<BenchRunFields, 'jobId' | 'plan'>): string[] {
  return plan.works?.map((work) => work.jobId) ?? [jobId];
}

const OPEN = 'scrap_id IS NULL AND finished_at IS NULL';
/** A batch names its jobs in its plan. */
const OF_JOB = `(job_id = ? OR EXISTS (SELECT 1 FROM json_each(plan, '$.works') WHERE json_extract(value, '$.jobId') = ?))`;

/** The run of a job that has been started and not finished. */
export function openRunOf(db: Db, jobId: string): BenchRun | undefined {
  return benchRuns.list(db, `${OPEN} AND ${OF_JOB}`, [jobId, jobId], 'created_at DESC')[0];
}

/** Every run that has been started and not finished, the last one first, scraps too. */
export function openRuns(db: Db): BenchRun[] {
  return benchRuns.list(db, 'finished_at IS NULL', [], 'updated_at DESC', { limit: 100 });
}

/** The run of a job that was finished last. */
export function lastRunOf(db: Db, jobId: string): BenchRun | undefined {
  const finished = `scrap_id IS NULL AND finished_at IS NOT NULL AND ${OF_JOB}`;
  return benchRuns.list(db, finished, [jobId, jobId], 'finished_at DESC', { limit: 1 })[0];
}

/** Ids of jobs that were done at the bench in runs that began since then, and are not being done anew. */
export function workedSince(db: Db, createdAt: string): Set<string> {
  const rows = db
    .prepare(
      `SELECT coalesce(json_extract(works.value, '$.jobId'), run.job_id) AS id
         FROM bench_run run LEFT JOIN json_each(run.plan, '$.works') works
        WHERE run.scrap_id IS NULL AND run.deleted_at IS NULL AND run.created_at >= ?
        GROUP BY 1 HAVING sum(run.finished_at IS NULL) = 0`,
    )
    .all(createdAt) as { id: string }[];
  return new Set(rows.map(({ id }) => id));
}

/** What runs by itself at the bench: countdowns, pieces that cool or dry. */
export function timersOf({ id, plan, state }: BenchRun): BenchTimer[] {
  const own = state.endsAt ? [{ label: plan.steps[state.step]?.title ?? '', endsAt: state.endsAt }] : [];
  return [...own, ...state.timers].map((timer) => ({ runId: id, ...timer }));
}

/** What a run is called in few words: a batch by its first job and how many more there are. */
export function shortName({ works, pieceName }: BenchPlan): string {
  const [first, ...others] = works ?? [];
  return first ? `${first.name}${others.length > 0 ? ` and ${others.length} more` : ''}` : pieceName;
}
