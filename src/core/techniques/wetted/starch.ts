import { methodOf } from '../../liquid';
import { called, type LayerAt } from '../job';
import { SAFETY, technique } from '../making';
import type { Step } from '../../steps';
import { evenChecks, inFoundRounds, rinsed, wetStep } from './common';
import { driesIn, ironWords, pressedDry } from './drying-out';
import { amountWords, inRounds, liquidNeeds, roundsOf, underHoop } from './volume';

/** A damp spray soaks in before it is pressed, s. */
const SOAK_IN = 180;

/** Starch on cloth that is then cut. */
export const starchBeforeCutting = technique({
  id: 'starch-before-cutting',
  words: 'starch before cutting',
  serves: ({ layer }) => layer.material.form === 'liquid' && methodOf(layer.material) === 'damp',
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [
    ...inFoundRounds(at, [
      wetStep(at, 'wet', {
        ...{ kind: 'do', act: 'spray', seconds: 120, safety: SAFETY.spray },
        title: `Spray with ${called(at.layer.material)} until it feels wet`,
        detail: `From 40 cm, both faces, away from the ironing surface, before the iron is switched on.${amountWords(at)}`,
      }),
      wetStep(at, 'dry', {
        ...{ kind: 'wait', act: 'rest', seconds: SOAK_IN },
        title: 'Let it soak in',
        detail: 'It scorches and flakes if it is pressed wet.',
      }),
      wetStep(at, 'press', {
        ...{ kind: 'do', ...pressedDry(at, false), safety: SAFETY.heat },
        detail: `${ironWords(at)}${at.job.cutAlready ? '' : ' It shrinks, 10 to 15 mm on half a metre: squared and cut only afterwards, or cut larger by 1 ÷ (1 − shrinkage).'}`,
      }),
    ]),
    ...rinsed(at),
  ],
  checks: evenChecks,
});

/** Under ring and clamp: sprayed until it feels wet and pressed, round after round. */
function roundByRound(at: LayerAt): Step[] {
  const rounds = roundsOf(at);
  return Array.from({ length: rounds }, (_, k) => k + 1).flatMap((round) => {
    const end = round === 1 ? '' : `round${round}-`;
    return [
      wetStep(at, `${end}wet`, {
        ...{ kind: 'do', act: 'spray', seconds: 90, safety: SAFETY.spray },
        title: `Round ${round} of ${rounds}: spray with ${called(at.layer.material)} until it feels wet`,
        detail: `All that lies under the hoop and its clamp, and 10 mm more, both faces; wet to the touch, no drops.${amountWords(at)}`,
      }),
      wetStep(at, `${end}press`, {
        ...{ kind: 'do', ...pressedDry(at, false), safety: SAFETY.heat },
        title: `Round ${round} of ${rounds}: press it dry under a cloth`,
        detail: `${round === rounds ? 'It feels like paper now; if not, once more. ' : ''}${ironWords(at, true)}`,
      }),
    ];
  });
}

/** A set is sprayed ahead and dried; what goes into the hoop next is misted with water and pressed. */
function ahead(at: LayerAt): Step[] {
  return inFoundRounds(at, [
    wetStep(at, 'wet', {
      ...{ kind: 'do', act: 'spray', seconds: 120, safety: SAFETY.spray },
      title: `Spray with ${called(at.layer.material)} until it feels wet, all pieces of the set`,
      detail: `All that lies under the hoop and its clamp, and 10 mm more, both faces. Hang them up or lay them flat.${amountWords(at)}`,
    }),
    wetStep(at, 'dry', {
      ...{ kind: 'wait', act: 'hang', until: 'dry', seconds: 60 * driesIn(at.job, 'damp', 'minutesToDry') },
      title: 'Let them dry',
      detail: 'They may wait for days. The set goes on piece by piece.',
    }),
    wetStep(at, 'press', {
      ...{ kind: 'do', ...pressedDry(at, false), safety: SAFETY.heat },
      title: 'Mist each with water and press it smooth, just before it is hooped',
      detail: ironWords(at, true),
    }),
  ]);
}

/** Starch for stable cloth that is hooped. */
export const starchUnderHoop = technique({
  id: 'starch-under-hoop',
  words: 'starch under the hoop',
  serves: underHoop,
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [...(inRounds(at.job) ? roundByRound(at) : ahead(at)), ...rinsed(at)],
  checks: () => [{ words: 'Drum tight in the hoop', trouble: 'tunnel' }],
});
