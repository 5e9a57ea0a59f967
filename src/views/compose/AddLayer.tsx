import { Plus } from 'lucide-react';
import { useId, useState } from 'react';
import { CLOTH_ID, FAMILY_WORDS } from '../../core/layers';
import { useAsked, useRested } from '../../ui/query';
import type { Page } from '../../ui/use-page';
import type { Layer } from '../../store/layers';
import BoughtLayerForm from './BoughtLayerForm';
import { addableOf, type Addable } from './composed';

interface Props {
  cloths: { id: string; name: string; own: boolean }[];
  onAdd: (layer: Addable) => void;
}

/** So many of each are shown; more letters find the others. */
const MOST = 6;

/** Finds a material or a cloth of the cupboard by its words, or takes one that was just bought. */
export default function AddLayer({ cloths, onAdd }: Props) {
  const id = useId();
  const [text, setText] = useState('');
  const [bought, setBought] = useState(false);
  const asked = new URLSearchParams({ page: '0', search: useRested(text, 150), size: String(MOST), sort: '-stock' });
  const { answer, error } = useAsked<Page<Layer>>(`/api/layers?${asked}`);
  const found = answer?.rows ?? [];
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const cloth = cloths
    .filter(({ name }) => words.every((word) => name.toLowerCase().includes(word)))
    .sort((a, b) => Number(b.own) - Number(a.own))
    .slice(0, MOST);
  const take = (layer: Addable) => {
    onAdd(layer);
    setText('');
  };
  const choice = (key: string, kind: string, layer: Addable) => (
    <li key={key}>
      <button
        type="button"
        className="flex min-h-[44px] w-full items-center gap-2 rounded-field border border-base-300 px-3 py-1 text-left hover:border-primary"
        onClick={() => take(layer)}
      >
        <Plus size={16} className="shrink-0 text-primary" aria-hidden="true" />
        <span className="min-w-0 flex-1 leading-snug">
          {layer.name} <span className="quiet text-[0.9rem]">{kind}</span>
        </span>
      </button>
    </li>
  );
  return (
    <section aria-label="Add a layer" className="space-y-2">
      <label className="block font-semibold" htmlFor={id}>
        Add a layer
      </label>
      <input
        id={id}
        type="search"
        className="input"
        value={text}
        placeholder="fleece, lawn, 45 g …"
        onChange={(event) => setText(event.target.value)}
      />
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      <ul className="grid gap-1.5 md:grid-cols-2" aria-label="What is in the cupboard">
        {found.slice(0, MOST).map((layer) => choice(layer.id, FAMILY_WORDS[layer.family], addableOf(layer)))}
        {cloth.map(({ id: clothId, name }) =>
          choice(
            `c${clothId}`,
            'a cloth',
            addableOf({
              id: `${CLOTH_ID}${clothId}`,
              name,
              family: 'cloth-underlining',
              form: 'sew-in',
              arealDensity: 0,
              stiffening: 1,
            }),
          ),
        )}
      </ul>
      {found.length === 0 && cloth.length === 0 && !error && (
        <p className="quiet">Nothing in the cupboard has all of these words.</p>
      )}
      <button type="button" className="btn" aria-expanded={bought} onClick={() => setBought(!bought)}>
        The one I bought
      </button>
      {bought && (
        <BoughtLayerForm
          onAdded={(layer) => {
            setBought(false);
            take(addableOf(layer));
          }}
        />
      )}
    </section>
  );
}
