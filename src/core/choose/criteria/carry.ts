import type { Criterion } from '../protocol';
import { points, ramp } from './criterion';

/** Whether cloth and sheets together carry the stitches without pucker or drift. */
export const carry: Criterion = {
  id: 'carry',
  name: 'Carries the stitches',
  serves: 68,
  weight: ({ profile }) => (profile.kind === 'stitch' ? 36 : 0),
  score: ({ load }) => {
    if (!load) return 100;
    const { share } = load;
    if (share > 1.5) return points(ramp(share, 1.5, 30, 4, 0));
    if (share > 1) return ramp(share, 1, 68, 1.5, 30);
    if (share > 0.8) return ramp(share, 0.8, 100, 1, 68);
    // Far more support than the motif needs leaves a stiff plate in the cloth.
    return ramp(share, 0.07, 70, 0.24, 100);
  },
  why: ({ load }) => {
    if (!load) return 'No stitching here.';
    const density = Math.round(load.density);
    if (load.holes !== undefined && load.share > 0.5)
      return `About ${density} needle holes on each cm²; this cloth bears about ${Math.round(load.holes / 5) * 5} before they tear it, whatever lies under it.`;
    const carried = Math.round(load.carried / 5) * 5;
    if (load.thread !== undefined && load.share > 0.8)
      return `Long stitches: ${Math.round(load.thread / 10)} cm of thread on each cm² pull like ${Math.round(load.share * load.carried)} ordinary stitches; this carries about ${carried}.`;
    if (load.share > 1) return `The motif has about ${density} stitches per cm²; this carries about ${carried}.`;
    if (load.share > 0.8) return `About ${density} stitches per cm² against ${carried} that it carries: near the limit.`;
    if (load.share < 0.15) return `Carries about ${carried} stitches per cm², far more than the ${density} here.`;
    return `Carries about ${carried} stitches per cm²; the motif has ${density}.`;
  },
};
