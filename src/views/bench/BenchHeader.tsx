import { ArrowLeft, DoorOpen, FastForward, Pointer, Speech, TimerReset, Volume2, VolumeX } from 'lucide-react';
import { formatDuration } from '../../core/units';
import type { BenchRun } from '../../store/bench-runs';
import { canSpeak } from '../../ui/sounds';
import { useEffect, useState } from 'react';
import type { useBenchRun } from './use-bench-run';

interface Props {
  run: BenchRun;
  bench: ReturnType<typeof useBenchRun>;
  projectId: string;
}

/** Top of the bench: what is worked on, what cools or dries, how stops go on, sound, the way back and out. */
export default function BenchHeader({ run, bench, projectId }: Props) {
  const { plan } = run;
  const { state, now, loud, flowing, spoken, make, goBack, toggleFlow, toggleSound, toggleVoice } = bench;
  // Only the browser knows whether it can speak.
  const [speaks, setSpeaks] = useState(false);
  useEffect(() => setSpeaks(canSpeak()), []);
  return (
    <>
      <header className="flex flex-wrap items-center gap-1 sm:gap-3">
        <p className="min-w-0 flex-1 truncate text-lg max-md:basis-full">
          <strong>{plan.pieceName}</strong> · step {state.step + 1} of {plan.steps.length}
        </p>
        {state.timers.map((timer) => {
          const rest = Math.max(0, (Date.parse(timer.endsAt) - now) / 1000);
          return (
            <button
              key={timer.endsAt}
              type="button"
              className={`btn ${rest === 0 ? 'btn-accent' : 'btn-outline'} max-w-96 text-xl!`}
              onClick={() => make({ kind: 'dismiss', endsAt: timer.endsAt })}
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
          <button type="button" className="btn btn-ghost max-sm:px-2" aria-pressed={flowing} onClick={toggleFlow}>
            {flowing ? <FastForward size={20} aria-hidden="true" /> : <Pointer size={20} aria-hidden="true" />}
            <span className="max-sm:sr-only">{flowing ? 'Stops go on' : 'A tap a stop'}</span>
          </button>
        )}
        <button
          type="button"
          className="btn btn-ghost btn-icon max-sm:px-2"
          aria-label={loud ? 'Sound off' : 'Sound on'}
          onClick={toggleSound}
        >
          {loud ? <Volume2 size={22} aria-hidden="true" /> : <VolumeX size={22} aria-hidden="true" />}
        </button>
        {speaks && (
          <button
            type="button"
            className="btn btn-ghost btn-icon max-sm:px-2"
            aria-label={spoken ? 'Voice off' : 'Voice on: what comes is said aloud'}
            aria-pressed={spoken}
            onClick={toggleVoice}
          >
            <Speech size={22} aria-hidden="true" />
          </button>
        )}
        <button type="button" className="btn btn-ghost max-sm:px-2" onClick={goBack}>
          <ArrowLeft size={20} aria-hidden="true" /> Back
        </button>
        <a
          className="btn btn-ghost max-sm:px-2"
          href={plan.works ? '/bench' : `/projects/${projectId}?job=${run.jobId}&stage=apply`}
        >
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
    </>
  );
}
