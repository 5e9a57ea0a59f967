import type { Db } from './database';

/** What has been written so far, by this connection and by others: as long as it stays the same, so does every answer. */
export function changeOf(db: Db): string {
  const { n } = db.prepare('SELECT total_changes() AS n').get() as { n: number };
  return `${db.pragma('data_version', { simple: true })} ${n}`;
}
