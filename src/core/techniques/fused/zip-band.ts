import { isFusible } from '../../layers';
import { ZIP_CUT } from '../../part';
import { CHECKS } from '../checks';
import { mm } from '../cut-words';
import type { LayerAt } from '../job';
import { laid, machineSewn, pressed, stepOf, stuckThere, technique } from '../making';
import { stripLies, stripRunOf } from './strip-lies';

const bandLies = (at: LayerAt) => stripLies(at);

/** A band under the whole of a zip opening. */
export const zipBand = technique({
  id: 'zip-band',
  words: 'a zip band',
  serves: ({ job }) => job.role === 'zip-area',
  lies: bandLies,
  steps: (at) => {
    const where = `Under the whole opening, 3–5 mm past both lines of stitching and ${mm(ZIP_CUT.pastEnds)} past its ends; before the seam is basted. Do not stretch the edge.`;
    if (isFusible(at.layer.material.form)) return [laid(at, where), ...pressed(at)];
    const stuck = stuckThere(at, where);
    if (stuck) return stuck;
    const run = stripRunOf(at);
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
