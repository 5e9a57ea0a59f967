import type { Predicted } from '../core/layers';
import type { Outcome, ScrapPlan, ScrapReading } from '../core/scrap';
import type { Db } from './database';
import { Table, type Kept } from './table';

/** What was seen after the wash. */
export interface WashReading {
  /** Local date, yyyy-mm-dd. */
  doneOn: string;
  peel: number | null;
  bubbles: ScrapReading['bubbles'];
  shrink: number | null;
  overhang: number | null;
  outcome: Outcome;
  note: string;
}

export interface ScrapFields {
  jobId: string;
  clothId: string;
  clothName: string;
  stackTitle: string;
  layerIds: string[];
  predicted: Predicted;
  plan: ScrapPlan;
  /** By the name of the field. */
  readings: Record<string, ScrapReading>;
  /** Field whose setting is taken for the real piece. */
  chosen: string | null;
  /** Local dates, yyyy-mm-dd. */
  filedOn: string | null;
  washDue: string | null;
  wash: WashReading | null;
}
export type Scrap = ScrapFields & Kept;

export const scraps = new Table<ScrapFields>('scrap', 'scrap test', {
  jobId: 'plain',
  clothId: 'plain',
  clothName: 'plain',
  stackTitle: 'plain',
  layerIds: 'json',
  predicted: 'json',
  plan: 'json',
  readings: 'json',
  chosen: 'plain',
  filedOn: 'plain',
  washDue: 'plain',
  wash: 'json',
});

/** Scraps of a part, newest first. */
export function scrapsOf(db: Db, jobId: string): Scrap[] {
  return scraps.list(db, 'job_id = ?', [jobId], 'created_at DESC, rowid DESC');
}

/** Scraps whose after-wash reading is still to come, earliest first. */
export function washesDue(db: Db): Scrap[] {
  return scraps.list(db, 'wash_due IS NOT NULL AND wash IS NULL', [], 'wash_due, id');
}
