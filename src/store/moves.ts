import type { Db } from './database';

/** A move as a tablet sends it: its own name, and when it was done. */
export interface SentMove<M> {
  id: string;
  at: string;
  move: M;
}

/**
 * Those moves that were not heard before, remembered from now on. To be called in the transaction that carries them out.
 *
 * @param subject what they are made on, such as `bench/ID`
 */
export function newMoves<M>(db: Db, subject: string, moves: readonly SentMove<M>[]): SentMove<M>[] {
  const hear = db.prepare('INSERT OR IGNORE INTO moved (id, subject, at, move) VALUES (?, ?, ?, ?)');
  return moves.filter(({ id, at, move }) => hear.run(id, subject, at, JSON.stringify(move)).changes === 1);
}

/** Moves are remembered so long, days: no tablet sends one again later. */
const REMEMBERED = 90;

/** Forgets moves that nobody can send again, so that years of ticks do not pile up. */
export function forgetOldMoves(db: Db): void {
  db.prepare(`DELETE FROM moved WHERE at < strftime('%Y-%m-%dT%H:%M:%fZ', 'now', '-${REMEMBERED} days')`).run();
}
