import { Plus, X } from 'lucide-react';
import type { Method } from '../../core/liquid';
import { SelectField } from '../../ui/form/form-fields';
import LengthField from '../../ui/LengthField';
import ClothSelect from '../project/ClothSelect';
import type { Cloth } from '../../store/cloths';

/** A length of cloth that belongs to no project yet. */
export interface ClothLength {
  key: string;
  clothId: string;
  /** mm. */
  length: number;
  width: number;
  /** What it is treated with. */
  liquidId: string;
  method: Method;
}

interface Props {
  rows: ClothLength[];
  cloths: Cloth[];
  liquids: readonly { id: string; name: string }[];
  onChange: (rows: ClothLength[]) => void;
}

const METHODS: [Method, string][] = [
  ['mist', 'misted'],
  ['damp', 'sprayed damp'],
  ['soak', 'wet through'],
];

/** Lengths of cloth that are treated for themselves: how long, how wide, how wet. */
export default function LengthRows({ rows, cloths, liquids, onChange }: Props) {
  const change = (key: string, by: Partial<ClothLength>) =>
    onChange(rows.map((row) => (row.key === key ? { ...row, ...by } : row)));
  const first = cloths.find(({ origin }) => origin === 'own') ?? cloths[0];
  return (
    <div className="space-y-3">
      {rows.map(({ key, clothId, length, width, liquidId, method }, i) => (
        <fieldset key={key} className="rounded-box border border-base-300 p-3">
          <legend className="sr-only">Length {i + 1}</legend>
          <div className="flex items-end gap-2">
            <div className="min-w-0 flex-1">
              <label htmlFor={`cloth-${key}`} className="mb-1 block font-semibold">
                Cloth
              </label>
              <ClothSelect
                id={`cloth-${key}`}
                value={clothId}
                cloths={cloths}
                onChange={(id) => id !== null && change(key, { clothId: id })}
              />
            </div>
            <button
              type="button"
              className="btn btn-ghost btn-icon"
              aria-label={`Leave length ${i + 1} out`}
              onClick={() => onChange(rows.filter((row) => row.key !== key))}
            >
              <X size={18} aria-hidden="true" />
            </button>
          </div>
          <div className="mt-2">
            <SelectField
              label="With"
              value={liquidId}
              options={liquids.map(({ id, name }) => [id, name] as const)}
              onChange={(id) => change(key, { liquidId: id })}
            />
          </div>
          <div className="mt-2 grid grid-cols-3 gap-3">
            <LengthField label="Long" value={length} min={10} onChange={(mm) => change(key, { length: mm })} />
            <LengthField label="Wide" value={width} min={10} onChange={(mm) => change(key, { width: mm })} />
            <SelectField label="Made" value={method} options={METHODS} onChange={(made) => change(key, { method: made })} />
          </div>
        </fieldset>
      ))}
      {first && liquids[0] && (
        <button
          type="button"
          className="btn"
          onClick={() =>
            onChange([
              ...rows,
              {
                ...{ key: `length-${Date.now()}`, clothId: first.id, length: 1000, width: first.rollWidth ?? 1400 },
                ...{
                  liquidId: (liquids.find(({ id }) => id === 'liquid-stabilizer') ?? liquids[0]!).id,
                  method: 'soak' as const,
                },
              },
            ])
          }
        >
          <Plus size={18} aria-hidden="true" /> A length of cloth
        </button>
      )}
    </div>
  );
}
