import { addDays, format } from 'date-fns';
import { Play, Printer, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { isGlued } from '../../core/layers';
import { bestCell, faultsOf, outcomeOf, type Outcome } from '../../core/scrap';
import { ApiError, call } from '../../ui/api';
import { CheckField } from '../../ui/form/form-fields';
import ScrapDrawing from '../../ui/ScrapDrawing';
import { cellWords } from '../../ui/scrap-words';
import { readableDate, today } from '../../ui/text';
import { undoToast } from '../../ui/undo-toast';
import { useUnits } from '../../ui/units-context';
import type { Scrap } from '../../store/scraps';
import type { StageLayer } from '../project/CutStage';
import type { Worked } from '../project/worked';
import { bareOf } from './bare';
import ReadingForm from './ReadingForm';
import ReadSummary from './ReadSummary';
import WashPanel from './WashPanel';

interface Props {
  work: Worked;
  layers: StageLayer[];
  scrap: Scrap;
  onScrap: (scrap: Scrap) => void;
  onGone: (scrap: Scrap) => void;
  onNext: () => void;
  onAnother: () => void;
}

/** A wash is looked at after about a week of wear and one round in the machine. */
const DAYS_TO_WASH = 7;

const OUTCOME_WORDS: Record<Outcome, string> = { good: 'good', fair: 'passable', poor: 'not usable' };

/** A scrap test that was started: the card, the timers, the readings, what is taken, the wash. */
export default function Trial({ work, layers, scrap, onScrap, onGone, onNext, onAnother }: Props) {
  const units = useUnits();
  const [open, setOpen] = useState(
    () => scrap.chosen ?? scrap.plan.cells.find(({ name }) => !scrap.readings[name])?.name ?? scrap.plan.cells[0]!.name,
  );
  const [error, setError] = useState<string>();
  const [due, setDue] = useState(format(addDays(new Date(), DAYS_TO_WASH), 'yyyy-MM-dd'));
  const washed = work.wish.care !== 'none' && work.wish.care !== 'dry-clean';
  const [remind, setRemind] = useState(washed);
  const sprayed = scrap.plan.grid === 'spray';
  const compared = scrap.plan.grid === 'candidates';
  // Stacks that are compared may be glued though the job's own is not.
  const glued = !sprayed && (compared || layers.some(({ material }) => material !== undefined && isGlued(material.form)));
  const wanted = compared ? work.wish.hand : undefined;
  const cell = scrap.plan.cells.find(({ name }) => name === open)!;
  const read = Object.keys(scrap.readings).length;
  const best = bestCell(scrap.plan.cells, scrap.readings, wanted);
  const outcomes = Object.fromEntries(
    Object.entries(scrap.readings).map(([name, reading]) => [name, outcomeOf(reading, wanted)]),
  );
  const bare = bareOf(Object.values(scrap.readings));
  // An open field that was read can be taken instead of the best.
  const other = open !== best && scrap.readings[open] ? open : undefined;
  const file = (chosen: string) =>
    void put('file', { chosen, doneOn: today(), washDue: remind && due ? due : null }).then(
      () => {
        // A stack that won may hold layers that this page has not seen yet.
        if (compared) location.assign(`?job=${work.id}&stage=scrap`);
        toast('Filed. The next choice knows of it.');
      },
      (problem: Error) => setError(problem.message),
    );
  const bestPiece = scrap.plan.cells.find(({ name }) => name === best);
  const titles = scrap.plan.stacks?.map(({ title }) => title);

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
  const { filedOn, washDue, plan } = scrap;
  const wash = filedOn && washDue && (
    <WashPanel
      scrap={{ ...scrap, washDue }}
      glued={glued}
      onSave={async (seen) => {
        await put('wash', { ...seen, doneOn: today() });
        toast('The wash is filed.');
      }}
    />
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
            <ScrapDrawing plan={plan} titles={titles} outcomes={outcomes} chosen={scrap.chosen} open={open} onOpen={setOpen} />
            {best && (
              <div className="border-l-4 border-accent pl-3">
                <p>
                  Best so far: <strong>{best}</strong>
                  {bestPiece && `, ${cellWords(bestPiece, titles)}`}, {OUTCOME_WORDS[outcomes[best]!]}.
                  {sprayed && ' The least that holds is enough.'}
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
              {sprayed ? 'Strips' : 'Piece'} {open}: {cellWords(cell, titles)}
            </h3>
            {scrap.filedOn ? (
              <ReadSummary reading={scrap.readings[open]} length={units.length} />
            ) : (
              <ReadingForm
                key={open}
                draftKey={`scrap ${scrap.id} ${open}`}
                start={scrap.readings[open]}
                bare={bare}
                sprayed={sprayed}
                glued={glued}
                expected={sprayed ? undefined : (plan.stacks?.[cell.candidate ?? 0]?.predicted ?? scrap.predicted)}
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
