import { points, ramp, type Criterion } from './criterion';

/** Price of the layers for a metre, from the library's or the person's own prices. */
export const cost: Criterion = {
  name: 'Cost',
  weight: ({ profile }) => (profile.kind === 'hat' ? 2 : 4),
  score: ({ layers }) =>
    points(
      ramp(
        layers.reduce((sum, { material }) => sum + material.pricePerMetre, 0),
        300,
        100,
        3000,
        30,
      ),
    ),
  why: ({ layers }) => {
    const total = layers.reduce((sum, { material }) => sum + material.pricePerMetre, 0);
    if (total < 300) return 'Costs next to nothing.';
    return total < 1200 ? 'In the usual range of price.' : 'Dearer than most.';
  },
};
