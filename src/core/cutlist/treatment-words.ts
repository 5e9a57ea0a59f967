import type { Treatment } from '../pieces';
import { formatLength, type LengthSystem } from '../units';

/** A share in per cent, to half a one. */
const percent = (share: number) => `${Math.round(200 * share) / 2} %`;

/**
 * What is to be known of a cloth that is wetted heavily, before it is cut or after, in two sentences.
 *
 * @param off length that comes off the roll for the pieces, as it lies in the cupboard, mm; 0 while nothing is laid
 * @example treatmentWords({ when: 'before', length: 0.025, cross: 0 }, 1000, 'metric').lead // 'Wet the cloth whole before you cut.'
 */
export function treatmentWords(treatment: Treatment, off: number, units: LengthSystem): { lead: string; rest: string } {
  const { when, length, cross } = treatment;
  const by = `about ${percent(length)} along the grain${cross > 0 ? ` and ${percent(cross)} across` : ''}`;
  if (when === 'after')
    return {
      lead: `Pieces are cut larger by ${by},`,
      rest: 'since they are wetted after cutting. Cut them to their pattern when they are pressed.',
    };
  // A centimetre more than it comes to is no waste, less is.
  const least = Math.ceil(off / 10) * 10;
  return {
    lead: 'Wet the cloth whole before you cut.',
    rest: `It shrinks by ${by}; it is laid out here as it is then.${off > 0 ? ` Treat at least ${formatLength(least, units)} of it.` : ''}`,
  };
}
