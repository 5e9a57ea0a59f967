import type { Criterion } from '../protocol';
import { points, ramp } from './criterion';

/** In garments a layer as heavy as the cloth or lighter; bags and hats go the other way on purpose. */
export const weight: Criterion = {
  id: 'weight',
  name: 'Weight',
  weight: ({ profile, part }) =>
    part.role === 'badge' ? 2 : profile.kind === 'garment' ? 15 : profile.kind === 'stitch' ? 8 : 4,
  score: ({ addedWeight, question }) => {
    const { fabric, profile } = question;
    const ratio = addedWeight / fabric.arealDensity;
    if (profile.kind === 'garment') {
      if (profile.area !== 'panel') return points(ramp(ratio, 0.7, 100, 1.5, 60));
      return ratio <= 0.65 ? 100 : points(ramp(ratio, 0.65, 100, 1.15, 40));
    }
    if (profile.kind === 'stitch') return points(ramp(ratio, 0.3, 100, 1.4, 40));
    return points(ramp(addedWeight, 300, 100, 1000, 60));
  },
  why: ({ addedWeight, question }) => {
    const { fabric, profile } = question;
    const percent = Math.round((addedWeight / fabric.arealDensity) * 100);
    if (addedWeight < 1) return 'Nothing that weighs anything stays behind.';
    if (profile.kind === 'garment' || profile.kind === 'stitch') return `Adds about ${percent} % of the cloth's own weight.`;
    return `Adds ${Math.round(addedWeight)} g/m²; body matters more than weight here.`;
  },
};
