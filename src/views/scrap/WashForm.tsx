import type { AMOUNTS } from '../../core/scrap';
import { PEELS, type Outcome } from '../../core/scrap';
import { lengthForField } from '../../core/units';
import { washSeenSchema } from '../../schemas/scraps';
import FormErrors from '../../ui/form/FormErrors';
import { SelectInput, TextInput } from '../../ui/form/form-fields';
import RestoredDraft from '../../ui/form/RestoredDraft';
import { useKeptForm } from '../../ui/form/use-kept-form';
import { useWrite } from '../../ui/query';
import { MARKED, readOverhang, readShrinkage } from '../../ui/typed-figures';
import { useUnits } from '../../ui/units-context';
import ShrinkFields from './ShrinkFields';

export interface WashDraft {
  peel: number | null;
  bubbles: (typeof AMOUNTS)[number];
  shrink: number | null;
  overhang: number | null;
  outcome: Outcome;
  note: string;
}

interface Props {
  /** Names the scrap, for what is typed and not saved yet. */
  scrapId: string;
  glued: boolean;
  onSave: (wash: WashDraft) => Promise<void>;
}

/** What the scrap is like after its wash. */
export default function WashForm({ scrapId, glued, onSave }: Props) {
  const { system } = useUnits();
  const of = useKeptForm({
    key: `wash ${scrapId}`,
    schema: washSeenSchema,
    start: () => ({
      ...{ peel: '', bubbles: 'none', overhang: '', outcome: 'good', note: '' },
      ...{ shrinkBefore: lengthForField(MARKED, system), shrinkAfter: '' },
    }),
    read: ({ peel, bubbles, overhang, outcome, note, shrinkBefore, shrinkAfter }) => ({
      ...{ bubbles, outcome, note },
      peel: peel === '' ? null : Number(peel),
      overhang: readOverhang(overhang, system, 'overhang'),
      shrink: readShrinkage(shrinkBefore, shrinkAfter, system),
    }),
  });
  const { field, form } = of;
  const saving = useWrite(onSave, { onSuccess: of.forget, onError: of.refuse });
  return (
    <form
      className="mt-3 space-y-4"
      noValidate
      onSubmit={(event) => void form.handleSubmit((wash) => saving.mutate(wash as WashDraft))(event)}
    >
      <RestoredDraft draft={of} />
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <SelectInput
          label="All in all"
          {...field('outcome')}
          options={[
            ['good', 'it came out well'],
            ['fair', 'it is passable'],
            ['poor', 'it went wrong'],
          ]}
        />
        {glued && (
          <SelectInput
            label="Peel a corner"
            {...field('peel')}
            options={[
              ['', 'not tried'],
              ...PEELS.map(({ step, words }) => [String(step), `${step} ${words}`] as [string, string]),
            ]}
          />
        )}
        <SelectInput
          label="Bubbles"
          {...field('bubbles')}
          options={[
            ['none', 'none'],
            ['some', 'a few'],
            ['much', 'many'],
          ]}
        />
        <TextInput label="Overhang" {...field('overhang')} />
        <ShrinkFields before={field('shrinkBefore')} after={field('shrinkAfter')} typed={form.watch()} />
        <TextInput label="Note" {...field('note')} maxLength={1000} />
      </div>
      <FormErrors of={of} />
      <button className="btn btn-primary" disabled={saving.isPending}>
        File the wash
      </button>
    </form>
  );
}
