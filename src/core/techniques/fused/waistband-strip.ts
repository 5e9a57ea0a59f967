import { isFusible } from '../../layers';
import { CHECKS } from '../checks';
import { laid, machineSewn, pressed, stepOf, technique } from '../making';
import { stripLies, stripRunOf } from './strip-lies';

/** A perforated strip whose edge or perforation lies on the fold of a band. */
export const waistbandStrip = technique({
  id: 'waistband-strip',
  words: 'a waistband strip on its fold',
  serves: ({ job, layer }) => layer.material.family === 'waistband-strip' && !job.role?.startsWith('hat-'),
  lies: stripLies,
  cut: () => 'to the finished length of the band with its overlap',
  steps: (at) => {
    const where =
      'Its perforation or its edge exactly on the fold, from seam to seam; on the half that is seen, or on the one that is sewn to the garment, as the band asks.';
    if (isFusible(at.layer.material.form))
      return [
        laid(at, `${where} It is fused before the fold is pressed.`, 'Lay the strip to the fold of the band, glue side down'),
        ...pressed(at),
      ];
    const seconds = machineSewn(stripRunOf(at));
    return [
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...(seconds === undefined ? {} : { seconds }) },
        title: 'Stitch the strip along the fold of the band',
        detail: `${where} Beside its edge, without pulling it.`,
      }),
    ];
  },
  checks: () => [
    { words: 'The band folds on the perforation', trouble: 'ridge' },
    { words: 'The finished width is that of the strip', trouble: 'size' },
    CHECKS.straight,
  ],
});
