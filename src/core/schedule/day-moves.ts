import type { DayOptions, DayState } from './day';

/** How the working day is planned, and what became of it so far. */
export interface DayPlan extends DayOptions, DayState {
  jobIds: string[];
  runIds: string[];
  /** Motifs in the hoop; none in a plan from before. */
  hoopingIds?: string[] | undefined;
  /** Time of day at which it begins: `19:00`. */
  from: string;
}

/** What is asked of the day besides the work itself. */
export type DayWishes = Pick<DayPlan, 'people' | 'irons' | 'evening' | 'aim' | 'from'>;

/** What was done to the plan of the day, as it is sent: two tablets that change it at once are both heard. */
export type DayMove =
  /** A day is planned for the first time, with this work; nothing when there is a plan already. */
  | { kind: 'begin'; runIds: string[] }
  | { kind: 'wish'; wishes: Partial<DayWishes> }
  | { kind: 'add' | 'leave-out'; jobIds: string[]; runIds: string[]; hoopingIds?: string[] | undefined }
  /** A task is done. */
  | { kind: 'done'; id: string }
  /** A task takes so many minutes more. */
  | { kind: 'late'; id: string; minutes: number }
  /** As if nothing were done or late. */
  | { kind: 'anew' };

/** A day of which nothing was said yet. */
const FIRST_DAY: DayPlan = {
  ...{ jobIds: [], runIds: [], people: 1, irons: 1, evening: 0, from: '19:00' },
  ...{ done: [], late: [] },
};

const joined = (list: readonly string[], more: readonly string[]) => [...new Set([...list, ...more])];
const without = (list: readonly string[], less: readonly string[]) => list.filter((each) => !less.includes(each));

/**
 * The plan after a move.
 *
 * @param was null before the first plan was kept
 * @example dayMoved(null, { kind: 'done', id: 'a/0' }).done // ['a/0']
 */
export function dayMoved(was: DayPlan | null, move: DayMove): DayPlan {
  const plan = was ?? FIRST_DAY;
  switch (move.kind) {
    case 'begin':
      return was ?? { ...FIRST_DAY, runIds: [...move.runIds] };
    case 'wish':
      return { ...plan, ...move.wishes };
    case 'add':
      return eachList(plan, move, joined);
    case 'leave-out':
      return eachList(plan, move, without);
    case 'done':
      return { ...plan, done: joined(plan.done, [move.id]) };
    case 'late': {
      const before = plan.late.find(({ id }) => id === move.id)?.minutes ?? 0;
      const others = plan.late.filter(({ id }) => id !== move.id);
      return { ...plan, late: [...others, { id: move.id, minutes: before + move.minutes }] };
    }
    case 'anew':
      return { ...plan, done: [], late: [] };
  }
}

type Listed = Pick<DayPlan, 'jobIds' | 'runIds' | 'hoopingIds'>;

/** The plan with each of its lists changed by that of the move. */
function eachList(plan: DayPlan, move: Listed, by: (list: readonly string[], some: readonly string[]) => string[]): DayPlan {
  const hoopingIds = by(plan.hoopingIds ?? [], move.hoopingIds ?? []);
  return { ...plan, jobIds: by(plan.jobIds, move.jobIds), runIds: by(plan.runIds, move.runIds), hoopingIds };
}
