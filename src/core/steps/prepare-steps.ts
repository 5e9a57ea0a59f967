import { liquidSteps } from './liquid-steps';
import type { Step, StepsFor } from './step';
import { isSealed, ruinedByPressing } from '../cloth';
import type { ChosenLayer } from '../layers';
import { HEAT_SAFETY, SPRAY_SAFETY, IRON } from './words';
import { lower } from '../letters';

/**
 * Washing, shrinking, pressing flat, and the liquids that go on before anything is cut.
 *
 * @example prepareSteps(stepsInput).length > 0 // true
 */
export function prepareSteps(input: StepsFor): Step[] {
  const { fabric, layers, washed, cutAlready, schools, layersCut } = input;
  const steps: Step[] = [];
  if (washed && fabric.prewashed !== true && !cutAlready && fabric.water !== 'spots') {
    steps.push({
      id: 'prewash',
      stage: 'prepare',
      kind: 'do',
      title: 'Wash and dry the cloth as it will be washed',
      detail: 'What shrinks now does not pucker later.',
    });
  }
  const shrinking = layers.filter(
    ({ material }, i) => material.preShrink && layers.findIndex((l) => l.material.id === material.id) === i,
  );
  // Glue must not meet the iron before its time; a second cloth is washed as cloth is.
  const glued = shrinking.filter(({ material }) => material.glue !== 'none');
  const plain = shrinking.filter(({ material }) => material.glue === 'none');
  if (washed && !layersCut && glued.length > 0)
    steps.push(
      shrinkStep(
        'preshrink',
        glued,
        'Lay it in hand-warm water for twenty minutes, roll it in a towel and dry it flat. Do not wring or iron it.',
      ),
    );
  if (washed && !layersCut && plain.length > 0)
    steps.push(shrinkStep('prewash-layer', plain, 'Wash and dry it as the finished thing will be washed, then press it smooth.'));
  if (fabric.ironDots > 0 && !ruinedByPressing(fabric) && !isSealed(fabric)) {
    steps.push({
      id: 'flatten',
      stage: 'prepare',
      kind: 'do',
      title: 'Press the cloth flat and square',
      detail: `Iron ${IRON[fabric.ironDots]}, along the grain.`,
      safety: HEAT_SAFETY,
    });
  }
  const starched = layers.some(({ material }) => material.form === 'liquid');
  if (schools.starch === 'always' && !starched && !cutAlready && fabric.water === 'safe' && fabric.ironDots > 1) {
    steps.push({
      id: 'starch-first',
      stage: 'prepare',
      kind: 'do',
      title: 'Starch the cloth before you cut it',
      detail: 'A light spray on both faces, left to soak in, pressed dry.',
      safety: SPRAY_SAFETY,
    });
  }
  layers.forEach(({ material }, layer) => {
    if (material.form === 'liquid') steps.push(...liquidSteps(material, input).map((step) => ({ ...step, layer })));
  });
  return steps;
}

/** Shrinking layers before they are cut. */
function shrinkStep(id: string, layers: readonly ChosenLayer[], detail: string): Step {
  const names = layers.map(({ material }) => lower(material.name)).join(' and ');
  return { id, stage: 'prepare', kind: 'do', title: `Shrink ${names}`, detail };
}
