import type { Fabric } from '../cloth';
import { isFusible, type ChosenLayer, type Material } from '../layers';

/** Where in the working order a step belongs. */
export type StepStage = 'prepare' | 'cut' | 'apply' | 'check';

/**
 * What kind of doing a step is: `press` counts iron stops, `wait` runs a clock, `check` has boxes to tick,
 * `do` is done when it is done.
 */
export type StepKind = 'do' | 'press' | 'wait' | 'check';

export interface Step {
  id: string;
  stage: StepStage;
  kind: StepKind;
  title: string;
  detail: string;
  /** Seconds for one iron stop (`press`) or for the whole wait (`wait`). */
  seconds?: number;
  /** What to look for (`check`). */
  checks?: string[];
  /** Shown once, calmly, with the step. */
  safety?: string;
}

export interface StepsFor {
  fabric: Fabric;
  /** Outermost first. */
  layers: readonly ChosenLayer[];
  /** The stack is stitched on rather than worn. */
  stitched: boolean;
  /** The cloth is not hooped itself but lies on the sheet. */
  floats: boolean;
  bias: boolean;
  /** It will be washed, so everything is shrunk first. */
  washed: boolean;
  cutAlready: boolean;
}

const HEAT_SAFETY = 'The iron and its steam burn: fingers clear, and off while it cools or is cleaned.';
const SPRAY_SAFETY = 'Fresh air, away from flames, never over a hot iron; a mask if your breathing is sensitive.';
const NEEDLE_SAFETY = 'Keep hands clear of the moving hoop; needle up before anything is slid under it.';
const BLADE_SAFETY = 'Cut away from the hand, and cap the blade.';

const IRON = ['', 'cool (one dot)', 'medium (two dots)', 'hot (three dots)'];
const COVER: Record<string, string> = {
  none: 'without a cover',
  paper: 'under baking paper',
  cloth: 'under a thin cotton cloth',
  organza: 'under silk organza',
  'damp-cloth': 'under a damp cloth',
};

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

/**
 * The working order for a stack: prepare, cut, apply, check, from the leaflet figures of its layers.
 *
 * @param input the cloth, the layers (outermost first) and what is to happen with them
 * @returns steps in working order; ids are stable for the same stack
 */
export function stackSteps(input: StepsFor): Step[] {
  return [
    ...prepareSteps(input),
    ...cutSteps(input),
    ...(input.stitched ? stitchSteps(input) : applySteps(input)),
    ...checkSteps(input),
  ];
}

function prepareSteps({ fabric, layers, washed, cutAlready }: StepsFor): Step[] {
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
  for (const { material } of layers) if (material.form === 'liquid') steps.push(...liquidSteps(material, cutAlready));
  return steps;
}

function liquidSteps(material: Material, cutAlready: boolean): Step[] {
  const soaked = material.arealDensity >= 10;
  const spray = material.family === 'edge-stiffener';
  const id = material.id;
  const wet: Step = soaked
    ? {
        id: `${id}-wet`,
        stage: 'prepare',
        kind: 'do',
        title: `Wet the cloth through with ${lower(material.name)}`,
        detail: 'In a bag or basin, scrunched until no dry patch is left when it is held to the light. Hang it up smooth.',
      }
    : spray
      ? {
          id: `${id}-wet`,
          stage: 'prepare',
          kind: 'do',
          title: 'Spray the strip damp, wrong side up',
          detail: 'Shake well; hold it 20–25 cm away; one iron length at a time.',
          safety: SPRAY_SAFETY,
        }
      : {
          id: `${id}-wet`,
          stage: 'prepare',
          kind: 'do',
          title: `Spray with ${lower(material.name)}`,
          detail: 'A fine mist from 40 cm, both faces, before the iron is switched on.',
          safety: SPRAY_SAFETY,
        };
  const wait: Step = soaked
    ? {
        id: `${id}-dry`,
        stage: 'prepare',
        kind: 'wait',
        seconds: 900,
        title: 'Let it hang until it is only damp',
        detail: 'Ten to fifteen minutes.',
      }
    : {
        id: `${id}-dry`,
        stage: 'prepare',
        kind: 'wait',
        seconds: spray ? 30 : 180,
        title: 'Let it soak in',
        detail: 'It scorches and flakes if it is pressed wet.',
      };
  const press: Step = {
    id: `${id}-press`,
    stage: 'prepare',
    kind: 'press',
    seconds: material.leaflet.seconds,
    title: 'Press it dry and smooth',
    detail: `Iron ${IRON[material.leaflet.ironDots]}, no steam, ${COVER[material.leaflet.cover]}. Lift and set down.${cutAlready ? ' Do not pull the cut edges.' : ''}`,
    safety: HEAT_SAFETY,
  };
  const steps = [wet, wait, press];
  if (spray)
    steps.push({
      id: `${id}-cool`,
      stage: 'prepare',
      kind: 'wait',
      seconds: 120,
      title: 'Let it cool flat before you lift it',
      detail: 'It only sets when it is cold.',
    });
  return steps;
}

const EXTENT_CUT: Record<string, string> = {
  full: 'to the pattern',
  trimmed: 'a little inside the cut edge',
  net: 'to the seam line',
  strip: 'as a strip along the edge',
  patch: 'as a patch around the point',
  field: 'a little larger than the hoop on all sides',
};

function cutSteps({ layers, bias, stitched }: StepsFor): Step[] {
  const cut = layers.filter(({ material }) => material.form !== 'liquid');
  if (cut.length === 0) return [];
  const words = cut.map(
    ({ material, extent, angle }) => `${lower(material.name)} ${EXTENT_CUT[extent]}${angle ? `, turned ${angle}°` : ''}`,
  );
  const glued = cut.some(({ material }) => material.form === 'fusible');
  const grain = cut.some(({ material }) => material.grain) && !stitched;
  const detail = [
    `${words.join('; ')}.`,
    glued ? 'One side carries the glue: glue up, pattern face up; glue down, pattern face down.' : '',
    grain ? (bias ? 'On the bias, like the piece.' : 'Grain the same way as the piece.') : '',
  ].filter(Boolean);
  return [
    {
      id: 'cut',
      stage: 'cut',
      kind: 'do',
      title: cut.length > 1 ? `Cut the ${cut.length} layers` : 'Cut the layer',
      detail: capital(detail.join(' ')),
      safety: BLADE_SAFETY,
    },
  ];
}

function applySteps({ layers, fabric }: StepsFor): Step[] {
  const steps: Step[] = [];
  let first = true;
  layers.forEach(({ material, extent }, index) => {
    const id = `${material.id}-${index}`;
    const name = lower(material.name);
    if (material.form === 'liquid') return;
    if (isFusible(material.form)) {
      const { leaflet } = material;
      steps.push({
        id: `${id}-lay`,
        stage: 'apply',
        kind: 'do',
        title: first ? 'Lay the cloth face down, and the layer on it glue side down' : `Lay ${name} on, glue side down`,
        detail:
          extent === 'full'
            ? 'Edges together, square to the paper pattern, no creases.'
            : 'The same margin all round, no creases.',
      });
      steps.push({
        id: `${id}-press`,
        stage: 'apply',
        kind: 'press',
        seconds: leaflet.seconds,
        title: `Press ${name}: ${leaflet.seconds} s a stop`,
        detail: `Iron ${IRON[leaflet.ironDots]}, ${leaflet.steam ? 'with steam' : 'dry'}, ${COVER[leaflet.cover]}. Press, hold, lift, set down again with some overlap. Never slide.`,
        safety: HEAT_SAFETY,
      });
      steps.push({
        id: `${id}-cool`,
        stage: 'apply',
        kind: 'wait',
        seconds: leaflet.coolMinutes * 60,
        title: 'Leave it flat until it is cold',
        detail: 'Moved while warm, it lets go or sets crooked.',
      });
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
      steps.push(sewnStep(id, material, extent, fabric));
    }
    first = false;
  });
  return steps;
}

function sewnStep(id: string, material: Material, extent: string, fabric: Fabric): Step {
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
      detail: 'Catch it down by hand near the edge; let only the joining seam have an allowance.',
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
      detail: 'Loose catch stitches that take only a thread or two, so that both can move.',
    };
  }
  if (extent === 'patch')
    return {
      ...base,
      title: `Sew ${name} over the point`,
      detail:
        'On the right side, short stitches of about 1.5 mm; one stitch across the point; clip to the thread, never through it.',
    };
  if (extent === 'net')
    return {
      ...base,
      title: `Baste ${name} just outside the seam line`,
      detail: 'Flat on the wrong side; nothing of it runs into the seam.',
    };
  return {
    ...base,
    title: `Baste ${name} to the wrong side`,
    detail: 'Inside the seam allowance, 3–6 mm from the edge; from then on handle the two as one.',
  };
}

function stitchSteps({ layers, floats }: StepsFor): Step[] {
  const steps: Step[] = [];
  const sheets = layers.filter(({ material }) => material.form !== 'liquid' && material.family !== 'topping');
  const topping = layers.find(({ material }) => material.family === 'topping');
  for (const [i, { material }] of sheets.entries()) {
    if (!isFusible(material.form)) continue;
    const name = lower(material.name);
    steps.push({
      id: `${material.id}-${i}-press`,
      stage: 'apply',
      kind: 'press',
      seconds: material.leaflet.seconds,
      title: `Fuse ${name} to the wrong side`,
      detail: `Iron ${IRON[material.leaflet.ironDots]}, ${COVER[material.leaflet.cover]}. Lift and set down.`,
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
      detail: 'The cloth stays out of the hoop; it would keep the mark.',
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
      title: under ? 'Hoop the cloth, and slide the sheet under the hoop' : 'Hoop cloth and sheet together',
      detail: 'Finger tight, never with a tool. Draw the slack in a little all the way round; the weave stays straight.',
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
  const torn = sheets.some(({ material }) => material.ends === 'torn');
  const trimmed = sheets.some(({ material }) => material.ends === 'cut');
  const rinsed = layers.some(({ material }) => material.ends === 'rinsed' && material.form !== 'liquid');
  if (torn)
    steps.push({
      id: 'tear',
      stage: 'apply',
      kind: 'do',
      title: 'Tear the sheet away',
      detail: 'One layer at a time, thumb on the stitches, toward the motif.',
    });
  if (trimmed)
    steps.push({
      id: 'trim',
      stage: 'apply',
      kind: 'do',
      title: 'Trim the sheet to 3–6 mm round the stitching',
      detail: 'Never flush: the edge would sink after washing. Cut it apart between separate motifs.',
      safety: BLADE_SAFETY,
    });
  if (rinsed)
    steps.push({
      id: 'rinse',
      stage: 'apply',
      kind: 'do',
      title: 'Trim what is loose and rinse the rest out',
      detail: 'Lukewarm, until nothing feels slippery.',
    });
  return steps;
}

function checkSteps({ layers, stitched }: StepsFor): Step[] {
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
      'No glue dots on the face',
      'Same size as the paper pattern',
    );
  } else if (layers.every(({ material }) => material.form === 'liquid')) {
    checks.push('No flakes, no scorch', 'Evenly stiff all over', 'Same size as the paper pattern');
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
      detail: 'Tick what is right. Leave open what is not; you can note it when you file the result.',
      checks,
    },
  ];
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
