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
import { CheckField, plainOptions, SelectField } from '../../ui/form-fields';
import { NEW_PIECE, tryOpen, type PieceDraft } from '../../ui/piece/piece-draft';
import PieceForm from '../../ui/piece/PieceForm';
import type { Cloth } from '../../store/cloths';
import type { Part } from '../../store/parts';

interface Props {
  projectId: string;
  /** Absent for a new part. */
  part: Part | undefined;
  cloths: Cloth[];
  onSave: (part: Part, change: Partial<Part>) => Promise<boolean>;
  onAdded: (part: Part) => void;
}

/** Files of a piece. */
const PIECE_FILES = [
  ['template.pdf', 'Template to print'],
  ['piece.svg', 'SVG'],
  ['piece.dxf', 'DXF'],
] as const;

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
          line: part.line,
          allowances: part.allowances,
          fold: part.fold,
          grain: part.grain,
          marks: part.marks,
          count: part.count,
          pairs: part.pairs,
          oneWay: part.oneWay,
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
        const saved = await onSave(part, {
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
  const changeWish = (change: Partial<Wish>) => touch(setWish)({ ...wish, ...change });
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
        <SelectField
          label="It is a"
          value={wish.role}
          options={ROLES.map((role) => [role, ROLE_WORDS[role]] as const)}
          onChange={(role) => changeWish({ role })}
        />
        <SelectField
          label="Should feel"
          value={wish.hand}
          options={[['usual', 'as usual for it'], ...plainOptions(HANDS)]}
          onChange={(hand) => changeWish({ hand })}
        />
        <SelectField
          label="Stretch"
          value={wish.stretch}
          options={STRETCHES.map((stretch) => [stretch, STRETCH_WORDS[stretch]] as const)}
          onChange={(stretch) => changeWish({ stretch })}
        />
        <SelectField
          label="Care"
          value={wish.care}
          options={CARES.map((care) => [care, CARE_WORDS[care]] as const)}
          onChange={(care) => changeWish({ care })}
        />
      </div>
      <CheckField
        label="The cloth pieces are cut already"
        checked={wish.cutAlready}
        onChange={(cutAlready) => changeWish({ cutAlready })}
      />
      {errors['general'] && (
        <p role="alert" className="font-semibold text-error">
          {errors['general']}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <button
          className="btn btn-primary"
          disabled={state === 'saving' || faults.length > 0 || tryOpen(draft).piece === undefined}
        >
          {part ? 'Save the part' : 'Add the part'}
        </button>
        <span role="status" className="font-semibold text-success">
          {state === 'saved' ? 'Saved.' : ''}
        </span>
        {part && (
          <span className="ml-auto flex flex-wrap items-center gap-2">
            <span className="quiet">As it was saved:</span>
            {PIECE_FILES.map(([file, words]) => (
              <a key={file} className="btn" href={`/api/parts/${part.id}/files/${file}`}>
                {words}
              </a>
            ))}
          </span>
        )}
      </div>
    </form>
  );
}

/** Same order of keys, so that two wishes can be compared as text. */
function sorted(wish: object): [string, unknown][] {
  return Object.entries(wish).sort(([a], [b]) => (a < b ? -1 : 1));
}
