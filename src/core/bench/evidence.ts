import type { Evidence } from '../techniques';
import type { Point } from '../shape';
import { isHeld, pausedStops, stopsOver, type PressedGround } from './where';
import type { BenchPlan, BenchState } from './run';

/** Stops that are told by their number; with more, the first ones. */
const MOST_TOLD = 3;

/** A wait that was left before so much of it was over is told. */
const ENOUGH = 0.8;

const minutes = (seconds: number): string => `${Math.round(seconds / 6) / 10}`.replace(/\.0$/, '');

/**
 * What a run knows that speaks for one cause or another: which stops were paused, what cooled too shortly, what was hooped, what lay on top, and what was known of the job before it was begun. A wait that runs beside
 * other steps is not told: its clock says when it is over.
 *
 * @param work number of the job in its batch; all of them when it is not said
 * @param touched the place where it is seen, on what was pressed: only its own stops speak then
 * @returns words by kind of evidence
 * @example evidenceOf(benchPlan, START_STATE).size // 0
 */
export function evidenceOf(
  plan: BenchPlan,
  state: BenchState,
  work?: number,
  touched?: { ground: PressedGround; place: Point },
): Map<Evidence, string> {
  const { steps, known = [] } = plan;
  const { stamps = [], timers } = state;
  const before = work === undefined ? known : known.slice(work, work + 1);
  const found = new Map(before.flatMap((each) => Object.entries(each) as [Evidence, string][]));
  const short = cutShort(plan, state, work, touched);
  if (short) found.set('stop-cut-short', short);
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

/** Stops that were not held in one go, or a place that none of them reached, in words. */
function cutShort(
  plan: BenchPlan,
  state: BenchState,
  work: number | undefined,
  touched: { ground: PressedGround; place: Point } | undefined,
): string | undefined {
  if (touched && !isHeld(touched.ground, touched.place)) return undefined;
  const over = touched && stopsOver(touched.ground, touched.place);
  if (over?.length === 0) return 'no stop of the iron lay over this place';
  const told = pausedStops(plan, state, over).flatMap(({ step, number, copy, after, of }) => {
    const { copies = 1, from, on, stops, work: whose } = plan.steps[step]!;
    // Of another job of the batch it says nothing; a sheet is everybody's.
    if (on === undefined && work !== undefined && whose !== undefined && whose !== work) return [];
    const piece = copies > 1 || from !== undefined ? ` on piece ${copy}` : '';
    return `${stops ? `stop ${number}` : 'the iron'}${piece} was paused at ${Math.round(after)} of ${Math.round(of)} s`;
  });
  const more = told.length - MOST_TOLD;
  return told.length === 0 ? undefined : [...told.slice(0, MOST_TOLD), ...(more > 0 ? [`and ${more} more`] : [])].join(', ');
}
