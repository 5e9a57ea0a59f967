import { HANDS, type Hand } from '../choose';
import type { SprayDose } from './scrap-plan';
import { effortOf, givesTooMuch } from './spray';

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
  /** How much further 100 mm of bias can be pulled, bare and now. */
  biasBefore?: number | null;
  biasAfter?: number | null;
  /** How much of a cut edge rolls up, bare and now. */
  curlBefore?: number | null;
  curlAfter?: number | null;
  feel: Hand | null;
  note: string;
}

export type Outcome = 'good' | 'fair' | 'poor';

const COST: Record<Amount, number> = { none: 0, some: 18, much: 45 };
/** What each step of peeling costs. */
const PEEL_COST = [0, 60, 40, 18, 3, 0];

/** What each millimetre costs that a sprayed cloth gives or rolls too much, and how much at most; and each step of feel from the wanted. */
const GIVES_COST = { each: 10, most: 50 };
const FEEL_COST = 12;

/**
 * How good a field is, 0–100: firm hold, no bubbles, nothing through, no shrinking, still enough where that was measured. Past 30 % lost
 * it is a failure.
 *
 * @param wanted feel against which it counts, where stacks are compared
 * @example scoreReading(reading) // 97
 */
export function scoreReading(reading: ScrapReading, wanted?: Hand): number {
  const peel = reading.peel === null ? 0 : PEEL_COST[reading.peel]!;
  const shrink = Math.max(0, (reading.shrink ?? 0) - 0.5) * 8;
  const gives = Math.min(GIVES_COST.most, GIVES_COST.each * Math.ceil(givesTooMuch(reading) ?? 0));
  const feel = wanted && reading.feel ? FEEL_COST * Math.abs(HANDS.indexOf(wanted) - HANDS.indexOf(reading.feel)) : 0;
  const seen = COST[reading.bubbles] + COST[reading.showThrough] + COST[reading.glueThrough];
  return Math.max(0, 100 - peel - seen - shrink - gives - feel);
}

/**
 * A field's outcome as the logbook calls it.
 *
 * @example outcomeOf(reading) // 'good'
 */
export function outcomeOf(reading: ScrapReading, wanted?: Hand): Outcome {
  const score = scoreReading(reading, wanted);
  return score >= 85 ? 'good' : score >= 60 ? 'fair' : 'poor';
}

/**
 * Name of the field that came out best; of equals, the one with the least liquid, then the one pressed least. Undefined when none was read.
 *
 * @param wanted feel against which stacks are compared
 * @example bestCell([{ name: 'A1', setting: { ironDots: 2, seconds: 10 } }], { A1: reading }) // 'A1'
 */
export function bestCell<
  C extends { name: string; setting: { ironDots: number; seconds: number }; dose?: SprayDose | undefined },
>(cells: readonly C[], readings: Readonly<Record<string, ScrapReading>>, wanted?: Hand): string | undefined {
  const read = cells.filter(({ name }) => readings[name]);
  const effort = ({ setting, dose }: C) => (dose ? effortOf(dose) * 1e6 : 0) + setting.ironDots * 1000 + setting.seconds;
  const score = ({ name }: C) => scoreReading(readings[name]!, wanted);
  return [...read].sort((a, b) => score(b) - score(a) || effort(a) - effort(b))[0]?.name;
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
  if ((givesTooMuch(reading) ?? 0) > 0) faults.push('still gives or rolls too much');
  return faults;
}

export const FEELS = HANDS;
