import type { Outline } from '../shape';
import { dryingByWeight, readyAt, type Dampness } from '../liquid';
import { MOVE_SECONDS } from '../press';
import type { BenchPlan, BenchState, BenchStep } from './run';

/** What the one big target does next. */
export type BenchAction =
  { kind: 'next' } | { kind: 'start'; seconds: number } | { kind: 'pause' } | { kind: 'resume' } | { kind: 'finish' };

/** The state at the beginning of a step. */
function atStep(state: BenchState, step: number): BenchState {
  return { ...state, step, stop: 0, endsAt: null, pausedLeft: null };
}

/**
 * Seconds left of the running or paused countdown, never below 0; undefined when there is none.
 *
 * @example secondsLeft({ ...START_STATE, pausedLeft: 7 }, 0) // 7
 */
export function secondsLeft(state: BenchState, now: number): number | undefined {
  if (state.pausedLeft !== null) return state.pausedLeft;
  if (state.endsAt === null) return undefined;
  return Math.max(0, (Date.parse(state.endsAt) - now) / 1000);
}

/**
 * How often the iron is set down in a step: every stop, with all its lifts, on every copy.
 *
 * @example stopsOf(benchPlan.steps[1]) // 4
 */
export function stopsOf({ stops, lifts = 1, copies = 1 }: BenchStep): number {
  return (stops?.length ?? 1) * lifts * copies;
}

/**
 * Where the iron stands in a step: which stop of which copy, and which lift.
 *
 * @example placeOf(benchPlan.steps[1], 3) // { stop: 1, lift: 1, copy: 0 }
 */
export function placeOf({ stops, lifts = 1 }: BenchStep, done: number): { stop: number; lift: number; copy: number } {
  const each = (stops?.length ?? 1) * lifts;
  return { stop: Math.floor((done % each) / lifts), lift: done % lifts, copy: Math.floor(done / each) };
}

/**
 * The piece that a step is done on.
 *
 * @example outlineOf(benchPlan, benchPlan.steps[0]).length // 4
 */
export function outlineOf(plan: BenchPlan, { work, shows = 0 }: BenchStep): BenchPlan['outline'] {
  return plan.works?.[work ?? shows]?.outline ?? plan.outline;
}

/**
 * Where the layer of a step lies on its piece; nothing for a step without one, and for runs from before.
 *
 * @example regionOfStep(benchPlan, benchPlan.steps[0]) // []
 */
export function regionOfStep({ regions }: BenchPlan, { work, shows = 0, layer }: BenchStep): Outline[] {
  return layer === undefined ? [] : (regions?.[work ?? shows]?.[layer] ?? []);
}

/**
 * What a tap means right now.
 *
 * @example actionFor(benchPlan, { ...START_STATE, step: 1 }) // { kind: 'start', seconds: 10 }
 */
export function actionFor(plan: BenchPlan, state: BenchState): BenchAction {
  const step = plan.steps[state.step];
  if (!step) return { kind: 'finish' };
  if (state.pausedLeft !== null) return { kind: 'resume' };
  if (state.endsAt !== null) return { kind: 'pause' };
  const last = state.step === plan.steps.length - 1;
  if (step.kind === 'press' && state.stop < stopsOf(step)) return { kind: 'start', seconds: step.seconds ?? 10 };
  if (step.kind === 'wait' && state.stop === 0) return { kind: 'start', seconds: step.seconds ?? 60 };
  return last ? { kind: 'finish' } : { kind: 'next' };
}

/** A stop that is begun from its first second: what was cut short there before no longer counts. */
function anew(state: BenchState): BenchState {
  if (!state.paused) return state;
  return { ...state, paused: state.paused.filter(({ step, stop }) => step !== state.step || stop !== state.stop) };
}

/** A pause of the iron is remembered: pressed in two goes, a place may not have got hot enough. */
function withPause(plan: BenchPlan, state: BenchState): BenchState {
  const { step, stop, pausedLeft, paused = [] } = state;
  if (plan.steps[step]?.kind !== 'press' || pausedLeft === null) return state;
  // Before the iron was set down, while it still moved on, nothing was cut short.
  if (pausedLeft >= (plan.steps[step]!.seconds ?? 0)) return state;
  return { ...state, paused: [...paused, { step, stop, left: pausedLeft }] };
}

/**
 * Carries an action out.
 *
 * @example act(START_STATE, { kind: 'start', seconds: 10 }, 0).endsAt // '1970-01-01T00:00:10.000Z'
 */
export function act(state: BenchState, action: BenchAction, now: number): BenchState {
  switch (action.kind) {
    case 'next':
      return atStep(state, state.step + 1);
    case 'start':
      return { ...anew(state), endsAt: new Date(now + action.seconds * 1000).toISOString(), pausedLeft: null };
    case 'pause':
      return { ...state, endsAt: null, pausedLeft: secondsLeft(state, now) ?? null };
    case 'resume':
      return { ...state, endsAt: new Date(now + (state.pausedLeft ?? 0) * 1000).toISOString(), pausedLeft: null };
    case 'finish':
      return state;
  }
}

/**
 * The countdown has run out: the stop is done. After the last stop of a pressing, and after a wait, the next
 * step comes up by itself, so that a hand that holds an iron need not tap.
 *
 * @param now when stops go on by themselves: the next one's countdown begins, with the time to move the iron before it
 * @example ringOut(benchPlan, { ...START_STATE, step: 1, stop: 3 }).step // 2
 */
export function ringOut(plan: BenchPlan, state: BenchState, now?: number): BenchState {
  const step = plan.steps[state.step];
  if (!step) return state;
  const stop = state.stop + 1;
  // Only the hand can tell that cloth is damp or dry: the clock rings, and it is asked.
  const asked = step.until !== undefined;
  const done = !asked && (step.kind === 'wait' || stop >= stopsOf(step));
  const last = state.step === plan.steps.length - 1;
  if (done && !last) return atStep(state, state.step + 1);
  const next = { ...state, stop, endsAt: null, pausedLeft: null };
  if (done || asked || now === undefined) return next;
  return { ...anew(next), endsAt: new Date(now + (MOVE_SECONDS + (step.seconds ?? 10)) * 1000).toISOString() };
}

/**
 * Lets a wait run alongside while the next step is begun.
 *
 * @example setAside(benchPlan, { ...START_STATE, step: 2 }, 0).timers[0].label // 'Patch: cool'
 */
export function setAside(plan: BenchPlan, state: BenchState, now: number): BenchState {
  const step = plan.steps[state.step]!;
  const left = secondsLeft(state, now) ?? step.seconds ?? 0;
  return atStep(
    {
      ...state,
      timers: [...state.timers, { label: `${plan.pieceName}: ${step.title}`, endsAt: new Date(now + left * 1000).toISOString() }],
    },
    state.step + 1,
  );
}

/**
 * One move back: to the stop before, or to the step before.
 *
 * @example back({ ...START_STATE, step: 1, stop: 2 }).stop // 1
 */
export function back(state: BenchState): BenchState {
  if (state.endsAt !== null || state.pausedLeft !== null) return { ...state, endsAt: null, pausedLeft: null };
  if (state.stop > 0) return { ...state, stop: state.stop - 1 };
  return atStep(state, Math.max(0, state.step - 1));
}

/**
 * A move with the time at which another step was come to, or a wait began: from these it is seen how long things take.
 *
 * @example stamped(benchPlan, START_STATE, { ...START_STATE, step: 1 }, 0).stamps.length // 1
 */
export function stamped(plan: BenchPlan, before: BenchState, after: BenchState, now: number): BenchState {
  const begins =
    plan.steps[after.step]?.kind === 'wait' && before.endsAt === null && before.pausedLeft === null && after.endsAt !== null;
  const first = after.step === before.step && begins && after.stop === 0;
  if (after.step === before.step && !first) return after;
  return { ...after, stamps: [...(after.stamps ?? []), { step: after.step, at: new Date(now).toISOString() }] };
}

/**
 * More time for cloth that still is too wet: a quarter of what was reckoned.
 *
 * @example stillWet(benchPlan, { ...START_STATE, step: 2 }, 0).endsAt // '1970-01-01T00:02:00.000Z'
 */
export function stillWet(plan: BenchPlan, state: BenchState, now: number): BenchState {
  return act({ ...state, stop: 1, endsAt: null, pausedLeft: null }, { kind: 'start', seconds: moreSeconds(plan, state) }, now);
}

/**
 * How long that is, s: at least two minutes, in whole ones.
 *
 * @example moreSeconds(benchPlan, { ...START_STATE, step: 2 }) // 120
 */
export function moreSeconds(plan: BenchPlan, state: BenchState): number {
  return 60 * Math.max(2, Math.round((plan.steps[state.step]?.seconds ?? 0) / 240));
}

/**
 * Cloth was felt and found right, or too dry: that is kept, and the next step comes up.
 *
 * @example felt({ ...START_STATE, step: 2 }, 'right', 0).step // 3
 */
export function felt(state: BenchState, found: Dampness, now: number): BenchState {
  const since = state.stamps?.findLast(({ step }) => step === state.step)?.at;
  const hung = [...(state.hung ?? [])];
  if (since !== undefined) hung.push({ step: state.step, seconds: Math.max(0, (now - Date.parse(since)) / 1000), found });
  return atStep({ ...state, hung }, state.step + 1);
}

/** What hangs was put on a scale. Light enough, it is asked for at once; from the second time on the clock goes by how fast it really dries. */
function weighed(plan: BenchPlan, state: BenchState, grams: number, now: number): BenchState {
  const next = { ...state, weighed: [...(state.weighed ?? []), { step: state.step, at: new Date(now).toISOString(), grams }] };
  const left = minutesByWeight(plan, next);
  if (left === undefined) return next;
  if (left === 0) return { ...next, stop: Math.max(1, state.stop), endsAt: null, pausedLeft: null };
  return act({ ...next, endsAt: null, pausedLeft: null }, { kind: 'start', seconds: Math.round(60 * left) }, now);
}

/**
 * How long what hangs still takes by what it weighed, minutes: 0 when it is light enough, nothing while one weighing says too little.
 *
 * @example minutesByWeight(benchPlan, START_STATE) // undefined
 */
export function minutesByWeight(plan: BenchPlan, { step, weighed: all = [] }: BenchState): number | undefined {
  const { until, dryMass } = plan.steps[step] ?? {};
  const own = all.filter((each) => each.step === step);
  const last = own.at(-1);
  if (!until || !dryMass || !last) return undefined;
  if (last.grams <= readyAt(dryMass, until)) return 0;
  return dryingByWeight(dryMass, own, until)?.minutesLeft;
}

/**
 * Whether the cloth of this step had gone too dry on the line, so that it is misted first.
 *
 * @example mistedFirst({ ...START_STATE, step: 3, hung: [{ step: 2, seconds: 60, found: 'too-dry' }] }) // true
 */
export function mistedFirst({ hung = [], step }: BenchState): boolean {
  return hung.some((each) => each.step === step - 1 && each.found === 'too-dry');
}

/**
 * What was done at the bench, as it is sent: never where that led to. Two tablets that do something in the same second are both heard,
 * and what a third says an hour later still counts, unless the run has gone past it.
 */
export type BenchMove =
  | { kind: 'tick'; check: string; on: boolean }
  /** A cause of a trouble was found, or it was not that after all. */
  | { kind: 'cause'; found: string; work: number | null; on: boolean }
  /** The next step, from the one that was in hand. */
  | { kind: 'next'; step: number }
  | { kind: 'start'; step: number; stop: number; seconds: number }
  | { kind: 'pause' | 'resume' | 'back'; step: number; stop: number }
  /** The countdown ran out; stops go on by themselves, or wait for a tap. */
  | { kind: 'rung'; step: number; stop: number; flowing: boolean }
  /** The wait goes on alongside. */
  | { kind: 'aside'; step: number }
  /** A clock that runs alongside is taken away. */
  | { kind: 'dismiss'; endsAt: string }
  | { kind: 'felt'; step: number; found: Dampness }
  /** What hangs was weighed, g. */
  | { kind: 'weighed'; step: number; grams: number }
  /** Still too wet: more time. */
  | { kind: 'longer'; step: number }
  | { kind: 'finish' };

/** Where a run stands, and whether it is done. */
export interface BenchStanding {
  state: BenchState;
  finished: boolean;
}

/**
 * Where a run stands after a move. A move that was made from a step or stop at which the run does not stand any more changes nothing:
 * somebody else has made it already, or has gone another way. Ticks are kept wherever the run stands.
 *
 * @param at when it was done, ms since 1970
 * @example benchMoved({ pieceName: '', clothName: '', stackTitle: '', outline: [], plate: [], steps: [] }, { state: START_STATE, finished: false }, { kind: 'tick', check: 'Flat', on: true }, 0).state.checks // ['Flat']
 */
export function benchMoved(plan: BenchPlan, { state, finished }: BenchStanding, move: BenchMove, at: number): BenchStanding {
  if (move.kind === 'tick') {
    const others = state.checks.filter((check) => check !== move.check);
    return { state: { ...state, checks: move.on ? [...others, move.check] : others }, finished };
  }
  if (move.kind === 'cause') {
    const { found, work } = move;
    const others = (state.causes ?? []).filter((each) => each.found !== found || each.work !== work);
    return { state: { ...state, causes: move.on ? [...others, { found, work }] : others }, finished };
  }
  if (move.kind === 'dismiss')
    return { state: { ...state, timers: state.timers.filter(({ endsAt }) => endsAt !== move.endsAt) }, finished };
  if (move.kind === 'finish') return { state, finished: true };
  const elsewhere = move.step !== state.step || ('stop' in move && move.stop !== state.stop);
  if (finished || elsewhere) return { state, finished };
  return { state: stamped(plan, state, movedHere(plan, state, move, at), at), finished };
}

/** A move from where the run stands. */
function movedHere(
  plan: BenchPlan,
  state: BenchState,
  move: Exclude<BenchMove, { kind: 'tick' | 'cause' | 'dismiss' | 'finish' }>,
  at: number,
): BenchState {
  switch (move.kind) {
    case 'next':
      return act(state, { kind: 'next' }, at);
    case 'start':
      return state.endsAt === null && state.pausedLeft === null
        ? act(state, { kind: 'start', seconds: move.seconds }, at)
        : state;
    case 'pause':
      return state.endsAt === null ? state : withPause(plan, act(state, { kind: 'pause' }, at));
    case 'resume':
      return state.pausedLeft === null ? state : act(state, { kind: 'resume' }, at);
    case 'back':
      return back(state);
    case 'rung':
      return ringOut(plan, state, move.flowing ? at : undefined);
    case 'aside':
      return setAside(plan, state, at);
    case 'felt':
      return felt(state, move.found, at);
    case 'weighed':
      return weighed(plan, state, move.grams, at);
    case 'longer':
      return stillWet(plan, state, at);
  }
}
