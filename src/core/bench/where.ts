import { isInside, transformed, type Outline, type Point } from '../shape';
import { outlineOf, placeOf, regionOfStep } from './moves';
import type { BenchPlan, BenchState } from './run';

/** What lies under the iron, with every stop that was made on it: a piece face down, or a sheet with pieces. mm. */
export interface PressedGround {
  outline: Outline;
  /** Where layers lie on it, or pieces on a sheet. */
  lying: Outline[];
  /** It is seen from its wrong side: x to the left. */
  faceDown: boolean;
  stops: PressedStop[];
}

/** A stop of the iron, where it stood: on one piece after the other, layer after layer. */
export interface PressedStop {
  /** Numbers of its steps in the plan, from 0, and of the stop as it was counted there, from 1. */
  steps: number[];
  number: number;
  sole: Outline;
}

/** A pause of the iron: on which piece of a set, from 1, after how many of its seconds. */
export interface PausedStop {
  step: number;
  number: number;
  copy: number;
  after: number;
  of: number;
}

/**
 * What was pressed in a run, ground by ground, with all stops made on each.
 *
 * @param work number of the job in its batch; all of them when it is not said
 * @example pressedGrounds(benchPlan)[0].stops.length // 2
 */
export function pressedGrounds(plan: BenchPlan, work?: number): PressedGround[] {
  const grounds = new Map<string, PressedGround>();
  const placed = new Map<string, PressedStop>();
  const jobs = (plan.works ?? []).map(({ jobId }) => jobId);
  plan.steps.forEach((step, index) => {
    const { stops = [], on } = step;
    const sheet = on === undefined ? undefined : plan.sheets?.[on];
    const mine = sheet
      ? work === undefined || sheet.pieces.some(({ workId }) => workId === jobs[work])
      : (step.work ?? work) === work;
    if (stops.length === 0 || (work !== undefined && !mine)) return;
    const key = sheet ? `sheet ${on}` : `work ${step.work ?? 0}`;
    const plate = sheet?.plate ?? plan.plate;
    const ground = grounds.get(key) ?? {
      outline: sheet?.outline ?? outlineOf(plan, step),
      lying: sheet ? sheet.pieces.map(({ outline }) => outline) : [],
      faceDown: !sheet,
      stops: [],
    };
    for (const region of sheet ? [] : regionOfStep(plan, step)) if (!ground.lying.includes(region)) ground.lying.push(region);
    // Piece after piece is pressed alike: a stop that stands where one stood already is that place again.
    stops.forEach(({ x, y, rotation }, i) => {
      const at = `${key} ${i} ${x} ${y} ${rotation}`;
      const again = placed.get(at);
      const stop = again ?? { steps: [], number: i + 1, sole: transformed(plate, false, rotation, x, y) };
      stop.steps.push(index);
      placed.set(at, stop);
      if (!again) ground.stops.push(stop);
    });
    grounds.set(key, ground);
  });
  return [...grounds.values()];
}

/**
 * The stops under which a place lay.
 *
 * @param place mm on its ground, as the cloth's face is seen
 * @example stopsOver(pressedGrounds(benchPlan)[0], [5000, 0]) // []
 */
export function stopsOver({ stops }: PressedGround, place: Point): PressedStop[] {
  return stops.filter(({ sole }) => isInside(place, sole));
}

/**
 * Whether something lies at a place of the ground that could let go: a layer on the piece, or a piece on the sheet.
 *
 * @example isHeld(pressedGrounds(benchPlan)[0], [5, 5]) // true
 */
export function isHeld({ lying }: PressedGround, place: Point): boolean {
  return lying.length === 0 || lying.some((outline) => isInside(place, outline));
}

/**
 * The stops that were paused, in order; only those of some places when they are given.
 *
 * @example pausedStops(benchPlan, START_STATE) // []
 */
export function pausedStops(
  { steps }: BenchPlan,
  { paused = [] }: BenchState,
  among?: readonly Pick<PressedStop, 'steps' | 'number'>[],
): PausedStop[] {
  return paused.flatMap(({ step, stop, left }) => {
    const pressed = steps[step];
    if (!pressed) return [];
    const place = placeOf(pressed, stop);
    const of = pressed.seconds ?? 0;
    const told = { step, number: place.stop + 1, copy: (pressed.from ?? 1) + place.copy, after: Math.max(0, of - left), of };
    return among && !among.some(({ steps: of, number }) => of.includes(step) && number === told.number) ? [] : [told];
  });
}
