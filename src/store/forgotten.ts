import type { Db } from './database';

/** What is learnt of a cloth with a stack from readings of the logbook. */
export const PAIR_LEARNT = ['hang', 'carry', 'shrink'] as const;
export type PairLearnt = (typeof PAIR_LEARNT)[number];

/** Names what is learnt of a pair. @param stack its layer keys, joined */
export const pairSubject = (kind: PairLearnt, clothId: string, stack: string): string => `${kind}/${clothId}/${stack}`;
/** Names what is learnt of a kind of work. */
export const paceSubject = (pace: string): string => `pace/${pace}`;
/** Names what is learnt of how one cloth dries. */
export const dryingSubject = (clothId: string): string => `pace/drying/${clothId}`;

/** Names what is learnt of a layer's glue. */
export const gluingSubject = (layerId: string): string => `glue/${layerId}`;

/** Until when the readings of each subject do not count; nothing for what counts whole. */
export function forgottenUntil(db: Db): Map<string, string> {
  const rows = db.prepare('SELECT subject, until FROM forgotten').all() as { subject: string; until: string }[];
  return new Map(rows.map(({ subject, until }) => [subject, until]));
}

/** Readings of a subject up to a moment count no more. */
export function forget(db: Db, subject: string, until: string): void {
  db.prepare(
    'INSERT INTO forgotten (subject, until) VALUES (?, ?) ON CONFLICT (subject) DO UPDATE SET until = excluded.until',
  ).run(subject, until);
}

/** All readings of a subject count again. */
export function remember(db: Db, subject: string): void {
  db.prepare('DELETE FROM forgotten WHERE subject = ?').run(subject);
}
