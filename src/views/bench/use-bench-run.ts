import { useCallback, useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { BenchRun } from '../../store/bench-runs';
import { actionFor, benchMoved, secondsLeft, type BenchMove, type BenchStanding } from '../../core/bench';
import { useMoves } from '../../ui/use-moves';
import { ring, say, SET_DOWN, STOP_ENDS, timerMotif } from '../../ui/sounds';
import { useClock } from './use-clock';

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

/** How often it is asked whether the run was moved on at another tablet, ms. */
const ASKED_EVERY = 1000;

const standing = ({ state, finishedAt }: BenchRun): BenchStanding => ({ state, finished: finishedAt !== null });

/** A run at the bench: where it stands, its clocks and sounds, and how it is moved on. */
export function useBenchRun(run: BenchRun, sound: boolean) {
  const { plan } = run;
  const moved = useCallback((was: BenchStanding, move: BenchMove, at: number) => benchMoved(plan, was, move, at), [plan]);
  const [over, setOver] = useState(run.finishedAt !== null);
  const moves = useMoves<BenchRun, BenchStanding, BenchMove>({
    ...{ path: `/api/bench/${run.id}`, start: run, standing, moved },
    every: over ? undefined : ASKED_EVERY,
  });
  const { make, trouble } = moves;
  const { state, finished } = moves.now;
  useEffect(() => setOver(finished), [finished]);
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
    make({ kind: 'rung', step: state.step, stop: state.stop, flowing: !tapped });
  }, [left, state, make, loud, finished, tapped]);

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
    const { step: at, stop } = state;
    switch (action.kind) {
      case 'finish':
        return running.length === 0 ? make({ kind: 'finish' }) : undefined;
      case 'next':
        return make(step?.until === undefined ? { kind: 'next', step: at } : { kind: 'felt', step: at, found: 'right' });
      case 'start':
        return make({ kind: 'start', step: at, stop, seconds: action.seconds });
      default:
        return make({ kind: action.kind, step: at, stop });
    }
  }, [action, finished, make, state, step, running.length]);
  const goBack = useCallback(() => make({ kind: 'back', step: state.step, stop: state.stop }), [make, state.step, state.stop]);
  useHotkeys('space', tap, { preventDefault: true, enabled: !finished }, [tap]);
  useHotkeys('backspace', goBack, { preventDefault: true, enabled: !finished }, [goBack]);

  return {
    ...{ state, finished, trouble, now, flash, step, left, action, running, make, tap, goBack },
    ...{ loud, toggleSound: () => setLoud(!loud), flowing: !tapped, toggleFlow, spoken, toggleVoice },
  };
}
