import { requireNumber } from '../input-error';
import { CRITICAL, DAMP, DRY, minutesUntil } from './drying';

/** Wet cloth on a scale. */
export interface Weighing {
  /** When, ISO time. */
  at: string;
  grams: number;
}

/** What two weighings say of cloth that hangs. */
export interface WeighedDrying {
  /** Water that it gives off while it is wet, g an hour. */
  rate: number;
  /** From the second weighing until it is as it shall be, minutes; 0 where it is so already. */
  minutesLeft: number;
}

/**
 * What cloth weighs when it is as it shall be, g.
 *
 * @param dry what it weighs dry, g
 * @example readyAt(200, 'damp') // 250
 */
export function readyAt(dry: number, until: 'damp' | 'dry'): number {
  return dry * (1 + SHARES[until]);
}

const SHARES = { damp: DAMP, dry: DRY };

/** Less than this between two weighings tells nothing on a kitchen scale: g of water, and minutes. */
const LEAST = { grams: 5, minutes: 2 };

/**
 * How fast some cloth dries where it hangs, from its first and its last weighing: the one rate with which the law of {@link drying} takes it
 * from the one to the other. Nothing where too little time or water lies between them, or it weighs less than dry.
 *
 * @param dry what it weighs dry, g @param until damp enough to press (a quarter of that in water), or dry (a twentieth)
 * @throws {InputError} `dry`
 * @example dryingByWeight(200, [{ at: '2026-01-01T10:00:00Z', grams: 400 }, { at: '2026-01-01T10:30:00Z', grams: 300 }], 'damp')?.minutesLeft // about 15.4
 */
export function dryingByWeight(dry: number, weighings: readonly Weighing[], until: 'damp' | 'dry'): WeighedDrying | undefined {
  requireNumber('dry', dry, 'g', { above: 0, max: 1e6 });
  const [first, last] = [weighings[0], weighings.at(-1)];
  if (!first || !last || first === last) return undefined;
  const minutes = (Date.parse(last.at) - Date.parse(first.at)) / 60_000;
  const [from, to] = [first.grams - dry, last.grams - dry];
  if (!(minutes >= LEAST.minutes) || !(from - to >= LEAST.grams) || !(to > 0)) return undefined;
  const critical = CRITICAL * dry;
  const rate = minutesUntil(to, from, critical, 1) / minutes;
  return { rate, minutesLeft: minutesUntil(SHARES[until] * dry, to, critical, rate) };
}
