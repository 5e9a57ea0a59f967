import { called, type LayerAt } from '../job';
import { SAFETY, technique } from '../making';
import type { Step } from '../../steps';
import { evenChecks, inFoundRounds, rinsed, wetStep } from './common';
import { ironWords, pressedDry } from './drying-out';
import { amountWords, liquidNeeds } from './volume';

/** A mist soaks in before it is pressed, s. */
const REST = 600;

/** One face pressed dry, told apart from the other. */
function face(at: LayerAt, turn: number): ReturnType<typeof pressedDry> {
  const pressed = pressedDry(at, false, 2);
  return turn === 0 ? pressed : { ...pressed, title: pressed.title.replace('Press it dry', 'Press the other face dry') };
}

/** A light pressing spray shrinks nothing: one face, pressed dry, then the other, at any time of the work. */
function faceByFace(at: LayerAt): Step[] {
  return [0, 1].flatMap((turn) => {
    const end = turn === 0 ? '' : 'turned-';
    return [
      wetStep(at, `${end}wet`, {
        ...{ kind: 'do', act: 'spray', seconds: 60, safety: SAFETY.spray },
        title: turn === 0 ? `Spray with ${called(at.layer.material)}, one face` : 'Turn it over and spray the other face',
        detail: `A fine mist from 40 cm, even all over.${amountWords(at, 2)}`,
      }),
      wetStep(at, `${end}press`, {
        ...{ kind: 'do', ...face(at, turn), safety: SAFETY.heat },
        detail: ironWords(at),
      }),
    ];
  });
}

/** Both faces misted at once, left to soak in, pressed. */
function bothFaces(at: LayerAt): Step[] {
  return [
    wetStep(at, 'wet', {
      ...{ kind: 'do', act: 'spray', seconds: 120, safety: SAFETY.spray },
      title: `Spray with ${called(at.layer.material)}`,
      detail: `Both faces once, from about 40 cm. Smooth it in with the hand, and spray again what stayed pale.${amountWords(at)}`,
    }),
    wetStep(at, 'dry', {
      ...{ kind: 'wait', act: 'rest', seconds: REST },
      title: 'Let it soak in',
      detail: 'It scorches and flakes if it is pressed wet.',
    }),
    wetStep(at, 'press', { ...{ kind: 'do', ...pressedDry(at, false), safety: SAFETY.heat }, detail: ironWords(at) }),
  ];
}

/** A fine mist on each face, pressed. */
export const mistAndPress = technique({
  id: 'mist-and-press',
  words: 'mist and press',
  serves: ({ layer }) => layer.material.form === 'liquid',
  lies: () => undefined,
  cut: () => '',
  needs: liquidNeeds,
  steps: (at) => [
    ...inFoundRounds(at, at.layer.material.family === 'pressing-spray' ? faceByFace(at) : bothFaces(at)),
    ...rinsed(at),
  ],
  checks: evenChecks,
});
