import type { Step } from '../../steps';
import { CHECKS } from '../checks';
import { called, traitsIn, type LayerAt } from '../job';
import { aroundOf, cutNeeds, regionOf, sewnRound, threadNeeds } from '../lying';
import { handSewn, machineSewn, stepOf, technique } from '../making';

const FAMILIES = ['cloth-underlining', 'organza', 'organdy', 'mulling'];
const ROLES = ['bodice', 'whole-panel', 'jacket-front', 'bias-piece'];
/** Basted so far inside the edge, mm. */
const INSIDE = 4.5;

/** Sheer and slippery cloth is basted by hand. */
function byHand({ job, layer: { material } }: LayerAt): boolean {
  return job.fabric.sheer === 'sheer' || material.family === 'organza' || traitsIn(job).flows;
}

/** The line that is basted on one piece, mm: inside the allowance all round; eight corners' worth shorter than the edge. */
function basted(at: LayerAt): number | undefined {
  const region = regionOf(at);
  const round = region ? aroundOf(region.outlines) : sewnRound(at);
  return round === undefined ? undefined : Math.max(0, round - 8 * INSIDE);
}

const darts = ({ job: { piece } }: LayerAt) => piece?.marks.filter(({ kind }) => kind === 'dart').length ?? 0;

/** A second cloth, the twin of the piece, handled with it as one. */
export const underlining = technique({
  id: 'underlining',
  words: 'underlining',
  serves: ({ job, layer: { material, extent } }) =>
    FAMILIES.includes(material.family) &&
    material.form === 'sew-in' &&
    ['full', 'trimmed'].includes(extent) &&
    (ROLES.includes(job.role ?? '') || material.family === 'cloth-underlining'),
  cut: () => 'to the pattern, the twin of its piece',
  needs: (at) => [...cutNeeds(at, regionOf(at)), ...threadNeeds(at, basted(at), 'baste')],
  steps: (at) => {
    const name = called(at.layer.material);
    const hand = byHand(at);
    const line = basted(at);
    const sewn = hand ? handSewn(line, 'baste') : { words: '', seconds: machineSewn(line) };
    const timed = sewn.seconds === undefined ? {} : { seconds: sewn.seconds };
    const steps: Step[] = [
      stepOf(at, 'mark', {
        ...{ kind: 'do', act: 'check' },
        title: 'Transfer the marks',
        detail: `On the underlining; thread marks only when the two are joined, so that they go through both.`,
      }),
      stepOf(at, 'lay', {
        ...{ kind: 'do', act: 'smooth-on' },
        title: `Lay ${name} and the cloth wrong sides together`,
        detail: 'On a table, the cloth uppermost, grain with grain; smooth from the middle, and pin in the allowances.',
      }),
      stepOf(at, 'sew', {
        ...{ kind: 'do', act: 'baste', ...timed },
        title: hand ? 'Baste the two by hand, flat on the table' : 'Baste the two by machine',
        detail: hand
          ? `The cloth uppermost, from the middle of the lower edge outward, 3–6 mm from the edge, inside the allowance; never lifted.${sewn.words}`
          : 'Long stitches inside the seam allowance, 3–6 mm from the edge; from then on they are one cloth.',
      }),
    ];
    if (darts(at) > 0)
      steps.push(
        stepOf(at, 'darts', {
          ...{ kind: 'do', act: 'baste', seconds: 240 * darts(at) },
          title:
            darts(at) === 1
              ? 'Baste the line of the dart through both'
              : `Baste the lines of the ${darts(at)} darts through both`,
          detail: 'Pin through both lines, baste the line, sew as one; slash the fold of a thick one.',
        }),
      );
    return steps;
  },
  checks: (at) => [
    CHECKS.layersFlat,
    { words: 'No bubble when it hangs', trouble: 'slack' },
    { words: 'Nothing shows through over dark and over light', trouble: 'shows-through' },
    ...(darts(at) > 0 ? [{ words: 'Darts of both meet', trouble: 'slack' as const }] : []),
    CHECKS.sameSize,
  ],
});
