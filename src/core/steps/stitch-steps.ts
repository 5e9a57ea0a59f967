import { isFusible } from '../layers';
import type { Step, StepsFor } from './step';
import { pressWords, settingFor } from './press-setting';
import { finishing } from './finishing';
import { HEAT_SAFETY, SPRAY_SAFETY, NEEDLE_SAFETY } from './words';
import { lower } from '../letters';

/**
 * Joining, hooping, stitching and taking away of a stack that is stitched on.
 *
 * @example stitchSteps({ ...stepsInput, stitched: true }).length > 0 // true
 */
// A list of steps in working order, read from top to bottom.
// eslint-disable-next-line max-lines-per-function
export function stitchSteps(input: StepsFor): Step[] {
  const { layers, floats, schools, role = 'embroidery' } = input;
  const steps: Step[] = [];
  const sheets = layers.filter(({ material }) => material.form !== 'liquid' && material.family !== 'topping');
  const topping = layers.find(({ material }) => material.family === 'topping');
  for (const [i, { material }] of sheets.entries()) {
    if (!isFusible(material.form)) continue;
    const name = lower(material.name);
    const setting = settingFor(material, input);
    steps.push({
      id: `${material.id}-${i}-press`,
      stage: 'apply',
      kind: 'press',
      seconds: setting.seconds,
      title: `Fuse ${name} to the wrong side`,
      detail: pressWords(setting, schools, 0, input.iron),
      safety: HEAT_SAFETY,
    });
    steps.push({
      id: `${material.id}-${i}-cool`,
      stage: 'apply',
      kind: 'wait',
      seconds: material.leaflet.coolMinutes * 60,
      title: 'Let it cool flat',
      detail: 'Before it goes into the hoop.',
    });
  }
  const joined = sheets.find(({ material }) => material.form === 'sticky' || material.form === 'spray-glued')?.material;
  if (floats) {
    steps.push({
      id: 'hoop',
      stage: 'apply',
      kind: 'do',
      title: 'Hoop the sheet alone, drum tight',
      detail: 'The cloth stays out of the hoop, so nothing is pressed into it.',
    });
    steps.push({
      id: 'float',
      stage: 'apply',
      kind: 'do',
      title:
        joined?.form === 'sticky' ? 'Peel the sheet and lay the cloth on it' : 'Mist the sheet with glue and lay the cloth on it',
      detail: 'Centre cross on centre cross, smoothed from the middle.',
      ...(joined?.form === 'spray-glued' ? { safety: SPRAY_SAFETY } : {}),
    });
  } else {
    if (joined)
      steps.push({
        id: 'join',
        stage: 'apply',
        kind: 'do',
        title:
          joined.form === 'sticky'
            ? 'Peel the sheet and smooth it onto the wrong side'
            : 'Mist the sheet with glue and smooth it onto the wrong side',
        detail: 'From the middle outwards.',
        ...(joined.form === 'spray-glued' ? { safety: SPRAY_SAFETY } : {}),
      });
    const under =
      sheets.length > 0 && sheets.every(({ material }) => material.family === 'tear-away' && material.form === 'loose');
    steps.push({
      id: 'hoop',
      stage: 'apply',
      kind: 'do',
      title: under ? 'Hoop the cloth alone' : 'Hoop cloth and sheet together',
      detail: 'Finger tight, never with a tool. Draw the slack in a little all the way round; the weave stays straight.',
    });
    if (under)
      steps.push({
        id: 'slide',
        stage: 'apply',
        kind: 'do',
        title: 'Hang the hoop on the machine, and slide the sheet under it',
        detail: 'Past the field on every side; needle up before anything is slid under it.',
        safety: NEEDLE_SAFETY,
      });
  }
  if (topping)
    steps.push({
      id: 'topping',
      stage: 'apply',
      kind: 'do',
      title: `Lay ${lower(topping.material.name)} on top`,
      detail: 'Hold it with a few drops of water outside the motif, or pins outside the field.',
    });
  steps.push({
    id: 'stitch',
    stage: 'apply',
    kind: 'do',
    title: 'Stitch the motif',
    detail: 'Watch the first outline: if it drifts off the fill, stop.',
    safety: NEEDLE_SAFETY,
  });
  finishing(role, layers).forEach((finish, i) => steps.push({ id: `finish-${i}`, stage: 'apply', kind: 'do', ...finish }));
  return steps;
}
