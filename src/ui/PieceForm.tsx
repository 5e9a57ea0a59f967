import { useId } from 'react';
import { CUTS, CUT_WORDS, type Cut } from '../core/choose';
import { InputError } from '../core/input-error';
import { openPiece, SIDE_WORDS, type OpenPiece, type Side } from '../core/pieces';
import { PIECE_KINDS, type PieceShape } from '../core/shape';
import Field from './Field';
import LengthField from './LengthField';
import PieceDrawing from './PieceDrawing';

/** What a person says about a piece. */
export interface PieceDraft {
  name: string;
  shape: PieceShape;
  allowances: [number, number, number, number];
  fold: Side | null;
  count: number;
  cut: Cut;
}

export const NEW_PIECE: PieceDraft = {
  name: '',
  shape: { kind: 'rectangle', width: 300, height: 120, corners: [false, false, true, true], corner: 30 },
  allowances: [10, 10, 10, 10],
  fold: null,
  count: 1,
  cut: 'straight',
};

interface Props {
  draft: PieceDraft;
  onChange: (draft: PieceDraft) => void;
  /** Errors by field path, as the server names them. */
  errors: Record<string, string>;
  onFault: (field: string, faulty: boolean) => void;
}

const KIND_WORDS: Record<PieceShape['kind'], string> = {
  rectangle: 'Rectangle',
  rounded: 'Rounded corners',
  angled: 'Angled corners',
};
const CORNER_WORDS = ['bottom left', 'bottom right', 'top right', 'top left'] as const;

/** Opens the piece out, or says what stands in the way. */
export function tryOpen(draft: PieceDraft): { piece?: OpenPiece; field?: string; message?: string } {
  try {
    return { piece: openPiece(draft) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { field: error.field, message: error.message.replace(`${error.field}: `, '') };
  }
}

/** Name, size, corners, how many, seam allowances, fold and grain of a piece, with its drawing. */
export default function PieceForm({ draft, onChange, errors, onFault }: Props) {
  const id = useId();
  const { shape } = draft;
  const set = (change: Partial<PieceDraft>) => onChange({ ...draft, ...change });
  const setShape = (change: Partial<PieceShape>) => set({ shape: { ...shape, ...change } });
  const opened = tryOpen(draft);
  const error = (field: string) =>
    (opened.field === field ? opened.message : undefined) ?? errors[field] ?? errors[`shape.${field}`];
  return (
    <div className="grid gap-6 md:grid-cols-[1fr_minmax(16rem,22rem)]">
      <div className="space-y-4">
        <div className="grid gap-4 sm:grid-cols-[1fr_7rem]">
          <Field label="Name of the piece" id={`${id}-name`} error={errors['name']}>
            <input
              id={`${id}-name`}
              className={`input ${errors['name'] ? 'input-error' : ''}`}
              value={draft.name}
              maxLength={120}
              placeholder="Left front, outer collar …"
              onChange={(e) => set({ name: e.target.value })}
            />
          </Field>
          <Field label="How many" id={`${id}-count`} error={errors['count']}>
            <input
              id={`${id}-count`}
              className="input"
              type="number"
              min={1}
              max={1000}
              value={draft.count}
              onChange={(e) => set({ count: Number(e.target.value) })}
            />
          </Field>
        </div>
        <fieldset>
          <legend className="mb-1 font-semibold">Shape</legend>
          <div className="join flex-wrap">
            {PIECE_KINDS.map((kind) => (
              <input
                key={kind}
                type="radio"
                name={`${id}-kind`}
                className="btn join-item"
                aria-label={KIND_WORDS[kind]}
                checked={shape.kind === kind}
                onChange={() => setShape({ kind })}
              />
            ))}
          </div>
        </fieldset>
        <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
          <LengthField
            label="Width"
            value={shape.width}
            min={1}
            error={error('width')}
            onChange={(width) => setShape({ width })}
            onFault={(f) => onFault('width', f)}
          />
          <LengthField
            label="Height"
            value={shape.height}
            min={1}
            error={error('height')}
            onChange={(height) => setShape({ height })}
            onFault={(f) => onFault('height', f)}
          />
          {shape.kind !== 'rectangle' && (
            <LengthField
              label={shape.kind === 'rounded' ? 'Radius' : 'Cut off'}
              value={shape.corner}
              error={error('corner')}
              onChange={(corner) => setShape({ corner })}
              onFault={(f) => onFault('corner', f)}
            />
          )}
        </div>
        {shape.kind !== 'rectangle' && (
          <fieldset>
            <legend className="mb-1 font-semibold">Which corners</legend>
            <div className="flex flex-wrap gap-x-5">
              {CORNER_WORDS.map((word, i) => (
                <label key={word} className="flex min-h-[44px] cursor-pointer items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-primary"
                    checked={shape.corners[i]}
                    onChange={(e) =>
                      setShape({
                        corners: shape.corners.map((was, k) => (k === i ? e.target.checked : was)) as PieceShape['corners'],
                      })
                    }
                  />
                  {word}
                </label>
              ))}
            </div>
          </fieldset>
        )}
        <fieldset>
          <legend className="mb-1 font-semibold">Seam allowance on each edge</legend>
          <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
            {SIDE_WORDS.map((word, i) => (
              <LengthField
                key={word}
                label={`${word.charAt(0).toUpperCase()}${word.slice(1)}${draft.fold === i ? ' (fold)' : ''}`}
                value={draft.allowances[i as Side]}
                error={errors[`allowances[${i}]`]}
                onChange={(mm) =>
                  set({ allowances: draft.allowances.map((was, k) => (k === i ? mm : was)) as PieceDraft['allowances'] })
                }
                onFault={(f) => onFault(`allowance-${i}`, f)}
              />
            ))}
          </div>
        </fieldset>
        <div className="grid gap-4 sm:grid-cols-2">
          <Field label="On the fold" id={`${id}-fold`} error={error('fold')}>
            <select
              id={`${id}-fold`}
              className="select"
              value={draft.fold ?? 'none'}
              onChange={(e) => {
                const fold = e.target.value === 'none' ? null : (Number(e.target.value) as Side);
                set({ fold, allowances: draft.allowances.map((was, k) => (k === fold ? 0 : was)) as PieceDraft['allowances'] });
              }}
            >
              <option value="none">not on a fold</option>
              {SIDE_WORDS.map((word, i) => (
                <option key={word} value={i}>
                  {word} edge on the fold
                </option>
              ))}
            </select>
          </Field>
          <Field label="Grain" id={`${id}-cut`}>
            <select id={`${id}-cut`} className="select" value={draft.cut} onChange={(e) => set({ cut: e.target.value as Cut })}>
              {CUTS.map((cut) => (
                <option key={cut} value={cut}>
                  {CUT_WORDS[cut]}
                </option>
              ))}
            </select>
          </Field>
        </div>
      </div>
      <div className="sheet p-4">
        {opened.piece ? (
          <PieceDrawing
            piece={opened.piece}
            cut={draft.cut}
            fold={draft.fold}
            height="19rem"
            label={`The piece ${draft.name || 'without a name yet'}, cut line and seam line`}
          />
        ) : (
          <p className="font-semibold text-error">
            The piece cannot be drawn yet: {opened.field} {opened.message}.
          </p>
        )}
        <p className="quiet mt-2 text-[0.92rem]">
          Full line: cut line. Dashed: seam line. Arrow: grain.
          {draft.fold !== null ? ' Dash-dot: the fold; the piece is shown opened out.' : ''}
        </p>
      </div>
    </div>
  );
}
