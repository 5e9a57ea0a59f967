import { CHECKS } from '../checks';
import { bearsIron, called } from '../job';
import { machineSewn, SAFETY, stepOf, technique } from '../making';
import { stripLies, stripRunOf } from '../fused/strip-lies';

/** Braid lies so far from the edge where it is not caught in the hem's seam, mm. */
const FROM_EDGE = 13;

/** Horsehair braid in the whole hem, once its panels are joined. */
export const braidInHem = technique({
  id: 'braid-in-hem',
  words: 'braid in a hem',
  serves: ({ layer }) => layer.material.family === 'braid',
  lies: stripLies,
  cut: () => 'in one length along the sewn hem, with 20 mm to lap',
  steps: (at) => {
    const run = stripRunOf(at);
    const seconds = machineSewn(run === undefined ? undefined : run * (at.job.count ?? 1));
    const steps = [
      stepOf(at, 'join', {
        ...{ kind: 'do' as const, act: 'check' as const, seconds: 120 },
        title: 'Join the panels first, so that the hem is whole',
        detail: 'The braid runs along all of the sewn hem in one piece, with one lap of 20 mm.',
      }),
      stepOf(at, 'sew', {
        ...{ kind: 'do' as const, act: 'baste' as const, ...(seconds === undefined ? {} : { seconds }) },
        title: `Sew ${called(at.layer.material)} into the hem`,
        detail: `Between shell and lining, caught in the hem’s seam, or ${FROM_EDGE} mm from the edge. Never pulled; lap the ends and cover them. If it ripples, change the needle.`,
      }),
      stepOf(at, 'turn', {
        ...(bearsIron(at.job)
          ? { act: 'press-flat' as const, safety: SAFETY.heat, title: 'Understitch the lining, turn the hem and press it' }
          : { act: 'smooth-on' as const, title: 'Understitch the lining, and turn the hem' }),
        ...{ kind: 'do' as const, seconds: 240 },
        detail: bearsIron(at.job)
          ? 'Under a cloth, and no heat on the braid itself.'
          : 'Smoothed by hand, no iron on this cloth.',
      }),
    ];
    // It is done once for the whole hem, however many panels it has.
    return steps.map((step) => ({ ...step, sheet: true as const }));
  },
  checks: () => [{ words: 'The hem stands evenly, without a ripple', trouble: 'ripple' }, CHECKS.lengthOfPattern],
});
