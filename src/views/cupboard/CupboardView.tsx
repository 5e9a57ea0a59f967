import type { SortingState } from '@tanstack/react-table';
import { Plus } from 'lucide-react';
import { Suspense, useMemo, useRef, useState } from 'react';
import { fetched } from '../../ui/fetched';
import { rowsIn, useNamedRemoval } from '../../ui/use-removal';
import { useHotkeys } from 'react-hotkeys-hook';
import { useAsked } from '../../ui/query';
import { FAMILIES, FAMILY_WORDS } from '../../core/layers';
import { CheckField } from '../../ui/form/form-fields';
import { UnitsProvider } from '../../ui/units-context';
import { usePage, type Page } from '../../ui/use-page';
import type { Cloth } from '../../store/cloths';
import type { Layer } from '../../store/layers';
import { formatSize } from '../../core/units';
import type { Settings } from '../../store/settings';
import type { Stock } from '../../store/stock';
import type { Shelf } from './shelf';
import FitsOn from './FitsOn';
import ShelfTabs from './ShelfTabs';
import { clothColumnsOf, layerColumnsOf, stockColumnsOf, type StockRow } from './shelf-columns';
import ShelfTable from './ShelfTable';
import type { StockMaterial } from './StockForm';

/** Forms come when one is opened: what they are drawn and checked with is large. */
const ClothForm = fetched(() => import('./ClothForm'));
const LayerForm = fetched(() => import('./LayerForm'));
const StockForm = fetched(() => import('./StockForm'));

/** What is open in a form: a row, or a new one. */
type Editing =
  | { shelf: 'cloth'; row: Cloth | undefined }
  | { shelf: 'layers'; row: Layer | undefined; like?: Layer }
  | { shelf: 'stock'; row: StockRow | undefined };

interface Props {
  /** First pages of both shelves. */
  cloths: Page<Cloth>;
  layers: Page<Layer>;
  settings: Settings;
  stock: StockRow[];
  startShelf: Shelf;
  /** A cloth that is opened for editing at once. */
  startEdit: Cloth | null;
  /** Somebody came to describe something new. */
  startNew: boolean;
}

const SEARCHES: Record<Shelf, string> = { cloth: 'linen, jersey …', layers: 'light tricot …', stock: 'drawer, leftover …' };
const ADD_WORDS: Record<Shelf, string> = { cloth: 'Add a cloth', layers: 'Add a layer', stock: 'Add a roll or leftover' };

const NAME_FIRST: SortingState = [{ id: 'name', desc: false }];

/** Order of a list as an address asks for it. */
const sortWords = ([first]: SortingState): string => (first ? `${first.desc ? '-' : ''}${first.id}` : '');

/** Cloth and layers: what there is, what is known of it. */
// Three shelves side by side; each is composition of parts with files of their own.
// eslint-disable-next-line max-lines-per-function
export default function CupboardView({
  cloths: startCloths,
  layers: startLayers,
  stock: startStock,
  settings,
  startShelf,
  startEdit,
  startNew,
}: Props) {
  const [shelf, setShelf] = useState<Shelf>(startShelf);
  const [search, setSearch] = useState('');
  const [family, setFamily] = useState('all');
  const [mine, setMine] = useState(false);
  const [clothSort, setClothSort] = useState(NAME_FIRST);
  const [layerSort, setLayerSort] = useState(NAME_FIRST);
  const cloths = usePage('/api/cloths', startCloths, {
    search: shelf === 'cloth' ? search : '',
    sort: clothSort === NAME_FIRST ? '' : sortWords(clothSort),
    mine: mine && shelf === 'cloth' ? 'yes' : '',
  });
  const layers = usePage('/api/layers', startLayers, {
    search: shelf === 'layers' ? search : '',
    sort: layerSort === NAME_FIRST ? '' : sortWords(layerSort),
    family: family === 'all' ? '' : family,
    mine: mine && shelf === 'layers' ? 'yes' : '',
  });
  const [stockRows, setStockRows] = useState(startStock);
  const stock = rowsIn(setStockRows);
  const removeCloth = useNamedRemoval('/api/cloths', cloths);
  const removeLayer = useNamedRemoval('/api/layers', layers);
  const removeStock = useNamedRemoval('/api/stock', stock);
  const [editing, setEditing] = useState<Editing | null>(
    startEdit ? { shelf: 'cloth', row: startEdit } : startNew ? { shelf: 'cloth', row: undefined } : null,
  );
  const searchField = useRef<HTMLInputElement>(null);
  const { units: system } = settings;
  useHotkeys('f', () => searchField.current?.focus(), { preventDefault: true });
  useHotkeys('n', () => setEditing({ shelf, row: undefined } as Editing), { preventDefault: true });

  const clothColumns = useMemo(() => clothColumnsOf(system), [system]);
  const layerColumns = useMemo(() => layerColumnsOf(system, settings.currency), [system, settings.currency]);
  const stockColumns = useMemo(() => stockColumnsOf(system), [system]);
  // What a piece can be of is only asked for when somebody writes one down.
  const named = useAsked<{ materials: StockMaterial[] }>(editing?.shelf === 'stock' ? '/api/materials' : undefined);
  const materials = named.answer?.materials;
  const nameOf = ({ ofKind, ofId }: Stock) =>
    materials?.find(({ kind, id }) => kind === ofKind && id === ofId)?.name ?? 'something that was deleted';
  const error = shelf === 'cloth' ? cloths.error : shelf === 'layers' ? layers.error : undefined;

  return (
    <UnitsProvider value={system}>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-2xl font-bold">Cupboard</h1>
          <ShelfTabs
            shelf={shelf}
            totals={{ cloth: startCloths.total, layers: startLayers.total, stock: stockRows.length }}
            onChange={(each) => {
              setShelf(each);
              history.replaceState(null, '', `?shelf=${each}`);
            }}
          />
        </div>
        <div className="flex flex-wrap items-end gap-3">
          {shelf !== 'stock' && (
            <CheckField label={shelf === 'cloth' ? 'only my own' : 'only what I have'} checked={mine} onChange={setMine} />
          )}
          {shelf === 'layers' && (
            <label className="font-semibold">
              Family
              <select className="select w-60" value={family} onChange={(e) => setFamily(e.target.value)}>
                <option value="all">every family</option>
                {FAMILIES.map((each) => (
                  <option key={each} value={each}>
                    {FAMILY_WORDS[each]}
                  </option>
                ))}
              </select>
            </label>
          )}
          <label className="font-semibold">
            Search
            <input
              ref={searchField}
              type="search"
              className="input w-56"
              value={search}
              placeholder={SEARCHES[shelf]}
              onChange={(e) => setSearch(e.target.value)}
            />
          </label>
          <button type="button" className="btn btn-primary" onClick={() => setEditing({ shelf, row: undefined } as Editing)}>
            <Plus size={18} aria-hidden="true" /> {ADD_WORDS[shelf]}
          </button>
        </div>
      </div>
      <p className="mt-3 flex flex-wrap gap-2">
        {shelf === 'cloth' && (
          <a className="btn" href="/cupboard/identify">
            What is this cloth?
          </a>
        )}
        {shelf === 'layers' && (
          <a className="btn" href="/cupboard/identify?kind=layer">
            What is this interfacing?
          </a>
        )}
        {shelf !== 'stock' && (
          <a className="btn" href={`/cupboard/tables?kind=${shelf === 'cloth' ? 'cloths' : 'layers'}`}>
            Tables in and out
          </a>
        )}
        {shelf === 'layers' && (
          <a className="btn" href="/wet">
            Sprays, starch, soaking
          </a>
        )}
        <a className="btn" href="/buy">
          What to buy
        </a>
        <a className="btn" href="/prints">
          Jig and gauges to print
        </a>
      </p>
      {error && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {error}
        </p>
      )}
      <div className="mt-3">
        {shelf === 'cloth' ? (
          <ShelfTable
            rows={cloths.rows}
            server={{ ...cloths, sorting: clothSort, onSorting: setClothSort, onGo: cloths.go }}
            columns={clothColumns}
            wideOnly={['weave', 'iron']}
            thing="cloth"
            things="cloths"
            onEdit={(row) => setEditing({ shelf: 'cloth', row })}
            onDelete={removeCloth}
          />
        ) : shelf === 'stock' ? (
          stockRows.length > 0 ? (
            <>
              <ShelfTable
                rows={stockRows}
                columns={stockColumns}
                search={search}
                thing="entry"
                things="entries"
                onEdit={(row) => setEditing({ shelf: 'stock', row })}
                onDelete={removeStock}
              />
              <FitsOn pieces={keptPieces(stockRows, system)} all />
            </>
          ) : (
            <div className="sheet max-w-2xl p-6">
              <h2 className="chalk-heading">Nothing is put away here yet</h2>
              <p className="mt-1">
                Write down the rolls that you have and the leftovers that are worth using: cutting begins with them. What a
                cutting table leaves over comes here by itself.
              </p>
            </div>
          )
        ) : (
          <ShelfTable
            rows={layers.rows}
            server={{ ...layers, sorting: layerSort, onSorting: setLayerSort, onGo: layers.go }}
            columns={layerColumns}
            wideOnly={['price']}
            thing="layer"
            things="layers"
            onEdit={(row) => setEditing({ shelf: 'layers', row })}
            onDelete={removeLayer}
          />
        )}
        {shelf !== 'stock' && (
          <p className="quiet mt-3 text-[0.95rem]">
            Library entries carry typical figures; correct them to what you measure. An estimated stiffness says “about”.
          </p>
        )}
      </div>
      <Suspense>
        {editing?.shelf === 'cloth' && (
          <ClothForm key={editing.row?.id ?? 'new'} cloth={editing.row} onSaved={cloths.put} onClose={() => setEditing(null)} />
        )}
        {editing?.shelf === 'stock' && materials && (
          <StockForm
            key={editing.row?.id ?? 'new'}
            entry={editing.row}
            materials={materials}
            onSaved={(saved) => stock.put({ ...saved, name: nameOf(saved) })}
            onClose={() => setEditing(null)}
          />
        )}
        {editing?.shelf === 'layers' && (
          <LayerForm
            key={editing.row?.id ?? `like ${editing.like?.id ?? 'nothing'}`}
            layer={editing.row}
            like={editing.like}
            onLike={(like) => setEditing({ shelf: 'layers', row: undefined, like })}
            onSaved={layers.put}
            onClose={() => setEditing(null)}
          />
        )}
      </Suspense>
    </UnitsProvider>
  );
}

/** Sheets and leftovers, called by what they are of, their size and where they are. */
const keptPieces = (rows: readonly StockRow[], system: Settings['units']) =>
  rows
    .filter(({ kind }) => kind !== 'roll')
    .map(({ id, name, width, length, place }) => ({
      id,
      name: [name, formatSize(width, length, system), place].filter((words) => words !== '').join(', '),
    }));
