import { addDays, format, isPast, parseISO } from 'date-fns';
import { Play, Printer, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { undoToast } from '../../ui/undo-toast';
import { fabricOf } from '../../core/cloth';
import { isGlued, keptKey } from '../../core/layers';
import { schoolsOf } from '../../core/schools';
import {
  bestCell,
  faultsOf,
  outcomeOf,
  PEELS,
  scrapPlan,
  type Grid,
  type Outcome,
  type ScrapPlan,
  type ScrapReading,
} from '../../core/scrap';
import { settingWords } from '../../core/steps';
import { ApiError, call } from '../../ui/api';
import { CheckField } from '../../ui/form/form-fields';
import ScrapDrawing from '../../ui/ScrapDrawing';
import { keepUnits, readableDate, today } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import type { LogEntry } from '../../store/log';
import type { Scrap } from '../../store/scraps';
import type { Settings } from '../../store/settings';
import ReadingForm from '../scrap/ReadingForm';
import WashForm from '../scrap/WashForm';
import type { StageLayer } from './CutStage';
import type { Worked } from './worked';

interface Props {
  work: Worked;
  cloth: Cloth | undefined;
  layers: StageLayer[];
  settings: Settings;
  scraps: Scrap[];
  /** What was filed about this job's cloth and stack. */
  log: LogEntry[];
  onScrap: (scrap: Scrap) => void;
  onGone: (scrap: Scrap) => void;
  onChoose: () => void;
  onNext: () => void;
}

/** A wash is looked at after about a week of wear and one round in the machine. */
const DAYS_TO_WASH = 7;

const OUTCOME_WORDS: Record<Outcome, string> = { good: 'good', fair: 'passable', poor: 'not usable' };

/** Trying the pair on a scrap: the card, the timers, the readings, the setting that is taken, the wash. */
export default function ScrapStage(props: Props) {
  const { work, cloth, layers, settings, scraps, log, onChoose, onScrap } = props;
  const units = useUnits();
  const [grid, setGrid] = useState<Grid>();
  const [error, setError] = useState<string>();
  const [another, setAnother] = useState(false);
  if (!cloth || !work.stack) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">Nothing to try yet</h2>
        <p className="mt-1">Choose the layers of “{work.name}” first; then a scrap shows whether they hold.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
          Choose the layers
        </button>
      </div>
    );
  }
  const ids = work.stack.layers.map(keptKey).join();
  const mine = scraps.filter(({ layerIds, clothId }) => layerIds.join() === ids && clothId === cloth.id);
  const current = another ? undefined : mine[0];
  if (current) return <Trial {...props} key={current.id} scrap={current} onAnother={() => setAnother(true)} />;

  const known = layers.filter(
    (layer): layer is StageLayer & { material: NonNullable<StageLayer['material']> } => layer.material !== undefined,
  );
  const pressed = known.some(({ material }) => material.leaflet.seconds > 0);
  const tried = log.filter((entry) => entry.clothId === cloth.id && entry.layerIds.join() === ids);
  const asked: Grid = !pressed ? 'one' : (grid ?? (tried.length > 0 ? 'one' : 'seconds'));
  let plan: ScrapPlan;
  try {
    plan = scrapPlan(fabricOf(cloth), known, schoolsOf(settings.schools, work.stack.schools), asked);
  } catch (problem) {
    return (
      <div className="sheet p-6">
        <h2 className="chalk-heading">This stack cannot be tried</h2>
        <p className="mt-1">It {(problem as Error).message.replace(/^[^:]*: /, '')}.</p>
        <button type="button" className="btn btn-primary mt-4" onClick={onChoose}>
          Choose the layers
        </button>
      </div>
    );
  }
  const start = async () => {
    setError(undefined);
    try {
      onScrap(await call<Scrap>('POST', `/api/jobs/${work.id}/scraps`, { grid: asked }));
      setAnother(false);
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <div className="sheet p-5">
      <h2 className="text-xl font-bold">Try it on a scrap</h2>
      <p>
        {keepUnits(work.stack.title)} on {cloth.name}:{' '}
        {tried.length === 0
          ? 'a new pair in your logbook. A scrap of a few centimetres saves a spoilt piece.'
          : `tried ${tried.length === 1 ? 'once' : `${tried.length} times`} before. One piece is enough to make sure.`}
      </p>
      <div className="mt-4 grid gap-6 md:grid-cols-[1fr_20rem]">
        <div>
          <fieldset>
            <legend className="mb-1 font-semibold">How many settings</legend>
            <div className="space-y-1.5">
              {(
                [
                  ['one', 'one setting, as the leaflet says'],
                  ['seconds', 'three times of pressing'],
                  ['full', 'three times by the iron settings the cloth bears'],
                ] as [Grid, string][]
              ).map(([each, words]) => (
                <label key={each} className="flex min-h-[44px] cursor-pointer items-center gap-3">
                  <input
                    type="radio"
                    className="radio radio-primary"
                    name="scrap-grid"
                    disabled={!pressed && each !== 'one'}
                    checked={asked === each}
                    onChange={() => setGrid(each)}
                  />
                  {words}
                </label>
              ))}
            </div>
          </fieldset>
          {!pressed && <p className="quiet">Nothing of this is pressed, so one piece tells all.</p>}
          <p className="mt-3">
            Cut{' '}
            <strong>
              {plan.cells.length > 1
                ? `${plan.cells.length} pieces of ${units.size(plan.cellWidth, plan.cellHeight)}`
                : units.size(plan.width, plan.height)}
            </strong>{' '}
            of cloth and of each layer, along the grain.
          </p>
          {error && (
            <p role="alert" className="mt-2 font-semibold text-error">
              {error}
            </p>
          )}
          <button type="button" className="btn btn-primary mt-4" onClick={() => void start()}>
            Start the scrap test
          </button>
          <button type="button" className="btn btn-ghost mt-4" onClick={props.onNext}>
            Go on without
          </button>
        </div>
        <ScrapDrawing plan={plan} outcomes={{}} chosen={null} open="" onOpen={() => undefined} />
      </div>
    </div>
  );
}

/** A trial that was started. */
function Trial({ work, layers, scrap, onScrap, onGone, onNext, onAnother }: Props & { scrap: Scrap; onAnother: () => void }) {
  const units = useUnits();
  const [open, setOpen] = useState(
    () => scrap.chosen ?? scrap.plan.cells.find(({ name }) => !scrap.readings[name])?.name ?? scrap.plan.cells[0]!.name,
  );
  const [error, setError] = useState<string>();
  const [due, setDue] = useState(format(addDays(new Date(), DAYS_TO_WASH), 'yyyy-MM-dd'));
  const washed = work.wish.care !== 'none' && work.wish.care !== 'dry-clean';
  const [remind, setRemind] = useState(washed);
  const glued = layers.some(({ material }) => material !== undefined && isGlued(material.form));
  const cell = scrap.plan.cells.find(({ name }) => name === open)!;
  const read = Object.keys(scrap.readings).length;
  const best = bestCell(scrap.plan.cells, scrap.readings);
  const outcomes = Object.fromEntries(Object.entries(scrap.readings).map(([name, reading]) => [name, outcomeOf(reading)]));
  const knownBefore = Object.values(scrap.readings).find(({ overhangBefore }) => overhangBefore !== null)?.overhangBefore ?? null;
  // An open field that was read can be taken instead of the best.
  const other = open !== best && scrap.readings[open] ? open : undefined;
  const file = (chosen: string) =>
    void put('file', { chosen, doneOn: today(), washDue: remind && due ? due : null }).then(
      () => toast('Filed. The next choice knows of it.'),
      (problem: Error) => setError(problem.message),
    );
  const bestSetting = scrap.plan.cells.find(({ name }) => name === best)?.setting;

  /** Saves and hands on what is kept now; what another tab changed meanwhile is shown, and nothing overwritten. */
  const put = async (what: string, body: object): Promise<Scrap> => {
    try {
      const saved = await call<Scrap>('PUT', `/api/scraps/${scrap.id}/${what}`, { ...body, version: scrap.version });
      onScrap(saved);
      return saved;
    } catch (problem) {
      if (problem instanceof ApiError && problem.status === 409) {
        onScrap(problem.current as Scrap);
        throw new ApiError('Changed in another tab meanwhile. Look at the fields and keep it again.', 409, null);
      }
      throw problem;
    }
  };
  const run = async () => {
    try {
      const bench = await call<{ id: string }>('POST', `/api/scraps/${scrap.id}/bench`);
      location.assign(`/bench/${bench.id}`);
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  const remove = async () => {
    try {
      await call('DELETE', `/api/scraps/${scrap.id}`);
    } catch (problem) {
      setError((problem as Error).message);
      return;
    }
    onGone(scrap);
    undoToast('The scrap test is deleted.', async () => onScrap(await call<Scrap>('POST', `/api/scraps/${scrap.id}/restore`)));
  };
  const wash = scrap.filedOn && scrap.washDue && (
    <div className="sheet p-5">
      <h2 className="chalk-heading">After the wash</h2>
      {scrap.wash ? (
        <p>
          Looked at on {readableDate(scrap.wash.doneOn)}:{' '}
          {{ good: 'came out well', fair: 'passable', poor: 'went wrong' }[scrap.wash.outcome]}
          {scrap.wash.overhang !== null && `, overhang ${units.length(scrap.wash.overhang)}`}
          {scrap.wash.note && `. ${scrap.wash.note}`}
        </p>
      ) : (
        <>
          <p>
            {isPast(parseISO(scrap.washDue)) ? (
              <strong>Due since {readableDate(scrap.washDue)}.</strong>
            ) : (
              `Due on ${readableDate(scrap.washDue)}; you can do it earlier.`
            )}{' '}
            Wash the scrap as the finished thing will be washed, dry it, and look again.
          </p>
          <WashForm
            scrapId={scrap.id}
            glued={glued}
            onSave={async (wash) => {
              await put('wash', { ...wash, doneOn: today() });
              toast('The wash is filed.');
            }}
          />
        </>
      )}
    </div>
  );
  const washIsNext = scrap.filedOn !== null && scrap.wash === null;
  return (
    <div className="space-y-4">
      {washIsNext && wash}
      <div className="sheet p-5">
        <div className="flex flex-wrap items-start justify-between gap-3">
          <div>
            <h2 className="text-xl font-bold">Scrap of “{work.name}”</h2>
            <p className="quiet">
              {units.size(scrap.plan.width, scrap.plan.height)}, {read} of {scrap.plan.cells.length}{' '}
              {scrap.plan.cells.length === 1 ? 'piece' : 'pieces'} read
              {scrap.filedOn && `, filed ${readableDate(scrap.filedOn)}`}
            </p>
          </div>
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn" onClick={() => void run()}>
              <Play size={18} aria-hidden="true" /> Timers at the bench
            </button>
            <a className="btn" href={`/api/scraps/${scrap.id}/card.pdf`} download>
              <Printer size={18} aria-hidden="true" /> Card to pin to it
            </a>
            <button
              type="button"
              className="btn btn-ghost btn-icon"
              aria-label="Delete this scrap test"
              onClick={() => void remove()}
            >
              <Trash2 size={18} aria-hidden="true" />
            </button>
          </div>
        </div>
        {error && (
          <p role="alert" className="mt-2 font-semibold text-error">
            {error}
          </p>
        )}
        <div className="mt-4 grid items-start gap-6 xl:grid-cols-[19rem_1fr]">
          <div className="space-y-3">
            <ScrapDrawing plan={scrap.plan} outcomes={outcomes} chosen={scrap.chosen} open={open} onOpen={setOpen} />
            {best && (
              <div className="border-l-4 border-accent pl-3">
                <p>
                  Best so far: <strong>{best}</strong>
                  {bestSetting && bestSetting.seconds > 0 && `, ${settingWords(bestSetting)}`}, {OUTCOME_WORDS[outcomes[best]!]}.
                </p>
                {faultsOf(scrap.readings[best]!).length > 0 && (
                  <p className="quiet">{faultsOf(scrap.readings[best]!).join('; ')}</p>
                )}
              </div>
            )}
            {best && scrap.filedOn === null && (
              <div className="space-y-2">
                <CheckField label="look at it again after a wash" checked={remind} onChange={setRemind} />
                {remind && (
                  <label className="block">
                    <span className="font-semibold">Remind me on</span>
                    <input type="date" className="input" value={due} onChange={(e) => setDue(e.target.value)} />
                  </label>
                )}
                <button type="button" className="btn btn-primary w-full" onClick={() => file(best)}>
                  Take {best}
                  {scrap.plan.cells.length > 1 ? ', the best,' : ''} and file it
                </button>
                {other && (
                  <button type="button" className="btn w-full" onClick={() => file(other)}>
                    Take {other}, which is open, instead
                  </button>
                )}
              </div>
            )}
            {scrap.filedOn && (
              <div className="flex flex-wrap gap-2">
                <button type="button" className="btn btn-primary" onClick={onNext}>
                  On to cutting
                </button>
                <button type="button" className="btn" onClick={onAnother}>
                  Try another
                </button>
              </div>
            )}
          </div>
          <div>
            <h3 className="mb-2 chalk-heading">
              Piece {open}: {settingWords(cell.setting)}
            </h3>
            {scrap.filedOn ? (
              <ReadSummary reading={scrap.readings[open]} length={units.length} />
            ) : (
              <ReadingForm
                key={open}
                draftKey={`scrap ${scrap.id} ${open}`}
                start={scrap.readings[open]}
                knownBefore={knownBefore}
                glued={glued}
                expected={scrap.predicted}
                onSave={async (reading) => {
                  const saved = await put('cell', { cell: open, reading });
                  const next = saved.plan.cells.find(({ name }) => !saved.readings[name]);
                  toast(`Piece ${open} is kept.`);
                  if (next) setOpen(next.name);
                }}
              />
            )}
          </div>
        </div>
      </div>
      {!washIsNext && wash}
    </div>
  );
}

/** What was read on a piece of a scrap that is filed; it stays as it was. */
function ReadSummary({ reading, length }: { reading: ScrapReading | undefined; length: (mm: number) => string }) {
  if (!reading) return <p className="quiet">This piece was not read.</p>;
  const rows: [string, string][] = [
    ['Peel', reading.peel === null ? 'not tried' : PEELS[reading.peel - 1]!.words],
    ['Faults', faultsOf(reading).join('; ') || 'none'],
    ['Feel', reading.feel ?? 'not said'],
    ['Overhang before', reading.overhangBefore === null ? 'not measured' : length(reading.overhangBefore)],
    ['Overhang after', reading.overhangAfter === null ? 'not measured' : length(reading.overhangAfter)],
    ['Note', reading.note || 'none'],
  ];
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {rows.map(([term, value]) => (
          <div key={term} className="contents">
            <dt className="quiet">{term}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="quiet mt-3">Filed readings stay as they are. To read again, try another scrap.</p>
    </>
  );
}
