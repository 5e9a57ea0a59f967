import { useId, useState } from 'react';
import { AMOUNTS, FEELS, PEELS, type Amount, type ScrapReading } from '../../core/scrap';
import { plainMessage, type ApiError } from '../../ui/api';
import Field from '../../ui/Field';
import { faultsOf, typedBendingLength, typedOverhang, typedShrink } from '../../ui/typed-figures';
import { useUnits } from '../../ui/units-context';

interface Props {
  /** What was read before, if it was. */
  start: ScrapReading | undefined;
  /** Overhang of the bare cloth that another piece has already. */
  knownBefore: number | null;
  /** Whether anything is glued, so that peeling tells something. */
  glued: boolean;
  expected: { low: number; high: number };
  onSave: (reading: ScrapReading) => Promise<void>;
}

const AMOUNT_WORDS: Record<'bubbles' | 'showThrough' | 'glueThrough', { title: string; words: Record<Amount, string> }> = {
  bubbles: { title: 'Bubbles', words: { none: 'none', some: 'a few', much: 'many' } },
  showThrough: { title: 'Shows on the face', words: { none: 'nothing', some: 'a little', much: 'plainly' } },
  glueThrough: { title: 'Glue came through', words: { none: 'no', some: 'a little', much: 'yes' } },
};

/** What is looked for on the face where nothing was glued. */
const MARKS_TITLE = 'Flakes, water marks or scorch on the face';

const EMPTY: ScrapReading = {
  overhangBefore: null,
  overhangAfter: null,
  peel: null,
  bubbles: 'none',
  showThrough: 'none',
  glueThrough: 'none',
  shrink: null,
  feel: null,
  note: '',
};

/** What is seen and felt on one piece, mostly by tapping. */
export default function ReadingForm({ start, knownBefore, glued, expected, onSave }: Props) {
  const id = useId();
  const { system, length } = useUnits();
  const [reading, setReading] = useState<ScrapReading>(start ?? { ...EMPTY, overhangBefore: knownBefore });
  const asText = (mm: number | null) => (mm === null ? '' : length(mm));
  const [before, setBefore] = useState(asText(start?.overhangBefore ?? knownBefore));
  const [after, setAfter] = useState(asText(start?.overhangAfter ?? null));
  const [shrink, setShrink] = useState(start?.shrink === null || start === undefined ? '' : String(start.shrink));
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const set = (change: Partial<ScrapReading>) => setReading((was) => ({ ...was, ...change }));

  const save = async () => {
    const typed = {
      overhangBefore: typedOverhang(before, system),
      overhangAfter: typedOverhang(after, system),
      shrink: typedShrink(shrink),
    };
    const found = faultsOf(typed);
    setErrors(found);
    if (Object.keys(found).length > 0) return;
    setBusy(true);
    try {
      await onSave({
        ...reading,
        overhangBefore: typed.overhangBefore.value,
        overhangAfter: typed.overhangAfter.value,
        shrink: typed.shrink.value,
      });
    } catch (problem) {
      const error = problem as ApiError;
      setErrors({ [(error.field ?? 'general').replace('reading.', '')]: plainMessage(error) });
    } finally {
      setBusy(false);
    }
  };
  const measured = typedBendingLength(after, system);
  const choices = <T extends string | number>(
    legend: string,
    options: readonly (readonly [T, string])[],
    value: T | null,
    pick: (value: T) => void,
  ) => (
    <fieldset>
      <legend className="mb-1 font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-1.5">
        {options.map(([option, words]) => (
          <label
            key={option}
            className={`flex min-h-[44px] cursor-pointer items-center gap-2 rounded-field border-2 px-3 ${value === option ? 'border-primary bg-base-100 font-semibold' : 'border-base-300 hover:border-primary'}`}
          >
            <input
              type="radio"
              className="radio radio-primary radio-sm"
              name={`${id}-${legend}`}
              checked={value === option}
              onChange={() => pick(option)}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
  const line = (key: string, label: string, value: string, change: (text: string) => void, hint?: string) => (
    <Field label={label} id={`${id}-${key}`} error={errors[key]} hint={hint}>
      <input
        id={`${id}-${key}`}
        className={`input ${errors[key] ? 'input-error' : ''}`}
        value={value}
        autoComplete="off"
        aria-invalid={errors[key] !== undefined}
        onChange={(e) => change(e.target.value)}
      />
    </Field>
  );
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {glued &&
        choices(
          'Peel a corner by hand: it …',
          PEELS.map(({ step, words }) => [step, `${step} ${words}`] as const),
          reading.peel,
          (peel) => set({ peel }),
        )}
      <div className="grid gap-4 xl:grid-cols-3">
        {(glued ? (['bubbles', 'showThrough', 'glueThrough'] as const) : (['showThrough'] as const)).map((key) => (
          <div key={key}>
            {choices(
              glued ? AMOUNT_WORDS[key].title : MARKS_TITLE,
              AMOUNTS.map((amount) => [amount, AMOUNT_WORDS[key].words[amount]] as const),
              reading[key],
              (amount) => set({ [key]: amount }),
            )}
          </div>
        ))}
      </div>
      {choices(
        'It feels',
        FEELS.map((feel) => [feel, feel] as const),
        reading.feel,
        (feel) => set({ feel }),
      )}
      <div className="grid gap-4 sm:grid-cols-3">
        {line('overhangBefore', 'Overhang of the bare cloth', before, setBefore)}
        {line(
          'overhangAfter',
          'Overhang of this piece',
          after,
          setAfter,
          measured === undefined
            ? 'On the 41.5° jig, cold.'
            : `Bending length ${Math.round(measured)} mm; expected ${Math.round(expected.low)} to ${Math.round(expected.high)}.`,
        )}
        {line('shrink', 'Shrank, %', shrink, setShrink, 'Leave empty when not measured.')}
      </div>
      {line('note', 'Note', reading.note, (note) => set({ note }))}
      {errors['general'] && (
        <p role="alert" className="font-semibold text-error">
          {errors['general']}
        </p>
      )}
      <button className="btn btn-primary" disabled={busy}>
        Keep this piece
      </button>
    </form>
  );
}
