import { isWork, type Timing } from '../learn';
import { dryingByWeight, type Dampness, type Hanging, type Weighing } from '../liquid';
import type { BatchStep } from '../steps';
import { paceOf, stepMinutes, type TimedStep } from './run-tasks';

/** A run that is finished, with when its steps were come to and how long cloth hung. */
export interface FinishedRun {
  steps: readonly (TimedStep & Pick<BatchStep, 'work' | 'shows'>)[];
  /** Edge of all its pieces, mm. */
  edge: number;
  stamps: readonly { step: number; at: string }[];
  /** Seconds until the cloth of a step was found right, or too dry. */
  hung: readonly { step: number; seconds: number; found: Dampness }[];
  /** What hung was weighed. */
  weighed?: readonly ({ step: number } & Weighing)[] | undefined;
  /** For each job its cloth, and how many times longer than computed that was taken to dry when it was planned. */
  hangs?: readonly Hanging[] | undefined;
}

/** Cloth that was found too dry had been right at some time before: after about so much of the time. */
const WAS_RIGHT = 0.75;

/**
 * What a finished run tells of a person's pace: each step that was gone through once, from when it was come to until the next one was, and
 * how long cloth hung. Times at which nobody can have worked are left out.
 *
 * @returns seconds, as reckoned for anybody and as they were
 * @example timingsOf({ steps: [], edge: 0, stamps: [], hung: [] }) // []
 */
export function timingsOf({ steps, edge, stamps, hung, weighed = [], hangs = [] }: FinishedRun): Timing[] {
  const worked = stamps.flatMap(({ step, at }, i): Timing[] => {
    const next = stamps[i + 1];
    const own = steps[step];
    const pace = own && paceOf(own);
    // What was gone back to is worked twice, and tells nothing.
    const twice = stamps.some((other, j) => j !== i && other.step === step);
    if (!pace || next?.step !== step + 1 || twice) return [];
    return [{ pace, expected: 60 * stepMinutes(own, steps, edge), actual: (Date.parse(next.at) - Date.parse(at)) / 1000 }];
  });
  /** What hung at a step took, against what is reckoned for anybody; of cloths that hung together it is not told which. */
  const tookToDry = (step: number, reckoned: number, actual: number): Timing => {
    const { work, shows } = steps[step]!;
    const own = hangs[work ?? shows ?? 0];
    const alike = work !== undefined || hangs.every(({ clothId }) => clothId === own?.clothId);
    return { pace: 'drying', expected: reckoned / (own?.pace ?? 1), actual, ...(own && alike ? { clothId: own.clothId } : {}) };
  };
  const byScale = new Map(
    [...new Set(weighed.map(({ step }) => step))].flatMap((step): [number, Timing][] => {
      const { seconds: reckoned, until, dryMass } = steps[step] ?? {};
      const since = stamps.find((stamp) => stamp.step === step)?.at;
      const own = weighed.filter((each) => each.step === step);
      if (!reckoned || !until || !dryMass || since === undefined) return [];
      const left = dryingByWeight(dryMass, own, until)?.minutesLeft;
      if (left === undefined) return [];
      const actual = (Date.parse(own.at(-1)!.at) - Date.parse(since)) / 1000 + 60 * left;
      return [[step, tookToDry(step, reckoned, actual)]];
    }),
  );
  const dried = hung.flatMap(({ step, seconds, found }): Timing[] => {
    const reckoned = steps[step]?.seconds;
    // A scale tells better than the hand.
    if (!reckoned || byScale.has(step)) return [];
    return [tookToDry(step, reckoned, found === 'right' ? seconds : WAS_RIGHT * seconds)];
  });
  return [...worked, ...dried, ...byScale.values()].filter(isWork);
}
