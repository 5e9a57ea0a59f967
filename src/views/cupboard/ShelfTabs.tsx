import { useTouched } from '../../ui/use-touched';
import type { Shelf } from './shelf';

interface Props {
  shelf: Shelf;
  /** How much lies on each. */
  totals: Record<Shelf, number>;
  onChange: (shelf: Shelf) => void;
}

const WORDS: readonly [Shelf, string][] = [
  ['cloth', 'Cloth'],
  ['layers', 'Layers'],
  ['stock', 'Rolls and leftovers'],
];

/** The shelves of the cupboard, with how much lies on each. */
export default function ShelfTabs({ shelf, totals, onChange }: Props) {
  const { shown, touch } = useTouched(shelf, onChange);
  return (
    <div role="tablist" aria-label="Shelves" className="mt-2 flex gap-1">
      {WORDS.map(([each, words]) => (
        <button
          key={each}
          type="button"
          role="tab"
          aria-selected={shown === each}
          onClick={() => touch(each)}
          className={`min-h-[44px] border-b-3 px-4 ${shown === each ? 'border-primary font-semibold' : 'border-transparent hover:border-base-300'}`}
        >
          {words} ({totals[each]})
        </button>
      ))}
    </div>
  );
}
