import { drying, pickUpOf, secondsUnderIron, type Air } from '../liquid';
import { isSoaked, type Material } from '../layers';
import type { Step, StepsFor } from './step';
import { HEAT_SAFETY, SPRAY_SAFETY, IRON, COVER } from './words';
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

/** A misted stabilizer rests until the cloth has drunk it; a spray for pressing only soaks in. Seconds. */
const LIGHT_REST = 600;
const SOAK_IN = 180;
/** An edge stiffener is dried in short lifts, about half a minute a section. */
const LIFT = 5;
const LIFTS = 6;

// A list of steps in working order, read from top to bottom.
// eslint-disable-next-line max-lines-per-function
function liquidSteps(material: Material, input: StepsFor): Step[] {
  const { cutAlready, schools, found } = input;
  // Drying a liquid follows its leaflet; the schools of heat are about glue.
  const setting = found?.materialId === material.id ? found : material.leaflet;
  const soaked = isSoaked(material);
  const hanging = soaked ? minutesToDamp(input) : 0;
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
        seconds: 60 * hanging,
        title: 'Let it hang until it is only damp',
        detail: `About ${hanging} minutes in this air, both faces free. Feel it: cool and limp, no drops. If it has gone dry, mist it with water.`,
      }
    : {
        id: `${id}-dry`,
        stage: 'prepare',
        kind: 'wait',
        seconds: spray ? 30 : material.family === 'liquid-stabilizer' ? LIGHT_REST : SOAK_IN,
        title: 'Let it soak in',
        detail: 'It scorches and flakes if it is pressed wet.',
      };
  const press: Step = spray
    ? {
        id: `${id}-press`,
        stage: 'prepare',
        kind: 'press',
        seconds: LIFT,
        lifts: LIFTS,
        title: `Press a section in lifts of ${LIFT} s until it is dry`,
        detail: `Paper folded over the strip, iron ${IRON[setting.ironDots]}, no steam. About ${LIFT * LIFTS} s a section of one iron length; stop sooner when it is dry.`,
        safety: HEAT_SAFETY,
      }
    : {
        id: `${id}-press`,
        stage: 'prepare',
        kind: 'do',
        ...dryingTime(input, soaked),
        detail: `Iron ${IRON[setting.ironDots]}, no steam, ${COVER[setting.cover]}. ${
          cutAlready ? 'Lift and set down; do not pull the cut edges.' : 'Move the iron along the grain, without pulling.'
        }`,
        safety: HEAT_SAFETY,
      };
  if (soaked && schools.strongStarch === 'rounds') {
    press.detail += ' Then wet it again and press again, two or three rounds, until it is as stiff as you want.';
  }
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

/** Water that is left when it is pressed, as a share of the dry cloth's mass. */
const LEFT = { soaked: 0.25, misted: 0.15 };
/** An iron is moved over both faces in no less than this, s a square metre. */
const SLOWEST = 300;

/** How much is pressed dry, and how long that takes about; only the words when the size is not known. */
function dryingTime({ yardage, fabric }: StepsFor, soaked: boolean): Pick<Step, 'title' | 'seconds'> {
  const title = 'Press it dry and smooth';
  if (!yardage) return { title };
  const area = yardage / 1e6;
  const water = area * fabric.arealDensity * (soaked ? LEFT.soaked : LEFT.misted);
  const minutes = Math.max(1, Math.round(Math.max(secondsUnderIron(water), area * SLOWEST) / 60));
  const size = area < 0.095 ? `${Math.max(1, Math.round(area * 100)) / 100}` : area.toFixed(1);
  return { title: `${title}: ${size} m², about ${minutes === 1 ? 'a minute' : `${minutes} minutes`}`, seconds: 60 * minutes };
}

/** The air of a room in which nothing moves. */
const STILL_ROOM: Air = { temperature: 20, humidity: 50, airSpeed: 0 };

/** How long cloth that is wet through hangs until it is damp, whole minutes. */
function minutesToDamp({ fabric, air = STILL_ROOM }: StepsFor): number {
  const { arealDensity } = fabric;
  const water = arealDensity * pickUpOf(fabric, 'soak');
  return Math.max(1, Math.round(drying({ ...air, water, sides: 2, arealDensity }).minutesToDamp));
}
