import { randomUUID } from 'node:crypto';
import { PACES, pacesFrom, type Pace, type Paces, type Timing } from '../core/learn';
import type { Db } from './database';
import { forgottenUntil, paceSubject } from './forgotten';

/** So many of the latest times of each kind count: what one learns makes one faster. */
const LATEST = 40;

/** Keeps what a finished run tells; what it told before, when it was finished once already, is replaced. */
export function keepTimings(db: Db, runId: string, timings: readonly Timing[], doneAt: string): void {
  db.transaction(() => {
    db.prepare('DELETE FROM timing WHERE bench_run_id = ?').run(runId);
    const insert = db.prepare('INSERT INTO timing (id, bench_run_id, pace, expected, actual, done_at) VALUES (?, ?, ?, ?, ?, ?)');
    for (const { pace, expected, actual } of timings) insert.run(randomUUID(), runId, pace, expected, actual, doneAt);
  }).immediate();
}

/** How fast the person works and their cloth dries, by the latest times. */
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
