import { useEffect, useMemo, useState } from 'react';
import { AFTER_CHECKS, finishing } from '../../core/hoop';
import { widerBox, type Motif } from '../../core/motif';
import { ApiError, call, plainMessage } from '../../ui/api';
import { CheckField, SelectField } from '../../ui/form/form-fields';
import MotifCanvas from '../../ui/motif/MotifCanvas';
import { mapsOf } from '../../ui/motif/motif-runner';
import { counted, readableDate, today } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import type { Hooping } from '../../store/hoopings';
import type { MotifMaps } from '../../workers/motif.worker';
import DrawnDown from './DrawnDown';
import type { HoopingData } from './stages';

interface Props extends HoopingData {
  record: Hooping;
  stitches: Motif;
  /** Pieces of the set that are sewn. */
  sewn: number;
  /** Saves what is not saved yet, and gives the record as it then is. */
  onSaveFirst: () => Promise<Hooping | undefined>;
  onFiled: (hooping: Hooping) => void;
}

/** What is left of a cut-away sheet, mm: the least, the usual, the most. */
const TRIMS = [3, 4, 6] as const;
const OUTCOMES = [
  ['good', 'well'],
  ['fair', 'passably'],
  ['poor', 'badly'],
] as const;

/** Trimmed, looked at, filed; and looked at again after the wash. */
export default function CheckStage({ motif, sheets, stitches, sewn, record, onSaveFirst, onFiled }: Props) {
  const { result } = record;
  const { said } = useUnits();
  const [trim, setTrim] = useState<number>(4);
  const [maps, setMaps] = useState<MotifMaps>();
  const [wrong, setWrong] = useState<string[]>([]);
  const [outcome, setOutcome] = useState<(typeof OUTCOMES)[number][0]>('good');
  const [note, setNote] = useState('');
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);
  /** What a project's job takes is drawn down when its pieces are cut. */
  const [draw, setDraw] = useState(record.jobId === null);
  useEffect(() => {
    let gone = false;
    mapsOf(stitches, trim)
      .then((found) => !gone && setMaps(found))
      .catch((problem: Error) => setError(problem.message));
    return () => {
      gone = true;
    };
  }, [stitches, trim]);
  const { bounds } = motif.figures;
  const shown = useMemo(() => widerBox(bounds, trim), [bounds, trim]);
  const cut = sheets.some(({ material }) => material.ends === 'cut');
  const asked = AFTER_CHECKS.filter(({ washed }) => (result ? true : !washed));
  const all = result ? [...result.wrong, ...(result.washed?.wrong ?? wrong)] : wrong;
  const found = AFTER_CHECKS.filter(({ id }) => all.includes(id));
  const file = async () => {
    setBusy(true);
    setError(undefined);
    try {
      const saved = await onSaveFirst();
      if (!saved) return;
      const { version } = saved;
      const body = result ? { doneOn: today(), wrong, version } : { doneOn: today(), wrong, outcome, note, draw, version };
      onFiled(await call<Hooping>('POST', `/api/hoopings/${record.id}/${result ? 'wash' : 'file'}`, body));
      setWrong([]);
    } catch (problem) {
      setError(problem instanceof ApiError ? plainMessage(problem) : (problem as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const done = result !== null && result.washed !== null;
  /** Filed once for the whole set: a set that is not finished is asked about. */
  const [early, setEarly] = useState(false);
  const unfinished = !result && sewn < record.count;
  /** It is said to have come out well, though something is ticked that is not well. */
  const [sure, setSure] = useState(false);
  const doubtful = !result && outcome === 'good' && wrong.length > 0;
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[1fr_24rem]">
      <section className="min-w-0 space-y-3" aria-label="Trimming">
        <MotifCanvas
          motif={stitches}
          colours={motif.colours}
          bounds={shown}
          upTo={stitches.command.length}
          trims={cut ? maps?.trims : undefined}
          apart={cut ? maps?.apart : undefined}
          islands={maps && maps.islands.length > 1 ? maps.islands : undefined}
          label={`${motif.name} with the line to trim along`}
          height={440}
        />
        {cut && (
          <div className="flex flex-wrap items-center gap-3">
            <span className="font-semibold">Trim the sheet to</span>
            <div className="join" role="group" aria-label="Trim the sheet to">
              {TRIMS.map((mm) => (
                <button
                  key={mm}
                  type="button"
                  aria-pressed={trim === mm}
                  className={`btn join-item ${trim === mm ? 'btn-primary' : ''}`}
                  onClick={() => setTrim(mm)}
                >
                  {said(`${mm} mm`)}
                </button>
              ))}
            </div>
            <p className="quiet text-[0.95rem]">
              Never flush, or its edge sinks after washing.
              {maps &&
                maps.apart.length > 0 &&
                ' First cut it apart along the long dashes between the islands, so that the cloth between does not bunch.'}
            </p>
          </div>
        )}
        <ol className="space-y-2">
          {finishing(record.role, sheets).map(({ title, detail, safety }) => (
            <li key={title}>
              <p className="leading-snug font-semibold">{said(title)}</p>
              <p className="text-[0.95rem] leading-snug">{said(detail)}</p>
              {safety && <p className="mt-1 border-l-4 border-accent pl-2 text-[0.95rem] leading-snug">{said(safety)}</p>}
            </li>
          ))}
        </ol>
      </section>
      <section className="sheet space-y-3 p-4" aria-label="How it came out">
        {result && (
          <p>
            <strong>Filed on {readableDate(result.doneOn)}</strong>: it came out{' '}
            {OUTCOMES.find(([id]) => id === result.outcome)![1]}.{' '}
            <a className="font-semibold text-primary underline" href="/logbook">
              In the logbook
            </a>
          </p>
        )}
        {done ? (
          <p>
            Looked at after the wash on {readableDate(result.washed!.doneOn)}:{' '}
            {result.washed!.wrong.length === 0 ? 'still as it should be.' : 'see below.'}
          </p>
        ) : (
          <>
            <h2 className="chalk-heading">{result ? 'After the first wash' : 'Look closely: what is wrong?'}</h2>
            <p className="quiet text-[0.95rem]">Tick only what is. Everything else counts as right.</p>
            <div>
              {asked.map((check) => (
                <CheckField
                  key={check.id}
                  label={check.wrong}
                  checked={wrong.includes(check.id)}
                  onChange={(on) => setWrong(on ? [...wrong, check.id] : wrong.filter((id) => id !== check.id))}
                />
              ))}
            </div>
          </>
        )}
        {found.map(({ id, wrong: words, cause, remedy }) => (
          <div key={id} className="border-l-4 border-error pl-3">
            <p className="leading-snug font-semibold">{words}</p>
            <p className="text-[0.95rem] leading-snug">{said(cause)}</p>
            <p className="text-[0.95rem] leading-snug">
              <strong>Next time:</strong> {said(remedy)}
            </p>
          </div>
        ))}
        {!result && (
          <>
            <SelectField label="On the whole it came out" value={outcome} options={OUTCOMES} onChange={setOutcome} />
            <label className="block">
              <span className="font-semibold">Note</span>
              <textarea
                className="textarea"
                rows={2}
                maxLength={4000}
                value={note}
                onChange={(event) => setNote(event.target.value)}
              />
            </label>
          </>
        )}
        {!result && sheets.length > 0 && (
          <CheckField label="Take what it used off rolls, leftovers and bottle" checked={draw} onChange={setDraw} />
        )}
        <DrawnDown record={record} onChange={onFiled} />
        {error && (
          <p role="alert" className="font-semibold text-error">
            {error}
          </p>
        )}
        {unfinished && (
          <div className="border-l-4 border-accent pl-3">
            <p>
              {sewn === 0 ? 'Nothing is marked as sewn yet' : `${sewn} of ${record.count} are marked as sewn`}. It is filed once,
              for all of them.
            </p>
            <CheckField label="File it now all the same" checked={early} onChange={setEarly} />
          </div>
        )}
        {doubtful && (
          <div className="border-l-4 border-accent pl-3">
            <p>{counted(wrong.length, 'thing is', 'things are')} ticked as wrong. Did it come out well all the same?</p>
            <CheckField label="Well all the same" checked={sure} onChange={setSure} />
          </div>
        )}
        {!done && (
          <button
            type="button"
            className="btn btn-primary w-full"
            disabled={busy || (unfinished && !early) || (doubtful && !sure)}
            onClick={() => void file()}
          >
            {result ? 'File what the wash showed' : 'File it'}
          </button>
        )}
        {result && (
          <p className="quiet text-[0.95rem]">
            What this stack carried here corrects the next proposal for this cloth.{' '}
            <a className="font-semibold text-primary underline" href={`/hoop/motifs/${motif.id}?cloth=${record.clothId}`}>
              See it
            </a>
          </p>
        )}
      </section>
    </div>
  );
}
