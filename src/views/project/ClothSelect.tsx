import type { Cloth } from '../../store/cloths';

interface Props {
  id: string;
  value: string | null;
  cloths: readonly Cloth[];
  /** Words for a cloth that is not said yet; without them one has to be picked. */
  none?: string;
  onChange: (id: string | null) => void;
}

/** A cloth of the cupboard: the person's own first, the library after. */
export default function ClothSelect({ id, value, cloths, none, onChange }: Props) {
  const group = (label: string, list: readonly Cloth[]) =>
    list.length > 0 && (
      <optgroup label={label}>
        {list.map((cloth) => (
          <option key={cloth.id} value={cloth.id}>
            {cloth.name}
          </option>
        ))}
      </optgroup>
    );
  return (
    <select id={id} className="select" value={value ?? ''} onChange={(event) => onChange(event.target.value || null)}>
      {(none !== undefined || value === null) && <option value="">{none ?? 'not said yet'}</option>}
      {group(
        'My own',
        cloths.filter(({ origin }) => origin === 'own'),
      )}
      {group(
        'Library',
        cloths.filter(({ origin }) => origin !== 'own'),
      )}
    </select>
  );
}
