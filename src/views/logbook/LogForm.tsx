import { useId, useState } from 'react';
import { COVERS, type Cover, type Predicted } from '../../core/layers';
import type { ApiError } from '../../ui/api';
import { call, plainMessage } from '../../ui/api';
import Field from '../../ui/Field';
import { today } from '../../ui/text';
import { typedBendingLength, typedOverhang } from '../../ui/typed-figures';
import RestoredDraft from '../../ui/RestoredDraft';
import { useDraft } from '../../ui/use-draft';
import { useUnits } from '../../ui/units-context';
import type { LogEntry } from '../../store/log';

interface Props {
  start: Pick<
    LogEntry,
    'jobId' | 'benchRunId' | 'kind' | 'title' | 'clothId' | 'clothName' | 'stackTitle' | 'layerIds' | 'settings'
  > & { predicted: Predicted };
  /** What was to be checked, and what was ticked. */
  checks: string[];
  ticked: string[];
  onFiled: (entry: LogEntry) => void;
}

const OUTCOMES: [LogEntry['outcome'], string][] = [
  ['good', 'It came out well'],
  ['fair', 'It is passable'],
  ['poor', 'It went wrong'],
];
const COVER_WORDS: Record<Cover, string> = {
  none: 'no cover',
  paper: 'baking paper',
  cloth: 'thin cotton',
  organza: 'silk organza',
  'damp-cloth': 'damp cloth',
};
const IRON_WORDS = ['not pressed', 'cool', 'medium', 'hot'];

/** Files how it went: outcome, checks, settings that were really used, and an overhang reading if one was taken. */
export default function LogForm({ start, checks, ticked, onFiled }: Props) {
  const id = useId();
  const units = useUnits();
  const [outcome, setOutcome] = useState<LogEntry['outcome']>('good');
  const [held, setHeld] = useState(ticked);
  const typed = useDraft(`log ${start.benchRunId ?? start.jobId ?? start.title}`, () => ({
    settings: start.settings,
    reading: '',
    note: '',
  }));
  const { settings, reading, note } = typed.now;
  const setSettings = (change: typeof settings) => typed.set({ settings: change });
  const setReading = (change: string) => typed.set({ reading: change });
  const setNote = (change: string) => typed.set({ note: change });
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);

  const { value: overhang, fault: readingFault } = typedOverhang(reading, units.system);
  const measured = typedBendingLength(reading, units.system) ?? null;

  const file = async () => {
    setBusy(true);
    setErrors({});
    const { predicted, ...kept } = start;
    try {
      const entry = await call<LogEntry>('POST', '/api/log', {
        ...kept,
        settings,
        doneOn: today(),
        checks: { held, failed: checks.filter((check) => !held.includes(check)) },
        outcome,
        predictedBendingLength: predicted.bendingLength,
        predictedLow: predicted.low,
        predictedHigh: predicted.high,
        overhang,
        note,
      });
      typed.anew();
      onFiled(entry);
    } catch (problem) {
      const error = problem as ApiError;
      setErrors({ [error.field ?? 'general']: plainMessage(error) });
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="mt-3 space-y-5"
      onSubmit={(event) => {
        event.preventDefault();
        void file();
      }}
    >
      <RestoredDraft draft={typed} />
      <fieldset>
        <legend className="mb-1 font-semibold">How did it come out?</legend>
        <div className="join flex-wrap">
          {OUTCOMES.map(([value, words]) => (
            <input
              key={value}
              type="radio"
              name={`${id}-outcome`}
              className="btn join-item"
              aria-label={words}
              checked={outcome === value}
              onChange={() => setOutcome(value)}
            />
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-semibold">What is right</legend>
        <div className="grid gap-x-6 sm:grid-cols-2">
          {checks.map((check) => (
            <label key={check} className="flex min-h-[44px] cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-primary"
                checked={held.includes(check)}
                onChange={(e) => setHeld(e.target.checked ? [...held, check] : held.filter((c) => c !== check))}
              />
              {check}
            </label>
          ))}
        </div>
      </fieldset>
      {start.settings.seconds > 0 && (
        <div className="grid gap-4 sm:grid-cols-3">
          <Field label="Iron" id={`${id}-iron`}>
            <select
              id={`${id}-iron`}
              className="select"
              value={settings.ironDots}
              onChange={(e) => setSettings({ ...settings, ironDots: Number(e.target.value) })}
            >
              {IRON_WORDS.map((word, dots) => (
                <option key={word} value={dots}>
                  {word}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Seconds a stop" id={`${id}-seconds`} error={errors['settings.seconds']}>
            <input
              id={`${id}-seconds`}
              className="input"
              type="number"
              min={0}
              max={600}
              value={settings.seconds}
              onChange={(e) => setSettings({ ...settings, seconds: Number(e.target.value) })}
            />
          </Field>
          <Field label="Cover" id={`${id}-cover`}>
            <select
              id={`${id}-cover`}
              className="select"
              value={settings.cover}
              onChange={(e) => setSettings({ ...settings, cover: e.target.value as Cover })}
            >
              {COVERS.map((cover) => (
                <option key={cover} value={cover}>
                  {COVER_WORDS[cover]}
                </option>
              ))}
            </select>
          </Field>
        </div>
      )}
      <div className="grid gap-4 sm:grid-cols-[16rem_1fr]">
        <Field
          label="Overhang, if you took it"
          id={`${id}-overhang`}
          error={readingFault ?? errors['overhang']}
          hint={
            measured === null
              ? 'On the 41.5° jig, such as 62 mm.'
              : `Bending length ${Math.round(measured)} mm; expected ${Math.round(start.predicted.low)} to ${Math.round(start.predicted.high)}.`
          }
        >
          <input
            id={`${id}-overhang`}
            className="input"
            value={reading}
            autoComplete="off"
            onChange={(e) => setReading(e.target.value)}
          />
        </Field>
        <Field label="Note to yourself" id={`${id}-note`} error={errors['note']}>
          <textarea
            id={`${id}-note`}
            className="textarea min-h-[44px]"
            rows={2}
            maxLength={4000}
            value={note}
            onChange={(e) => setNote(e.target.value)}
          />
        </Field>
      </div>
      {errors['general'] && (
        <p role="alert" className="font-semibold text-error">
          {errors['general']}
        </p>
      )}
      <button className="btn btn-primary" disabled={busy || readingFault !== undefined}>
        File it in the logbook
      </button>
    </form>
  );
}
