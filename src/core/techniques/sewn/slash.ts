import { isFusible } from '../../layers';
import { SLASH_CUT } from '../../part';
import { distanceToBorder, isInside } from '../../shape';
import type { Step } from '../../steps';
import { CHECKS } from '../checks';
import { mm } from '../cut-words';
import { called, type LayerAt } from '../job';
import { cutOptions, regionOf } from '../lying';
import { laid, machineSewn, pressed, SAFETY, stepOf, stuckThere, technique } from '../making';
import { stripLies, stripRunOf } from '../fused/strip-lies';

const lies = (at: LayerAt) => (at.layer.extent === 'patch' ? regionOf(at, {}, 'patch') : stripLies(at));

/** How much farther than half its width from the border a line lies that runs into the piece, mm. */
const DEEPER = 0.5;

/** The seam line of a godet lies along its edge, within the strip's width: nothing is cut open there. */
function liesAlongEdge({ job: { piece, place } }: LayerAt): boolean {
  if (place?.kind !== 'line' || !piece) return false;
  const depths = place.line.map((end) => (isInside(end, piece.outline) ? distanceToBorder(piece.outline, end) : 0));
  return Math.max(...depths) <= place.width / 2 + DEEPER;
}

/** What is done at the point, and last of all the cut. */
function opened(at: LayerAt): Step[] {
  return [
    stepOf(at, 'open', {
      ...{ kind: 'do', act: 'cut', safety: SAFETY.blade, stage: 'finish' },
      title: 'Cut the slash last of all, to the point and no further',
      detail: 'When strip and patch hold. It has no allowance of its own: the stitching runs to nothing at the point.',
    }),
  ];
}

/** A strip over the line of a slash, or the thin patch at its point; cut last. */
export const slashLine = technique({
  id: 'slash-line',
  words: 'a slash line and its point',
  serves: (at) => {
    const { role, place } = at.job;
    if (role !== 'godet-slash' || liesAlongEdge(at)) return false;
    return place?.kind === 'line' || place?.kind === 'patch' || at.layer.extent === 'patch';
  },
  lies,
  cut: (at) =>
    at.layer.extent === 'patch'
      ? `as a patch of ${mm(cutOptions(at).size)} for the point`
      : `as a strip ${mm(cutOptions(at).width)} wide, ${mm(SLASH_CUT.pastEnds)} longer than the slash`,
  steps: (at) => {
    const { material, extent } = at.layer;
    const point = extent === 'patch';
    const where = point
      ? 'Its middle on the point of the slash, on the wrong side, thin and tight.'
      : `Its middle on the line, ${mm(cutOptions(at).width / 2)} on each side and ${mm(SLASH_CUT.pastEnds)} past the point; no heavier than the cloth.`;
    if (isFusible(material.form)) return [laid(at, where), ...pressed(at), ...opened(at)];
    const stuck = stuckThere(at, where);
    if (stuck) return [...stuck, ...opened(at)];
    const seconds = point ? 150 : machineSewn(stripRunOf(at));
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: point
          ? `Baste ${called(material)} over the point of the slash`
          : `Baste ${called(material)} along the line of the slash`,
        detail: `${where} Short stitches, 1.5 mm, near the point.`,
      }),
      ...opened(at),
    ];
  },
  checks: ({ layer }) => [
    ...(isFusible(layer.material.form) ? [CHECKS.edgesHold] : []),
    { words: 'The point does not give when it is pulled', trouble: 'corner-tore' },
    CHECKS.notSeen,
  ],
});
