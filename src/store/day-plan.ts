import { dayMoved, type DayMove, type DayPlan } from '../core/schedule';
import type { Db } from './database';
import { newMoves, type SentMove } from './moves';
import { readSettingRow, writeSettingRow } from './setting-row';

export interface KeptDayPlan {
  /** None before the first was kept. */
  plan: DayPlan | null;
  version: number;
}

const KEY = 'day-plan';

/** The day that was planned last: one for the whole household, whichever tablet is in hand. */
export function readDayPlan(db: Db): KeptDayPlan {
  const { value, version } = readSettingRow<DayPlan>(db, KEY);
  return { plan: value ?? null, version };
}

/** Keeps it if nobody else did meanwhile. @throws {StaleError} with what is kept now */
export function writeDayPlan(db: Db, plan: DayPlan, version: number): KeptDayPlan {
  return writeSettingRow(db, KEY, plan, version, () => readDayPlan(db));
}

/** Makes moves on the plan as it is kept, each once. */
export function moveDayPlan(db: Db, moves: readonly SentMove<DayMove>[]): KeptDayPlan {
  return db
    .transaction(() => {
      const kept = readDayPlan(db);
      const heard = newMoves(db, KEY, moves);
      if (heard.length === 0) return kept;
      const plan = heard.reduce<DayPlan | null>((was, { move }) => dayMoved(was, move), kept.plan)!;
      return writeDayPlan(db, plan, kept.version);
    })
    .immediate();
}
