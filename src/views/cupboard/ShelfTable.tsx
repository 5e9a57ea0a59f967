import {
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getPaginationRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import Pager from '../../ui/Pager';
import { counted } from '../../ui/text';

interface Props<T extends { id: string; name: string }> {
  rows: T[];
  columns: ColumnDef<T>[];
  /** Ids of the columns that a tablet held upright has no room for. */
  wideOnly?: readonly string[];
  /** Words that are searched here; where the server searches, none. */
  search?: string;
  /** The server sorts and cuts the list: its order, and which page is here. */
  server?: ServerList;
  /** What one row is called. */
  thing: string;
  /** Many of them, where an s does not do. */
  things: string;
  onEdit: (row: T) => void;
  onDelete: (row: T) => void;
}

/** A list that is sorted and cut by the server. */
export interface ServerList {
  sorting: SortingState;
  onSorting: (sorting: SortingState) => void;
  page: number;
  pages: number;
  total: number;
  busy: boolean;
  onGo: (page: number) => void;
}

/** Columns whose words may take two lines. */
const WRAPPED = ['bending', 'made', 'family', 'place', 'note'];
/** Rows on one page; a longer table is slow to read and slow to draw. */
const PAGE = 40;

/** A table of the cupboard: sorted by any column, searched by words, edited by row. */
export default function ShelfTable<T extends { id: string; name: string }>({
  rows,
  columns,
  wideOnly = [],
  search = '',
  server,
  thing,
  things,
  onEdit,
  onDelete,
}: Props<T>) {
  const [own, setOwn] = useState<SortingState>([{ id: 'name', desc: false }]);
  const sorting = server ? server.sorting : own;
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting, globalFilter: search },
    onSortingChange: (change) => {
      const next = typeof change === 'function' ? change(sorting) : change;
      if (server) server.onSorting(next);
      else setOwn(next);
    },
    manualSorting: server !== undefined,
    manualPagination: server !== undefined,
    manualFiltering: server !== undefined,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getPaginationRowModel: getPaginationRowModel(),
    initialState: { pagination: { pageSize: PAGE } },
    globalFilterFn: (row, _column, filter: string) => {
      const text = row
        .getAllCells()
        .map((cell) => String(cell.getValue() ?? ''))
        .join(' ')
        .toLowerCase();
      return filter
        .toLowerCase()
        .split(/\s+/)
        .every((word) => text.includes(word));
    },
  });
  const fits = (id: string) => (wideOnly.includes(id) ? 'max-lg:hidden' : '');
  const found = server ? server.total : table.getFilteredRowModel().rows.length;
  return (
    <>
      <div className="overflow-x-auto">
        <table className="table text-base">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} className="border-base-300">
                {group.headers.map((header) => {
                  const sorted = header.column.getIsSorted();
                  return (
                    <th
                      key={header.id}
                      scope="col"
                      className={`p-0 text-base ${fits(header.column.id)}`}
                      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    >
                      <button
                        type="button"
                        className="flex min-h-[44px] w-full items-center gap-1 px-2 text-left lg:px-3 font-semibold text-base-content"
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        {flexRender(header.column.columnDef.header, header.getContext())}
                        {sorted === 'asc' && <ArrowUp size={16} aria-hidden="true" />}
                        {sorted === 'desc' && <ArrowDown size={16} aria-hidden="true" />}
                      </button>
                    </th>
                  );
                })}
                <th scope="col" className="w-28">
                  <span className="sr-only">Change or delete</span>
                </th>
              </tr>
            ))}
          </thead>
          <tbody>
            {table.getRowModel().rows.map((row) => (
              <tr key={row.id} className="border-base-300 hover:bg-base-200">
                {row.getVisibleCells().map((cell, i) =>
                  i === 0 ? (
                    <th key={cell.id} scope="row" className="px-2 py-1 font-semibold lg:px-3">
                      {flexRender(cell.column.columnDef.cell, cell.getContext())}
                    </th>
                  ) : (
                    <td
                      key={cell.id}
                      className={`px-2 py-1 lg:px-3 ${fits(cell.column.id)} ${WRAPPED.includes(cell.column.id) ? '' : 'whitespace-nowrap'}`}
                    >
                      {flexRender(cell.column.columnDef.cell, cell.getContext())}
                    </td>
                  ),
                )}
                <td className="w-24 p-0 text-right whitespace-nowrap">
                  <button
                    type="button"
                    className="btn btn-ghost btn-icon"
                    aria-label={`Change ${row.original.name}`}
                    onClick={() => onEdit(row.original)}
                  >
                    <Pencil size={18} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost btn-icon"
                    aria-label={`Delete ${row.original.name}`}
                    onClick={() => onDelete(row.original)}
                  >
                    <Trash2 size={18} aria-hidden="true" />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {found === 0 && <p className="py-4">Nothing in the cupboard has all of those words.</p>}
      {server && (
        <Pager
          page={server.page}
          pages={server.pages}
          words={counted(found, thing, things)}
          busy={server.busy}
          onGo={server.onGo}
        />
      )}
      {!server && found > PAGE && (
        <div className="mt-3 flex items-center gap-3">
          <button type="button" className="btn" disabled={!table.getCanPreviousPage()} onClick={() => table.previousPage()}>
            Before
          </button>
          <span>
            Page {table.getState().pagination.pageIndex + 1} of {table.getPageCount()}, {counted(found, thing, things)}
          </span>
          <button type="button" className="btn" disabled={!table.getCanNextPage()} onClick={() => table.nextPage()}>
            Next
          </button>
        </div>
      )}
    </>
  );
}
