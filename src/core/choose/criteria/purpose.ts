import type { Criterion } from './criterion';

/** How well this kind of layer serves this part of a garment, bag or hat: the trade's own experience. */
export const purpose: Criterion = {
  id: 'purpose',
  name: 'Right for the part',
  weight: () => 26,
  score: (stack) => stack.suitability,
  why: ({ suitability, question }) => {
    const { profile } = question;
    if (suitability >= 85) return `A usual choice for ${profile.phrase}: it helps to ${profile.job}.`;
    if (suitability >= 65) return `It serves ${profile.phrase}, though others are more usual.`;
    return `It can be made to work for ${profile.phrase}; few would reach for it first.`;
  },
};
