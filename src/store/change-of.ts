import type { Db } from './database';

/** A connection that is opened anew counts from the beginning: each has a number of its own. */
const numbers = new WeakMap<Db, number>();
let opened = 0;

/** What has been written so far, by this connection and by others: as long as it stays the same, so does every answer. */
export function changeOf(db: Db): string {
  if (!numbers.has(db)) numbers.set(db, ++opened);
  const { n } = db.prepare('SELECT total_changes() AS n').get() as { n: number };
  return `${numbers.get(db)} ${db.pragma('data_version', { simple: true })} ${n}`;
}
