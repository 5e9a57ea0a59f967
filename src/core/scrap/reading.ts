import { HANDS, type Hand } from '../choose';

/** How firmly a layer holds when it is peeled at a corner by hand, in five steps. */
export const PEELS = [
  { step: 1, words: 'comes off by itself' },
  { step: 2, words: 'peels with no effort' },
  { step: 3, words: 'peels, and pulls a little' },
  { step: 4, words: 'hard to start, holds' },
  { step: 5, words: 'tears before it peels' },
] as const;

export const AMOUNTS = ['none', 'some', 'much'] as const;
export type Amount = (typeof AMOUNTS)[number];

/** What was seen on one field of a scrap. Lengths mm, shrinkage %. */
export interface ScrapReading {
  /** Overhang at 41.5° of the cloth before, and of the field after. */
  overhangBefore: number | null;
  overhangAfter: number | null;
  /** 1–5, see {@link PEELS}; null for what is not glued. */
  peel: number | null;
  bubbles: Amount;
  /** Dots, shade or edge seen from the face. */
  showThrough: Amount;
  /** Glue on the face or the iron. */
  glueThrough: Amount;
  shrink: number | null;
  feel: Hand | null;
  note: string;
}

export type Outcome = 'good' | 'fair' | 'poor';

const COST: Record<Amount, number> = { none: 0, some: 18, much: 45 };
/** What each step of peeling costs. */
const PEEL_COST = [0, 60, 40, 18, 3, 0];

/**
 * How good a field is, 0–100: firm hold, no bubbles, nothing through, no shrinking. Past 30 % lost it is a failure.
 *
 * @example scoreReading(reading) // 97
 */
export function scoreReading(reading: ScrapReading): number {
  const peel = reading.peel === null ? 0 : PEEL_COST[reading.peel]!;
  const shrink = Math.max(0, (reading.shrink ?? 0) - 0.5) * 8;
  return Math.max(0, 100 - peel - COST[reading.bubbles] - COST[reading.showThrough] - COST[reading.glueThrough] - shrink);
}

/**
 * A field's outcome as the logbook calls it.
 *
 * @example outcomeOf(reading) // 'good'
 */
export function outcomeOf(reading: ScrapReading): Outcome {
  const score = scoreReading(reading);
  return score >= 85 ? 'good' : score >= 60 ? 'fair' : 'poor';
}

/**
 * Name of the field that came out best; of equals, the one pressed least. Undefined when none was read.
 *
 * @example bestCell([{ name: 'A1', setting: { ironDots: 2, seconds: 10 } }], { A1: reading }) // 'A1'
 */
export function bestCell<C extends { name: string; setting: { ironDots: number; seconds: number } }>(
  cells: readonly C[],
  readings: Readonly<Record<string, ScrapReading>>,
): string | undefined {
  const read = cells.filter(({ name }) => readings[name]);
  const effort = ({ setting }: C) => setting.ironDots * 1000 + setting.seconds;
  return [...read].sort((a, b) => scoreReading(readings[b.name]!) - scoreReading(readings[a.name]!) || effort(a) - effort(b))[0]
    ?.name;
}

/**
 * What is wrong with a field, in words; empty when nothing is.
 *
 * @example faultsOf(reading) // []
 */
export function faultsOf(reading: ScrapReading): string[] {
  const faults: string[] = [];
  if (reading.peel !== null && reading.peel <= 3) faults.push(PEELS[reading.peel - 1]!.words);
  if (reading.bubbles !== 'none') faults.push(reading.bubbles === 'some' ? 'a few bubbles' : 'many bubbles');
  if (reading.showThrough !== 'none')
    faults.push(reading.showThrough === 'some' ? 'shows through a little' : 'shows through plainly');
  if (reading.glueThrough !== 'none')
    faults.push(reading.glueThrough === 'some' ? 'a little glue came through' : 'glue came through');
  if ((reading.shrink ?? 0) >= 1) faults.push(`shrank ${Math.round(reading.shrink!)} %`);
  return faults;
}

export const FEELS = HANDS;
