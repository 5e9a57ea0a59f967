import { useCallback, useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { BenchRun, BenchState } from '../../store/bench-runs';
import { act, actionFor, back, felt, ringOut, secondsLeft, stamped } from './bench-moves';
import { ring, say, SET_DOWN, STOP_ENDS, timerMotif } from './sounds';
import { useClock } from './use-clock';
import { useSavedState } from './use-saved-state';

/** Kept in the browser: each stop waits for a tap; what comes is said aloud. */
const TAPPED = 'nembrel-bench-tapped';
const SPOKEN = 'nembrel-bench-spoken';

/** A switch that the browser remembers. */
function useSwitch(key: string): [on: boolean, toggle: () => void] {
  const [on, setOn] = useState(false);
  useEffect(() => setOn(localStorage.getItem(key) !== null), [key]);
  const toggle = () => {
    if (on) localStorage.removeItem(key);
    else localStorage.setItem(key, 'yes');
    setOn(!on);
  };
  return [on, toggle];
}

/** A run at the bench: where it stands, its clocks and sounds, and how it is moved on. */
export function useBenchRun(run: BenchRun, sound: boolean) {
  const { plan } = run;
  const { state, finished, trouble, move: save } = useSavedState(run);
  const move = useCallback(
    (next: BenchState, done?: boolean) => save(stamped(plan, state, next, Date.now()), done),
    [save, plan, state],
  );
  const now = useClock();
  const [flash, setFlash] = useState(false);
  const [loud, setLoud] = useState(sound);
  const [tapped, toggleFlow] = useSwitch(TAPPED);
  const [spoken, toggleVoice] = useSwitch(SPOKEN);
  const audio = useRef<AudioContext>(undefined);
  const step = plan.steps[state.step];
  const left = secondsLeft(state, now);
  const action = actionFor(plan, state);
  /** What still cools or dries. */
  const running = state.timers.filter(({ endsAt }) => Date.parse(endsAt) > now);

  useEffect(() => {
    if (finished || left === undefined || state.pausedLeft !== null || left > 0) return;
    if (loud) ring(audio.current, STOP_ENDS);
    setFlash(true);
    setTimeout(() => setFlash(false), 350);
    move(ringOut(plan, state, tapped ? undefined : Date.now()));
  }, [left, state, plan, move, loud, finished, tapped]);

  const seconds = step?.kind === 'press' ? step.seconds : undefined;
  const setDown = left !== undefined && seconds !== undefined && left <= seconds;
  const wasMoving = useRef(false);
  useEffect(() => {
    // The iron has to stand when the countdown of the stop itself begins.
    if (setDown && wasMoving.current && loud) ring(audio.current, SET_DOWN);
    wasMoving.current = left !== undefined && seconds !== undefined && left > seconds;
  }, [setDown, left, seconds, loud]);

  const rung = useRef(new Set<string>());
  useEffect(() => {
    state.timers.forEach(({ endsAt, label }, place) => {
      if (Date.parse(endsAt) > now || rung.current.has(endsAt)) return;
      rung.current.add(endsAt);
      if (loud) ring(audio.current, timerMotif(place));
      if (spoken) say(`Ready: ${label}`);
    });
  }, [now, state.timers, loud, spoken]);

  const title = step?.title;
  const first = useRef(true);
  useEffect(() => {
    if (first.current) first.current = false;
    else if (spoken && title !== undefined && !finished) say(title);
  }, [title, spoken, finished]);

  const tap = useCallback(() => {
    audio.current ??= new AudioContext();
    if (finished) return;
    // What is still warm moves in the hand: the run ends when it has cooled, or when somebody says so.
    if (action.kind === 'finish') return running.length === 0 ? move(state, true) : undefined;
    const right = step?.until !== undefined && action.kind === 'next';
    move(right ? felt(state, 'right', Date.now()) : act(state, action, Date.now()));
  }, [action, finished, move, state, step, running.length]);
  useHotkeys('space', tap, { preventDefault: true, enabled: !finished }, [tap]);
  useHotkeys('backspace', () => move(back(state)), { preventDefault: true, enabled: !finished }, [state]);

  return {
    ...{ state, finished, trouble, now, flash, step, left, action, running, move, tap },
    ...{ loud, toggleSound: () => setLoud(!loud), flowing: !tapped, toggleFlow, spoken, toggleVoice },
  };
}
