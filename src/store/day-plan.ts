import type { DayOptions, DayState } from '../core/schedule';
import type { Db } from './database';
import { readSettingRow, writeSettingRow } from './setting-row';

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
  const { value, version } = readSettingRow<DayPlan>(db, KEY);
  return { plan: value ?? null, version };
}

/** Keeps it if nobody else did meanwhile. @throws {StaleError} with what is kept now */
export function writeDayPlan(db: Db, plan: DayPlan, version: number): KeptDayPlan {
  return writeSettingRow(db, KEY, plan, version, () => readDayPlan(db));
}
