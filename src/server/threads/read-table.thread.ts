import { readTable, type Mapping, type TableKind } from '../../formats/csv';
import { answer } from './answer';

/** Reads a table that came from outside in a thread with a limit of its own. */
void answer(({ kind, text, mapping, shown }: { kind: TableKind; text: string; mapping?: Mapping; shown?: number }) => {
  const table = readTable(kind, text, mapping);
  if (shown === undefined) return table;
  // Faulty rows first: they are what has to be looked at.
  const rows = [...table.rows].sort((a, b) => Number(b.faults.length > 0) - Number(a.faults.length > 0) || a.row - b.row);
  return { ...table, rows: rows.slice(0, shown) };
});
