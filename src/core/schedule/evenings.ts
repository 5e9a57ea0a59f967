import { schedule, type Aim, type Schedule, type Task } from './schedule';

/** What is done in one evening. */
export interface Evening<T extends Task> {
  tasks: T[];
  plan: Schedule;
  /** It is longer than an evening, and cannot be divided without leaving something wet or warm overnight. */
  long: boolean;
}

/**
 * Puts whole runs into evenings of a given length, so that nothing lies wet or half done overnight: the longest run first, each into the
 * first evening in which everything still fits when it is planned together.
 *
 * @param runs the tasks of each run @param length minutes of an evening @param aim what each evening's plan is good for besides being short
 * @throws {InputError} as {@link schedule}
 * @example eveningsOf([[{ id: 'a', minutes: 20, uses: ['hands'], after: [] }]], { hands: 1 }, 90).length // 1
 */
export function eveningsOf<T extends Task>(
  runs: readonly (readonly T[])[],
  capacity: Readonly<Record<string, number>>,
  length: number,
  aim?: Aim,
): Evening<T>[] {
  const planned = (tasks: readonly T[]) => schedule({ tasks, capacity, aim });
  const sized = runs
    .filter((tasks) => tasks.length > 0)
    .map((tasks) => ({ tasks, alone: planned(tasks).makespan }))
    .sort((a, b) => b.alone - a.alone);
  const evenings: Evening<T>[] = [];
  for (const { tasks, alone } of sized) {
    if (alone > length) {
      evenings.push({ tasks: [...tasks], plan: planned(tasks), long: true });
      continue;
    }
    const fits = evenings.some((evening) => {
      if (evening.long) return false;
      const both = [...evening.tasks, ...tasks];
      const plan = planned(both);
      if (plan.makespan > length) return false;
      Object.assign(evening, { tasks: both, plan });
      return true;
    });
    if (!fits) evenings.push({ tasks: [...tasks], plan: planned(tasks), long: false });
  }
  return evenings;
}
