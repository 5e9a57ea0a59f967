import { edgeNames, type PieceShape } from '../../core/shape';
import LengthField from '../../ui/LengthField';
import { capital } from '../../core/letters';

interface Props {
  shape: PieceShape;
  /** The pattern's, mm. */
  allowances: readonly number[];
  own: (number | null)[] | null;
  /** Edge on the fold: what a cut has there is a pleat. */
  fold: number | null;
  onChange: (own: (number | null)[] | null) => void;
}

/** What one cut of a piece has at each edge instead of what the pattern has: none, or a figure of its own. */
export default function OwnAllowances({ shape, allowances, own, fold, onChange }: Props) {
  const names = edgeNames(shape).map((name, i) => (i === fold ? 'the fold, as a pleat' : name));
  const set = (i: number, mm: number | null) => {
    const next = names.map((_, k) => (k === i ? mm : (own?.[k] ?? null)));
    onChange(next.every((each) => each === null) ? null : next);
  };
  const differing = (own ?? []).filter((mm) => mm !== null).length;
  return (
    <details className="rounded-field border border-base-300 px-3 pb-1">
      <summary className="flex min-h-[44px] cursor-pointer items-center font-semibold">
        Seam allowances of this cut:{' '}
        {differing === 0
          ? 'as the pattern'
          : differing === names.length
            ? 'its own'
            : `its own at ${differing} of ${names.length} edges`}
      </summary>
      <ul className="space-y-2 pb-2">
        {names.map((name, i) => {
          const mine = own?.[i] ?? null;
          return (
            <li key={name} className="grid grid-cols-[1fr_11rem_9rem] items-end gap-3">
              <span className="self-center">{capital(name)}</span>
              <select
                className="select"
                aria-label={`Allowance of ${name}`}
                value={mine === null ? 'pattern' : mine === 0 ? 'none' : 'own'}
                onChange={(event) =>
                  set(i, { pattern: null, none: 0, own: allowances[i] || 10 }[event.target.value as 'pattern' | 'none' | 'own'])
                }
              >
                <option value="pattern">as the pattern</option>
                <option value="none">none</option>
                <option value="own">its own</option>
              </select>
              {mine !== null && mine > 0 ? (
                <LengthField label={`Own, ${name}`} value={mine} onChange={(mm) => set(i, mm)} />
              ) : (
                <span />
              )}
            </li>
          );
        })}
      </ul>
    </details>
  );
}
