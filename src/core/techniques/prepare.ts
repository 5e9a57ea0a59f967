import { isSealed, ruinedByPressing } from '../cloth';
import type { ChosenLayer } from '../layers';
import { HEAT_SAFETY, IRON_WORDS, SPRAY_SAFETY, type Step } from '../steps';
import { called, type WorkJob } from './job';

/** What is washed or soaked is handled for so long, and then dries by itself, s. */
const WASHING = { seconds: 300, dries: 9000 };
const SHRINKING = { seconds: 300, dries: 8400 };
const FLATTENING = 360;

/**
 * What is done before anything is cut, whatever the techniques: washing, shrinking, pressing flat, starch where it is always used.
 *
 * @example prepareSteps(workJob).length > 0 // true
 */
export function prepareSteps({ fabric, layers, washed, cutAlready, schools, layersCut }: WorkJob): Step[] {
  const steps: Step[] = [];
  if (washed && fabric.prewashed !== true && !cutAlready && fabric.water !== 'spots' && fabric.construction !== 'leather') {
    steps.push({
      ...{ id: 'prewash', stage: 'prepare', kind: 'do', act: 'wash', ...WASHING },
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
    steps.push({
      ...{ id: 'preshrink', stage: 'prepare', kind: 'do', act: 'shrink', ...SHRINKING },
      title: `Shrink ${namesOf(glued)}`,
      detail: 'Lay it in hand-warm water for twenty minutes, roll it in a towel and dry it flat. Do not wring or iron it.',
    });
  if (washed && !layersCut && plain.length > 0)
    steps.push({
      ...{ id: 'prewash-layer', stage: 'prepare', kind: 'do', act: 'wash', ...WASHING },
      title: `Shrink ${namesOf(plain)}`,
      detail: 'Wash and dry it as the finished thing will be washed, then press it smooth.',
    });
  if (fabric.ironDots > 0 && !ruinedByPressing(fabric) && !isSealed(fabric)) {
    steps.push({
      ...{ id: 'flatten', stage: 'prepare', kind: 'do', act: 'press-flat', seconds: FLATTENING, safety: HEAT_SAFETY },
      title: 'Press the cloth flat and square',
      detail: `Iron ${IRON_WORDS[fabric.ironDots]}, along the grain.`,
    });
  }
  const starched = layers.some(({ material }) => material.form === 'liquid');
  if (schools.starch === 'always' && !starched && !cutAlready && fabric.water === 'safe' && fabric.ironDots > 1) {
    steps.push({
      ...{ id: 'starch-first', stage: 'prepare', kind: 'do', act: 'spray', seconds: 600, safety: SPRAY_SAFETY },
      title: 'Starch the cloth before you cut it',
      detail: 'A light spray on both faces, left to soak in, pressed dry.',
    });
  }
  return steps;
}

function namesOf(layers: readonly ChosenLayer[]): string {
  return layers.map(({ material }) => called(material)).join(' and ');
}
