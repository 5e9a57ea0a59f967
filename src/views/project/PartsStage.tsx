import { useState } from 'react';
import {
  CARES,
  CARE_WORDS,
  HANDS,
  ROLES,
  ROLE_WORDS,
  STRETCHES,
  STRETCH_WORDS,
  type Care,
  type Hand,
  type Role,
  type StretchWish,
} from '../../core/choose';
import type { ApiError } from '../../ui/api';
import { call, plainMessage } from '../../ui/api';
import Field from '../../ui/Field';
import PieceForm, { NEW_PIECE, tryOpen, type PieceDraft } from '../../ui/PieceForm';
import type { Cloth } from '../../store/cloths';
import type { Part } from '../../store/parts';

interface Props {
  projectId: string;
  /** Absent for a new part. */
  part: Part | undefined;
  cloths: Cloth[];
  onSave: (part: Part) => Promise<boolean>;
  onAdded: (part: Part) => void;
}

interface Wish {
  role: Role;
  hand: Hand | 'usual';
  stretch: StretchWish;
  care: Care;
  cutAlready: boolean;
}

/** Describes a part: its piece, and what it must do. */
export default function PartsStage({ projectId, part, cloths, onSave, onAdded }: Props) {
  const [draft, setDraft] = useState<PieceDraft>(
    part
      ? {
          name: part.name,
          shape: part.shape,
          allowances: part.allowances,
          fold: part.fold,
          count: part.count,
          cut: part.wish.cut,
        }
      : NEW_PIECE,
  );
  const [wish, setWish] = useState<Wish>({
    role: part?.wish.role ?? 'collar',
    hand: part?.wish.hand ?? 'usual',
    stretch: part?.wish.stretch ?? 'any',
    care: part?.wish.care ?? 'wash-warm',
    cutAlready: part?.wish.cutAlready ?? false,
  });
  const [clothId, setClothId] = useState(
    part?.clothId ?? cloths.find(({ origin }) => origin === 'own')?.id ?? cloths[0]?.id ?? null,
  );
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<string[]>([]);
  const [state, setState] = useState<'idle' | 'saving' | 'saved'>('idle');

  const submit = async () => {
    if (draft.name.trim() === '') {
      setErrors({ name: 'Give the piece a name.' });
      return;
    }
    setState('saving');
    setErrors({});
    const { cut, ...piece } = { ...draft, name: draft.name.trim() };
    const { hand: _hand, cutAlready: _already, ...kept } = part?.wish ?? {};
    const fullWish = {
      ...kept,
      role: wish.role,
      stretch: wish.stretch,
      care: wish.care,
      cut,
      ...(wish.hand === 'usual' ? {} : { hand: wish.hand }),
      ...(wish.cutAlready ? { cutAlready: true } : {}),
    };
    try {
      if (part) {
        const wishChanged = JSON.stringify(sorted(fullWish)) !== JSON.stringify(sorted(part.wish));
        // Other wishes may want other layers: the old choice would only look valid.
        const saved = await onSave({
          ...part,
          ...piece,
          wish: fullWish,
          ...(wishChanged ? { stack: null, cutDone: false } : {}),
        });
        setState(saved ? 'saved' : 'idle');
      } else {
        onAdded(await call<Part>('POST', `/api/projects/${projectId}/parts`, { ...piece, clothId, wish: fullWish }));
      }
    } catch (problem) {
      const error = problem as ApiError;
      setErrors({ [error.field ?? 'general']: plainMessage(error) });
      setState('idle');
    }
  };
  const touch =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setState('idle');
    };
  return (
    <form
      className="sheet space-y-5 p-5"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <h2 className="text-xl font-bold">{part ? `The piece “${part.name}”` : 'A new part'}</h2>
      <PieceForm
        draft={draft}
        onChange={touch(setDraft)}
        errors={errors}
        onFault={(field, faulty) => setFaults((was) => [...was.filter((f) => f !== field), ...(faulty ? [field] : [])])}
      />
      <div className="grid gap-4 sm:grid-cols-2 xl:grid-cols-4">
        {!part && (
          <Field label="Cut from" id="new-cloth">
            <select id="new-cloth" className="select" value={clothId ?? ''} onChange={(e) => setClothId(e.target.value)}>
              {cloths.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </Field>
        )}
        <Field label="It is a" id="wish-role">
          <select
            id="wish-role"
            className="select"
            value={wish.role}
            onChange={(e) => touch(setWish)({ ...wish, role: e.target.value as Role })}
          >
            {ROLES.map((role) => (
              <option key={role} value={role}>
                {ROLE_WORDS[role]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Should feel" id="wish-hand">
          <select
            id="wish-hand"
            className="select"
            value={wish.hand}
            onChange={(e) => touch(setWish)({ ...wish, hand: e.target.value as Wish['hand'] })}
          >
            <option value="usual">as usual for it</option>
            {HANDS.map((hand) => (
              <option key={hand} value={hand}>
                {hand}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Stretch" id="wish-stretch">
          <select
            id="wish-stretch"
            className="select"
            value={wish.stretch}
            onChange={(e) => touch(setWish)({ ...wish, stretch: e.target.value as StretchWish })}
          >
            {STRETCHES.map((stretch) => (
              <option key={stretch} value={stretch}>
                {STRETCH_WORDS[stretch]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Care" id="wish-care">
          <select
            id="wish-care"
            className="select"
            value={wish.care}
            onChange={(e) => touch(setWish)({ ...wish, care: e.target.value as Care })}
          >
            {CARES.map((care) => (
              <option key={care} value={care}>
                {CARE_WORDS[care]}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <label className="flex min-h-[44px] w-fit cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-primary"
          checked={wish.cutAlready}
          onChange={(e) => touch(setWish)({ ...wish, cutAlready: e.target.checked })}
        />
        The cloth pieces are cut already
      </label>
      {errors['general'] && (
        <p role="alert" className="font-semibold text-error">
          {errors['general']}
        </p>
      )}
      <div className="flex items-center gap-4">
        <button
          className="btn btn-primary"
          disabled={state === 'saving' || faults.length > 0 || tryOpen(draft).piece === undefined}
        >
          {part ? 'Save the part' : 'Add the part'}
        </button>
        <span role="status" className="font-semibold text-success">
          {state === 'saved' ? 'Saved.' : ''}
        </span>
      </div>
    </form>
  );
}

/** Same order of keys, so that two wishes can be compared as text. */
function sorted(wish: object): [string, unknown][] {
  return Object.entries(wish).sort(([a], [b]) => (a < b ? -1 : 1));
}
