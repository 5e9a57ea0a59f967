import type { DayOptions, DayState } from '../core/schedule';
import type { Db } from './database';
import { StaleError } from './errors';

/** How the working day is planned, and what became of it so far. */
export interface DayPlan extends DayOptions, DayState {
  jobIds: string[];
  runIds: string[];
  /** Time of day at which it begins: `19:00`. */
  from: string;
}

export interface KeptDayPlan {
  /** None before the first was kept. */
  plan: DayPlan | null;
  version: number;
}

const KEY = 'day-plan';

/** The day that was planned last: one for the whole household, whichever tablet is in hand. */
export function readDayPlan(db: Db): KeptDayPlan {
  const row = db.prepare('SELECT value, version FROM setting WHERE key = ?').get(KEY) as
    { value: string; version: number } | undefined;
  return row ? { plan: JSON.parse(row.value) as DayPlan, version: row.version } : { plan: null, version: 0 };
}

/** Keeps it if nobody else did meanwhile. @throws {StaleError} with what is kept now */
export function writeDayPlan(db: Db, plan: DayPlan, version: number): KeptDayPlan {
  return db.transaction(() => {
    const current = readDayPlan(db);
    if (current.version !== version) throw new StaleError(current);
    db.prepare(
      `INSERT INTO setting (key, value, version, updated_at) VALUES (?, ?, 1, ?)
       ON CONFLICT (key) DO UPDATE SET value = excluded.value, version = version + 1, updated_at = excluded.updated_at`,
    ).run(KEY, JSON.stringify(plan), new Date().toISOString());
    return readDayPlan(db);
  })();
}
