import { isFusible } from '../layers';
import { rinseWords } from './liquid-steps';
import type { Step, StepsFor } from './step';

/** A layer that gives so much across leaves a knit its stretch, %. */
const STILL_GIVES = 12;

/**
 * What to look at before going on, by how the layers were put on.
 *
 * @example checkSteps(stepsInput).length > 0 // true
 */
export function checkSteps(input: StepsFor): Step[] {
  const { fabric, layers, stitched, cutAlready, bias } = input;
  const rinse = stitched ? '' : rinseWords(input);
  const checks: string[] = [];
  if (stitched) {
    checks.push(
      'The outline meets the fill',
      'No pucker or tunnel round dense parts',
      'Stitches lie on top, none have sunk',
      'No hoop marks',
    );
  } else if (layers.some(({ material }) => isFusible(material.form))) {
    checks.push(
      'Edges hold against a fingernail',
      'Corners hold',
      'No bubbles when you look along the surface',
      'The dots are gone, and none show on the face',
      'Same size as the paper pattern',
    );
    if (fabric.construction === 'knit' && layers.every(({ material }) => material.stretchCross >= STILL_GIVES))
      checks.push('Still stretches: pull 100 mm as you did before');
  } else if (layers.every(({ material }) => material.form === 'liquid')) {
    checks.push('No flakes, no scorch', 'Evenly stiff all over', 'Grain straight, edges square');
    if (layers.some(({ material }) => material.family === 'edge-stiffener')) checks.push('The edge does not roll');
    else if (bias) checks.push('A strip on the bias gives less than before: pull 100 mm');
    // Before anything is cut there is nothing to lay the pattern on; cut by it afterwards, pieces agree with it.
    if (cutAlready) checks.push('Same size as the paper pattern');
  } else {
    checks.push(
      'Both layers lie flat together',
      'Edges meet, grain straight',
      'Nothing firm in the seam allowance',
      'Same size as the paper pattern',
    );
  }
  return [
    {
      id: 'check',
      stage: 'check',
      kind: 'check',
      title: 'Check it before you go on',
      detail: `Tick what is right. Leave open what is not; you can note it when you file the result.${rinse && ` ${rinse}`}`,
      checks,
    },
  ];
}
