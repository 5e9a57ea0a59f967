import { useId } from 'react';
import { lengthForField } from '../../core/units';
import { useWrite } from '../../ui/query';
import { scrapReadingSchema } from '../../schemas/scraps';
import FormErrors from '../../ui/form/FormErrors';
import { TextInput } from '../../ui/form/form-fields';
import RestoredDraft from '../../ui/form/RestoredDraft';
import { useKeptForm } from '../../ui/form/use-kept-form';
import type { Bare } from './bare';
import GiveFields from './GiveFields';
import ShrinkFields from './ShrinkFields';
import { AMOUNTS, FEELS, PEELS, type Amount, type ScrapReading } from '../../core/scrap';
import { ApiError } from '../../ui/api';
import { MARKED, readOverhang, readShrinkage, readSmall, typedBendingLength } from '../../ui/typed-figures';
import { useUnits } from '../../ui/units-context';

/** What is looked at on the face. */
const SEEN = ['bubbles', 'showThrough', 'glueThrough'] as const;

interface Props {
  /** Names the piece of the scrap, for what is typed and not saved yet. */
  draftKey: string;
  /** What was read before, if it was. */
  start: ScrapReading | undefined;
  /** What another piece has already of the bare cloth. */
  bare: Bare;
  /** Whether it is a pair of strips that was sprayed: its bias is pulled and its edge looked at. */
  sprayed: boolean;
  /** Whether anything is glued, so that peeling tells something. */
  glued: boolean;
  /** What the engine expects; nothing is told for a dose that is only tried. */
  expected: { low: number; high: number } | undefined;
  onSave: (reading: ScrapReading) => Promise<void>;
}

const AMOUNT_WORDS: Record<'bubbles' | 'showThrough' | 'glueThrough', { title: string; words: Record<Amount, string> }> = {
  bubbles: { title: 'Bubbles', words: { none: 'none', some: 'a few', much: 'many' } },
  showThrough: { title: 'Shows on the face', words: { none: 'nothing', some: 'a little', much: 'plainly' } },
  glueThrough: { title: 'Glue came through', words: { none: 'no', some: 'a little', much: 'yes' } },
};

/** What is looked for on the face where nothing was glued. */
const MARKS_TITLE = 'Flakes, water marks or scorch on the face';

/** What is seen and felt on one piece, mostly by tapping. */
export default function ReadingForm({ draftKey, start, bare, sprayed, glued, expected, onSave }: Props) {
  const id = useId();
  const { system, length } = useUnits();
  const asText = (mm: number | null | undefined) => (typeof mm === 'number' ? length(mm) : '');
  const of = useKeptForm({
    key: draftKey,
    schema: scrapReadingSchema,
    start: () => {
      const {
        overhangBefore,
        biasBefore,
        curlBefore,
        overhangAfter,
        biasAfter,
        curlAfter,
        shrink = null,
        ...seen
      } = {
        ...bare,
        ...start,
      } as Partial<ScrapReading>;
      const marked = lengthForField(MARKED, system);
      return {
        ...{ bubbles: 'none' as Amount, showThrough: 'none' as Amount, glueThrough: 'none' as Amount, note: '' },
        ...{ peel: null as number | null, feel: null as ScrapReading['feel'] },
        ...seen,
        overhangBefore: asText(overhangBefore),
        overhangAfter: asText(overhangAfter),
        biasBefore: asText(biasBefore),
        biasAfter: asText(biasAfter),
        curlBefore: asText(curlBefore),
        curlAfter: asText(curlAfter),
        shrinkBefore: marked,
        shrinkAfter: shrink === null ? '' : lengthForField(MARKED * (1 - shrink / 100), system),
      };
    },
    read: ({
      overhangBefore,
      overhangAfter,
      shrinkBefore,
      shrinkAfter,
      biasBefore,
      biasAfter,
      curlBefore,
      curlAfter,
      ...seen
    }) => ({
      ...seen,
      biasBefore: readSmall(biasBefore, system, 'biasBefore'),
      biasAfter: readSmall(biasAfter, system, 'biasAfter'),
      curlBefore: readSmall(curlBefore, system, 'curlBefore'),
      curlAfter: readSmall(curlAfter, system, 'curlAfter'),
      overhangBefore: readOverhang(overhangBefore, system, 'overhangBefore'),
      overhangAfter: readOverhang(overhangAfter, system, 'overhangAfter'),
      shrink: readShrinkage(shrinkBefore, shrinkAfter, system),
    }),
  });
  const { field, form } = of;
  const reading = form.watch();
  const set = (change: Partial<Pick<typeof reading, 'peel' | 'feel' | (typeof SEEN)[number]>>) => {
    for (const [key, value] of Object.entries(change)) form.setValue(key as keyof typeof change, value as never);
  };
  const saving = useWrite(onSave, {
    onSuccess: of.forget,
    onError: (problem) =>
      of.refuse(new ApiError(problem.message, problem.status, problem.field?.replace('reading.', '') ?? null)),
  });
  const measured = typedBendingLength(reading.overhangAfter, system);
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
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => void form.handleSubmit((seen) => saving.mutate(seen as ScrapReading))(event)}
    >
      <RestoredDraft draft={of} />
      {glued &&
        choices(
          'Peel a corner by hand: it …',
          PEELS.map(({ step, words }) => [step, `${step} ${words}`] as const),
          reading.peel,
          (peel) => set({ peel }),
        )}
      <div className={`grid gap-4 ${glued ? 'xl:grid-cols-3' : ''}`}>
        {(glued ? SEEN : (['showThrough'] as const)).map((key) => (
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
      <div className="grid gap-4 sm:grid-cols-2">
        <TextInput label="Overhang of the bare cloth" {...field('overhangBefore')} />
        <TextInput
          label="Overhang of this piece"
          {...field('overhangAfter')}
          hint={
            measured === undefined
              ? 'On the 41.5° jig, cold.'
              : `Bending length ${Math.round(measured)} mm${expected ? `; expected ${Math.round(expected.low)} to ${Math.round(expected.high)}` : ''}.`
          }
        />
        {!sprayed && <ShrinkFields before={field('shrinkBefore')} after={field('shrinkAfter')} typed={reading} />}
      </div>
      {sprayed && <GiveFields field={field} typed={reading} />}
      <TextInput label="Note" {...field('note')} maxLength={1000} />
      <FormErrors of={of} />
      <button className="btn btn-primary" disabled={saving.isPending}>
        {sprayed ? 'Keep this pair' : 'Keep this piece'}
      </button>
    </form>
  );
}
