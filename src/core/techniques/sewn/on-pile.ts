import { CHECKS } from '../checks';
import { called, traitsIn, type LayerAt } from '../job';
import { cutNeeds, regionOf, sewnRound, threadNeeds } from '../lying';
import { handSewn, stepOf, technique } from '../making';

/** Caught so far inside the layer's edge, mm. */
const INSIDE = 4;
const line = (at: LayerAt) => {
  const round = sewnRound(at);
  return round === undefined ? undefined : Math.max(0, round - 8 * INSIDE);
};

/** On pile, crinkle or beads: loose stitches, so that both can move. */
export const onPile = technique({
  id: 'caught-on-pile',
  words: 'catch-stitched on pile or crinkle',
  serves: ({ job, layer }) => layer.material.form === 'sew-in' && traitsIn(job).ruinedByPressing,
  needs: (at) => [...cutNeeds(at, regionOf(at)), ...threadNeeds(at, line(at), 'catch')],
  steps: (at) => {
    const { words, seconds } = handSewn(line(at), 'catch');
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: `Catch ${called(at.layer.material)} to the wrong side`,
        detail: `Loose catch stitches 4 mm from the layer’s edge, that take only a thread or two, so that both can move. Nothing is pressed.${words}`,
      }),
    ];
  },
  checks: () => [
    { words: 'Both can move on each other', trouble: 'slack' },
    { words: 'No stitch shows on the face', trouble: 'shows-through' },
    { words: 'The surface is as it was', trouble: 'dull' },
    CHECKS.sameSize,
  ],
});
