import type { SetStep } from '../core/steps';
import type { Outline } from '../core/shape';
import type { PressStop } from '../core/press';
import type { Db } from './database';
import { Table, column, type Kept } from './table';

/** A step with the iron stops that were planned for it, when it is pressed. */
export interface BenchStep extends SetStep {
  stops?: PressStop[];
}

/** What a run was started with; it does not change when the part is edited later. */
export interface BenchPlan {
  pieceName: string;
  clothName: string;
  stackTitle: string;
  outline: Outline;
  plate: Outline;
  steps: BenchStep[];
}

export interface BenchState {
  step: number;
  stop: number;
  /** ISO time at which the running countdown ends. */
  endsAt: string | null;
  /** Seconds left when it was paused. */
  pausedLeft: number | null;
  /** Pieces that cool or dry while the next is worked on. */
  timers: { label: string; endsAt: string }[];
  /** Checks that are ticked. */
  checks: string[];
}

export interface BenchRunFields {
  jobId: string;
  /** The scrap that it leads through, instead of the part itself. */
  scrapId: string | null;
  plan: BenchPlan;
  state: BenchState;
  finishedAt: string | null;
}
export type BenchRun = BenchRunFields & Kept;

export const benchRuns = new Table<BenchRunFields>('bench_run', 'bench run', [
  column('jobId'),
  column('scrapId'),
  column('plan', 'json'),
  column('state', 'json'),
  column('finishedAt'),
]);

export const START_STATE: BenchState = { step: 0, stop: 0, endsAt: null, pausedLeft: null, timers: [], checks: [] };

/** The run of a part that has been started and not finished. */
export function openRunOf(db: Db, jobId: string): BenchRun | undefined {
  return benchRuns.list(db, 'job_id = ? AND scrap_id IS NULL AND finished_at IS NULL', [jobId], 'created_at DESC')[0];
}
