import { isFusible } from '../../layers';
import { CHECKS } from '../checks';
import type { LayerAt } from '../job';
import { laid, machineSewn, pressed, stepOf, technique } from '../making';
import { stripLies, stripRunOf } from './strip-lies';

/** It reaches past both stitching lines, and past the ends of the opening, mm. */
const PAST_LINES = 4;
const PAST_ENDS = 15;

const bandLies = (at: LayerAt) => stripLies(at, { past: PAST_LINES, pastEnds: PAST_ENDS });

/** A band under the whole of a zip opening. */
export const zipBand = technique({
  id: 'zip-band',
  words: 'a zip band',
  serves: ({ job }) => job.role === 'zip-area',
  lies: bandLies,
  steps: (at) => {
    const where = `Under the whole opening, 3–5 mm past both lines of stitching and ${PAST_ENDS} mm past its ends; before the seam is basted. Do not stretch the edge.`;
    if (isFusible(at.layer.material.form)) return [laid(at, where), ...pressed(at)];
    const run = stripRunOf(at, { pastEnds: PAST_ENDS });
    const seconds = machineSewn(run);
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: 'Baste the band under the zip opening',
        detail: where,
      }),
    ];
  },
  checks: ({ layer }) => [
    ...(isFusible(layer.material.form) ? [CHECKS.edgesHold] : []),
    { words: 'The opening lies flat, without a wave', trouble: 'ripple' },
  ],
});
