import { needsHandSewing } from '../handling';
import type { Criterion } from '../protocol';
import { points, ramp } from './criterion';

/** Working time for the pieces, and whether a needle in the hand is part of it. */
export const effort: Criterion = {
  id: 'effort',
  name: 'Time and trouble',
  weight: ({ profile }) => (profile.kind === 'hat' ? 2 : 5),
  score: ({ needs }) => points(ramp(needs.minutes, 8, 100, 90, 30)),
  why: ({ needs, layers, question }) => {
    const minutes = Math.max(5, Math.round(needs.minutes / 5) * 5);
    const byHand = layers.some(({ material }) => needsHandSewing(question, material));
    return `About ${minutes} minutes for these pieces, drying and cooling included${byHand ? ', partly with a needle in the hand' : ''}.`;
  },
};
