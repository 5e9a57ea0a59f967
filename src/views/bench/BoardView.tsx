import { CalendarClock, Droplets, Play, TimerReset } from 'lucide-react';
import { useEffect, useState } from 'react';
import { formatDuration } from '../../core/units';
import { call, plainMessage, type ApiError } from '../../ui/api';
import { counted, keepUnits, readableDate } from '../../ui/text';
import type { PressTool } from '../../core/press';
import SmallDrawing from '../../ui/SmallDrawing';
import PlanNow from './PlanNow';
import ToolChoice from './ToolChoice';
import type { BenchBoard } from '../../server/bench-board';

interface Props {
  board: BenchBoard;
  press: boolean;
  /** Whoever comes from a project finds its jobs ticked. */
  project?: string | null;
}

/** What is open at the bench across all projects, what cools or dries there, and what can be put on next. */
export default function BoardView({ board, press, project: asked }: Props) {
  const [now, setNow] = useState<number>();
  const [chosen, setChosen] = useState<string[]>(
    board.ready.filter(({ projectId }) => projectId === asked).flatMap(({ jobs }) => jobs.map(({ id }) => id)),
  );
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [tool, setTool] = useState<PressTool>(press ? 'press' : 'iron');
  useEffect(() => {
    setNow(Date.now());
    const tick = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(tick);
  }, []);
  const start = async () => {
    setBusy(true);
    setError(undefined);
    try {
      const run = await call<{ id: string }>('POST', '/api/bench', { jobIds: chosen, tool });
      location.assign(`/bench/${run.id}`);
    } catch (problem) {
      setError(plainMessage(problem as ApiError));
      setBusy(false);
    }
  };
  const toggle = (id: string) => setChosen((all) => (all.includes(id) ? all.filter((each) => each !== id) : [...all, id]));
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">Bench</h1>
        <p className="flex flex-wrap gap-2">
          <a className="btn" href="/day">
            <CalendarClock size={18} aria-hidden="true" /> The working day
          </a>
          <a className="btn" href="/wet">
            <Droplets size={18} aria-hidden="true" /> Sprays, starch, soaking
          </a>
        </p>
      </div>
      <PlanNow />
      <section className="mt-3" aria-label="Open at the bench">
        <h2 className="chalk-heading">Open</h2>
        {board.runs.length === 0 ? (
          <p className="mt-1">Nothing is under way.</p>
        ) : (
          <ul className="mt-2 grid gap-3 md:grid-cols-2">
            {board.runs.map(({ id, name, project, scrap, step, steps, title, timers }) => (
              <li key={id} className="sheet flex flex-wrap items-center gap-3 p-4">
                <div className="min-w-0 flex-1">
                  <h3 className="leading-snug font-bold">
                    {name}
                    {scrap && ', on a scrap'}
                  </h3>
                  <p className="quiet text-[0.92rem]">{project}</p>
                  <p className="leading-snug">
                    Step {step} of {steps}: {keepUnits(title)}
                  </p>
                  {now !== undefined &&
                    timers.map(({ label, endsAt }) => {
                      const rest = Math.max(0, (Date.parse(endsAt) - now) / 1000);
                      return (
                        <p key={label + endsAt} className="flex items-center gap-2 font-semibold">
                          <TimerReset size={17} aria-hidden="true" /> {label}: {rest === 0 ? 'ready' : formatDuration(rest)}
                        </p>
                      );
                    })}
                </div>
                <a className="btn btn-primary" href={`/bench/${id}`}>
                  Go on
                </a>
              </li>
            ))}
          </ul>
        )}
      </section>
      {board.toFile.length > 0 && (
        <section className="mt-6" aria-label="Done, to be filed">
          <h2 className="chalk-heading">Done, to be filed</h2>
          <ul className="mt-1">
            {board.toFile.map(({ id, name, runId, finishedAt }) => (
              <li key={id} className="flex min-h-[48px] flex-wrap items-center justify-between gap-x-3">
                <span>
                  <strong>{name}</strong>, worked on {readableDate(finishedAt)}
                </span>
                <a className="btn" href={`/bench/${runId}`}>
                  File how it came out
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section className="mt-6" aria-label="What can be done next">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <h2 className="chalk-heading">Next</h2>
          {press && <ToolChoice tool={tool} onChoose={setTool} />}
          <button type="button" className="btn btn-primary" disabled={chosen.length === 0 || busy} onClick={() => void start()}>
            <Play size={18} aria-hidden="true" />
            {chosen.length < 2 ? 'Start it at the bench' : `Start ${counted(chosen.length, 'job')} as one batch`}
          </button>
        </div>
        {error && (
          <p role="alert" className="mt-2 font-semibold text-error">
            {error}
          </p>
        )}
        {board.ready.length === 0 ? (
          <p className="sheet mt-2 p-5">
            A job comes here when its layers are chosen.{' '}
            <a className="font-semibold text-primary underline" href="/projects">
              To the projects
            </a>
          </p>
        ) : (
          <div className="mt-2 grid gap-4 md:grid-cols-2">
            {board.ready.map(({ projectId, project, jobs }) => (
              <fieldset key={projectId} className="sheet p-4">
                <legend className="px-1 font-bold">{project}</legend>
                {jobs.length > 1 && (
                  <label className="quiet flex min-h-11 cursor-pointer items-center gap-3">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-primary"
                      checked={jobs.every(({ id }) => chosen.includes(id))}
                      onChange={({ target: { checked } }) =>
                        setChosen((all) => [
                          ...all.filter((each) => !jobs.some(({ id }) => id === each)),
                          ...(checked ? jobs.map(({ id }) => id) : []),
                        ])
                      }
                    />
                    All {jobs.length} of them
                  </label>
                )}
                <ul className="space-y-1">
                  {jobs.map(({ id, name, stackTitle, count, uncut }) => (
                    <li key={id}>
                      <label className="flex min-h-[52px] cursor-pointer items-center gap-3">
                        <input
                          type="checkbox"
                          className="checkbox checkbox-primary"
                          checked={chosen.includes(id)}
                          onChange={() => toggle(id)}
                        />
                        <SmallDrawing of="jobs" id={id} className="h-10 w-16" />
                        <span className="leading-snug">
                          <strong>{name}</strong>, {counted(count, 'piece')}
                          <span className="quiet block text-[0.92rem]">
                            {keepUnits(stackTitle)}
                            {uncut && ` · ${uncut} still to be cut`}
                          </span>
                        </span>
                      </label>
                    </li>
                  ))}
                </ul>
              </fieldset>
            ))}
          </div>
        )}
      </section>
    </>
  );
}
