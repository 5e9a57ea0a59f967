import type { TableMaterial, TableOptions } from '../../core/cutlist';
import type { Stock } from '../../store/stock';
import { CheckField, SelectField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import OutlineThumb from '../../ui/OutlineThumb';
import { useUnits } from '../../ui/units-context';
import WidthConverter from './WidthConverter';

interface Props {
  material: TableMaterial;
  options: TableOptions;
  stock: Stock[];
  currency: string;
  disabled: boolean;
  onChange: (options: TableOptions) => void;
}

const STOCK_WORDS = { roll: 'roll', sheet: 'sheets', leftover: 'leftover' } as const;

/** What is cut from, how it lies there, and how long to look for a better layout. */
export default function OptionsPanel({ material, options, stock, disabled, onChange }: Props) {
  const units = useUnits();
  const set = (change: Partial<TableOptions>) => onChange({ ...options, ...change });
  const width = options.rollWidth ?? material.rollWidth;
  return (
    <fieldset className="sheet space-y-4 p-4" disabled={disabled}>
      <legend className="sr-only">How it is laid</legend>
      {stock.length > 0 && (
        <div>
          <h2 className="chalk-heading">From the cupboard, first</h2>
          <ul className="mt-1">
            {stock.map((each) => (
              <li key={each.id} className="flex items-center gap-2">
                <CheckField
                  label={`${units.size(each.width, each.length)} ${STOCK_WORDS[each.kind]}${each.count > 1 ? `, ${each.count}` : ''}${each.place ? `, ${each.place}` : ''}`}
                  checked={options.stockIds.includes(each.id)}
                  onChange={(on) =>
                    set({
                      // Leftovers stay in their order, so that the largest is used first.
                      stockIds: stock.map(({ id }) => id).filter((id) => (id === each.id ? on : options.stockIds.includes(id))),
                    })
                  }
                />
                {each.outline && <OutlineThumb outlines={[each.outline]} size={40} asLaid />}
              </li>
            ))}
          </ul>
        </div>
      )}
      <LengthField
        label={stock.length > 0 ? 'Then a roll of width' : 'Width of the roll'}
        value={width}
        min={20}
        onChange={(mm) => set({ rollWidth: Math.abs(mm - material.rollWidth) < 0.01 ? null : mm })}
      />
      {material.kind === 'layer' && (
        <SelectField
          label="Way of working"
          value={options.method}
          options={[
            ['cut-first', 'cut both, then join'],
            ['fuse-together', 'lay whole cloth pieces on it'],
            ['fuse-net', 'the same, net of the allowances'],
          ]}
          onChange={(method) => set({ method, gap: method === 'cut-first' ? Math.max(options.gap, 3) : 0 })}
        />
      )}
      {material.oneSided && (
        <div>
          <div className="font-semibold">It lies with its glue side</div>
          <div className="join mt-1">
            {[true, false].map((up) => (
              <input
                key={String(up)}
                type="radio"
                name="glue-side"
                className="btn join-item"
                aria-label={up ? 'up' : 'down'}
                checked={options.glueUp === up}
                onChange={() => set({ glueUp: up })}
              />
            ))}
          </div>
          <p className="mt-1">
            So the paper pattern lies <strong>{options.glueUp ? 'face up' : 'face down'}</strong>
            {options.glueUp ? '.' : '; the drawing is mirrored.'}
          </p>
        </div>
      )}
      {material.kind === 'cloth' && (
        <>
          <CheckField label="Folded lengthwise" checked={options.folded} onChange={(folded) => set({ folded })} />
          <CheckField label="Larger by what it will shrink" checked={options.shrink} onChange={(shrink) => set({ shrink })} />
        </>
      )}
      <details>
        <summary className="inline-flex min-h-[44px] cursor-pointer items-center font-semibold text-primary underline underline-offset-4">
          Room and time
        </summary>
        <div className="mt-2 grid grid-cols-2 gap-3">
          <LengthField label="Between pieces" value={options.gap} onChange={(gap) => set({ gap })} />
          <LengthField label="Along the selvedge" value={options.margin} onChange={(margin) => set({ margin })} />
          <LengthField label="To square the end" value={options.squaring} onChange={(squaring) => set({ squaring })} />
          <SelectField
            label="Look for"
            value={String(options.seconds)}
            options={[
              ['2', '2 seconds'],
              ['10', '10 seconds'],
              ['30', '30 seconds'],
              ['60', 'a minute'],
            ]}
            onChange={(seconds) => set({ seconds: Number(seconds) })}
          />
        </div>
        <button type="button" className="btn mt-3 w-full" onClick={() => set({ seed: options.seed + 1 })}>
          Try other orders next time
        </button>
        <p className="quiet mt-1 text-[0.92rem]">Start {options.seed}: the same start gives the same layout.</p>
      </details>
      <WidthConverter width={width} />
    </fieldset>
  );
}
