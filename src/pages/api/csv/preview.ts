import { readTable } from '../../../formats/csv';
import { csvPreviewSchema } from '../../../schemas/csv';
import { BUNDLE_LIMIT, jsonEndpoint } from '../../../server/endpoint';

/** Rows that a screen shows; the counts are of all. */
const SHOWN = 200;

/** What a table holds and what is wrong with it; nothing is kept. Faulty rows are shown first. */
export const POST = jsonEndpoint(
  csvPreviewSchema,
  ({ kind, text, mapping }) => {
    const table = readTable(kind, text, mapping);
    const rows = [...table.rows].sort((a, b) => Number(b.faults.length > 0) - Number(a.faults.length > 0) || a.row - b.row);
    return { ...table, rows: rows.slice(0, SHOWN) };
  },
  { limit: BUNDLE_LIMIT },
);
