import { ArrowLeft, DoorOpen, FastForward, Pointer, TimerReset, Volume2, VolumeX } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { formatDuration, type LengthSystem } from '../../core/units';
import type { ApiError } from '../../ui/api';
import { call } from '../../ui/api';
import { keepUnits } from '../../ui/text';
import { UnitsProvider } from '../../ui/units-context';
import type { BenchRun, BenchState } from '../../store/bench-runs';
import BenchDone from './BenchDone';
import CheckBoxes from './CheckBoxes';
import type { JobLog } from './job-log';
import { act, actionFor, back, outlineOf, ringOut, secondsLeft, setAside, placeOf, stopsOf } from './bench-moves';
import PressDrawing from './PressDrawing';
import SheetDrawing from './SheetDrawing';

interface Props {
  run: BenchRun;
  units: LengthSystem;
  sound: boolean;
  /** Where to go when it is done. */
  projectId: string;
  /** What is filed of each job, by its id. */
  logs: Record<string, JobLog>;
}

/** A short tone; high for the end of a stop, lower for a timer that ran alongside. */
function ring(context: AudioContext | undefined, pitch: number): void {
  if (!context) return;
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.frequency.value = pitch;
  gain.gain.setValueAtTime(0.35, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.7);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + 0.7);
}

/** Kept in the browser where each stop waits for a tap. */
const TAPPED = 'nembrel-bench-tapped';

/** The bench: one step at a time, for hands that hold an iron. Every move is kept at once, so a reload goes on where it was. */
export default function BenchView({ run, units, sound, projectId, logs }: Props) {
  const [state, setState] = useState(run.state);
  const [finished, setFinished] = useState(run.finishedAt !== null);
  const [now, setNow] = useState(() => Date.now());
  const [flash, setFlash] = useState(false);
  const [loud, setLoud] = useState(sound);
  const [flowing, setFlowing] = useState(true);
  useEffect(() => setFlowing(localStorage.getItem(TAPPED) === null), []);
  const [trouble, setTrouble] = useState<string>();
  const version = useRef(run.version);
  const queue = useRef(Promise.resolve());
  const audio = useRef<AudioContext>(undefined);
  const { plan } = run;
  const step = plan.steps[state.step];
  const left = secondsLeft(state, now);
  const action = actionFor(plan, state);

  /** Shows a new state at once and keeps it, one save after the other. */
  const move = useCallback(
    (next: BenchState, done = false) => {
      setState(next);
      if (done) setFinished(true);
      queue.current = queue.current.then(async () => {
        try {
          const saved = await call<BenchRun>('PUT', `/api/bench/${run.id}`, {
            state: next,
            finished: done,
            version: version.current,
          });
          version.current = saved.version;
          setTrouble(undefined);
        } catch (error) {
          const problem = error as ApiError;
          if (problem.status === 409) {
            const current = problem.current as BenchRun;
            version.current = current.version;
            setState(current.state);
            setFinished(current.finishedAt !== null);
            setTrouble('Somebody moved this bench on in another window. It now stands where they left it.');
          } else {
            setTrouble(`${problem.message} The bench goes on; the next move is saved again.`);
          }
        }
      });
    },
    [run.id],
  );

  useEffect(() => {
    document.documentElement.dataset['theme'] = 'lamplight';
    const tick = setInterval(() => setNow(Date.now()), 200);
    let lock: WakeLockSentinel | undefined;
    const keepAwake = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (held) => (lock = held),
          () => undefined,
        );
    };
    keepAwake();
    document.addEventListener('visibilitychange', keepAwake);
    return () => {
      clearInterval(tick);
      document.removeEventListener('visibilitychange', keepAwake);
      void lock?.release();
    };
  }, []);

  useEffect(() => {
    if (finished || left === undefined || state.pausedLeft !== null || left > 0) return;
    if (loud) ring(audio.current, 880);
    setFlash(true);
    setTimeout(() => setFlash(false), 350);
    move(ringOut(plan, state, flowing ? Date.now() : undefined));
  }, [left, state, plan, move, loud, finished, flowing]);

  const seconds = step?.kind === 'press' ? step.seconds : undefined;
  const setDown = left !== undefined && seconds !== undefined && left <= seconds;
  const wasMoving = useRef(false);
  useEffect(() => {
    // The iron has to stand when the countdown of the stop itself begins.
    if (setDown && wasMoving.current && loud) ring(audio.current, 660);
    wasMoving.current = left !== undefined && seconds !== undefined && left > seconds;
  }, [setDown, left, seconds, loud]);
  const [rung, setRung] = useState<string[]>([]);
  useEffect(() => {
    for (const timer of state.timers) {
      if (Date.parse(timer.endsAt) <= now && !rung.includes(timer.endsAt)) {
        setRung((was) => [...was, timer.endsAt]);
        if (loud) ring(audio.current, 520);
      }
    }
  }, [now, state.timers, rung, loud]);

  const tap = useCallback(() => {
    audio.current ??= new AudioContext();
    if (finished) return;
    if (action.kind === 'finish') move(state, true);
    else move(act(state, action, Date.now()));
  }, [action, finished, move, state]);
  useHotkeys('space', tap, { preventDefault: true, enabled: !finished }, [tap]);
  useHotkeys('backspace', () => move(back(state)), { preventDefault: true, enabled: !finished }, [state]);

  if (finished)
    return (
      <UnitsProvider value={units}>
        <BenchDone run={{ ...run, state }} projectId={projectId} logs={logs} />
      </UnitsProvider>
    );
  const stops = step?.stops ?? [];
  const pressing = step?.kind === 'press';
  const moving = pressing && left !== undefined && left > (step.seconds ?? 10) + 0.01;
  const sheet = step?.on === undefined ? undefined : plan.sheets?.[step.on];
  const drawn = pressing || (sheet && step?.kind !== 'wait');
  const place = step ? placeOf(step, Math.min(state.stop, stopsOf(step) - 1)) : { stop: 0, lift: 0, copy: 0 };
  const bigWord =
    action.kind === 'start'
      ? pressing
        ? state.stop === 0
          ? 'Set the iron down: start'
          : 'Next stop: start'
        : 'Start the clock'
      : action.kind === 'pause'
        ? 'Pause'
        : action.kind === 'resume'
          ? 'Go on'
          : action.kind === 'finish'
            ? 'Finish and file it'
            : 'Done, next step';
  return (
    // The whole screen is the target; the button says what a tap does, and the keyboard has the same.
    <main
      id="main"
      onClick={(event) => {
        if (!(event.target as HTMLElement).closest('button, a, label, input')) tap();
      }}
      className={`flex h-dvh flex-col overflow-hidden p-4 md:p-6 ${flash ? 'bg-accent' : ''}`}
    >
      <h1 className="sr-only">
        Bench: {plan.pieceName}, {plan.stackTitle}
      </h1>
      <header className="flex flex-wrap items-center gap-3">
        <p className="min-w-0 flex-1 truncate text-lg">
          <strong>{plan.pieceName}</strong> · step {state.step + 1} of {plan.steps.length}
        </p>
        {state.timers.map((timer) => {
          const rest = Math.max(0, (Date.parse(timer.endsAt) - now) / 1000);
          return (
            <button
              key={timer.endsAt}
              type="button"
              className={`btn ${rest === 0 ? 'btn-accent' : 'btn-outline'} max-w-72`}
              onClick={() => move({ ...state, timers: state.timers.filter((each) => each !== timer) })}
              aria-label={`${timer.label}: ${rest === 0 ? 'time is up' : formatDuration(rest)}. Take it away.`}
            >
              <TimerReset size={18} aria-hidden="true" />
              <span className="truncate">
                {plan.works ? timer.label.slice(timer.label.indexOf(': ') + 2) : timer.label.split(': ')[1]}
              </span>{' '}
              {rest === 0 ? 'ready' : formatDuration(rest)}
            </button>
          );
        })}
        {plan.steps.some(({ stops: all }) => (all?.length ?? 0) > 1) && (
          <button
            type="button"
            className="btn btn-ghost"
            aria-pressed={flowing}
            onClick={() => {
              setFlowing(!flowing);
              if (flowing) localStorage.setItem(TAPPED, 'yes');
              else localStorage.removeItem(TAPPED);
            }}
          >
            {flowing ? <FastForward size={20} aria-hidden="true" /> : <Pointer size={20} aria-hidden="true" />}
            {flowing ? 'Stops go on' : 'A tap a stop'}
          </button>
        )}
        <button
          type="button"
          className="btn btn-ghost btn-icon"
          aria-label={loud ? 'Sound off' : 'Sound on'}
          onClick={() => setLoud(!loud)}
        >
          {loud ? <Volume2 size={22} aria-hidden="true" /> : <VolumeX size={22} aria-hidden="true" />}
        </button>
        <button type="button" className="btn btn-ghost" onClick={() => move(back(state))}>
          <ArrowLeft size={20} aria-hidden="true" /> Back
        </button>
        <a className="btn btn-ghost" href={plan.works ? '/bench' : `/projects/${projectId}?job=${run.jobId}&stage=apply`}>
          <DoorOpen size={20} aria-hidden="true" /> Leave
        </a>
      </header>
      <div className="mt-2 flex gap-1" aria-hidden="true">
        {plan.steps.map((each, i) => (
          <span
            key={each.id}
            className={`h-2 flex-1 rounded-full ${i < state.step ? 'bg-success' : i === state.step ? 'bg-accent' : 'bg-base-300'}`}
          />
        ))}
      </div>
      {trouble && (
        <p role="alert" className="mt-2 rounded-box bg-error p-2 font-semibold text-error-content">
          {trouble}
        </p>
      )}
      {step && (
        <div className={`grid min-h-0 flex-1 items-center gap-6 ${drawn ? 'md:grid-cols-2' : ''}`}>
          {drawn && (
            <div className="flex h-full min-h-0 items-center justify-center py-3">
              {sheet ? (
                <SheetDrawing sheet={sheet} step={step} plate={plan.plate} current={place.stop} />
              ) : (
                <PressDrawing outline={outlineOf(plan, step)} plate={plan.plate} stops={stops} current={place.stop} />
              )}
            </div>
          )}
          <div className={drawn ? '' : 'mx-auto max-w-4xl text-center'}>
            <h2 className="text-3xl leading-tight font-bold text-balance md:text-[2.4rem]">{keepUnits(step.title)}</h2>
            <p className="mt-3 text-xl text-pretty md:text-[1.4rem]">{keepUnits(step.detail)}</p>
            {left !== undefined && (
              <p
                className={`mt-2 text-[6rem] leading-none font-bold md:text-[8rem] ${state.pausedLeft !== null ? 'opacity-60' : ''}`}
                role="timer"
                aria-label={`${Math.ceil(left)} seconds left`}
              >
                {moving && (
                  <span className="block text-4xl leading-tight font-bold">Move the iron on, set it down when it counts</span>
                )}
                {left >= 60
                  ? `${Math.floor(Math.ceil(left) / 60)}:${String(Math.ceil(left) % 60).padStart(2, '0')}`
                  : Math.ceil(left)}
              </p>
            )}
            {pressing && stops.length > 0 && (
              <p className="mt-2 text-2xl font-semibold">
                Stop {Math.min(place.stop + 1, stops.length)} of {stops.length}
                {(step.lifts ?? 1) > 1 && `, lift ${place.lift + 1} of ${step.lifts}`}
                {(step.copies ?? 1) > 1 && `, piece ${place.copy + 1} of ${step.copies} here`}
              </p>
            )}
            {step.kind === 'wait' && left === undefined && (
              <p className="mt-4 text-6xl font-bold">{formatDuration(step.seconds ?? 0)}</p>
            )}
            {step.checks && (
              <CheckBoxes
                checks={step.checks}
                ticked={state.checks}
                narrow={Boolean(drawn)}
                onTick={(checks) => move({ ...state, checks })}
              />
            )}
            {step.safety && <p className="mt-4 border-l-4 border-accent pl-3 text-left text-lg">{step.safety}</p>}
          </div>
        </div>
      )}
      <footer className="flex gap-3">
        <button
          type="button"
          onClick={tap}
          className={`btn h-24! flex-1 text-3xl! ${action.kind === 'pause' ? 'btn-outline' : 'btn-accent'}`}
        >
          {bigWord}
        </button>
        {step?.kind === 'wait' && state.step < plan.steps.length - 1 && (
          <button
            type="button"
            className="btn btn-outline h-24! px-6 text-xl!"
            onClick={() => move(setAside(plan, state, Date.now()))}
          >
            Let it run, go on
          </button>
        )}
      </footer>
    </main>
  );
}
