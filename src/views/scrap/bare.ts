import type { ScrapReading } from '../../core/scrap';

/** What was read on the bare cloth: the same for every piece of a scrap. mm. */
export type Bare = Record<'overhangBefore' | 'biasBefore' | 'curlBefore', number | null>;

/** The bare cloth as some piece of the scrap has it already. */
export function bareOf(readings: readonly ScrapReading[]): Bare {
  const first = (key: keyof Bare) => readings.find((each) => typeof each[key] === 'number')?.[key] ?? null;
  return { overhangBefore: first('overhangBefore'), biasBefore: first('biasBefore'), curlBefore: first('curlBefore') };
}
