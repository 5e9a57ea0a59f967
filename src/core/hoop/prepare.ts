import { turnWords } from './folds';
import { traitsOf, type Part } from '../choose';
import type { Fabric } from '../cloth';
import type { ChosenLayer } from '../layers';
import { grownBy, intersection, regionArea, type Outline } from '../shape';
import { hoopOutlines, type Hoop, type HoopPlace } from './hoop';
import type { Ground } from './placing';

export interface Starching {
  /** Where, mm: the whole area that comes under the clamp and a little more. */
  where: Outline[];
  /** mm². */
  area: number;
  rounds: number;
  /** Spray for one round on one piece, ml. */
  each: number;
  /** Spray for all rounds on all pieces of the set, ml. */
  millilitres: number;
  /** Drying, all rounds of one piece, minutes; the pieces of a set dry side by side. */
  minutes: number;
  /** It is rinsed out once it is sewn. */
  rinsed: boolean;
}

/** Starched this far past the ring, mm. */
const PAST_RING = 10;
/** Sprayed until it feels wet, cloth takes up about this share of its own weight in a round; 1 ml weighs 1 g. */
const WET = 0.9;
/** Rounds of spraying and pressing: cloth that is thin or loose asks for one more than a firm one. */
const ROUNDS = { firm: 2, usual: 3 };
const FIRM = 200;
const DRYING_MINUTES = 10;

/**
 * What is starched before hooping; nothing when the stack holds no liquid or the cloth must not be wetted.
 *
 * @example starching(quilting, [{ material: starch, extent: 'field', angle: 0 }], hoop, { x: 200, y: 200, angle: 0 }, ground, { ...collar, role: 'embroidery' }) !== undefined // true
 */
export function starching(
  fabric: Fabric,
  layers: readonly ChosenLayer[],
  hoop: Hoop,
  at: HoopPlace,
  ground: Ground,
  part: Part,
  count = 1,
): Starching | undefined {
  if (fabric.water !== 'safe' || !layers.some(({ material }) => material.form === 'liquid')) return undefined;
  const { outer } = hoopOutlines(hoop, at);
  const where = intersection(grownBy([outer], PAST_RING), [ground.outline]);
  const area = regionArea(where);
  const rounds = !traitsOf(fabric, part).loose && fabric.arealDensity >= FIRM ? ROUNDS.firm : ROUNDS.usual;
  // g/m² → g: mm² · 10⁻⁶.
  const each = area * 1e-6 * fabric.arealDensity * WET;
  const rinsed = layers.some(({ material }) => material.form === 'liquid' && material.ends === 'rinsed');
  return { where, area, rounds, each, millilitres: each * rounds * count, minutes: rounds * DRYING_MINUTES, rinsed };
}

export interface HoopStep {
  id: string;
  title: string;
  detail: string;
  safety?: string;
  checks?: string[];
}

export const MOVING_NEEDLE = 'Hands clear of the moving hoop; needle up before anything is slid under it.';

/**
 * Hooping, step by step. @param tilt of the hoop on the cloth, degrees
 *
 * @example hoopingSteps(hoop, false, [], false, 0).length > 2 // true
 */
export function hoopingSteps(
  hoop: Hoop,
  floats: boolean,
  layers: readonly ChosenLayer[],
  hasStarch: boolean,
  tilt: number,
): HoopStep[] {
  const sheets = layers.filter(({ material }) => material.form !== 'liquid' && material.family !== 'topping');
  const topping = layers.find(({ material }) => material.family === 'topping');
  const slid =
    !floats && sheets.length > 0 && sheets.every(({ material }) => material.family === 'tear-away' && material.form === 'loose');
  const sprayed = sheets.some(({ material }) => material.form === 'spray-glued');
  const turn = turnWords(tilt);
  const steps: HoopStep[] = [];
  if (hasStarch)
    steps.push({
      id: 'starch',
      title: 'Starch what comes under the clamp',
      detail:
        'The whole ring and a little more, not just the motif: until it feels wet, then pressed under a cloth, round by round.',
      safety: 'Fresh air, away from flames, and never over a hot iron.',
    });
  steps.push({
    id: 'cross',
    title: 'Fold for the hoop and mark both folds',
    detail: `At the two distances that the card names: they cross at the hoop’s own middle. Crease lightly, mark both creases.${
      turn ? ` The hoop lies on the cloth turned ${turn}.` : ''
    }`,
  });
  if (floats) {
    steps.push({
      id: 'hoop',
      title: 'Hoop the sheet alone',
      detail: 'Drum tight. Nothing of the cloth goes into the ring.',
      checks: DRUM,
    });
    steps.push({
      id: 'float',
      title: 'Lay the cloth on it, cross on cross',
      detail:
        'The folds on the marks of the hoop. Smooth from the middle outwards. Baste a frame round the motif if the machine can.',
      ...(sprayed ? { safety: 'Spray away from the machine, with fresh air, never near a flame.' } : {}),
    });
  } else
    steps.push({
      id: 'hoop',
      title: slid || sheets.length === 0 ? 'Hoop the cloth' : 'Hoop cloth and sheet together',
      detail:
        hoop.kind === 'screw'
          ? 'Press the ring in flat, turn the screw finger tight, never with a tool. Draw slack in a little all the way round; the weave stays straight.'
          : 'Lower the magnets one after the other, from one side to the other; fingers clear of them. Draw slack in before the last one.',
      checks: DRUM,
    });
  if (topping)
    steps.push({ id: 'topping', title: 'Lay the topping on', detail: 'A few drops of water outside the motif hold it.' });
  steps.push({
    id: 'mount',
    title: hoop.mount === 'arm' ? 'Slide the hoop onto the arm' : 'Hang the hoop on the bar',
    detail: `Its mount is on the ${hoop.mountSide}. Lower the foot and turn the wheel by hand once over the middle of the design.`,
    checks: [
      'Nothing of the project folded underneath',
      ...(slid || sheets.length === 0 ? [] : ['The sheet reaches past the field on every side']),
      'The design is moved and turned in the field as the card says',
    ],
    safety: MOVING_NEEDLE,
  });
  if (slid)
    steps.push({
      id: 'slide',
      title: 'Slide the sheet under the hoop, on the machine',
      detail: 'Now that it hangs there. Past the field on every side.',
      safety: MOVING_NEEDLE,
    });
  return steps;
}

/** Felt at the middle and at each corner. */
const DRUM = ['Drum tight in the middle', 'Drum tight in every corner', 'Weave still straight'];
