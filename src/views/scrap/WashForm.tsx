import { useState } from 'react';
import type { AMOUNTS } from '../../core/scrap';
import { PEELS, type Outcome } from '../../core/scrap';
import { plainMessage, type ApiError } from '../../ui/api';
import { SelectField, TextField } from '../../ui/form-fields';
import { faultsOf, typedOverhang, typedShrink } from '../../ui/typed-figures';
import { useUnits } from '../../ui/units-context';

export interface WashDraft {
  peel: number | null;
  bubbles: (typeof AMOUNTS)[number];
  shrink: number | null;
  overhang: number | null;
  outcome: Outcome;
  note: string;
}

interface Props {
  glued: boolean;
  onSave: (wash: WashDraft) => Promise<void>;
}

/** What the scrap is like after its wash. */
export default function WashForm({ glued, onSave }: Props) {
  const { system } = useUnits();
  const [draft, setDraft] = useState({
    peel: '',
    bubbles: 'none' as WashDraft['bubbles'],
    shrink: '',
    overhang: '',
    outcome: 'good' as Outcome,
    note: '',
  });
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  const set = (change: Partial<typeof draft>) => setDraft((was) => ({ ...was, ...change }));
  const save = async () => {
    const typed = { overhang: typedOverhang(draft.overhang, system), shrink: typedShrink(draft.shrink) };
    const found = faultsOf(typed);
    setErrors(found);
    if (Object.keys(found).length > 0) return;
    setBusy(true);
    try {
      const { bubbles, outcome, note } = draft;
      await onSave({
        peel: draft.peel === '' ? null : Number(draft.peel),
        bubbles,
        shrink: typed.shrink.value,
        overhang: typed.overhang.value,
        outcome,
        note,
      });
    } catch (problem) {
      const error = problem as ApiError;
      setErrors({ [error.field ?? 'general']: plainMessage(error) });
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="mt-3 space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
        <SelectField
          label="All in all"
          value={draft.outcome}
          options={[
            ['good', 'it came out well'],
            ['fair', 'it is passable'],
            ['poor', 'it went wrong'],
          ]}
          onChange={(outcome) => set({ outcome })}
        />
        {glued && (
          <SelectField
            label="Peel a corner"
            value={draft.peel}
            options={[
              ['', 'not tried'],
              ...PEELS.map(({ step, words }) => [String(step), `${step} ${words}`] as [string, string]),
            ]}
            onChange={(peel) => set({ peel })}
          />
        )}
        <SelectField
          label="Bubbles"
          value={draft.bubbles}
          options={[
            ['none', 'none'],
            ['some', 'a few'],
            ['much', 'many'],
          ]}
          onChange={(bubbles) => set({ bubbles })}
        />
        <TextField
          label="Overhang"
          value={draft.overhang}
          error={errors['overhang']}
          onChange={(overhang) => set({ overhang })}
        />
        <TextField label="Shrank, %" value={draft.shrink} error={errors['shrink']} onChange={(shrink) => set({ shrink })} />
        <TextField label="Note" value={draft.note} maxLength={1000} onChange={(note) => set({ note })} />
      </div>
      {errors['general'] && (
        <p role="alert" className="font-semibold text-error">
          {errors['general']}
        </p>
      )}
      <button className="btn btn-primary" disabled={busy}>
        File the wash
      </button>
    </form>
  );
}
