import { liquidSteps } from './liquid-steps';
import type { Step, StepsFor } from './step';
import { HEAT_SAFETY, SPRAY_SAFETY, IRON } from './words';
import { lower } from '../letters';

/**
 * Washing, shrinking, pressing flat, and the liquids that go on before anything is cut.
 *
 * @example prepareSteps(stepsInput).length > 0 // true
 */
export function prepareSteps(input: StepsFor): Step[] {
  const { fabric, layers, washed, cutAlready, schools } = input;
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
  if (shrinking.length > 0 && washed) {
    steps.push({
      id: 'preshrink',
      stage: 'prepare',
      kind: 'do',
      title: `Shrink ${shrinking.map(({ material }) => lower(material.name)).join(' and ')}`,
      detail: 'Lay it in hand-warm water for twenty minutes, roll it in a towel and dry it flat. Do not wring or iron it.',
    });
  }
  if (fabric.ironDots > 0 && !fabric.surface.includes('crinkled') && !fabric.surface.includes('pile')) {
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
