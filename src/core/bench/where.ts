import { isInside, transformed, type Outline, type Point } from '../shape';
import { placeOf } from './moves';
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

/** A stop of the iron, where it stood. */
export interface PressedStop {
  /** Number of its step in the plan, from 0, and of the stop as it was counted there, from 1. */
  step: number;
  number: number;
  sole: Outline;
}

/** A pause of the iron: on which copy of a piece, from 1, after how many of its seconds. */
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
  plan.steps.forEach((step, index) => {
    const { stops = [], on } = step;
    const sheet = on === undefined ? undefined : plan.sheets?.[on];
    const jobs = (plan.works ?? []).map(({ jobId }) => jobId);
    const mine = sheet
      ? work === undefined || sheet.pieces.some(({ workId }) => workId === jobs[work])
      : (step.work ?? work) === work;
    if (stops.length === 0 || (work !== undefined && !mine)) return;
    const key = sheet ? `sheet ${on}` : `work ${step.work ?? 0}`;
    const plate = sheet?.plate ?? plan.plate;
    const { layer } = step;
    const ground = grounds.get(key) ?? {
      outline: sheet?.outline ?? plan.works?.[step.work ?? 0]?.outline ?? plan.outline,
      lying: sheet
        ? sheet.pieces.map(({ outline }) => outline)
        : layer === undefined
          ? []
          : (plan.regions?.[step.work ?? 0]?.[layer] ?? []),
      faceDown: !sheet,
      stops: [],
    };
    // One ground is pressed step after step, each copy alike: a stop that stands where one stood already is that place again.
    for (const [i, stop] of stops.entries())
      ground.stops.push({ step: index, number: i + 1, sole: transformed(plate, false, stop.rotation, stop.x, stop.y) });
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
 * The stops that were paused, in order; only those of some steps and numbers when they are given.
 *
 * @example pausedStops(benchPlan, START_STATE) // []
 */
export function pausedStops(
  { steps }: BenchPlan,
  { paused = [] }: BenchState,
  among?: readonly Pick<PressedStop, 'step' | 'number'>[],
): PausedStop[] {
  return paused.flatMap(({ step, stop, left }) => {
    const pressed = steps[step];
    if (!pressed) return [];
    const place = placeOf(pressed, stop);
    const of = pressed.seconds ?? 0;
    const told = { step, number: place.stop + 1, copy: place.copy + 1, after: Math.max(0, of - left), of };
    return among && !among.some((each) => each.step === step && each.number === told.number) ? [] : [told];
  });
}
