import { formatDuration, type LengthSystem } from '../../core/units';
import { UnitsProvider, useUnits } from '../../ui/units-context';
import type { BenchStep } from '../../core/bench';
import type { BenchRun } from '../../store/bench-runs';
import BenchDone from './BenchDone';
import BenchHeader from './BenchHeader';
import { useBenchRun } from './use-bench-run';
import ChangedSince from './ChangedSince';
import CheckBoxes from './CheckBoxes';
import WeighIt from './WeighIt';
import WhatItMayBe from './WhatItMayBe';
import type { JobLog } from '../../server/job-log';
import { actOf, mistedFirst, outlineOf, placeOf, regionOfStep, stopsOf } from '../../core/bench';
import DampButtons from './DampButtons';
import { Meanwhile } from './PlanNow';
import PressDrawing from './PressDrawing';
import { GlueOnIron } from '../../ui/steps/FaceAndGlue';
import StepDrawing from '../../ui/steps/StepDrawing';
import SheetDrawing from './SheetDrawing';

interface Props {
  run: BenchRun;
  sound: boolean;
  /** Where to go when it is done. */
  projectId: string;
  /** What is filed of each job, by its id. */
  logs: Record<string, JobLog>;
  /** Ids of its jobs that are in the logbook already. */
  filed: readonly string[];
  /** Names of its jobs whose layers were changed since it was planned. */
  changed: readonly string[];
}

/** Other work is only offered while something waits for so long, s. */
const WORTH_FILLING = 180;

/** The bench: one step at a time, for hands that hold an iron. Every move is kept at once, so a reload goes on where it was. */
export default function BenchView({ units, ...props }: Props & { units: LengthSystem }) {
  return (
    <UnitsProvider value={units}>
      <AtTheBench {...props} />
    </UnitsProvider>
  );
}

function AtTheBench({ run, sound, projectId, logs, filed, changed }: Props) {
  const { said } = useUnits();
  const bench = useBenchRun(run, sound);
  const { state, finished, flash, trouble, step, left, action, running, make, tap } = bench;
  const { plan } = run;
  if (finished) return <BenchDone run={{ ...run, state }} projectId={projectId} logs={logs} filed={filed} />;
  const stops = step?.stops ?? [];
  const pressing = step?.kind === 'press';
  const moving = pressing && left !== undefined && left > (step.seconds ?? 10) + 0.01;
  const sheet = step?.on === undefined ? undefined : plan.sheets?.[step.on];
  // Pressing has its map, a sheet its pieces; every other step is drawn with what the hands do, until its clock runs.
  const drawn = step !== undefined && (pressing || left === undefined);
  const mapped = pressing || (sheet && step?.kind !== 'wait');
  const place = step ? placeOf(step, Math.min(state.stop, stopsOf(step) - 1)) : { stop: 0, lift: 0, copy: 0 };
  const bigWord = wordOf(bench);
  return (
    // The whole screen is the target; the button says what a tap does, and the keyboard has the same.
    <main
      id="main"
      onClick={(event) => {
        if (!(event.target as HTMLElement).closest('button, a, label, input, select, summary, details, [data-own-touch]')) tap();
      }}
      className={`flex h-dvh flex-col overflow-hidden p-4 md:p-6 ${flash ? 'bg-accent' : ''}`}
    >
      <h1 className="sr-only">
        Bench: {plan.pieceName}, {plan.stackTitle}
      </h1>
      <BenchHeader run={run} bench={bench} projectId={projectId} />
      <p aria-live="polite" className="sr-only">
        {step && `Step ${state.step + 1} of ${plan.steps.length}: ${said(step.title)}. ${said(step.detail)}`}
      </p>
      <ChangedSince runId={run.id} names={changed} />
      {trouble && (
        <p role="alert" className="mt-2 rounded-box bg-error p-2 font-semibold text-error-content">
          {trouble}
        </p>
      )}
      {step && (
        <div
          className={`grid min-h-0 flex-1 items-center gap-x-6 ${drawn ? 'max-md:portrait:grid-rows-[minmax(0,2fr)_minmax(0,3fr)] md:grid-cols-2 landscape:grid-cols-2' : ''}`}
        >
          {drawn && (
            <div className="flex h-full min-h-0 items-center justify-center py-3">
              {sheet && mapped ? (
                <SheetDrawing sheet={sheet} step={step} plate={plan.plate} current={place.stop} />
              ) : pressing ? (
                <PressDrawing
                  outline={outlineOf(plan, step)}
                  region={regionOfStep(plan, step)}
                  plate={plan.plate}
                  stops={stops}
                  current={place.stop}
                />
              ) : (
                <StepDrawing
                  act={actOf(step)}
                  outline={outlineOf(plan, step)}
                  region={regionOfStep(plan, step)}
                  className="max-h-full w-full max-w-xl"
                />
              )}
            </div>
          )}
          <div className={`max-h-full overflow-y-auto py-2 ${drawn ? '' : 'mx-auto max-w-4xl text-center'}`}>
            <h2 className="text-[clamp(1.35rem,5.2dvh,2.4rem)] leading-tight font-bold text-balance">{said(step.title)}</h2>
            <p className="mt-3 text-[clamp(1.1rem,2.9dvh,1.4rem)] text-pretty whitespace-pre-line">{said(step.detail)}</p>
            {left !== undefined && (
              <p
                className={`mt-2 text-[6rem] leading-none font-bold md:text-[clamp(4.5rem,13vh,8rem)] ${state.pausedLeft !== null ? 'opacity-60' : ''}`}
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
            {step.kind === 'wait' && left !== undefined && (step.seconds ?? 0) >= WORTH_FILLING && <Meanwhile run={run.id} />}
            {pressing && stops.length > 0 && (
              <p className="mt-2 text-2xl font-semibold">
                Stop {Math.min(place.stop + 1, stops.length)} of {stops.length}
                {(step.lifts ?? 1) > 1 && `, lift ${place.lift + 1} of ${step.lifts}`}
                {(step.copies ?? 1) > 1 && `, piece ${place.copy + 1} of ${step.copies} here`}
              </p>
            )}
            {step.kind === 'wait' && left === undefined && state.stop === 0 && (
              <p className="mt-4 text-6xl font-bold">{formatDuration(step.seconds ?? 0)}</p>
            )}
            {step.until && (left !== undefined || state.stop > 0) && <WeighIt bench={bench} plan={plan} />}
            {step.until && left === undefined && state.stop > 0 && (
              <p role="status" className="mt-4 text-4xl font-bold">
                {step.until === 'damp' ? 'How damp is it?' : 'Is it dry?'}
              </p>
            )}
            {mistedFirst(state) && (
              <p className="mt-3 text-2xl font-bold text-accent">It had gone dry: mist it with water first.</p>
            )}
            {step.checks && (
              <CheckBoxes
                checks={step.checks}
                ticked={state.checks}
                tickedBy={state.tickedBy}
                narrow={Boolean(drawn)}
                onTick={(check, on) => make({ kind: 'tick', check, on })}
              />
            )}
            {step.troubles && (
              <WhatItMayBe
                troubles={(step.checks ?? []).flatMap((check) =>
                  state.checks.includes(check) ? [] : (step.troubles?.[check] ?? []),
                )}
                {...{ plan, state, work: step.work }}
                found={(state.causes ?? []).flatMap((each) => (each.work === (step.work ?? null) ? each.found : []))}
                onFound={(found, on) => make({ kind: 'cause', found, work: step.work ?? null, on })}
              />
            )}
            {actOf(step) === 'hoop' && (
              <a className="btn btn-outline mt-4 text-xl!" href={`/hoop?job=${jobOf(run, step)}`}>
                Where it lies in the hoop
              </a>
            )}
            {step.safety && <p className="mt-3 border-l-4 border-accent pl-3 text-left text-lg">{said(step.safety)}</p>}
            {pressing && <GlueOnIron />}
          </div>
        </div>
      )}
      <footer className="flex gap-3">
        <button
          type="button"
          onClick={tap}
          className={`btn h-[clamp(3.25rem,13dvh,6rem)]! flex-1 text-3xl! ${action.kind === 'pause' ? 'btn-outline' : 'btn-accent'}`}
        >
          {bigWord}
        </button>
        {action.kind === 'finish' && running.length > 0 && (
          <button
            type="button"
            className="btn btn-outline h-[clamp(3.25rem,13dvh,6rem)]! px-6 text-xl!"
            onClick={() => make({ kind: 'finish' })}
          >
            Finish all the same
          </button>
        )}
        {step?.until && (left !== undefined || state.stop > 0) && <DampButtons bench={bench} plan={plan} until={step.until} />}
        {step?.kind === 'wait' && state.step < plan.steps.length - 1 && state.stop === 0 && (
          <button
            type="button"
            className="btn btn-outline h-[clamp(3.25rem,13dvh,6rem)]! px-6 text-xl!"
            onClick={() => make({ kind: 'aside', step: state.step })}
          >
            Let it run, go on
          </button>
        )}
      </footer>
    </main>
  );
}

/** The job that a step is for. */
function jobOf({ plan, jobId }: BenchRun, { work }: BenchStep): string {
  return (work === undefined ? undefined : plan.works?.[work]?.jobId) ?? jobId;
}

/** What the one big target does, in words. */
function wordOf({ action, state, step, running }: ReturnType<typeof useBenchRun>): string {
  switch (action.kind) {
    case 'start':
      if (step?.kind !== 'press') return 'Start the clock';
      return state.stop === 0 ? 'Set the iron down: start' : 'Next stop: start';
    case 'pause':
      return 'Pause';
    case 'resume':
      return 'Go on';
    case 'finish':
      return running.length > 0 ? 'Something still cools: wait' : 'Finish and file it';
    case 'next':
      if (step?.until) return step.until === 'damp' ? 'Damp: go on' : 'Dry: go on';
      return 'Done, next step';
  }
}
