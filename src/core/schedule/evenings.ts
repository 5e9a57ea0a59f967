import { schedule, type Aim, type Schedule, type Task } from './schedule';

/** A task that may be a wait which goes on over night, or behind which the run may be left. */
type EveningTask = Task & { overnight?: true | undefined; rests?: true | undefined };

/** What is done in one evening. */
export interface Evening<T extends Task> {
  tasks: T[];
  plan: Schedule;
  /** It is longer than an evening, and cannot be divided without leaving something wet or warm overnight. */
  long: boolean;
  /** What goes on by itself when the evening is over. */
  overnight: T[];
}

/** What hands do between two waits that may go on over night, and the wait behind it. */
interface Stretch<T> {
  tasks: T[];
  wait: T | undefined;
}

/** Share of the usual search that tells whether something still fits into an evening. */
const TRIED = 0.02;

/**
 * Puts runs into evenings of a given length. A run may be left where something dries or cools anyway: that goes on over night, and the rest of
 * the run comes another evening; what has to be caught while it is damp is never left. Each evening takes as much of each run as still
 * fits when everything in it is planned together, the run with the most left first.
 *
 * @param runs the tasks of each run, each in its order @param length minutes of an evening @param aim what each evening's plan is good for besides being short
 * @throws {InputError} as {@link schedule}
 * @example eveningsOf([[{ id: 'a', minutes: 20, uses: ['hands'], after: [] }]], { hands: 1 }, 90).length // 1
 */
export function eveningsOf<T extends EveningTask>(
  runs: readonly (readonly T[])[],
  capacity: Readonly<Record<string, number>>,
  length: number,
  aim?: Aim,
): Evening<T>[] {
  const left = runs.map(stretches).filter((run) => run.length > 0);
  const done = new Set<string>();
  const evenings: Evening<T>[] = [];
  while (left.some((run) => run.length > 0)) {
    const evening: Evening<T> = { tasks: [], plan: { makespan: 0, starts: [] }, long: false, overnight: [] };
    const order = left.map((_, i) => i).sort((a, b) => minutesOf(left[b]!) - minutesOf(left[a]!));
    for (const i of order) takeWhatFits(evening, left[i]!);
    // Nothing fits into an empty evening: what comes first is longer than one.
    if (evening.tasks.length === 0) {
      const run = left[order.find((i) => left[i]!.length > 0 && isReady(left[i]![0]!.tasks, [...done]))!]!;
      take(evening, run, 1);
      evening.long = true;
    }
    evening.plan = planned(evening.tasks, 1);
    evenings.push(evening);
    for (const { id } of [...evening.tasks, ...evening.overnight]) done.add(id);
  }
  return evenings;

  /** Tasks of an evening, free of what was done before it. */
  function planned(tasks: readonly T[], effort: number): Schedule {
    return schedule({
      tasks: tasks.map((task) => ({ ...task, after: task.after.filter((id) => !done.has(id)) })),
      capacity,
      aim,
      effort,
    });
  }

  function takeWhatFits(evening: Evening<T>, run: Stretch<T>[]): void {
    for (let count = run.length; count > 0; count--) {
      const tasks = joined(run, count);
      if (!isReady(tasks, [...done, ...evening.tasks.map(({ id }) => id)])) continue;
      if (planned([...evening.tasks, ...tasks], TRIED).makespan > length) continue;
      return take(evening, run, count);
    }
  }

  function take(evening: Evening<T>, run: Stretch<T>[], count: number): void {
    evening.tasks.push(...joined(run, count));
    const { wait } = run[count - 1]!;
    if (wait) evening.overnight.push(wait);
    run.splice(0, count);
  }
}

/** The first stretches of a run with the waits between them, and none after the last. */
function joined<T>(run: readonly Stretch<T>[], count: number): T[] {
  return run.slice(0, count).flatMap(({ tasks, wait }, i) => (wait && i < count - 1 ? [...tasks, wait] : tasks));
}

/** Whether all that some tasks wait for is among them or there already. */
function isReady(tasks: readonly Task[], there: readonly string[]): boolean {
  const known = new Set([...there, ...tasks.map(({ id }) => id)]);
  return tasks.every(({ after }) => after.every((id) => known.has(id)));
}

/** A run divided at the waits that may go on over night, and behind what it may be left at. */
function stretches<T extends EveningTask>(tasks: readonly T[]): Stretch<T>[] {
  const found: Stretch<T>[] = [];
  let open: T[] = [];
  for (const task of tasks) {
    if (!task.overnight) open.push(task);
    if (!task.overnight && !task.rests) continue;
    found.push({ tasks: open, wait: task.overnight ? task : undefined });
    open = [];
  }
  return open.length > 0 ? [...found, { tasks: open, wait: undefined }] : found;
}

function minutesOf(run: readonly Stretch<Task>[]): number {
  return run.reduce((sum, { tasks }) => sum + tasks.reduce((all, { minutes }) => all + minutes, 0), 0);
}
