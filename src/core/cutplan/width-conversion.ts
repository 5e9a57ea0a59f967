import { requireNumber } from '../input-error';

/** What a layout by hand on another width may waste more than the pattern's own, as a share. */
const MARGIN = 0.1;

export interface ConvertedLength {
  /** mm. */
  length: number;
  /** The margin that is in it, 0–1. */
  margin: number;
}

/**
 * Length for another width where only the pattern's own figure is known: the same area, and a margin, since pieces rarely
 * share the new width as well. Larger when the new width is narrower, because more is lost beside each piece.
 *
 * @param length that the pattern asks for, mm @param from width it is asked for, mm @param to width at hand, mm
 * @example convertLength(2000, 1400, 1120).length // 2813
 */
export function convertLength(length: number, from: number, to: number): ConvertedLength {
  requireNumber('length', length, 'mm', { above: 0, max: 200_000 });
  requireNumber('from', from, 'mm', { above: 0, max: 20_000 });
  requireNumber('to', to, 'mm', { above: 0, max: 20_000 });
  const margin = MARGIN * Math.max(1, from / to);
  return { length: ((length * from) / to) * (1 + margin), margin };
}
