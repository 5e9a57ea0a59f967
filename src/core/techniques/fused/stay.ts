import { isFusible } from '../../layers';
import { pastSeam } from '../../pieces';
import { CHECKS } from '../checks';
import { mm } from '../cut-words';
import { called, type LayerAt } from '../job';
import { cutOptions } from '../lying';
import { laid, machineSewn, pressed, stepOf, stuckThere, technique } from '../making';
import { stripLies, stripRunOf } from './strip-lies';

/** Edges that carry weight or lie on the bias. */
const STAYED = ['shoulder-seam', 'neck-facing', 'armhole-facing'];

/** How a stay lies across its seam, in words. */
function acrossWords(at: LayerAt): string {
  const options = cutOptions(at);
  const past = pastSeam(at.layer.material, options.width, options);
  return past >= options.width / 2
    ? 'Its middle on the sewn line, so that the seam stitches through it.'
    : `${mm(past)} of it in the allowance, the rest inside, so that the seam stitches through it.`;
}

/** A stay that keeps a seam from growing, stitched through by it. */
export const stay = technique({
  id: 'stay-across-seam',
  words: 'a stay across a seam',
  serves: ({ job, layer }) =>
    layer.extent === 'strip' && (layer.material.family === 'stay-tape' || STAYED.includes(job.role ?? '')),
  lies: stripLies,
  cut: () => 'to the length of the sewn line on the pattern, not of the cloth',
  steps: (at) => {
    const where = `${acrossWords(at)} Cut to the length of the pattern, not of the cloth; stretch neither cloth nor stay.`;
    if (isFusible(at.layer.material.form))
      return [laid(at, where, 'Lay the stay across the sewn line, glue side down'), ...pressed(at)];
    const stuck = stuckThere(at, where);
    if (stuck) return stuck;
    const seconds = machineSewn(stripRunOf(at));
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: `Sew ${called(at.layer.material)} along the sewn line`,
        detail: `${where} Baste it beside the line; the seam itself holds it.`,
      }),
    ];
  },
  checks: ({ layer }) => [...(isFusible(layer.material.form) ? [CHECKS.edgesHold] : []), CHECKS.lengthOfPattern, CHECKS.straight],
});
