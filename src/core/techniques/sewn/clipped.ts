import { isFusible } from '../../layers';
import { CHECKS } from '../checks';
import { called, traitsIn, type LayerAt } from '../job';
import { stepOf, technique } from '../making';

/** On leather, coated cloth and film every hole and crease stays. */
export const clipped = technique({
  id: 'clipped',
  words: 'clipped, for what shows holes',
  serves: ({ job, layer }: LayerAt) =>
    traitsIn(job).sealed && !isFusible(layer.material.form) && ['sew-in', 'loose'].includes(layer.material.form),
  steps: (at) => [
    stepOf(at, 'hold', {
      ...{ kind: 'do', act: 'smooth-on', seconds: 120 },
      title: `Hold ${called(at.layer.material)} on the wrong side with clips`,
      detail:
        at.layer.extent === 'full'
          ? 'Clips in the allowance, a few spots of fabric glue there; no needle goes in before the seam, which catches it at the edge. Every hole stays.'
          : 'Clips in the allowance, a few spots of fabric glue near its edge hold it to the seam line. Every hole stays, so no needle goes in before the seam.',
    }),
  ],
  checks: () => [CHECKS.layersFlat, CHECKS.noMarks],
});
