import { drying, methodOf, pickUpOf, secondsUnderIron, type Air, type Method } from '../liquid';
import { isSoaked, type Material } from '../layers';
import { lower } from '../letters';
import type { Step, StepsFor } from './step';
import { foundOf } from './press-setting';
import { COVER, HEAT_SAFETY, IRON, SPRAY_SAFETY } from './words';

/** How long a mist and a damp spray soak in before they are pressed, s. */
const LIGHT_REST = 600;
const SOAK_IN = 180;
/** An edge stiffener is dried in short lifts, about half a minute a section of one iron length, mm. */
const LIFT = 5;
const LIFTS = 6;
const IRON_LENGTH = 200;
/** Rounds of spraying and pressing that starch for the hoop takes. */
const HOOP_ROUNDS = 3;

type Wet = (material: Material, input: StepsFor) => Step[];

/**
 * Treating cloth with a liquid, as it is made wet: through, damp, as a mist, face by face, or section by section.
 *
 * @example liquidSteps(starch, stepsInput).map(({ kind }) => kind) // ['do', 'wait', 'do']
 */
export function liquidSteps(material: Material, input: StepsFor): Step[] {
  const way = wayOf(material, input);
  const found = foundRounds(material, input) ?? 1;
  const steps = way(material, input);
  if (found === 1 || way === inRounds || way === bySections) return steps;
  return Array.from({ length: found }, (_, k) => k + 1).flatMap((round) =>
    steps.map((step) => ({
      ...step,
      id: round === 1 ? step.id : step.id.replace(/-(\w+)$/, `-round${round}-$1`),
      title: `Round ${round} of ${found}: ${lower(step.title)}`,
    })),
  );
}

/** How often a scrap of the pair found that this liquid is to be put on. */
function foundRounds(material: Material, { found }: StepsFor): number | undefined {
  return foundOf(material, found)?.rounds;
}

function wayOf(material: Material, { stitched, schools }: StepsFor): Wet {
  if (isSoaked(material)) return soaked;
  if (material.family === 'edge-stiffener') return bySections;
  if (material.family === 'pressing-spray') return faceByFace;
  if (methodOf(material) === 'damp' && stitched) return schools.strongStarch === 'rounds' ? inRounds : ahead;
  return sprayed;
}

const prepared = (id: string, step: Omit<Step, 'id' | 'stage'>): Step => ({ id, stage: 'prepare', ...step });

/** How the iron is set for a liquid: its leaflet, or what a scrap found; the schools of heat are about glue. */
function ironWords(material: Material, { found, cutAlready }: StepsFor): string {
  const setting = foundOf(material, found) ?? material.leaflet;
  return `Iron ${IRON[setting.ironDots]}, no steam, ${COVER[setting.cover]}. ${
    cutAlready ? 'Lift and set down; do not pull the cut edges.' : 'Move the iron along the grain, without pulling.'
  }`;
}

/** A liquid as it is called in the middle of a sentence that says how it is used. */
const called = ({ use, name }: Material) => lower(use?.of ?? name);

const soaked: Wet = (material, input) => {
  const { id } = material;
  const hanging = drysIn(input, 'soak', 'minutesToDamp');
  const again =
    input.schools.strongStarch === 'rounds'
      ? ' Then wet it again and press again, two or three rounds, until it is as stiff as you want.'
      : '';
  return [
    prepared(`${id}-wet`, {
      kind: 'do',
      title: `Wet the cloth through with ${called(material)}`,
      detail: `In a bag or basin, scrunched until no dry patch is left when it is held to the light. Hang it up smooth.${amountWords(input, 'soak')}`,
    }),
    prepared(`${id}-dry`, {
      kind: 'wait',
      until: 'damp',
      seconds: 60 * hanging,
      title: 'Let it hang until it is only damp',
      detail: `About ${hanging} minutes in this air, both faces free. Feel it: cool and limp, no drops. If it has gone dry, mist it with water.`,
    }),
    prepared(`${id}-press`, {
      kind: 'do',
      ...dryingTime(input, true),
      detail: `Through a cloth until it is only damp, then directly. ${ironWords(material, input)}${again}`,
      safety: HEAT_SAFETY,
    }),
  ];
};

const sprayed: Wet = (material, input) => {
  const { id } = material;
  const light = material.family === 'liquid-stabilizer';
  return [
    prepared(`${id}-wet`, {
      kind: 'do',
      title: `Spray with ${called(material)}${methodOf(material) === 'damp' ? ' until it feels wet' : ''}`,
      detail: `${
        light
          ? 'Both faces from about 40 cm. Smooth it in with the hand, and spray again what stayed pale.'
          : 'From 40 cm, both faces, before the iron is switched on.'
      }${amountWords(input, methodOf(material))}`,
      safety: SPRAY_SAFETY,
    }),
    prepared(`${id}-dry`, {
      kind: 'wait',
      seconds: light ? LIGHT_REST : SOAK_IN,
      title: 'Let it soak in',
      detail: 'It scorches and flakes if it is pressed wet.',
    }),
    prepared(`${id}-press`, {
      kind: 'do',
      ...dryingTime(input, false),
      detail: ironWords(material, input),
      safety: HEAT_SAFETY,
    }),
  ];
};

/** A light spray shrinks nothing: one face, pressed dry, then the other, at any time of the work. */
const faceByFace: Wet = (material, input) =>
  [0, 1].flatMap((turn) => {
    const { id } = material;
    const end = turn === 0 ? '' : '-turned';
    return [
      prepared(`${id}${end}-wet`, {
        kind: 'do',
        title: turn === 0 ? `Spray with ${called(material)}, one face` : 'Turn it over and spray the other face',
        detail: `A fine mist from 40 cm, even all over.${amountWords(input, 'mist', 2)}`,
        ...(turn === 0 ? { safety: SPRAY_SAFETY } : {}),
      }),
      prepared(`${id}${end}-press`, {
        kind: 'do',
        ...dryingTime(input, false, 2),
        detail: ironWords(material, input),
        ...(turn === 0 ? { safety: HEAT_SAFETY } : {}),
      }),
    ];
  });

/** A strip that rolls is stiffened one iron length after the other. */
const bySections: Wet = (material, input) => {
  const { id } = material;
  const { found, longest } = input;
  const setting = foundOf(material, found) ?? material.leaflet;
  const sections = longest === undefined ? undefined : Math.max(1, Math.ceil(longest / IRON_LENGTH));
  const many = sections === undefined || sections === 1 ? '' : ` The strip has about ${sections} sections.`;
  return [
    prepared(`${id}-wet`, {
      kind: 'do',
      title: 'Spray the strip damp, wrong side up',
      detail: `Shake well; the strip dry, its edges lying; from 20–25 cm, one iron length at a time.${many}`,
      safety: SPRAY_SAFETY,
    }),
    prepared(`${id}-dry`, {
      kind: 'wait',
      seconds: LIFT * LIFTS,
      title: 'Let it soak in',
      detail: 'Meanwhile fold the baking paper over the strip.',
    }),
    prepared(`${id}-press`, {
      kind: 'press',
      seconds: LIFT,
      lifts: LIFTS,
      title: `Press a section in lifts of ${LIFT} s until it is dry`,
      detail: `Paper folded over the strip, iron ${IRON[setting.ironDots]}, no steam. About ${LIFT * LIFTS} s a section of one iron length; stop sooner when it is dry.`,
      safety: HEAT_SAFETY,
    }),
    prepared(`${id}-cool`, {
      kind: 'wait',
      seconds: 120,
      title: 'Let it cool flat, then peel the paper off',
      detail: 'It only sets when it is cold. Look whether the edge still rolls; if it does, once more.',
    }),
  ];
};

/** Under the whole hoop, its clamp too: sprayed until it feels wet and pressed, round after round. */
const inRounds: Wet = (material, input) => {
  const rounds = foundRounds(material, input) ?? HOOP_ROUNDS;
  return Array.from({ length: rounds }, (_, k) => k + 1).flatMap((round) => {
    const { id } = material;
    const end = round === 1 ? '' : `-round${round}`;
    return [
      prepared(`${id}${end}-wet`, {
        kind: 'do',
        title: `Round ${round} of ${rounds}: spray with ${called(material)} until it feels wet`,
        detail: 'All that lies under the hoop and its clamp, both faces; wet to the touch, no drops.',
        ...(round === 1 ? { safety: SPRAY_SAFETY } : {}),
      }),
      prepared(`${id}${end}-press`, {
        kind: 'do',
        ...dryingTime(input, false),
        title: `Round ${round} of ${rounds}: press it dry under a cloth`,
        detail: `${round === rounds ? 'It feels like paper now; if not, once more. ' : ''}${ironWords(material, input)}`,
        ...(round === 1 ? { safety: HEAT_SAFETY } : {}),
      }),
    ];
  });
};

/** A set is sprayed ahead and dried; what goes into the hoop next is misted with water and pressed. */
const ahead: Wet = (material, input) => {
  const { id } = material;
  return [
    prepared(`${id}-wet`, {
      kind: 'do',
      title: `Spray with ${called(material)} until it feels wet, all pieces of the set`,
      detail: 'All that lies under the hoop and its clamp, both faces. Hang them up or lay them flat.',
      safety: SPRAY_SAFETY,
    }),
    prepared(`${id}-dry`, {
      kind: 'wait',
      until: 'dry',
      seconds: 60 * drysIn(input, 'damp', 'minutesToDry'),
      title: 'Let them dry',
      detail: 'They may wait for days. The set goes on piece by piece.',
    }),
    prepared(`${id}-press`, {
      kind: 'do',
      ...dryingTime(input, false),
      title: 'Mist each with water and press it smooth, just before it is hooped',
      detail: `Under a cloth. ${ironWords(material, input)}`,
      safety: HEAT_SAFETY,
    }),
  ];
};

/** How much liquid a step takes for all of the cloth; nothing where its size is not known. @param parts of it that this step is one of */
function amountWords({ yardage, fabric, stitched }: StepsFor, method: Method, parts = 1): string {
  // Of what is stitched only the ground under the hoop is wetted; its amount is told where it is placed.
  if (!yardage || stitched) return '';
  const millilitres = ((yardage / 1e6) * fabric.arealDensity * pickUpOf(fabric, method)) / parts;
  return millilitres < 1
    ? ''
    : ` About ${millilitres < 20 ? Math.round(millilitres) : 5 * Math.round(millilitres / 5)} ml in all.`;
}

/** Water that is left when it is pressed, as a share of the dry cloth's mass. */
const LEFT = { soaked: 0.25, misted: 0.15 };
/** An iron is moved over both faces in no less than this, s a square metre. */
const SLOWEST = 300;

/**
 * How much is pressed dry, and how long that takes about; only the words when the size is not known.
 *
 * @param parts of the work that is meant: one face of two
 */
function dryingTime({ yardage, fabric }: StepsFor, wet: boolean, parts = 1): Pick<Step, 'title' | 'seconds'> {
  const title = 'Press it dry and smooth';
  if (!yardage) return { title };
  const area = yardage / 1e6;
  const water = area * fabric.arealDensity * (wet ? LEFT.soaked : LEFT.misted);
  const minutes = Math.max(1, Math.round(Math.max(secondsUnderIron(water), area * SLOWEST) / parts / 60));
  const size = area < 0.095 ? `${Math.max(1, Math.round(area * 100)) / 100}` : area.toFixed(1);
  return { title: `${title}: ${size} m², about ${minutes === 1 ? 'a minute' : `${minutes} minutes`}`, seconds: 60 * minutes };
}

/** The air of a room in which nothing moves. */
const STILL_ROOM: Air = { temperature: 20, humidity: 50, airSpeed: 0 };

/** How long wetted cloth hangs until it is damp, or dry, whole minutes. */
function drysIn({ fabric, air = STILL_ROOM }: StepsFor, method: Method, until: 'minutesToDamp' | 'minutesToDry'): number {
  const { arealDensity } = fabric;
  const water = arealDensity * pickUpOf(fabric, method);
  return Math.max(1, Math.round(drying({ ...air, water, sides: 2, arealDensity })[until]));
}

/** Liquids that are rinsed out of the finished thing; a stiffener may as well be left in. */
const RINSED: readonly Material['family'][] = ['starch', 'liquid-stabilizer', 'edge-stiffener'];

/**
 * How what was put in comes out again once the thing is sewn; empty where it stays or nothing is washed.
 *
 * @example rinseWords({ ...stepsInput, layers: [{ material: starch, extent: 'full', angle: 0 }] }).length > 0 // true
 */
export function rinseWords({ layers, washed, modelled = false }: StepsFor): string {
  const liquid = layers.find(({ material }) => material.form === 'liquid' && RINSED.includes(material.family))?.material;
  if (!liquid || !washed || modelled) return '';
  return liquid.family === 'edge-stiffener'
    ? 'When the thing is sewn, leave the stiffener in or wash it out.'
    : `When the thing is sewn, rinse ${lower(liquid.use?.of ?? liquid.name)} out in hand-warm water, until it stays clear and the cloth is soft again.`;
}
