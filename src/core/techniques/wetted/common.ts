import { lower } from '../../letters';
import type { Step } from '../../steps';
import { called, type LayerAt } from '../job';
import { CHECKS } from '../checks';
import type { Check } from '../technique';
import { roundsOf } from './volume';

/**
 * A step of wetting; its id is that of the bottle, so that a scrap finds its own.
 *
 * @example wetStep({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }, 'wet', { kind: 'do', title: '', detail: '' }).id // 'starch-wet'
 */
export function wetStep(at: LayerAt, end: string, said: Omit<Step, 'id' | 'stage'> & { stage?: Step['stage'] }): Step {
  return { id: `${at.layer.material.id}-${end}`, stage: 'prepare', ...said, layer: at.index };
}

/**
 * Steps once for each round that a scrap found.
 *
 * @example inFoundRounds({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }, []) // []
 */
export function inFoundRounds(at: LayerAt, steps: readonly Step[]): Step[] {
  const rounds = roundsOf(at);
  if (rounds === 1) return [...steps];
  return Array.from({ length: rounds }, (_, k) => k + 1).flatMap((round) =>
    steps.map((step) => ({
      ...step,
      id: round === 1 ? step.id : step.id.replace(/-(\w+)$/, `-round${round}-$1`),
      title: `Round ${round} of ${rounds}: ${lower(step.title)}`,
    })),
  );
}

/** Liquids that are rinsed out of the finished thing; a stiffener may as well be left in. */
const RINSED = ['starch', 'liquid-stabilizer', 'edge-stiffener'];

/**
 * Rinsing, which belongs to the finished thing; nothing where it stays or nothing is washed.
 *
 * @example rinsed({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }).length // 1
 */
export function rinsed(at: LayerAt): Step[] {
  const { material } = at.layer;
  // What was stitched is rinsed with all that goes from it.
  if (!RINSED.includes(material.family) || !at.job.washed || at.job.role === 'modelling' || at.job.stitched) return [];
  return [
    wetStep(at, 'rinse', {
      ...{ stage: 'finish', kind: 'do', act: 'wash', sewn: true },
      title:
        material.family === 'edge-stiffener'
          ? 'Leave the stiffener in, or wash it out'
          : `Rinse ${called(material)} out of the finished thing`,
      detail:
        material.family === 'edge-stiffener'
          ? 'When the thing is sewn.'
          : 'When it is sewn, in hand-warm water, until it stays clear and the cloth is soft again.',
    }),
  ];
}

/** What is looked at after cloth was wetted all over. */
const EVEN: readonly Check[] = [
  { words: 'No flakes, no scorch', trouble: 'flakes' },
  { words: 'Evenly stiff all over', trouble: 'uneven' },
  { words: 'Grain straight, edges square', trouble: 'size' },
];

/**
 * What is looked at when cloth is stiffened all over; that it gives less where it is on the bias.
 *
 * @example evenChecks({ job: workJob, layer: { material: starch, extent: 'full', angle: 0 }, index: 0 }).length // 3
 */
export function evenChecks({ job: { bias, cutAlready } }: LayerAt): Check[] {
  return [
    ...EVEN,
    ...(bias ? [{ words: 'A strip on the bias gives less than before: pull 100 mm', trouble: 'gives' as const }] : []),
    // Before anything is cut there is nothing to lay the pattern on; cut by it afterwards, pieces agree with it.
    ...(cutAlready ? [CHECKS.sameSize] : []),
  ];
}
