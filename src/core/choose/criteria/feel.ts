import { points, type Criterion } from './criterion';

/** Logarithmic distance outside the band at which the score has fallen to 37 %. */
const FALL_OFF = 0.28;

/** The droop of the finished stack against the band that the wanted feel stands for. */
export const feel: Criterion = {
  name: 'Feel',
  weight: ({ profile }) => (profile.kind === 'stitch' ? 0 : profile.area === 'patch' ? 8 : profile.area === 'strip' ? 14 : 26),
  score: ({ predicted, question }) => {
    const [low, high] = question.band;
    const c = predicted.bendingLength;
    const outside = c < low ? Math.log(low / c) : c > high ? Math.log(c / high) : 0;
    if (outside > 0) return points(94 * Math.exp(-((outside / FALL_OFF) ** 2)));
    // Inside: a little better toward the middle, where a wrong estimate still lands in the band.
    const middle = Math.sqrt(low * high);
    return points(100 - 6 * (Math.abs(Math.log(c / middle)) / Math.log(high / middle)));
  },
  why: ({ predicted, question }) => {
    const [low, high] = question.band;
    const c = Math.round(predicted.bendingLength);
    const place = predicted.bendingLength < low ? 'softer than' : predicted.bendingLength > high ? 'stiffer than' : 'inside';
    return `Expected bending length about ${c} mm, ${place} the ${low}–${high} mm that ${question.hand} stands for.`;
  },
};
