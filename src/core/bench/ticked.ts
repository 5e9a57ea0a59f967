import type { BenchPlan, BenchState } from './run';

/** What was to be looked at for one job, and what of it was ticked. */
export interface Ticked {
  checks: string[];
  ticked: string[];
  /** What was found to be wrong. */
  causes: string[];
}

/**
 * What is ticked for one job of a run; boxes of a batch carry its name. What was looked at for all of them counts for each.
 *
 * @param work number of the job in its batch, from 0
 * @example tickedFor({ pieceName: '', clothName: '', stackTitle: '', outline: [], plate: [], steps: [] }, START_STATE, 0).checks // []
 */
export function tickedFor({ works, steps }: BenchPlan, state: Pick<BenchState, 'checks' | 'causes'>, work: number): Ticked {
  const several = works !== undefined && works.length > 1;
  const name = works?.[work]?.name ?? '';
  const boxes = steps
    .filter((step) => !several || step.work === undefined || step.work === work)
    .flatMap((step) => step.checks ?? []);
  const plain = (check: string) => (several && check.startsWith(`${name}: `) ? check.slice(name.length + 2) : check);
  const causes = (state.causes ?? []).filter((each) => each.work === null || !several || each.work === work);
  return {
    checks: boxes.map(plain),
    ticked: boxes.filter((check) => state.checks.includes(check)).map(plain),
    causes: [...new Set(causes.map(({ found }) => found))],
  };
}
