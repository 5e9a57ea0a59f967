import type { Family } from '../../layers';
import { CHECKS } from '../checks';
import { called, traitsIn, type LayerAt } from '../job';
import { cutNeeds, glueNeeds, regionOf, sewnRound, threadNeeds } from '../lying';
import { handSewn, laid, pressed, SAFETY, stepOf, technique } from '../making';
import { isFusible } from '../../layers';

const PADDING: readonly Family[] = ['fleece', 'wadding', 'foam'];
const isPadding = ({ layer }: LayerAt) => PADDING.includes(layer.material.family);
const CHECKED = [
  { words: 'Smooth from the middle to the edges, no fold inside', trouble: 'bubbles' },
  CHECKS.outOfSeam,
  CHECKS.sameSize,
] as const;

/** What temporary spray glue holds: padding mostly. */
const bySpray = (id: string, words: string, serves: (at: LayerAt) => boolean) =>
  technique({
    id,
    words,
    serves: (at) => at.layer.material.form === 'spray-glued' && !at.job.stitched && serves(at),
    needs: (at) => [...cutNeeds(at, regionOf(at)), ...glueNeeds(at, regionOf(at))],
    steps: (at) => [
      stepOf(at, 'stick', {
        ...{ kind: 'do', act: 'smooth-on', seconds: 180, safety: SAFETY.spray },
        title: `Spray ${called(at.layer.material)} and smooth the cloth onto it`,
        detail:
          'Mist the layer, not the cloth, in the open air or at an open window; lay the cloth on and smooth from the middle.',
      }),
    ],
    checks: () => [...CHECKED],
  });

export const paddingSprayed = bySpray('padding-sprayed', 'padding, sprayed', isPadding);
export const sprayed = bySpray('sprayed', 'held with spray glue', () => true);

/** Padding with glue of its own, pressed without the full weight. */
export const paddingFused = technique({
  id: 'padding-fused',
  words: 'padding, fused',
  serves: (at) => isPadding(at) && isFusible(at.layer.material.form),
  steps: (at) => [
    laid(at, 'Its edge on the seam line all round, out of every seam.'),
    ...pressed(at, 'Under a damp cloth and without the full weight of the iron, so that it stays thick.'),
  ],
  checks: () => [CHECKS.edgesHold, ...CHECKED],
});

/** Foam and wadding that are caught at the seam line. */
export const paddingCaught = technique({
  id: 'padding-caught',
  words: 'padding, caught',
  serves: (at) => isPadding(at) && !at.job.stitched && !traitsIn(at.job).sealed,
  needs: (at) => [...cutNeeds(at, regionOf(at)), ...threadNeeds(at, sewnRound(at), 'catch')],
  steps: (at) => {
    const { words, seconds } = handSewn(sewnRound(at), 'catch');
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: `Catch ${called(at.layer.material)} to the wrong side`,
        detail: `Its edge on the seam line, out of every seam; smooth from the middle, loose catch stitches into the allowance.${words}`,
      }),
    ];
  },
  checks: () => [...CHECKED],
});

/** A layer with glue that sticks by hand, on something that is worn or carried. */
export const stuck = technique({
  id: 'stuck',
  words: 'peeled and stuck on',
  serves: ({ job, layer }) => layer.material.form === 'sticky' && !job.stitched,
  steps: (at) => [
    stepOf(at, 'stick', {
      ...{ kind: 'do', act: 'smooth-on', seconds: 120 },
      title: `Peel ${called(at.layer.material)} and smooth it onto the wrong side`,
      detail: 'Start from the middle; lift and lay again rather than pulling.',
    }),
  ],
  checks: () => [{ words: 'Edges stick all round', trouble: 'lifts' }, CHECKED[0], CHECKS.sameSize],
});
