import { sheetLayer } from '../../steps';
import { fusedChecks } from '../checks';
import { called, type LayerAt } from '../job';
import { regionOf } from '../lying';
import { pressed, SAFETY, stepOf, technique } from '../making';
import type { Step } from '../../steps';

/** A square metre under an iron that is moved on, s. */
const PRESSED_METRE = 900;

/** What of a length is pressed and how long that takes, as it is told: no taps are counted. */
function areaWords({ job: { yardage } }: LayerAt): string {
  if (!yardage) return '';
  const metres = yardage / 1e6;
  const minutes = Math.max(1, Math.round((metres * PRESSED_METRE) / 60));
  return ` About ${metres < 0.1 ? Math.round(metres * 100) / 100 : Math.round(metres * 10) / 10} m², ${minutes} min under the iron.`;
}

/** Cloth and layer off the roll, fused as a length, everything cut from it. */
export const aLength = technique({
  id: 'a-length',
  words: 'a length pressed by moving',
  serves: ({ job, index }) => job.order === 'fuse-length' && !job.stitched && index === sheetLayer(job.layers),
  // Whatever is cut from it, the layer reaches the edge.
  lies: (at) => regionOf(at, {}, 'full'),
  cut: () => '',
  steps: (at) => {
    const steps: Step[] = [
      stepOf(at, 'lay', {
        ...{ kind: 'do', act: 'lay-on-layer' },
        title: `Lay a length of cloth that takes all pieces on ${called(at.layer.material)}`,
        detail: 'The layer glue side up, cloth wrong side down, grain with grain, no creases. Cover bare glue with paper.',
      }),
      ...pressed(
        at,
        '',
        `From one end to the other, most of the weight taken off while it is moved, or in overlapping stops.${areaWords(at)}`,
      ),
      stepOf(at, 'feel', {
        ...{ kind: 'do', act: 'feel' },
        title: 'Feel all over the length',
        detail: 'Where it lifts, press again and let it cool again, before anything is cut.',
      }),
      {
        ...stepOf(at, 'out', { kind: 'do', act: 'cut-loose', safety: SAFETY.blade, title: '', detail: '' }),
        id: 'cut-out',
        title: 'Mark the pieces and cut them through both',
        detail: 'Patterns face up on the cloth, along its grain.',
      },
    ];
    return steps.map((step) => ({ ...step, sheet: true as const }));
  },
  checks: fusedChecks,
});
