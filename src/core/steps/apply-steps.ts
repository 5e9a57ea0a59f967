import { isFusible, type Material } from '../layers';
import { sheetLayer } from './order';
import type { Step, StepsFor } from './step';
import { pressWords, settingFor } from './press-setting';
import { BLADE_SAFETY, HEAT_SAFETY, SPRAY_SAFETY } from './words';
import { lower } from '../letters';

/**
 * Fusing, sticking and sewing of a stack that is worn, in the order of its layers.
 *
 * @example applySteps(stepsInput).length > 0 // true
 */
export function applySteps(input: StepsFor): Step[] {
  const { layers, order = 'cut-first' } = input;
  const steps: Step[] = [];
  const uncut = order === 'cut-first' ? -1 : sheetLayer(layers);
  let first = true;
  layers.forEach(({ material, extent }, index) => {
    const id = `${material.id}-${index}`;
    const name = lower(material.name);
    if (material.form === 'liquid') return;
    const from = steps.length;
    if (isFusible(material.form)) {
      if (index === uncut) steps.push(...sheetSteps(id, material, input, order as 'fuse-together' | 'fuse-length'));
      else steps.push(...fusedSteps(id, material, extent, input, first));
    } else if (material.form === 'spray-glued') {
      steps.push({
        id: `${id}-stick`,
        stage: 'apply',
        kind: 'do',
        title: `Spray ${name} and smooth the cloth onto it`,
        detail: 'Mist the layer, not the cloth; start from the middle.',
        safety: SPRAY_SAFETY,
      });
    } else if (material.form === 'sticky') {
      steps.push({
        id: `${id}-stick`,
        stage: 'apply',
        kind: 'do',
        title: `Peel ${name} and smooth it onto the wrong side`,
        detail: 'Start from the middle; lift and lay again rather than pulling.',
      });
    } else {
      steps.push(sewnStep(id, material, extent, input));
    }
    for (const step of steps.slice(from)) step.layer = index;
    first = false;
  });
  return steps;
}

/** A cut layer that is fused onto a cut piece. */
function fusedSteps(id: string, material: Material, extent: string, input: StepsFor, first: boolean): Step[] {
  return [
    {
      id: `${id}-lay`,
      stage: 'apply',
      kind: 'do',
      title: first
        ? 'Lay the cloth face down, and the layer on it glue side down'
        : `Lay ${lower(material.name)} on, glue side down`,
      detail:
        extent === 'full' ? 'Edges together, square to the paper pattern, no creases.' : 'The same margin all round, no creases.',
    },
    ...pressAndCool(id, material, input),
  ];
}

/** A leaflet may ask for water before the heat; cloth that water marks never gets it. */
function mistedFirst(id: string, { leaflet, name }: Material, { fabric }: StepsFor): Step[] {
  if (!leaflet.mist || fabric.water === 'spots') return [];
  return [
    {
      id: `${id}-mist`,
      stage: 'apply',
      kind: 'do',
      title: `Mist ${lower(name)} with water`,
      detail: 'Lightly and evenly, as it lies; its leaflet asks for it. Then the cover, and the iron at once.',
    },
  ];
}

function pressAndCool(id: string, material: Material, input: StepsFor): Step[] {
  const setting = settingFor(material, input);
  return [
    ...mistedFirst(id, material, input),
    {
      id: `${id}-press`,
      stage: 'apply',
      kind: 'press',
      seconds: setting.seconds,
      title: `Press ${lower(material.name)}: ${setting.seconds} s a stop`,
      detail: pressWords(setting, input.schools, input.longest, input.iron),
      safety: HEAT_SAFETY,
    },
    {
      id: `${id}-cool`,
      stage: 'apply',
      kind: 'wait',
      seconds: material.leaflet.coolMinutes * 60,
      title: 'Leave it flat until it is cold',
      detail: 'Moved while warm, it lets go or sets crooked.',
    },
  ];
}

/** What is done with a whole sheet: pieces side by side on the uncut layer, or a length of cloth; pressed, cold, felt, cut out. */
function sheetSteps(id: string, material: Material, input: StepsFor, order: 'fuse-together' | 'fuse-length'): Step[] {
  const steps: Step[] = [
    ...onUncutLayer(id, lower(material.name), order),
    ...pressAndCool(id, material, input),
    {
      id: `${id}-feel`,
      stage: 'apply',
      kind: 'do',
      title: 'Feel along the edges of every piece',
      detail: 'Where a fingernail gets under, press again and let it cool again, before anything is cut.',
    },
    cutOut(order),
  ];
  return steps.map((step) => ({ ...step, sheet: true as const }));
}

/** Laying on a layer that is still whole: pieces side by side, or a length of cloth. */
function onUncutLayer(id: string, name: string, order: 'fuse-together' | 'fuse-length'): Step[] {
  return [
    {
      id: `${id}-lay`,
      stage: 'apply',
      kind: 'do',
      title:
        order === 'fuse-together'
          ? `Lay the pieces side by side on ${name}`
          : `Lay a length of cloth that takes all pieces on ${name}`,
      detail:
        order === 'fuse-together'
          ? 'The layer whole, glue side up; each piece wrong side onto the glue, face up, its grain with the layer’s. Cover bare glue with paper.'
          : 'The layer glue side up, cloth wrong side down, grain with grain, no creases. Cover bare glue with paper.',
    },
  ];
}

function cutOut(order: 'fuse-together' | 'fuse-length'): Step {
  return {
    id: 'cut-out',
    stage: 'apply',
    kind: 'do',
    title:
      order === 'fuse-together'
        ? 'Cut the pieces loose, then out along their edges'
        : 'Mark the pieces and cut them through both',
    detail:
      order === 'fuse-together'
        ? 'Where the layer ends at the seam line, trim only the layer to it.'
        : 'Patterns face up on the cloth, along its grain.',
    safety: BLADE_SAFETY,
  };
}

/** Hand stitches: how far apart, mm, and how much thread a length of edge takes. */
const BASTE = { apart: 12, thread: 1.15 };
const CATCH = { apart: 8, thread: 2.2 };

/** What sewing along the edge of one piece takes. */
function stitchWords(around: number | undefined, { apart, thread }: typeof BASTE): string {
  if (around === undefined) return '';
  const stitches = Math.max(4, Math.round(around / apart / 5) * 5);
  const length = Math.ceil((around * thread + 150) / 100) / 10;
  return ` About ${stitches} stitches ${apart} mm apart all round a piece: ${length} m of thread with the ends.`;
}

function sewnStep(id: string, material: Material, extent: string, { fabric, around }: StepsFor): Step {
  const name = lower(material.name);
  const base = { id: `${id}-sew`, stage: 'apply' as const, kind: 'do' as const };
  if (material.family === 'hair-canvas')
    return {
      ...base,
      title: `Pad-stitch ${name} to the wrong side`,
      detail: 'Rows of small slanting stitches that take one thread of the cloth; shape the roll over the hand as you go.',
    };
  if (material.family === 'buckram')
    return {
      ...base,
      title: `Join ${name} to the layers before it`,
      detail: `Catch it down by hand near the edge; let only the joining seam have an allowance.${stitchWords(around, CATCH)}`,
    };
  if (material.family === 'braid')
    return {
      ...base,
      title: `Sew ${name} into the hem`,
      detail: 'Along the hem edge, without pulling it; lap the ends and cover them.',
    };
  if (material.family === 'stay-tape')
    return {
      ...base,
      title: `Sew ${name} along the seam line`,
      detail: 'Measured from the pattern, not from the cloth; flat, not pulled.',
    };
  if (material.family === 'organza' && (fabric.surface.includes('pile') || fabric.surface.includes('crinkled'))) {
    return {
      ...base,
      title: `Catch ${name} to the wrong side`,
      detail: `Loose catch stitches 4 mm from the layer’s edge, that take only a thread or two, so that both can move.${stitchWords(around, CATCH)}`,
    };
  }
  if (extent === 'patch')
    return {
      ...base,
      title: `Sew ${name} over the point`,
      detail:
        'On the right side, short stitches of about 1.5 mm; one stitch across the point; clip to the thread, never through it.',
    };
  if (fabric.construction === 'leather' || fabric.construction === 'coated')
    return {
      ...base,
      title: `Hold ${name} on the wrong side with clips`,
      detail:
        extent === 'full'
          ? 'Every needle hole stays: no basting. The seam itself catches it at the edge.'
          : 'Every needle hole stays: no basting. A few spots of fabric glue near its edge hold it to the seam line.',
    };
  if (extent === 'net')
    return {
      ...base,
      title: `Baste ${name} 2–3 mm inside the seam line`,
      detail: `Flat on the wrong side, its edge on the seam line; long stitches in it, to be taken out later.${stitchWords(around, BASTE)}`,
    };
  return {
    ...base,
    title: `Baste ${name} to the wrong side`,
    detail: `Inside the seam allowance, 3–6 mm from the edge; from then on handle the two as one.${stitchWords(around, BASTE)}`,
  };
}
