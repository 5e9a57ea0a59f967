import { useId } from 'react';
import { capital } from '../../core/letters';
import { edgeNames } from '../../core/shape';
import LengthField from '../LengthField';
import type { PieceDraft } from './piece-draft';

/** With more edges than this, only the one that was touched gets a field. */
const MOST_FIELDS = 6;

interface Props {
  draft: PieceDraft;
  /** The edge that was touched in the drawing. */
  edge: number | null;
  error: (field: string) => string | undefined;
  onChange: (change: Partial<PieceDraft>) => void;
  onFault: (field: string, faulty: boolean) => void;
}

/** Seam allowances: whether the shape has them in it, one for all edges, and one for each. */
export default function AllowanceFields({ draft, edge, error, onChange: set, onFault }: Props) {
  const id = useId();
  const { shape } = draft;
  const names = edgeNames(shape);
  const setAllowance = (which: number, mm: number) =>
    set({ allowances: draft.allowances.map((was, i) => (i === which ? mm : was)) });
  const allSame = draft.allowances.every((mm, i) => i === draft.fold || mm === draft.allowances[draft.fold === 0 ? 1 : 0]);
  const fields = names.length <= MOST_FIELDS ? names.map((_, i) => i) : edge === null ? [] : [edge];
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Seam allowances</legend>
      <div className="join mb-3 flex-wrap">
        {(['cut', 'sew'] as const).map((line) => (
          <input
            key={line}
            type="radio"
            name={`${id}-line`}
            className="btn join-item"
            aria-label={line === 'cut' ? 'are in the shape' : 'are added to it'}
            checked={draft.line === line}
            onChange={() => set({ line })}
          />
        ))}
      </div>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        {names.length > 1 && (
          <LengthField
            label="All edges"
            value={draft.allowances[draft.fold === 0 ? 1 : 0] ?? 0}
            hint={allSame ? undefined : 'now they differ'}
            onChange={(mm) => set({ allowances: draft.allowances.map((was, i) => (i === draft.fold ? was : mm)) })}
            onFault={(f) => onFault('allowance-all', f)}
          />
        )}
        {fields.map((i) => (
          <LengthField
            key={`${shape.kind}-${i}`}
            label={`${capital(names[i]!)}${draft.fold === i ? ' (fold)' : ''}`}
            value={draft.allowances[i] ?? 0}
            error={error(`allowances[${i}]`)}
            onChange={(mm) => setAllowance(i, mm)}
            onFault={(f) => onFault(`allowance-${i}`, f)}
          />
        ))}
      </div>
      {names.length > MOST_FIELDS && edge === null && (
        <p className="quiet mt-2 text-[0.95rem]">Touch an edge in the drawing to give it an allowance of its own.</p>
      )}
    </fieldset>
  );
}
