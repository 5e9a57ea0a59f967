import type { StockEntry, TableList, TableMaterial, TableOptions } from '../../core/cutlist';
import { shopWords } from '../../core/cutplan';
import type { Treatment } from '../../core/pieces';
import { useUnits } from '../../ui/units-context';
import { useOtherWidths } from './use-other-widths';

interface Props {
  list: TableList;
  material: TableMaterial;
  options: TableOptions;
  stock: readonly StockEntry[];
  treatment: Treatment | null;
  disabled: boolean;
  /** Takes this width for the table, mm. */
  onTake: (width: number) => void;
}

/** What the same pieces take from other widths, bought alone and beside what lies in the cupboard: before one goes to the shop. */
export default function OtherWidths({ disabled, onTake, ...asked }: Props) {
  const units = useUnits();
  const { found, busy, error, look, give } = useOtherWidths({ ...asked, units: units.system });
  const inHand = asked.options.stockIds.length > 0;
  const words = (length: number | null | undefined) => {
    if (length === undefined) return '…';
    if (length === null) return 'a piece is too wide';
    return length === 0 ? 'nothing to buy' : shopWords(length, units.system);
  };
  return (
    <section className="sheet p-4" aria-label="Other widths">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 className="chalk-heading">From other widths</h2>
        {busy ? (
          <button type="button" className="btn" onClick={give}>
            That is enough
          </button>
        ) : (
          <button type="button" className="btn" disabled={disabled} onClick={look}>
            {found ? 'Look again' : 'What would it take?'}
          </button>
        )}
      </div>
      {busy && <progress className="progress progress-primary mt-2 w-full" aria-label="Other widths are being laid" />}
      {error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {error}
        </p>
      )}
      {found && (
        <table className="table mt-2">
          <thead>
            <tr>
              <th scope="col">Width</th>
              <th scope="col">Bought alone</th>
              {inHand && <th scope="col">Beside what is in hand</th>}
              <th scope="col">
                <span className="sr-only">Take it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.map(({ width, alone, beside }) => (
              <tr key={width}>
                <th scope="row">{units.length(width)}</th>
                <td>{words(alone)}</td>
                {inHand && <td>{words(beside)}</td>}
                <td>
                  <button
                    type="button"
                    className="btn"
                    aria-label={`Take it, ${units.length(width)} wide`}
                    disabled={disabled || busy || (alone ?? null) === null}
                    onClick={() => onTake(width)}
                  >
                    Take it
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {found && <p className="quiet">Good layouts, each looked for about a second; the table finds shorter ones.</p>}
    </section>
  );
}
