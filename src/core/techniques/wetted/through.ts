import { isSoaked } from '../../layers';
import { called, type LayerAt } from '../job';
import { SAFETY, technique } from '../making';
import type { Step } from '../../steps';
import { evenChecks, inFoundRounds, rinsed, wetStep } from './common';
import { dampWeightWords, driesIn, ironWords, onScale, pressedDry } from './drying-out';
import { amountWords, liquidNeeds } from './volume';

/**
 * Cloth wetted through, hung until it is damp, pressed smooth.
 *
 * @example throughSteps({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }).map(({ kind }) => kind) // ['do', 'wait', 'do']
 */
function throughSteps(at: LayerAt): Step[] {
  const hanging = driesIn(at.job, 'soak', 'minutesToDamp');
  const again =
    at.job.schools.strongStarch === 'rounds'
      ? ' Then wet it again and press again, two or three rounds, until it is as stiff as you want.'
      : '';
  return inFoundRounds(at, [
    wetStep(at, 'wet', {
      ...{ kind: 'do', act: 'soak', seconds: 420 },
      title: `Wet the cloth through with ${called(at.layer.material)}`,
      detail: `In a bag or basin, both faces, scrunched until no dry patch is left when it is held to the light; light colours before dark, what runs out serves the next. Hang it up smooth.${amountWords(at)}`,
    }),
    wetStep(at, 'dry', {
      ...{ kind: 'wait', until: 'damp', act: 'hang', seconds: 60 * hanging, ...onScale(at) },
      title: 'Let it hang until it is only damp',
      detail: `About ${hanging === 1 ? 'a minute' : `${hanging} minutes`} in this air, both faces free. Feel it: cool and limp, no drops. If it has gone dry, mist it with water.${dampWeightWords(at)}`,
    }),
    wetStep(at, 'press', {
      ...{ kind: 'do', ...pressedDry(at, true), safety: SAFETY.heat },
      detail: `Through a cloth until it is only damp, then directly. ${ironWords(at)}${again}`,
    }),
  ]);
}

const soakedFor =
  (role: string) =>
  ({ job, layer }: LayerAt) =>
    job.role === role && isSoaked(layer.material);

/** Cloth made like paper all over. */
export const wettedThrough = technique({
  id: 'wetted-through',
  words: 'wetted through',
  serves: ({ layer }) => isSoaked(layer.material),
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [...throughSteps(at), ...rinsed(at)],
  checks: (at) => [
    { words: 'No dry patch when it was held to the light', trouble: 'uneven' },
    ...evenChecks(at),
    { words: 'Its shrinkage was read', trouble: 'size' },
  ],
});

/** Cloth that runs through a printer. */
export const printing = technique({
  id: 'printing',
  words: 'printing on stiffened cloth',
  serves: soakedFor('printing'),
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [
    ...throughSteps(at),
    wetStep(at, 'square', {
      ...{ stage: 'apply', kind: 'do', act: 'cut', seconds: 180, safety: SAFETY.blade },
      title: 'Cut it to the size of the paper, corners square',
      detail: 'No thread hangs from an edge; the edge that goes in first is the stiffest.',
    }),
    wetStep(at, 'print', {
      ...{ stage: 'apply', kind: 'do', act: 'check', seconds: 120 },
      title: 'Feed it in by hand, one sheet at a time',
      detail: 'As thick paper; let the ink dry as its leaflet says before anything wet comes near it.',
    }),
    ...rinsed(at),
  ],
  checks: (at) => [{ words: 'It lies flat like paper, no corner lifts', trouble: 'uneven' }, ...evenChecks(at)],
});

/** Cloth that is folded or moulded. */
export const modelling = technique({
  id: 'modelling',
  words: 'modelling in stiffened cloth',
  serves: soakedFor('modelling'),
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [
    ...throughSteps(at),
    wetStep(at, 'shape', {
      ...{ stage: 'apply', kind: 'do', act: 'smooth-on', seconds: 600 },
      title: 'Mist the place, shape it, and hold it until it keeps',
      detail: 'Fold, pinch or mould it over a form; clips and pins hold it until it is dry. It is never washed.',
    }),
  ],
  checks: () => [
    { words: 'It keeps its shape when it is let go', trouble: 'uneven' },
    { words: 'No flakes, no scorch', trouble: 'flakes' },
  ],
});

/** Cloth that is stitched without a hoop. */
export const freeStitching = technique({
  id: 'free-stitching',
  words: 'free stitching on stiffened cloth',
  serves: soakedFor('free-stitching'),
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [...throughSteps(at), ...rinsed(at)],
  checks: (at) => [{ words: 'It lies flat between both hands, without a hoop', trouble: 'uneven' }, ...evenChecks(at)],
});
