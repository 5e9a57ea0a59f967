import type { Evidence } from '../techniques';
import type { BenchPlan, BenchState } from './run';

/** A wait that was left before so much of it was over is told. */
const ENOUGH = 0.8;

const minutes = (seconds: number): string => `${Math.round(seconds / 6) / 10}`.replace(/\.0$/, '');

/**
 * What a run knows that speaks for one cause or another: what cooled too shortly, what was hooped, what lay on top, and what was known of the job before it was begun. A wait that runs beside
 * other steps is not told: its clock says when it is over.
 *
 * @param work number of the job in its batch; all of them when it is not said
 * @returns words by kind of evidence
 * @example evidenceOf(benchPlan, START_STATE).size // 0
 */
export function evidenceOf(
  { steps, known = [] }: BenchPlan,
  { stamps = [], timers }: BenchState,
  work?: number,
): Map<Evidence, string> {
  const before = work === undefined ? known : known.slice(work, work + 1);
  const found = new Map(before.flatMap((each) => Object.entries(each) as [Evidence, string][]));
  stamps.forEach(({ step, at }, i) => {
    const { kind, act, seconds = 0, title } = steps[step] ?? { kind: 'do' };
    const next = stamps.slice(i + 1).find((stamp) => stamp.step > step);
    if (kind !== 'wait' || act !== 'cool' || !next || timers.some(({ label }) => label.endsWith(title ?? ''))) return;
    const lay = (Date.parse(next.at) - Date.parse(at)) / 1000;
    if (lay < ENOUGH * seconds) found.set('not-cooled', `it was taken up after ${minutes(lay)} of ${minutes(seconds)} minutes`);
  });
  const hooped = steps.find(({ act, kind }) => act === 'hoop' && kind === 'do');
  if (hooped) {
    if (steps.every(({ act }) => act !== 'lay-on-top')) found.set('no-topping', 'no topping was laid on');
    if (hooped.technique !== 'floated') found.set('hooped', 'the cloth itself was in the ring');
  }
  return found;
}
