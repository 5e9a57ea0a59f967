import { isFusible } from '../../layers';
import { fusedChecks } from '../checks';
import { mm } from '../cut-words';
import { called, type LayerAt } from '../job';
import { cutOptions } from '../lying';
import { laid, pressed, technique } from '../making';

/**
 * How a cut layer lies on its piece, in words.
 *
 * @example lyingWords({ job: workJob, layer: stack[0], index: 0 }) // 'Edges together, square to the paper pattern, no creases.'
 */
export function lyingWords(at: LayerAt): string {
  const { trim } = cutOptions(at);
  switch (at.layer.extent) {
    case 'full':
      return 'Edges together, square to the paper pattern, no creases.';
    case 'trimmed':
      return `${mm(trim)} inside the cut edge all round, never beyond it; square to the paper pattern, no creases.`;
    default:
      return 'Its edge on the seam line all round; square to the paper pattern, no creases.';
  }
}

/** A cut layer that is fused onto all of a cut piece. */
export const fusedAllOver = technique({
  id: 'fused-all-over',
  words: 'fused all over',
  serves: ({ layer }) => isFusible(layer.material.form),
  steps: (at) => [
    laid(
      at,
      `${lyingWords(at)}${
        at.layer.material.form === 'fusible-both'
          ? ` Both faces carry glue: paper under ${called(at.layer.material)} until the other cloth lies on it.`
          : ''
      }`,
    ),
    ...pressed(at),
  ],
  checks: fusedChecks,
});
