import { CHECKS } from '../checks';
import { called, type LayerAt } from '../job';
import { cutNeeds, regionOf, sewnRound, threadNeeds } from '../lying';
import { handSewn, stepOf, technique } from '../making';

/** Firm layers that end at the seam line are catch-stitched there, by hand. */
const caught = ({ layer }: LayerAt) => layer.extent === 'net' || layer.extent === 'field';

/** A layer that is caught in every seam, or held at the seam line. */
export const sewnAtEdge = technique({
  id: 'sewn-at-edge',
  words: 'sewn in at the edge',
  serves: () => true,
  needs: (at) => [...cutNeeds(at, regionOf(at)), ...threadNeeds(at, sewnRound(at), caught(at) ? 'catch' : 'baste')],
  steps: (at) => {
    const name = called(at.layer.material);
    if (caught(at)) {
      const { words, seconds } = handSewn(sewnRound(at), 'catch');
      return [
        stepOf(at, 'sew', {
          ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
          title: `Catch ${name} to the wrong side`,
          detail: `Flat, its edge on the seam line; catch stitches over the edge that take one thread of the cloth.${words}`,
        }),
      ];
    }
    const { words, seconds } = handSewn(sewnRound(at), 'baste');
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: `Baste ${name} to the wrong side`,
        detail: `Inside the seam allowance, 3–6 mm from the edge, by machine with long stitches or by hand; from then on handle the two as one.${words}`,
      }),
    ];
  },
  checks: ({ layer }) => [
    CHECKS.layersFlat,
    CHECKS.edgesMeet,
    ...(layer.extent === 'net' ? [CHECKS.outOfSeam] : []),
    CHECKS.sameSize,
  ],
});
