import type { ColumnDef } from '@tanstack/react-table';
import { clothBendingLength } from '../../core/cloth';
import { FAMILY_WORDS, FORM_WORDS } from '../../core/layers';
import { boxOutline } from '../../core/shape';
import { formatArealDensity, formatLength, formatMoney, formatSize, type LengthSystem } from '../../core/units';
import OutlineThumb from '../../ui/OutlineThumb';
import { counted, keepUnits } from '../../ui/text';
import type { Cloth } from '../../store/cloths';
import type { Layer } from '../../store/layers';
import type { Stock } from '../../store/stock';

/** An entry of the stock with the name of what it is of. */
export type StockRow = Stock & { name: string };

const IRON = ['no iron', 'cool', 'medium', 'hot'];

/** What the shelf of cloths shows of each. */
export function clothColumnsOf(system: LengthSystem): ColumnDef<Cloth>[] {
  return [
    { id: 'name', header: 'Cloth', accessorKey: 'name', cell: (c) => keepUnits(c.row.original.name) },
    {
      id: 'weight',
      header: 'Weight',
      accessorKey: 'arealDensity',
      cell: (c) => formatArealDensity(c.row.original.arealDensity, system),
    },
    {
      id: 'made',
      header: 'Made of',
      enableSorting: false,
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
      enableSorting: false,
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
      enableSorting: false,
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
  ];
}

/** What the shelf of layers shows of each. */
export function layerColumnsOf(system: LengthSystem, currency: string): ColumnDef<Layer>[] {
  return [
    { id: 'name', header: 'Layer', accessorKey: 'name', cell: (c) => keepUnits(c.row.original.name) },
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
      cell: (c) => formatMoney(c.row.original.pricePerMetre, currency),
    },
    {
      id: 'stock',
      header: 'At hand',
      accessorFn: (row) => (row.inStock ? 'yes' : ''),
      cell: (c) => (c.row.original.inStock ? <span className="badge badge-success">at hand</span> : ''),
    },
  ];
}

/** What the shelf of rolls, sheets and leftovers shows of each. */
export function stockColumnsOf(system: LengthSystem): ColumnDef<StockRow>[] {
  return [
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
      cell: ({ row: { original } }) =>
        original.outline || original.spots.length > 0 ? (
          <OutlineThumb
            outlines={[
              original.outline ?? boxOutline({ minX: 0, minY: 0, maxX: original.width, maxY: original.length }),
              ...original.spots,
            ]}
            size={44}
            label={original.spots.length > 0 ? `its shape, ${counted(original.spots.length, 'spot')} in it` : 'its shape'}
          />
        ) : (
          ''
        ),
    },
    { id: 'place', header: 'Where', accessorKey: 'place' },
    { id: 'note', header: 'Note', accessorKey: 'note' },
  ];
}
