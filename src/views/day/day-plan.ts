import type { DayPlan } from '../../store/day-plan';
import { eveningsOf, HANDS, IRON, schedule, type Aim, type DayTask, type Evening } from '../../core/schedule';

/** How the day is worked. */
export type DayOptions = Pick<DayPlan, 'people' | 'irons' | 'evening' | 'aim'>;

/** What it costs to put one thing away and find another, minutes. */
const CHANGE = 5;

function aimOf(aim: DayOptions['aim']): Aim | undefined {
  if (aim === 'board-free') return { kind: 'free-soon', resource: IRON };
  if (aim !== 'fewer-changes') return undefined;
  return { kind: 'fewer-changes', resource: HANDS, of: ({ id }) => id.slice(0, id.lastIndexOf('/')), costs: CHANGE };
}

/** What became of tasks so far. */
export type DayState = Pick<DayPlan, 'done' | 'late'>;

export const NOTHING_DONE: DayState = { done: [], late: [] };

/** Tasks that are still to be done, with what is late reckoned in; what waited on a done one waits no more. */
function leftOf(tasks: readonly DayTask[], { done, late }: DayState): DayTask[] {
  return tasks
    .filter(({ id }) => !done.includes(id))
    .map((task) => ({
      ...task,
      minutes: task.minutes + (late.find(({ id }) => id === task.id)?.minutes ?? 0),
      after: task.after.filter((id) => !done.includes(id)),
    }));
}

/** The evenings in which some runs are worked; one when there is no limit. */
export function planDay(
  runs: readonly { id: string; tasks: DayTask[] }[],
  state: DayState,
  { people, irons, evening, aim }: DayOptions,
): Evening<DayTask>[] {
  const capacity = { [HANDS]: people, [IRON]: irons };
  const left = runs.map(({ tasks }) => leftOf(tasks, state)).filter((tasks) => tasks.length > 0);
  if (left.length === 0) return [];
  if (evening > 0) return eveningsOf(left, capacity, evening, aimOf(aim));
  const tasks = left.flat();
  return [{ tasks, plan: schedule({ tasks, capacity, aim: aimOf(aim) }), long: false }];
}

/** Minutes in which hands are needed, and minutes that the same tasks would take one after the other. */
export function sums(tasks: readonly DayTask[]): { hands: number; all: number } {
  const of = (some: readonly DayTask[]) => some.reduce((sum, { minutes }) => sum + minutes, 0);
  return { hands: of(tasks.filter(({ hands }) => hands)), all: of(tasks) };
}

/** `19:05`, some minutes after a time of day in minutes. */
export function clock(from: number, minutes: number): string {
  const at = Math.round(from + minutes) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}
