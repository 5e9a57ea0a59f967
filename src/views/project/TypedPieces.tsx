import { useEffect, useMemo, useRef, useState } from 'react';
import { ROLES, ROLE_WORDS, type Role } from '../../core/choose';
import { InputError } from '../../core/input-error';
import { foldEdge, readTypedPieces, type TypedPiece } from '../../core/typed';
import type { Cloth } from '../../store/cloths';
import { ApiError, call, plainMessage } from '../../ui/api';
import { dropDraft, readDraft, writeDraft } from '../../ui/form/draft-store';
import LengthField from '../../ui/LengthField';
import { counted } from '../../ui/text';
import { useUnits } from '../../ui/units-context';
import { DUTY_WORDS } from '../../core/workpiece';
import { ClothField } from './ClothSelect';
import type { Rows } from './worked';

interface Props {
  projectId: string;
  cloths: Cloth[];
  /** Cloth of what names none. */
  clothId: string | null;
  onAdded: (added: Rows) => void;
  onClose: () => void;
}

/** What was put right by hand in a line, for as long as its words stand. */
interface Corrected {
  role?: Role;
  clothId?: string;
}

const EXAMPLE = '2 flap 26 x 16, lining poplin\ncollar 45 x 9 fold\n4 tabs 6 x 8 3/8 seam';

/** Several pieces at once, a line each, read while they are typed or pasted. */
export default function TypedPieces({ projectId, cloths, clothId: startCloth, onAdded, onClose }: Props) {
  const { system } = useUnits();
  const dialog = useRef<HTMLDialogElement>(null);
  const draft = `typed pieces ${projectId}`;
  const [text, setText] = useState(() => readDraft<string>(draft) ?? '');
  const [corrected, setCorrected] = useState<Record<string, Corrected>>({});
  const [allowance, setAllowance] = useState(10);
  const [clothId, setClothId] = useState(startCloth);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  useEffect(() => dialog.current?.showModal(), []);
  // One's own cloths are meant before those of the library.
  const named = useMemo(() => [...cloths].sort((a, b) => Number(b.origin === 'own') - Number(a.origin === 'own')), [cloths]);
  const { lines, trouble } = useMemo(() => read(text, system, named), [text, system, named]);
  const put = (line: string, change: Corrected) => setCorrected((all) => ({ ...all, [line]: { ...all[line], ...change } }));
  const sound = lines.flatMap(({ text: line, piece }) => (piece ? [{ line, piece }] : []));
  const ready = sound.length > 0 && sound.length === lines.length && trouble === undefined;
  const save = async () => {
    setBusy(true);
    setError(undefined);
    try {
      const pieces = sound.map(({ line, piece }) => newPieceOf(piece, corrected[line] ?? {}, { allowance, clothId }));
      const added = await call<Rows>('POST', `/api/projects/${projectId}/pieces/many`, { pieces });
      dropDraft(draft);
      onAdded(added);
    } catch (problem) {
      setError(problem instanceof ApiError ? `${problem.field ?? ''} ${plainMessage(problem)}` : (problem as Error).message);
      setBusy(false);
    }
  };
  return (
    <dialog ref={dialog} className="modal" aria-label="Pieces typed in lines" onClose={onClose}>
      <div className="modal-box max-w-5xl space-y-4">
        <h2 className="text-xl font-bold">Pieces typed in lines</h2>
        <p>
          One piece in a line, as you would say it: how many, what, how large, from which cloth. A list can be pasted. Sizes are
          in {system === 'inch' ? 'inches' : 'centimetres'} where no unit stands.
        </p>
        <div className="grid gap-4 lg:grid-cols-[1fr_16rem]">
          <div>
            <label className="font-semibold" htmlFor="typed-lines">
              Pieces
            </label>
            <textarea
              id="typed-lines"
              className="textarea mt-1 w-full font-[inherit] text-base"
              rows={Math.min(10, Math.max(4, lines.length + 1))}
              value={text}
              maxLength={20_000}
              placeholder={EXAMPLE}
              spellCheck={false}
              onChange={(event) => {
                setText(event.target.value);
                // A slip of the hand or a reload loses nothing of it.
                writeDraft(draft, event.target.value);
              }}
            />
          </div>
          <div className="space-y-3">
            <LengthField label="Seam allowance where none is said" value={allowance} onChange={setAllowance} />
            <ClothField label="Cloth where none is said" id="typed-cloth" value={clothId} cloths={cloths} onChange={setClothId} />
          </div>
        </div>
        {(trouble ?? error) && (
          <p role="alert" className="font-semibold text-error">
            {trouble ?? error}
          </p>
        )}
        {lines.length > 0 && (
          <ul className="space-y-2" aria-label="What was read">
            {lines.map((line, i) => (
              <li key={i} className="sheet flex flex-wrap items-center gap-x-4 gap-y-2 p-3">
                {line.piece ? (
                  <ReadPiece
                    piece={line.piece}
                    corrected={corrected[line.text] ?? {}}
                    cloths={cloths}
                    usual={{ allowance, clothId }}
                    onPut={(change) => put(line.text, change)}
                  />
                ) : (
                  <p>
                    <strong>{line.text}</strong>: <span className="font-semibold text-error">{line.trouble}</span>
                  </p>
                )}
              </li>
            ))}
          </ul>
        )}
        <div className="sticky -bottom-6 -mb-6 flex flex-wrap items-center gap-3 bg-base-100 py-4">
          <button type="button" className="btn btn-primary" disabled={busy || !ready} onClick={() => void save()}>
            {busy ? 'Saving …' : `Add ${counted(sound.length, 'piece')}`}
          </button>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            Not now
          </button>
          <span className="quiet" role="status">
            {sound.length < lines.length && `${counted(lines.length - sound.length, 'line')} to put right first.`}
          </span>
        </div>
      </div>
    </dialog>
  );
}

function read(text: string, system: Parameters<typeof readTypedPieces>[1], cloths: readonly Cloth[]) {
  try {
    return { lines: readTypedPieces(text, system, cloths), trouble: undefined };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { lines: [], trouble: `Too much at once: ${error.message.replace(/^lines: /, 'lines ')}.` };
  }
}

/** What is taken where a line says nothing. */
interface Usual {
  allowance: number;
  clothId: string | null;
}

/** One line as it was read, with what is guessed to be corrected by a touch. */
function ReadPiece({
  piece,
  corrected,
  cloths,
  usual,
  onPut,
}: {
  piece: TypedPiece;
  corrected: Corrected;
  cloths: Cloth[];
  usual: Usual;
  onPut: (change: Corrected) => void;
}) {
  const units = useUnits();
  const [outer, ...more] = piece.cuts;
  const nameOf = (id: string | null) => cloths.find((cloth) => cloth.id === id)?.name ?? 'the same cloth';
  const seam = piece.allowance ?? usual.allowance;
  return (
    <>
      <p className="min-w-40 flex-1">
        <strong>
          {piece.count} × {piece.name}
        </strong>
        , {units.size(piece.width, piece.height)}
        {piece.pairs ? ', in pairs' : ''}
        {piece.onFold ? `, its ${foldWords(piece, corrected.role ?? piece.role)} edge on the fold` : ''}
        {seam === 0 ? ', no allowance' : `, seam ${units.length(seam)}`}
        {more.map(({ duty, clothId }) => (
          <span key={duty}>
            , {DUTY_WORDS[duty]}: {nameOf(clothId ?? usual.clothId)}
          </span>
        ))}
      </p>
      <select
        className="select w-48! shrink-0"
        aria-label={`What ${piece.name} is`}
        value={corrected.role ?? piece.role}
        onChange={(event) => onPut({ role: event.target.value as Role })}
      >
        {ROLES.map((role) => (
          <option key={role} value={role}>
            {ROLE_WORDS[role]}
          </option>
        ))}
      </select>
      <select
        className="select w-56! shrink-0"
        aria-label={`Cloth of ${piece.name}`}
        value={corrected.clothId ?? outer?.clothId ?? usual.clothId ?? ''}
        onChange={(event) => event.target.value && onPut({ clothId: event.target.value })}
      >
        {(outer?.clothId ?? usual.clothId) === null && <option value="">no cloth yet</option>}
        {cloths.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </>
  );
}

const foldWords = (piece: TypedPiece, role: Role) => (foldEdge(piece, role) === 2 ? 'upper' : 'left');

/** A typed piece as it is sent. */
function newPieceOf(piece: TypedPiece, corrected: Corrected, usual: Usual) {
  const { name, width, height, count, pairs } = piece;
  const seam = piece.allowance ?? usual.allowance;
  const role = corrected.role ?? piece.role;
  const fold = piece.onFold ? foldEdge(piece, role) : null;
  return {
    name,
    shape: { kind: 'rectangle', width, height, corners: [false, false, false, false], corner: 0 },
    line: 'cut',
    allowances: [0, 1, 2, 3].map((edge) => (edge === fold ? 0 : seam)),
    fold,
    grain: 0,
    marks: [],
    cuts: piece.cuts.map(({ duty, clothId }, i) => ({
      duty,
      clothId: (i === 0 ? corrected.clothId : undefined) ?? clothId ?? usual.clothId,
      ...{ count, pairs, orientation: 'straight' },
      // What is done is done to the outer cloth.
      jobs: i === 0 ? [{ place: { kind: 'usual' }, wish: { role, stretch: 'any', care: 'wash-warm' } }] : [],
    })),
  };
}
