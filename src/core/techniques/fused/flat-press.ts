import { isFusible } from '../../layers';
import { settingFor, type Step } from '../../steps';
import { fusedChecks } from '../checks';
import { called, type LayerAt } from '../job';
import { laid, SAFETY, stepOf, technique } from '../making';
import { lyingWords } from './all-over';

/**
 * How a press is set and used: closed once for all the seconds.
 *
 * @example closedWords({ job: workJob, layer: stack[0], index: 0 }).endsWith('flat.') // true
 */
function closedWords(at: LayerAt): string {
  const { ironDots, seconds } = settingFor(at.layer.material, at.job);
  const heat = ['', 'low', 'medium', 'high'][ironDots];
  return `Plate ${heat}, paper above and below. Close it once, ${seconds} s, open it. Glue never bare against the plate; take the piece off flat.`;
}

/** Cut pieces with their layers under a heated plate that is closed once. */
export const flatPress = technique({
  id: 'flat-press',
  words: 'under a flat press',
  serves: ({ job, layer }) => job.tool === 'press' && isFusible(layer.material.form),
  steps: (at) => {
    const { seconds } = settingFor(at.layer.material, at.job);
    const steps: Step[] = [
      laid(at, `${lyingWords(at)} As many as fill the plate, none over another.`),
      stepOf(at, 'press', {
        ...{ kind: 'press', act: 'press', seconds, safety: SAFETY.heat },
        title: `Press ${called(at.layer.material)}: close the plate once, ${seconds} s`,
        detail: closedWords(at),
      }),
      stepOf(at, 'cool', {
        ...{ kind: 'wait', act: 'cool', seconds: at.layer.material.leaflet.coolMinutes * 60 },
        title: 'Leave it flat until it is cold',
        detail: 'Moved while warm, it lets go or sets crooked.',
      }),
    ];
    return steps;
  },
  checks: fusedChecks,
});
