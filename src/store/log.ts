import { speaksOfStack } from '../core/techniques';
import { bendingLengthFromOverhang } from '../core/cloth';
import type { Cover } from '../core/layers';
import type { CarriedResult, PairRecord } from '../core/learn';
import type { CheckWay } from '../core/press';
import type { Db } from './database';
import { forgottenUntil, pairSubject, type PairLearnt } from './forgotten';
import { Table, type Kept } from './table';

export interface LogFields {
  jobId: string | null;
  benchRunId: string | null;
  kind: 'piece' | 'scrap';
  /** Local date, yyyy-mm-dd. */
  doneOn: string;
  title: string;
  clothId: string | null;
  clothName: string;
  stackTitle: string;
  layerIds: string[];
  settings: { ironDots: number; seconds: number; steam: boolean; cover: Cover };
  checks: { held: string[]; failed: string[] };
  /** What was found to be wrong, as `trouble/cause`. */
  causes: string[];
  outcome: 'good' | 'fair' | 'poor';
  predictedBendingLength: number | null;
  predictedLow: number | null;
  predictedHigh: number | null;
  /** Reading at 41.5°, mm. */
  overhang: number | null;
  /** Worked out from the overhang, mm. */
  measuredBendingLength: number | null;
  /** A motif that was sewn: its pull ÷ what the model says is carried, and whether it held. */
  stitched: CarriedResult | null;
  /** How much the piece shrank each way against its pattern when its layers were put on, %. */
  shape: Record<CheckWay, number | null> | null;
  note: string;
}
export type LogEntry = LogFields & Kept;

export const logEntries = new Table<LogFields>('log_entry', 'log entry', {
  jobId: 'plain',
  benchRunId: 'plain',
  kind: 'plain',
  doneOn: 'plain',
  title: 'plain',
  clothId: 'plain',
  clothName: 'plain',
  stackTitle: 'plain',
  layerIds: 'json',
  settings: 'json',
  checks: 'json',
  causes: 'json',
  outcome: 'plain',
  predictedBendingLength: 'plain',
  predictedLow: 'plain',
  predictedHigh: 'plain',
  overhang: 'plain',
  measuredBendingLength: 'plain',
  stitched: 'json',
  shape: 'json',
  note: 'plain',
});

/** Fills in what follows from the reading. */
export function withMeasured(fields: Omit<LogFields, 'measuredBendingLength'>): LogFields {
  return { ...fields, measuredBendingLength: fields.overhang === null ? null : bendingLengthFromOverhang(fields.overhang) };
}

/** The logbook, newest first. */
export function logList(db: Db): LogEntry[] {
  return logEntries.list(db, '1', [], 'done_on DESC, created_at DESC, id');
}

/** A prediction and what was measured of it, mm. */
export interface MeasuredPair {
  title: string;
  predicted: number;
  low: number;
  high: number;
  measured: number;
}

/** So many of the latest readings are drawn; the counts are of all. */
const MOST_DRAWN = 400;

/** How good the predictions were: the latest pairs, and of all of them how many fell inside their range. */
export function measuredPairs(db: Db): { pairs: MeasuredPair[]; total: number; inside: number } {
  const where = 'deleted_at IS NULL AND measured_bending_length IS NOT NULL AND predicted_bending_length IS NOT NULL';
  const { total, inside } = db
    .prepare(
      `SELECT count(*) AS total, coalesce(sum(measured_bending_length BETWEEN predicted_low AND predicted_high), 0) AS inside
         FROM log_entry WHERE ${where}`,
    )
    .get() as { total: number; inside: number };
  const pairs = db
    .prepare(
      `SELECT title, predicted_bending_length AS predicted, predicted_low AS low, predicted_high AS high,
              measured_bending_length AS measured FROM log_entry WHERE ${where} ORDER BY done_on DESC LIMIT ${MOST_DRAWN}`,
    )
    .all() as MeasuredPair[];
  return { pairs, total, inside };
}

export function logOfJob(db: Db, jobId: string): LogEntry[] {
  return logEntries.list(db, 'job_id = ?', [jobId], 'done_on DESC, created_at DESC, id');
}

/** Jobs of a run that are filed. */
export function filedOfRun(db: Db, runId: string): string[] {
  return logEntries.list(db, 'bench_run_id = ?', [runId], 'id').flatMap(({ jobId }) => jobId ?? []);
}

/** Everything that was filed about a cloth, newest first. */
export function logOfCloth(db: Db, clothId: string): LogEntry[] {
  return logEntries.list(db, 'cloth_id = ?', [clothId], 'done_on DESC, created_at DESC, id');
}

/** What was filed about a cloth, gathered by the stack that was used (its layer ids in order). */
export function memoryOfCloth(db: Db, clothId: string): Map<string, PairRecord> {
  const memory = new Map<string, PairRecord>();
  const forgotten = forgottenUntil(db);
  for (const entry of logEntries.list(db, 'cloth_id = ?', [clothId], 'done_on, id')) {
    const key = entry.layerIds.join('+');
    const record = memory.get(key) ?? { readings: [], good: 0, fair: 0, poor: 0 };
    // What was only done badly that once is no fault of the stack.
    if (entry.outcome === 'good' || speaksOfStack(entry.causes)) record[entry.outcome] += 1;
    else record.mishaps = (record.mishaps ?? 0) + 1;
    if (entry.outcome !== 'good' && entry.causes.length > 0) record.causes = [...(record.causes ?? []), ...entry.causes];
    const counts = (kind: PairLearnt) => entry.createdAt > (forgotten.get(pairSubject(kind, clothId, key)) ?? '');
    if (entry.measuredBendingLength !== null && counts('hang')) record.readings.push(entry.measuredBendingLength);
    if (entry.shape && counts('shrink')) record.shrank = [...(record.shrank ?? []), entry.shape];
    if (entry.stitched && counts('carry')) record.carried = [...(record.carried ?? []), entry.stitched];
    memory.set(key, record);
  }
  return memory;
}
