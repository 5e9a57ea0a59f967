import type { Care } from '../../core/choose';
import type { Level, Row } from './use-work-savers';
import type { Rows } from './worked';

/** What can be changed for several cuts at once. */
export type SeveralChange =
  | { kind: 'cloth'; clothId: string | null }
  | { kind: 'care'; care: Care }
  | { kind: 'cloth-cut'; done: boolean }
  | { kind: 'layer-cut'; done: boolean };

/** A change of one record, and what stood there before. */
export interface RowChange {
  level: Level;
  row: Row;
  change: Partial<Row>;
  before: Partial<Row>;
}

/**
 * What a change of several cuts means for each record: another cloth is chosen for anew, care is a wish of every job, only a job with layers
 * can have them cut. Records that stand so already are left alone.
 */
export function changesOf(rows: Rows, cutIds: ReadonlySet<string>, what: SeveralChange): RowChange[] {
  const cuts = rows.cuts.filter(({ id }) => cutIds.has(id));
  const jobs = rows.jobs.filter(({ cutId }) => cutIds.has(cutId));
  if (what.kind === 'care')
    return jobs
      .filter(({ wish }) => wish.care !== what.care)
      .map((row) => ({ level: 'jobs', row, change: { wish: { ...row.wish, care: what.care } }, before: { wish: row.wish } }));
  if (what.kind === 'cloth-cut')
    return cuts
      .filter(({ done }) => done !== what.done)
      .map((row) => ({ level: 'cuts', row, change: { done: what.done }, before: { done: row.done } }));
  if (what.kind === 'layer-cut')
    return jobs
      .filter(({ stack, cutDone }) => stack !== null && cutDone !== what.done)
      .map((row) => ({ level: 'jobs', row, change: { cutDone: what.done }, before: { cutDone: row.cutDone } }));
  const moved = cuts.filter(({ clothId }) => clothId !== what.clothId);
  return [
    ...moved.map((row): RowChange => ({
      level: 'cuts',
      row,
      change: { clothId: what.clothId },
      before: { clothId: row.clothId },
    })),
    ...jobs
      .filter(({ cutId, stack }) => stack !== null && moved.some(({ id }) => id === cutId))
      .map((row): RowChange => ({
        level: 'jobs',
        row,
        change: { stack: null, cutDone: false },
        before: { stack: row.stack, cutDone: row.cutDone },
      })),
  ];
}
