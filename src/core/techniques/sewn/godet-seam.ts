import { isFusible } from '../../layers';
import { SLASH_CUT } from '../../part';
import { CHECKS } from '../checks';
import type { LayerAt } from '../job';
import { laid, machineSewn, pressed, stepOf, stuckThere, technique } from '../making';
import { stripLies, stripRunOf } from '../fused/strip-lies';

/** The strip begins so far beyond the sewn line, mm. */
const { past: BEYOND } = SLASH_CUT;
const lies = (at: LayerAt) => stripLies(at);

/** A strip along each side of a godet. */
export const godetSeam = technique({
  id: 'godet-seam',
  words: 'a godet seam',
  serves: ({ job }) => job.role === 'godet-slash',
  lies,
  steps: (at) => {
    // By its recipe each side is a job of its own, whose line says where it lies.
    const side =
      at.job.place?.kind === 'line'
        ? `Along this side of the godet, from its cut edge to ${BEYOND} mm past the sewn line`
        : `Along each side of the godet, from ${BEYOND} mm beyond the sewn line inward`;
    const where = `${side}; on the godet, not on the slash.`;
    const put = isFusible(at.layer.material.form)
      ? [laid(at, where), ...pressed(at)]
      : (stuckThere(at, where) ?? [
          stepOf(at, 'sew', {
            ...{ kind: 'do' as const, act: 'baste' as const, seconds: machineSewn(stripRunOf(at)) ?? 180 },
            title: `Baste a strip along ${at.job.place?.kind === 'line' ? 'this' : 'each'} side of the godet`,
            detail: where,
          }),
        ]);
    return [
      ...put,
      stepOf(at, 'seam', {
        ...{ stage: 'finish', kind: 'do', act: 'stitch', sewn: true },
        title: 'Sew the godet in, one side at a time',
        detail: 'To the point, needle down, then the other side; stitches halved for the last 25 mm.',
      }),
    ];
  },
  checks: ({ layer }) => [
    ...(isFusible(layer.material.form) ? [CHECKS.edgesHold] : []),
    { words: 'The point lies flat', trouble: 'corner-tore' },
    { words: 'The hem is level', trouble: 'ripple' },
  ],
});
