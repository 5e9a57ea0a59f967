import { needsHandSewing } from '../stops';
import type { Judged } from '../context';
import { points, ramp, type Criterion } from './criterion';

/** Working minutes for a piece of half a square metre's trouble: our own timing of each way of putting on. */
export function effortMinutes({ layers, question }: Judged): number {
  let minutes = 0;
  for (const { material } of layers) {
    if (material.form === 'liquid') minutes += material.arealDensity >= 10 ? 45 : 8;
    else if (needsHandSewing(question, material)) minutes += 40;
    else if (material.form === 'sew-in') minutes += 15;
    else if (material.leaflet.seconds > 0) minutes += 6 + material.leaflet.coolMinutes;
    else minutes += 4;
    if (material.preShrink) minutes += 3;
  }
  return minutes;
}

export const effort: Criterion = {
  name: 'Time and trouble',
  weight: ({ profile }) => (profile.kind === 'hat' ? 2 : 5),
  score: (stack) => points(ramp(effortMinutes(stack), 8, 100, 90, 30)),
  why: (stack) => {
    const minutes = Math.max(5, Math.round(effortMinutes(stack) / 5) * 5);
    const byHand = stack.layers.some(({ material }) => needsHandSewing(stack.question, material));
    return `About ${minutes} minutes for one piece, drying and cooling included${byHand ? ', partly with a needle in the hand' : ''}.`;
  },
};
