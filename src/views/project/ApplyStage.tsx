import { Play, Printer, RotateCcw } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Workplace } from '../../core/choose';
import { isFusible } from '../../core/layers';
import { openPiece } from '../../core/pieces';
import { actOf } from '../../core/bench';
import type { FoundSetting, Order } from '../../core/steps';
import { formatDuration } from '../../core/units';
import { useUnits } from '../../ui/units-context';
import type { ApiError } from '../../ui/api';
import { call } from '../../ui/api';
import { readableDate } from '../../ui/text';
import type { LastRun } from '../../server/job-log';
import type { Cloth } from '../../store/cloths';
import type { Settings } from '../../store/settings';
import type { PressTool } from '../../core/press';
import { FaceSigns, GlueOnIron } from '../../ui/steps/FaceAndGlue';
import StepDrawing from '../../ui/steps/StepDrawing';
import ToolChoice, { hasPress } from '../bench/ToolChoice';
import type { StageLayer } from './CutStage';
import { layerRegions, workSteps } from '../../core/techniques';
import { shownJob } from './shown-job';
import type { Worked } from './worked';

interface Props {
  work: Worked;
  cloth: Cloth | undefined;
  layers: StageLayer[];
  settings: Settings;
  /** Where and with what the person works. */
  workplace: Workplace;
  /** What scraps found for its layers on its cloth. */
  found: readonly FoundSetting[];
  /** When its pieces are cut and fused. */
  order: Order | undefined;
  /** Ground under the ring of its hoop, mm²; where it is hooped. */
  underHoop: number | undefined;
  /** The run in which it was worked last. */
  lastRun: LastRun | undefined;
  /** How the recipe is sewn that its piece was made by. */
  notes: readonly string[];
  /** Bench run that has been started and not finished. */
  openRun: string | undefined;
  onChoose: () => void;
  onFile: () => void;
}

const STAGE_HEADINGS = { prepare: 'Prepare', cut: 'Cut', apply: 'Apply', check: 'Check', finish: 'Afterwards' } as const;

/** What will be done at the bench, and the way there. */
export default function ApplyStage({
  work,
  cloth,
  layers,
  settings,
  workplace,
  found,
  order,
  underHoop,
  openRun,
  notes,
  lastRun,
  onChoose,
  onFile,
}: Props) {
  const { said } = useUnits();
  const [error, setError] = useState<string>();
  const press = hasPress(settings);
  const [tool, setTool] = useState<PressTool>(press ? 'press' : 'iron');
  const job = useMemo(
    () => shownJob(work, cloth, layers, settings, { found, order, underHoop, ...workplace }),
    [work, cloth, layers, settings, order, underHoop, workplace, found],
  );
  const [steps, regions] = useMemo(() => (job ? [workSteps(job), layerRegions(job)] : [[], []]), [job]);
  if (!cloth || !work.stack) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">Nothing to put on yet</h2>
        <p className="mt-1">
          Say which cloth “{work.name}” is cut from and choose its layers; then the bench leads through the work.
        </p>
        <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
          {cloth ? 'Choose the layers' : 'Say which cloth'}
        </button>
      </div>
    );
  }
  const done = openRun ? undefined : lastRun;
  const glued = layers.some(({ material }) => material !== undefined && isFusible(material.form));
  const { outline } = openPiece(work);
  const start = async () => {
    setError(undefined);
    try {
      const run = await call<{ id: string }>('POST', `/api/jobs/${work.id}/bench?tool=${tool}`);
      location.assign(`/bench/${run.id}`);
    } catch (problem) {
      setError((problem as ApiError).message);
    }
  };
  return (
    <div className="sheet break-inside-auto p-5" data-print>
      <div className="flex flex-wrap items-start justify-between gap-4">
        <div>
          <h2 className="text-xl font-bold">At the bench: “{work.name}”</h2>
          <p className="quiet">
            {steps.length} steps, one at a time, with the timers running. The material’s own leaflet goes before what is said
            here.
          </p>
        </div>
        <button type="button" className="btn no-print" onClick={() => print()}>
          <Printer size={18} aria-hidden="true" /> Print the steps
        </button>
        {press && !openRun && <ToolChoice tool={tool} onChoose={setTool} />}
        <button type="button" className={`btn ${done ? '' : 'btn-primary'}`} onClick={() => void start()}>
          {openRun ? <RotateCcw size={19} aria-hidden="true" /> : <Play size={19} aria-hidden="true" />}
          {openRun ? 'Go on where it was' : done ? 'Work it once more' : 'Start at the bench'}
        </button>
      </div>
      {done && (
        <p className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-success pl-3">
          <span>It was worked at the bench on {readableDate(done.finishedAt)}.</span>
          <button type="button" className="btn btn-primary" onClick={onFile}>
            {done.filed ? 'See what was filed' : 'File how it came out'}
          </button>
        </p>
      )}
      {layers.some(({ material }) => material?.form === 'liquid') && (
        <p className="mt-3">
          <a className="font-semibold text-primary underline underline-offset-2" href={`/wet?job=${work.id}`}>
            How much liquid it takes, and how long it hangs
          </a>
        </p>
      )}
      {error && (
        <p role="alert" className="mt-3 font-semibold text-error">
          {error}
        </p>
      )}
      {glued && <FaceSigns knit={cloth.construction === 'knit'} dark={cloth.tone === 'dark'} />}
      {glued && <GlueOnIron />}
      <ol className="mt-4 space-y-3">
        {steps.map((step, i) => (
          <li key={step.id} className="grid break-inside-avoid grid-cols-[2.2rem_1fr_9.5rem] gap-3">
            <span className="text-right text-lg font-bold text-primary">{i + 1}</span>
            <div>
              {(i === 0 || steps[i - 1]!.stage !== step.stage) && (
                <p className="quiet text-[0.85rem] font-semibold">{STAGE_HEADINGS[step.stage]}</p>
              )}
              <p className="font-semibold">
                {said(step.title)}
                {step.seconds !== undefined && step.kind === 'wait' ? ` (${formatDuration(step.seconds)})` : ''}
              </p>
              <p className="whitespace-pre-line">{said(step.detail)}</p>
              {step.safety && <p className="border-l-4 border-accent pl-2">{said(step.safety)}</p>}
              {step.checks && (
                <ul className="list-disc pl-5">
                  {step.checks.map((check) => (
                    <li key={check}>{said(check)}</li>
                  ))}
                </ul>
              )}
            </div>
            <StepDrawing
              act={actOf(step)}
              outline={outline}
              region={step.layer === undefined ? [] : regions[step.layer]}
              className="w-38"
            />
          </li>
        ))}
      </ol>
      {notes.length > 0 && (
        <section className="mt-5 break-inside-avoid" aria-labelledby="how-sewn">
          <h3 id="how-sewn" className="chalk-heading">
            Then, how it is sewn
          </h3>
          <ol className="mt-1 list-decimal space-y-1 pl-6">
            {notes.map((note) => (
              <li key={note}>{said(note)}</li>
            ))}
          </ol>
        </section>
      )}
    </div>
  );
}
