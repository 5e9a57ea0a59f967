import { isSealed } from '../../cloth';
import { isFusible } from '../../layers';
import type { Step } from '../../steps';
import { CHECKS } from '../checks';
import { mm } from '../cut-words';
import { bearsIron, called, type LayerAt } from '../job';
import { cutNeeds, cutOptions, regionOf } from '../lying';
import { laid, pressed, SAFETY, stepOf, stuckThere, technique } from '../making';

/** A tape that guides the needle, mm. */
const GUIDE = 6;

const lies = (at: LayerAt) => regionOf(at, {}, 'patch');

/** The corner itself, sewn short and clipped to the thread. */
function cornered(at: LayerAt): Step[] {
  return [
    stepOf(at, 'corner', {
      ...{ kind: 'do', act: 'stitch', seconds: 240 },
      title: 'Stitch the corner through the square',
      detail: `A tape ${GUIDE} mm wide as guide. Stitches of 1.5 mm to one short of the point, one across it, and back down; off with the tape.`,
    }),
    stepOf(at, 'clip', {
      ...{ kind: 'do', act: 'cut', seconds: 60, safety: SAFETY.blade },
      title: 'Clip to the thread, not through it',
      detail: 'One straight clip into the corner, square and cloth together.',
    }),
    stepOf(at, 'turn', {
      ...(bearsIron(at.job) ? { act: 'press-flat' as const, safety: SAFETY.heat } : { act: 'smooth-on' as const }),
      ...{ kind: 'do', seconds: 60 },
      title: bearsIron(at.job)
        ? 'Press the square over to the wrong side'
        : 'Smooth the square over to the wrong side with a fingernail',
      detail: 'Roll the seam a thread to the inside, so that nothing of it is seen from the face.',
    }),
    stepOf(at, 'mate', {
      ...{ stage: 'finish', kind: 'do', act: 'stitch', sewn: true },
      title: isSealed(at.job.fabric)
        ? 'Hold the mate with clips and sew it from the corner outward, one side at a time'
        : 'Pin and sew the mate from the corner outward, one side at a time',
      detail: 'Short stitches at the corner, longer ones away from it.',
    }),
  ];
}

/** A thin tight square on the right side, its middle on the sewn point. */
export const innerCorner = technique({
  id: 'inner-corner',
  words: 'an inner corner',
  serves: ({ job }) => job.role === 'inner-corner',
  lies,
  cut: (at) => `as a square of ${mm(cutOptions(at).size)}`,
  needs: (at) => cutNeeds(at, lies(at)),
  steps: (at) => {
    const held = isSealed(at.job.fabric) ? 'a clip beside it, no pin' : 'pin through the point';
    const where = `Its middle on the sewn point: ${held}. An allowance and 10 mm each way.`;
    if (isFusible(at.layer.material.form))
      return [laid(at, `On the wrong side. ${where}`), ...pressed(at), ...cornered(at).filter(({ id }) => !id.endsWith('turn'))];
    const stuck = stuckThere(at, `On the right side. ${where}`);
    if (stuck) return [...stuck, ...cornered(at)];
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', seconds: 120 },
        title: `Baste ${called(at.layer.material)} on the right side, its middle on the sewn point`,
        detail: where,
      }),
      ...cornered(at),
    ];
  },
  checks: () => [{ words: 'The corner is crisp, and no thread of it gives', trouble: 'corner-tore' }, CHECKS.notSeen],
});
