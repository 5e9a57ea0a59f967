import type { DayRun } from '../core/schedule';
import { changeOf } from '../store/change-of';
import { databasePath } from './database';
import type { ByPlan } from './plan-now';
import { inThread } from './threads/in-thread';
import type { Db } from '../store/database';

/** Longer than this the day is not worked out, s. */
const SECONDS = 30;
/** Answers that are kept at once: one for each run that waits somewhere. */
const MOST_KEPT = 40;

interface Kept {
  change: string;
  answer: Promise<unknown>;
  working: boolean;
  /** The answer after this one, for all who ask while it is worked out and something has been written since. */
  after?: Promise<unknown>;
}

const kept = new Map<string, Kept>();

/** An answer of the thread, kept until something is written; whoever asks while it is worked out gets the same. */
function answered<T>(db: Db, asked: object): Promise<T> {
  const path = databasePath();
  const key = JSON.stringify([path, asked]);
  const change = changeOf(db);
  const again = () => answered<T>(db, asked);
  const found = kept.get(key);
  if (found?.change === change) return found.answer as Promise<T>;
  // However often somebody writes, a question is worked out once at a time.
  if (found?.working) return (found.after ??= found.answer.then(again, again)) as Promise<T>;
  // Nobody's going away ends what others wait for too.
  const { signal } = new AbortController();
  const answer = inThread<T>('day', { path, ...asked }, { signal, seconds: SECONDS });
  const own: Kept = { change, answer, working: true };
  kept.set(key, own);
  const over = () => (own.working = false);
  answer.then(over, () => {
    over();
    if (kept.get(key) === own) kept.delete(key);
  });
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return answer;
}

/** What some jobs and open runs come to as tasks. @throws {InputError} {NotFoundError} {RequestError} */
export function dayRunsKept(
  db: Db,
  jobIds: readonly string[],
  runIds: readonly string[],
  hoopingIds: readonly string[],
): Promise<{ runs: DayRun[] }> {
  return answered(db, { jobIds, runIds, hoopingIds });
}

/** What the plan of the day says to do now. @param without a run that is in hand */
export function planNowKept(db: Db, without: string | undefined): Promise<ByPlan> {
  return answered(db, { without: without ?? null });
}
