import type { Criterion, Judged } from '../protocol';
import { points } from './criterion';

/** Layers that lie over the whole piece and therefore govern how it stretches. */
function governing(stack: Judged) {
  return stack.layers.filter(({ material, extent }) => material.form !== 'liquid' && extent !== 'patch' && extent !== 'field');
}

/**
 * What the stiffest of the layers that govern a piece gives, %; infinite where none of them does.
 *
 * @example mostGive(judged) < 10 // true
 */
export function mostGive(stack: Judged): number {
  const layers = governing(stack);
  if (layers.length === 0) return Infinity;
  return Math.min(
    ...layers.map(({ material }) => {
      const bias = stack.question.part.cut === 'bias' && material.grain && material.family !== 'weft' ? 10 : 0;
      return Math.max(material.stretchLength, material.stretchCross, bias);
    }),
  );
}

/** Whether the layer gives where the cloth must, and holds where it must not. */
export const give: Criterion = {
  id: 'give',
  name: 'Give',
  weight: ({ profile }) => (profile.kind === 'stitch' || profile.kind === 'treat' ? 0 : 11),
  score: (stack) => {
    const { part, traits } = stack.question;
    const most = mostGive(stack);
    if (part.stretch === 'keep' && traits.maxStretch >= 5) {
      return most === Infinity ? 100 : points(40 + 60 * Math.min(1, most / Math.min(traits.maxStretch, 30)));
    }
    if (part.stretch === 'stop')
      return most === Infinity ? (traits.gives ? 45 : 100) : most <= 4 ? 100 : points(100 - 6 * (most - 4));
    if (traits.gives && most < 8) return 66;
    return 100;
  },
  why: (stack) => {
    const { part, traits } = stack.question;
    const most = mostGive(stack);
    if (part.stretch === 'keep' && traits.maxStretch >= 5) {
      if (most === Infinity) return 'It holds one spot only; the rest of the piece stretches as before.';
      return most >= traits.maxStretch
        ? 'Gives as far as the cloth does.'
        : `Gives about ${Math.round(most)} %, so the piece keeps part of its stretch of ${Math.round(traits.maxStretch)} %.`;
    }
    if (part.stretch === 'stop') return most <= 4 ? 'Does not give, so the stretch stops.' : 'Gives only a little.';
    if (traits.gives && most < 8) return 'The cloth gives and this layer does not; stretch is lost where it lies.';
    return 'Nothing here asks for more or less stretch.';
  },
};
