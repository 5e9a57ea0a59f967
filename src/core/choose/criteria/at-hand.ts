import type { Criterion } from '../protocol';

/** Whether the layers lie in the cupboard already. */
export const atHand: Criterion = {
  id: 'at-hand',
  name: 'At hand',
  weight: ({ atHand: mine }) => (mine.size > 0 ? 6 : 0),
  score: ({ layers, question }) => {
    const have = layers.filter(({ material }) => question.atHand.has(material.id)).length;
    return 40 + (60 * have) / layers.length;
  },
  why: ({ layers, question }) => {
    const missing = [
      ...new Set(layers.filter(({ material }) => !question.atHand.has(material.id)).map(({ material }) => material.name)),
    ];
    if (missing.length === 0) return 'All of it is in your cupboard.';
    return `Not in your cupboard yet: ${missing.join('; ')}.`;
  },
};
