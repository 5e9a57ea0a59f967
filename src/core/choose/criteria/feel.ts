import type { Criterion } from '../protocol';
import { points } from './criterion';

/** Logarithmic distance outside the band at which half of the score is lost: a factor of 1.35. */
const HALF_LOST = 0.3;

/** The droop of the finished stack against the band that the wanted feel stands for. */
export const feel: Criterion = {
  id: 'feel',
  name: 'Feel',
  serves: 35,
  weight: ({ profile, part }) => {
    if (profile.kind === 'stitch') return 0;
    // Stiff only while it is sewn, and washed out: how it hangs meanwhile is nobody's wish, unless it is said.
    if (part.role === 'knit-binding' && part.hand === undefined) return 6;
    if (profile.area === 'patch') return 8;
    if (profile.area === 'strip') return 14;
    // What somebody said counts for more than what is usual.
    return part.hand === undefined ? 26 : 40;
  },
  score: ({ predicted, question }) => {
    const [low, high] = question.band;
    const c = predicted.bendingLength;
    const outside = c < low ? Math.log(low / c) : c > high ? Math.log(c / high) : 0;
    // Far outside it still falls gently, so that of two misfits the nearer one leads.
    if (outside > 0) return points(94 / (1 + (outside / HALF_LOST) ** 2));
    // Inside: a little better toward the middle, where a wrong estimate still lands in the band.
    const middle = Math.sqrt(low * high);
    return points(100 - 6 * (Math.abs(Math.log(c / middle)) / Math.log(high / middle)));
  },
  why: ({ predicted, question }) => {
    const [low, high] = question.band;
    const c = Math.round(predicted.bendingLength);
    // Told as it is shown, in whole millimetres.
    const place = c < low ? 'softer than' : c > high ? 'stiffer than' : 'inside';
    return `Expected bending length about ${c} mm, ${place} the ${low}–${high} mm that ${question.hand} stands for.`;
  },
};
