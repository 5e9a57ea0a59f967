import { useMemo } from 'react';
import Combobox from '../../ui/Combobox';
import Field from '../../ui/form/Field';
import type { Cloth } from '../../store/cloths';

interface Props {
  id: string;
  value: string | null;
  cloths: readonly Pick<Cloth, 'id' | 'name' | 'origin'>[];
  /** Words for a cloth that is not said yet; without them one has to be picked. */
  none?: string;
  onChange: (id: string | null) => void;
}

/** A cloth of the cupboard, found by typing: the person's own first, then of the library what is not among them. */
export default function ClothSelect({ id, value, cloths, none, onChange }: Props) {
  const groups = useMemo(() => {
    const own = cloths.filter(({ origin }) => origin === 'own');
    const names = new Set(own.map(({ name }) => name.toLowerCase()));
    const library = cloths.filter(
      (cloth) => cloth.origin !== 'own' && (cloth.id === value || !names.has(cloth.name.toLowerCase())),
    );
    const optionsOf = (list: typeof own) => list.map((cloth) => ({ id: cloth.id, words: cloth.name }));
    return [
      { label: 'My own', options: optionsOf(own) },
      { label: 'Library', options: optionsOf(library) },
    ];
  }, [cloths, value]);
  return <Combobox id={id} value={value} groups={groups} none={none} onChange={onChange} />;
}

/** The same with its label; a cloth need not be said yet. */
export function ClothField({ label, error, ...select }: Omit<Props, 'none'> & { label: string; error?: string | undefined }) {
  return (
    <Field label={label} id={select.id} error={error}>
      <ClothSelect {...select} none="not said yet" />
    </Field>
  );
}
