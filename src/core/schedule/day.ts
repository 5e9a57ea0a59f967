import { eveningsOf, type Evening } from './evenings';
import { oneLoad, tasksOf } from './loads';
import { BY_HAND, BY_IRON, BY_MACHINE, type DayTask } from './run-tasks';
import { schedule, type Aim } from './schedule';

/** How the day is worked. */
export interface DayOptions {
  people: number;
  irons: number;
  /** Minutes of an evening; 0 when all is done in one go. */
  evening: number;
  /** What it is planned for besides being short. */
  aim?: 'shortest' | 'fewer-changes' | 'board-free' | undefined;
}

/** What it costs to put one thing away and find another, minutes. */
const CHANGE = 5;

function aimOf(aim: DayOptions['aim']): Aim | undefined {
  if (aim === 'board-free') return { kind: 'free-soon', resource: BY_IRON };
  if (aim !== 'fewer-changes') return undefined;
  return { kind: 'fewer-changes', resource: BY_HAND, of: ({ id }) => id.slice(0, id.lastIndexOf('/')), costs: CHANGE };
}

/** A run as the day is planned from: one that is open, a job that would become one, a set in the hoop. */
export interface DayRun {
  id: string;
  name: string;
  tasks: DayTask[];
}

/** What became of tasks so far. */
export interface DayState {
  /** Ids of tasks that are done, and minutes by which tasks are late. */
  done: string[];
  late: { id: string; minutes: number }[];
}

/** Tasks that are still to be done, with what is late reckoned in; what waited on a done one waits no more. */
function leftOf(tasks: readonly DayTask[], done: ReadonlySet<string>, late: ReadonlyMap<string, number>): DayTask[] {
  return tasks
    .filter(({ id }) => !done.has(id))
    .map((task) => ({
      ...task,
      minutes: task.minutes + (late.get(task.id) ?? 0),
      after: task.after.filter((id) => !done.has(id)),
    }));
}

/**
 * The evenings in which some runs are worked; one when there is no limit.
 *
 * @example planDay([], { done: [], late: [] }, { people: 1, irons: 1, evening: 0 }) // []
 */
export function planDay(
  runs: readonly { id: string; tasks: DayTask[] }[],
  state: DayState,
  { people, irons, evening, aim }: DayOptions,
): Evening<DayTask>[] {
  const capacity = { [BY_HAND]: people, [BY_IRON]: irons, [BY_MACHINE]: 1 };
  const done = new Set(state.done.flatMap(tasksOf));
  const late = new Map<string, number>();
  for (const { id, minutes: more } of state.late) for (const each of tasksOf(id)) late.set(each, (late.get(each) ?? 0) + more);
  const open = runs.map(({ tasks }) => leftOf(tasks, done, late)).filter((tasks) => tasks.length > 0);
  if (open.length === 0) return [];
  const left = oneLoad(open).filter((tasks) => tasks.length > 0);
  if (evening > 0) return eveningsOf(left, capacity, evening, aimOf(aim));
  const tasks = left.flat();
  return [{ tasks, plan: schedule({ tasks, capacity, aim: aimOf(aim) }), long: false, overnight: [] }];
}

/** What a day was planned for, and how things stand at the bench by now. */
export interface PlannedWork {
  jobIds: readonly string[];
  runIds: readonly string[];
  /** Motifs in the hoop. */
  hoopingIds?: readonly string[] | undefined;
}
export interface AtTheBench {
  /** Open runs, each with its jobs; a scrap's own are not planned. */
  runs: readonly { id: string; jobIds: readonly string[]; scrap: boolean }[];
  /** Jobs that can be begun, and motifs that can be sewn. */
  readyIds: readonly string[];
  hoopingIds?: readonly string[];
}

/**
 * What of a day's plan is still to be worked: runs that are open, jobs that were begun meanwhile as the runs that they are in, and jobs
 * that can still be begun; motifs that are not all sewn yet.
 *
 * @example stillPlanned({ jobIds: ['a'], runIds: [] }, { runs: [{ id: 'r', jobIds: ['a'], scrap: false }], readyIds: [] }) // { jobIds: [], runIds: ['r'], hoopingIds: [] }
 */
export function stillPlanned(
  { jobIds, runIds, hoopingIds = [] }: PlannedWork,
  { runs, readyIds, hoopingIds: inHoop = [] }: AtTheBench,
): Record<'jobIds' | 'runIds' | 'hoopingIds', string[]> {
  const planned = runs.filter((run) => !run.scrap && (runIds.includes(run.id) || run.jobIds.some((id) => jobIds.includes(id))));
  return {
    jobIds: jobIds.filter((id) => readyIds.includes(id)),
    runIds: planned.map(({ id }) => id),
    hoopingIds: hoopingIds.filter((id) => inHoop.includes(id)),
  };
}

/** What a plan says to do: now, then, and what goes on alongside meanwhile. */
export interface PlannedNow {
  now: DayTask | null;
  next: DayTask | null;
  alongside: DayTask[];
}

/**
 * The first two things that hands do in a plan, and what dries or cools by itself until the first is done.
 *
 * @example firstOf([]).now // null
 */
export function firstOf(evenings: readonly Evening<DayTask>[]): PlannedNow {
  const [evening] = evenings;
  const timed = (evening?.plan.starts ?? []).flatMap((at) => {
    const task = evening!.tasks.find(({ id }) => id === at.id);
    return task ? [{ ...at, task }] : [];
  });
  const [first, second] = timed.filter(({ task }) => task.hands);
  const meanwhile = timed.filter(({ task, start }) => !task.hands && first && start < first.end);
  return { now: first?.task ?? null, next: second?.task ?? null, alongside: meanwhile.map(({ task }) => task) };
}
