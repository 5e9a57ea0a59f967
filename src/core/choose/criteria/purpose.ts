import { jobOf } from '../handling';
import type { Criterion } from '../protocol';

/** How well this kind of layer serves this part of a garment, bag or hat: the trade's own experience. */
export const purpose: Criterion = {
  id: 'purpose',
  name: 'Right for the part',
  serves: 65,
  weight: () => 26,
  score: (stack) => stack.suitability,
  why: (stack) => {
    const { suitability, preferred, question } = stack;
    const { profile } = question;
    const leading = [...preferred].sort((a, b) => Math.abs(b.points) - Math.abs(a.points))[0];
    const because = leading ? ` It ${leading.words}.` : '';
    if (suitability >= 85) {
      // What speaks against it is told as such.
      const but = leading && leading.points < 0 ? `, though it ${leading.words}.` : `.${because}`;
      return `A usual choice for ${profile.phrase}: it helps to ${jobOf(stack)}${but}`;
    }
    if (suitability >= 65) return `It serves ${profile.phrase}, though others are more usual.${because}`;
    return `It can be made to work for ${profile.phrase}; few would reach for it first.${because}`;
  },
};
