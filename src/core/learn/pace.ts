/** Kinds of work whose pace is a person's own: cloth that dries, an iron that is set down and moved, cutting, sewing by hand, the rest. */
export const PACES = ['drying', 'pressing', 'cutting', 'sewing', 'handling'] as const;
export type Pace = (typeof PACES)[number];

export const PACE_WORDS: Record<Pace, string> = {
  ...{ drying: 'drying', pressing: 'pressing', cutting: 'cutting', sewing: 'sewing by hand' },
  handling: 'the rest',
};

/** How long something took against what was reckoned, in the same unit. */
export interface Timing {
  pace: Pace;
  expected: number;
  actual: number;
  /** Of cloth that hung, which it was. */
  clothId?: string | undefined;
}

/** How many times longer than reckoned each kind takes this person, and from how many times that is known. */
export type Paces = Record<Pace, { factor: number; times: number }>;

/** The reckoned figure counts like so many of the person's own times. */
const PRIOR = 2;
/** What took so many times more or less than reckoned was no work: somebody went away, or tapped through. */
const NO_WORK = 4;

/**
 * A person's own pace, from the times that were taken: the geometric mean of actual ÷ expected, with the reckoned figure as a prior that
 * weighs as much as two of them. Times that are four times off or more are left out.
 *
 * @example pacesFrom([{ pace: 'drying', expected: 60, actual: 90 }]).drying.factor // 1.145
 */
export function pacesFrom(timings: readonly Timing[]): Paces {
  return Object.fromEntries(PACES.map((pace) => [pace, paceFrom(timings.filter((each) => each.pace === pace))])) as Paces;
}

/**
 * The pace of one kind of work, of one machine or of one cloth, as {@link pacesFrom} reckons it.
 *
 * @param usual factor that counts like two times of one's own: 1 as it is reckoned for anybody, for a cloth what the house's cloths take
 * @example paceFrom([{ expected: 20, actual: 30 }]).times // 1
 */
export function paceFrom(timings: readonly Omit<Timing, 'pace'>[], usual = 1): { factor: number; times: number } {
  const logs = timings.filter(isWork).map(({ expected, actual }) => Math.log(actual / expected));
  const sum = logs.reduce((all, each) => all + each, PRIOR * Math.log(usual));
  return { factor: Math.exp(sum / (logs.length + PRIOR)), times: logs.length };
}

/**
 * Whether a time tells anything about the pace of work.
 *
 * @example isWork({ pace: 'cutting', expected: 10, actual: 50 }) // false
 */
export function isWork({ expected, actual }: Omit<Timing, 'pace'>): boolean {
  return expected > 0 && actual > 0 && actual / expected < NO_WORK && expected / actual < NO_WORK;
}

/** As it is reckoned for somebody of whom nothing is known. */
export const USUAL_PACES: Paces = pacesFrom([]);
