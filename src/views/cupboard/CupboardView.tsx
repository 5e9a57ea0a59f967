import type { ColumnDef } from '@tanstack/react-table';
import { Plus } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { attempt, undoToast } from '../../ui/undo-toast';
import { clothBendingLength } from '../../core/cloth';
import { FAMILIES, FAMILY_WORDS, FORM_WORDS } from '../../core/layers';
import { formatArealDensity, formatLength, formatMoney, formatSize } from '../../core/units';
import { call } from '../../ui/api';
import { CheckField } from '../../ui/form-fields';
import OutlineThumb from '../../ui/OutlineThumb';
import { counted } from '../../ui/text';
import { UnitsProvider } from '../../ui/units-context';
import type { Cloth } from '../../store/cloths';
import type { Layer } from '../../store/layers';
import type { Settings } from '../../store/settings';
import type { Stock } from '../../store/stock';
import ClothForm from './ClothForm';
import LayerForm from './LayerForm';
import ShelfTable from './ShelfTable';
import StockForm, { type StockMaterial } from './StockForm';

export type Shelf = 'cloth' | 'layers' | 'stock';

/** An entry of the stock with the name of what it is of. */
type StockRow = Stock & { name: string };

interface Props {
  cloths: Cloth[];
  layers: Layer[];
  settings: Settings;
  stock: Stock[];
  startShelf: Shelf;
  /** A cloth that is opened for editing at once. */
  startEdit: string | null;
}

const SEARCHES: Record<Shelf, string> = { cloth: 'linen, jersey …', layers: 'light tricot …', stock: 'drawer, leftover …' };
const ADD_WORDS: Record<Shelf, string> = { cloth: 'Add a cloth', layers: 'Add a layer', stock: 'Add a roll or leftover' };

const IRON = ['no iron', 'cool', 'medium', 'hot'];

/** Deletes a row at once and offers to take it back. */
function useRows<T extends { id: string; name: string }>(start: T[], path: string) {
  const [rows, setRows] = useState(start);
  const put = (row: T) =>
    setRows((all) =>
      all.some(({ id }) => id === row.id) ? all.map((each) => (each.id === row.id ? row : each)) : [row, ...all],
    );
  const remove = async (row: T) => {
    if (!(await attempt(`“${row.name}” could not be deleted`, () => call('DELETE', `${path}/${row.id}`)))) return;
    setRows((all) => all.filter(({ id }) => id !== row.id));
    undoToast(`“${row.name}” is deleted.`, async () => put(await call<T>('POST', `${path}/${row.id}/restore`)));
  };
  return { rows, put, remove };
}

/** Cloth and layers: what there is, what is known of it. */
export default function CupboardView({
  cloths: startCloths,
  layers: startLayers,
  stock: startStock,
  settings,
  startShelf,
  startEdit,
}: Props) {
  const [shelf, setShelf] = useState<Shelf>(startShelf);
  const [search, setSearch] = useState('');
  const [family, setFamily] = useState('all');
  const [mine, setMine] = useState(false);
  const cloths = useRows(startCloths, '/api/cloths');
  const layers = useRows(startLayers, '/api/layers');
  const nameOf = ({ ofKind, ofId }: Stock) =>
    (ofKind === 'cloth' ? startCloths : startLayers).find(({ id }) => id === ofId)?.name ?? 'something that was deleted';
  const stock = useRows<StockRow>(
    startStock.map((entry) => ({ ...entry, name: nameOf(entry) })),
    '/api/stock',
  );
  const [editing, setEditing] = useState<{ shelf: Shelf; id: string | null } | null>(
    startEdit ? { shelf: 'cloth', id: startEdit } : null,
  );
  const searchField = useRef<HTMLInputElement>(null);
  const { units: system } = settings;
  useHotkeys('slash', () => searchField.current?.focus(), { preventDefault: true });
  useHotkeys('n', () => setEditing({ shelf, id: null }), { preventDefault: true });

  const clothColumns = useMemo<ColumnDef<Cloth>[]>(
    () => [
      { id: 'name', header: 'Cloth', accessorKey: 'name' },
      {
        id: 'weight',
        header: 'Weight',
        accessorKey: 'arealDensity',
        cell: (c) => formatArealDensity(c.row.original.arealDensity, system),
      },
      {
        id: 'made',
        header: 'Made of',
        accessorFn: (row) =>
          row.fibres.map(({ fibre, percent }) => (row.fibres.length === 1 ? fibre : `${percent} % ${fibre}`)).join(', '),
      },
      {
        id: 'weave',
        header: 'Weave or knit',
        accessorFn: (row) => (row.weave && row.weave !== 'other' ? row.weave : row.construction),
      },
      {
        id: 'stretch',
        header: 'Stretch',
        accessorFn: (row) => Math.max(row.stretchLength, row.stretchCross),
        cell: (c) => `${c.row.original.stretchLength} / ${c.row.original.stretchCross} %`,
      },
      {
        id: 'bending',
        header: 'Bending length',
        accessorFn: (row) => clothBendingLength(row).value,
        cell: (c) => {
          const { value, source } = clothBendingLength(c.row.original);
          return source === 'measured' ? `${Math.round(value)} mm, measured` : `about ${Math.round(value)} mm`;
        },
      },
      { id: 'iron', header: 'Iron', accessorKey: 'ironDots', cell: (c) => IRON[c.row.original.ironDots] },
      {
        id: 'tests',
        header: 'Tests',
        accessorFn: (row) => Object.keys(row.tests).length,
        cell: (c) => {
          const done = Object.keys(c.row.original.tests).length;
          return (
            <a
              className="inline-flex min-h-[44px] items-center font-semibold text-primary underline underline-offset-2"
              href={`/cupboard/cloths/${c.row.original.id}`}
              aria-label={`Test ${c.row.original.name}`}
            >
              {done === 0 ? 'test it' : `${done} done`}
            </a>
          );
        },
      },
    ],
    [system],
  );
  const layerColumns = useMemo<ColumnDef<Layer>[]>(
    () => [
      { id: 'name', header: 'Layer', accessorKey: 'name' },
      { id: 'family', header: 'Kind', accessorFn: (row) => `${FAMILY_WORDS[row.family]}, ${FORM_WORDS[row.form]}` },
      {
        id: 'weight',
        header: 'Weight',
        accessorKey: 'arealDensity',
        cell: (c) => formatArealDensity(c.row.original.arealDensity, system),
      },
      {
        id: 'bending',
        header: 'Bending length',
        accessorKey: 'bendingLength',
        cell: (c) =>
          c.row.original.bendingLength > 0
            ? `${Math.round(c.row.original.bendingLength)} mm`
            : `stiffens ${c.row.original.stiffening} times`,
      },
      {
        id: 'roll',
        header: 'Roll',
        accessorKey: 'rollWidth',
        cell: (c) => (c.row.original.rollWidth > 0 ? formatLength(c.row.original.rollWidth, system) : 'bottle'),
      },
      {
        id: 'price',
        header: 'A metre',
        accessorKey: 'pricePerMetre',
        cell: (c) => formatMoney(c.row.original.pricePerMetre, settings.currency),
      },
      {
        id: 'stock',
        header: 'At hand',
        accessorFn: (row) => (row.inStock ? 'yes' : ''),
        cell: (c) => (c.row.original.inStock ? <span className="badge badge-success">at hand</span> : ''),
      },
    ],
    [system, settings.currency],
  );
  const stockColumns = useMemo<ColumnDef<StockRow>[]>(
    () => [
      { id: 'name', header: 'Of', accessorKey: 'name' },
      { id: 'kind', header: 'What', accessorFn: (row) => (row.kind === 'sheet' ? counted(row.count, 'sheet') : row.kind) },
      {
        id: 'size',
        header: 'Size',
        accessorFn: (row) => row.width * row.length,
        cell: (c) =>
          c.row.original.kind === 'roll'
            ? `${formatLength(c.row.original.width, system)} wide, ${formatLength(c.row.original.length, system)} left`
            : formatSize(c.row.original.width, c.row.original.length, system),
      },
      {
        id: 'shape',
        header: 'Shape',
        enableSorting: false,
        accessorFn: (row) => (row.outline ? 'of its own' : ''),
        cell: (c) =>
          c.row.original.outline ? <OutlineThumb outlines={[c.row.original.outline]} size={44} label="its shape" /> : '',
      },
      { id: 'place', header: 'Where', accessorKey: 'place' },
      { id: 'note', header: 'Note', accessorKey: 'note' },
    ],
    [system],
  );
  const stockMaterials = useMemo<StockMaterial[]>(
    () => [
      ...cloths.rows.map(({ id, name, rollWidth }) => ({ kind: 'cloth' as const, id, name, rollWidth: rollWidth ?? 0 })),
      ...layers.rows
        .filter(({ form }) => form !== 'liquid')
        .map(({ id, name, rollWidth }) => ({ kind: 'layer' as const, id, name, rollWidth })),
    ],
    [cloths.rows, layers.rows],
  );
  const shownCloths = useMemo(() => cloths.rows.filter((cloth) => !mine || cloth.origin === 'own'), [cloths.rows, mine]);
  const shownLayers = useMemo(
    () =>
      layers.rows.filter(
        (layer) => (family === 'all' || layer.family === family) && (!mine || layer.inStock || layer.origin === 'own'),
      ),
    [layers.rows, family, mine],
  );

  return (
    <UnitsProvider value={system}>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-2xl font-bold">Cupboard</h1>
          <div role="tablist" aria-label="Shelves" className="mt-2 flex gap-1">
            {(
              [
                ['cloth', `Cloth (${cloths.rows.length})`],
                ['layers', `Layers (${layers.rows.length})`],
                ['stock', `Rolls and leftovers (${stock.rows.length})`],
              ] as const
            ).map(([each, word]) => (
              <button
                key={each}
                type="button"
                role="tab"
                aria-selected={shelf === each}
                onClick={() => {
                  setShelf(each);
                  history.replaceState(null, '', `?shelf=${each}`);
                }}
                className={`min-h-[44px] border-b-3 px-4 ${shelf === each ? 'border-primary font-semibold' : 'border-transparent hover:border-base-300'}`}
              >
                {word}
              </button>
            ))}
          </div>
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
          <button type="button" className="btn btn-primary" onClick={() => setEditing({ shelf, id: null })}>
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
        {shelf !== 'stock' && (
          <a className="btn" href={`/cupboard/tables?kind=${shelf === 'cloth' ? 'cloths' : 'layers'}`}>
            Tables in and out
          </a>
        )}
        <a className="btn" href="/buy">
          What to buy
        </a>
        <a className="btn" href="/prints">
          Jig and gauges to print
        </a>
      </p>
      <div className="mt-3">
        {shelf === 'cloth' ? (
          <ShelfTable
            rows={shownCloths}
            columns={clothColumns}
            wideOnly={['weave', 'iron']}
            search={search}
            thing="cloth"
            things="cloths"
            onEdit={(row) => setEditing({ shelf: 'cloth', id: row.id })}
            onDelete={(row) => void cloths.remove(row)}
          />
        ) : shelf === 'stock' ? (
          stock.rows.length > 0 ? (
            <ShelfTable
              rows={stock.rows}
              columns={stockColumns}
              search={search}
              thing="entry"
              things="entries"
              onEdit={(row) => setEditing({ shelf: 'stock', id: row.id })}
              onDelete={(row) => void stock.remove(row)}
            />
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
            rows={shownLayers}
            columns={layerColumns}
            wideOnly={['price']}
            search={search}
            thing="layer"
            things="layers"
            onEdit={(row) => setEditing({ shelf: 'layers', id: row.id })}
            onDelete={(row) => void layers.remove(row)}
          />
        )}
        {shelf !== 'stock' && (
          <p className="quiet mt-3 text-[0.95rem]">
            Library entries carry typical figures; correct them to what you measure. An estimated stiffness says “about”.
          </p>
        )}
      </div>
      {editing?.shelf === 'cloth' && (
        <ClothForm
          key={editing.id ?? 'new'}
          cloth={cloths.rows.find(({ id }) => id === editing.id)}
          onSaved={cloths.put}
          onClose={() => setEditing(null)}
        />
      )}
      {editing?.shelf === 'stock' && (
        <StockForm
          key={editing.id ?? 'new'}
          entry={stock.rows.find(({ id }) => id === editing.id)}
          materials={stockMaterials}
          onSaved={(saved) => stock.put({ ...saved, name: nameOf(saved) })}
          onClose={() => setEditing(null)}
        />
      )}
      {editing?.shelf === 'layers' && (
        <LayerForm
          key={editing.id ?? 'new'}
          layer={layers.rows.find(({ id }) => id === editing.id)}
          onSaved={layers.put}
          onClose={() => setEditing(null)}
        />
      )}
    </UnitsProvider>
  );
}
