import type { Predicted } from '../core/layers';
import type { Outcome, ScrapPlan, ScrapReading } from '../core/scrap';
import type { Db } from './database';
import type { KeptStack } from './jobs';
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

/** A scrap as it is kept: stacks that are compared stand with it, since they are not the job's own. */
export interface KeptScrapPlan extends ScrapPlan {
  stacks?: KeptStack[];
}

export interface ScrapFields {
  jobId: string;
  clothId: string;
  clothName: string;
  stackTitle: string;
  layerIds: string[];
  predicted: Predicted;
  plan: KeptScrapPlan;
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

/** Scraps of some cloths that were filed, the last one first. */
export function filedScrapsOf(db: Db, clothIds: readonly string[]): Scrap[] {
  const where = 'cloth_id IN (SELECT value FROM json_each(?)) AND filed_on IS NOT NULL';
  return scraps.list(db, where, [JSON.stringify(clothIds)], 'filed_on DESC, updated_at DESC');
}

/** Scraps whose after-wash reading is still to come, earliest first. */
export function washesDue(db: Db): Scrap[] {
  return scraps.list(db, 'wash_due IS NOT NULL AND wash IS NULL', [], 'wash_due, id');
}
