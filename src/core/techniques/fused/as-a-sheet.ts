import { sheetLayer } from '../../steps';
import { fusedChecks } from '../checks';
import { called } from '../job';
import { pressed, SAFETY, stepOf, technique } from '../making';

/** Cut pieces side by side on the uncut layer, pressed as one, cut out when cold. */
export const asASheet = technique({
  id: 'as-a-sheet',
  words: 'fused together as a sheet',
  serves: ({ job, index }) => job.order === 'fuse-together' && !job.stitched && index === sheetLayer(job.layers),
  cut: () => '',
  steps: (at) =>
    [
      stepOf(at, 'lay', {
        ...{ kind: 'do', act: 'lay-on-layer' },
        title: `Lay the pieces side by side on ${called(at.layer.material)}`,
        detail:
          'The layer whole, glue side up; each piece wrong side onto the glue, face up, its grain with the layer’s, as close as they will lie. Cover bare glue with paper.',
      }),
      ...pressed(at, 'In one direction over each piece, so that no lump is pushed together in its middle.'),
      stepOf(at, 'feel', {
        ...{ kind: 'do', act: 'feel' },
        title: 'Feel along the edges of every piece',
        detail: 'Where a fingernail gets under, press again and let it cool again, before anything is cut.',
      }),
      {
        ...stepOf(at, 'out', { kind: 'do', act: 'cut-loose', safety: SAFETY.blade, title: '', detail: '' }),
        id: 'cut-out',
        title: 'Cut the pieces loose, then out along their edges',
        detail: 'First apart as one lump, then along the edges, through both.',
      },
    ].map((step) => ({ ...step, sheet: true as const })),
  checks: fusedChecks,
});
