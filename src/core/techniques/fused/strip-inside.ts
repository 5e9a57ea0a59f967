import { isFusible } from '../../layers';
import { pastSeam } from '../../pieces';
import { CHECKS } from '../checks';
import { mm } from '../cut-words';
import type { LayerAt } from '../job';
import { cutOptions, threadNeeds, cutNeeds } from '../lying';
import { handSewn, laid, pressed, stepOf, technique } from '../making';
import { stripLies, stripRunOf } from './strip-lies';

/** From where to where a strip lies, in words. */
function stripWords(at: LayerAt): string {
  const options = cutOptions(at);
  const past = pastSeam(at.layer.material, options.width, options);
  if (options.rule === 'hem') return `From the hem’s fold inward, ${mm(options.width)} wide.`;
  if (options.rule === 'fold') return `Beside the fold, ${mm(options.width)} wide.`;
  return past > 0
    ? `From ${mm(past)} past the sewn line inward, so that the seam catches it; ${mm(options.width)} wide in all.`
    : `From the sewn line inward, ${mm(options.width)} wide.`;
}

/** A strip along an edge or in a hem, laid to the sewn line. */
export const stripInside = technique({
  id: 'strip-inside-edge',
  words: 'a strip inside an edge',
  serves: ({ layer }) => layer.extent === 'strip',
  lies: stripLies,
  needs: (at) => [
    ...cutNeeds(at, stripLies(at)),
    ...(isFusible(at.layer.material.form) ? [] : threadNeeds(at, stripRunOf(at), 'catch')),
  ],
  steps: (at) => {
    const where = `${stripWords(at)} Lay it to the sewn line, not to the cut edge, and do not stretch it.`;
    if (isFusible(at.layer.material.form)) return [laid(at, where), ...pressed(at)];
    const { words, seconds } = handSewn(stripRunOf(at), 'catch');
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: 'Catch the strip to the wrong side along the edge',
        detail: `${where} Loose stitches that take one thread of the cloth.${words}`,
      }),
    ];
  },
  checks: ({ layer }) => [
    ...(isFusible(layer.material.form) ? [CHECKS.edgesHold, CHECKS.dotsGone] : []),
    CHECKS.straight,
    CHECKS.notSeen,
  ],
});
