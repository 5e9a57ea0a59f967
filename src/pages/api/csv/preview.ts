import type { TablePreview } from '../../../formats/csv';
import { csvPreviewSchema } from '../../../schemas/csv';
import { jsonEndpoint, TABLE_LIMIT } from '../../../server/endpoint';
import { inThread } from '../../../server/threads/in-thread';

/** Rows that a screen shows; the counts are of all. */
const SHOWN = 200;
/** How long a table may take to read, s. */
const SECONDS = 20;

/** What a table holds and what is wrong with it; nothing is kept. Faulty rows are shown first. */
export const POST = jsonEndpoint(
  csvPreviewSchema,
  ({ kind, text, mapping }, { request }) =>
    inThread<TablePreview>('read-table', { kind, text, mapping, shown: SHOWN }, { signal: request.signal, seconds: SECONDS }),
  { limit: TABLE_LIMIT },
);
