import { bendingLengthFromOverhang } from '../core/cloth';
import type { Cover } from '../core/layers';
import type { CarriedResult, PairRecord } from '../core/learn';
import type { Db } from './database';
import { Table, column, type Kept } from './table';

export interface LogFields {
  partId: string | null;
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
  note: string;
}
export type LogEntry = LogFields & Kept;

export const logEntries = new Table<LogFields>('log_entry', 'log entry', [
  column('partId'),
  column('benchRunId'),
  column('kind'),
  column('doneOn'),
  column('title'),
  column('clothId'),
  column('clothName'),
  column('stackTitle'),
  column('layerIds', 'json'),
  column('settings', 'json'),
  column('checks', 'json'),
  column('outcome'),
  column('predictedBendingLength'),
  column('predictedLow'),
  column('predictedHigh'),
  column('overhang'),
  column('measuredBendingLength'),
  column('stitched', 'json'),
  column('note'),
]);

/** Fills in what follows from the reading. */
export function withMeasured(fields: Omit<LogFields, 'measuredBendingLength'>): LogFields {
  return { ...fields, measuredBendingLength: fields.overhang === null ? null : bendingLengthFromOverhang(fields.overhang) };
}

/** The logbook, newest first. */
export function logList(db: Db): LogEntry[] {
  return logEntries.list(db, '1', [], 'done_on DESC, created_at DESC, id');
}

export function logOfPart(db: Db, partId: string): LogEntry[] {
  return logEntries.list(db, 'part_id = ?', [partId], 'done_on DESC, created_at DESC, id');
}

/** Everything that was filed about a cloth, newest first. */
export function logOfCloth(db: Db, clothId: string): LogEntry[] {
  return logEntries.list(db, 'cloth_id = ?', [clothId], 'done_on DESC, created_at DESC, id');
}

/** What was filed about a cloth, gathered by the stack that was used (its layer ids in order). */
export function memoryOfCloth(db: Db, clothId: string): Map<string, PairRecord> {
  const memory = new Map<string, PairRecord>();
  for (const entry of logEntries.list(db, 'cloth_id = ?', [clothId], 'done_on, id')) {
    const key = entry.layerIds.join('+');
    const record = memory.get(key) ?? { readings: [], good: 0, fair: 0, poor: 0 };
    record[entry.outcome] += 1;
    if (entry.measuredBendingLength !== null) record.readings.push(entry.measuredBendingLength);
    if (entry.stitched) record.carried = [...(record.carried ?? []), entry.stitched];
    memory.set(key, record);
  }
  return memory;
}
