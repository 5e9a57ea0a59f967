import { randomUUID } from 'node:crypto';
import { PACES, paceFrom, pacesFrom, type Pace, type Paces, type Timing } from '../core/learn';
import type { Db } from './database';
import { dryingSubject, forgottenUntil, paceSubject } from './forgotten';

/** So many of the latest times of each kind count: what one learns makes one faster. */
const LATEST = 40;

/** Keeps what a finished run tells; what it told before, when it was finished once already, is replaced. */
export function keepTimings(db: Db, runId: string, timings: readonly Timing[], doneAt: string): void {
  db.transaction(() => {
    db.prepare('DELETE FROM timing WHERE bench_run_id = ?').run(runId);
    const insert = db.prepare(
      'INSERT INTO timing (id, bench_run_id, pace, expected, actual, done_at, cloth_id) VALUES (?, ?, ?, ?, ?, ?, ?)',
    );
    for (const { pace, expected, actual, clothId } of timings)
      insert.run(randomUUID(), runId, pace, expected, actual, doneAt, clothId ?? null);
  }).immediate();
}

/** How fast the person works and their cloths dry, by the latest times. */
export function pacesOf(db: Db): Paces {
  return pacesFrom(PACES.flatMap((pace) => timingsOf(db, pace)));
}

/** The times of one kind that count, the latest first. */
export function timingsOf(db: Db, pace: Pace): (Timing & { doneAt: string })[] {
  const since = forgottenUntil(db).get(paceSubject(pace)) ?? '';
  return db
    .prepare(
      'SELECT pace, expected, actual, done_at AS doneAt FROM timing WHERE pace = ? AND done_at > ? ORDER BY done_at DESC LIMIT ?',
    )
    .all(pace, since, LATEST) as (Timing & { doneAt: string })[];
}

/** The times of one cloth that count, the latest first. */
export function dryingsOf(db: Db, clothId: string): (Timing & { doneAt: string })[] {
  const forgotten = forgottenUntil(db);
  const untils = [paceSubject('drying'), dryingSubject(clothId)].map((subject) => forgotten.get(subject) ?? '');
  return db
    .prepare(
      `SELECT pace, expected, actual, done_at AS doneAt FROM timing
        WHERE pace = 'drying' AND cloth_id = ? AND done_at > ? ORDER BY done_at DESC LIMIT ?`,
    )
    .all(clothId, untils.sort().at(-1), LATEST) as (Timing & { doneAt: string })[];
}

/** How fast a cloth dries here, by its own times beside those of all cloths of the house. */
export function dryingPaceOf(db: Db, clothId: string | null): { factor: number; times: number } {
  const house = pacesOf(db).drying;
  return clothId === null ? house : paceFrom(dryingsOf(db, clothId), house.factor);
}

/** Cloths of which it was seen how they dry. */
export function driedCloths(db: Db): string[] {
  return db
    .prepare("SELECT DISTINCT cloth_id FROM timing WHERE pace = 'drying' AND cloth_id IS NOT NULL ORDER BY 1")
    .pluck()
    .all() as string[];
}
