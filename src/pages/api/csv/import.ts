import { InputError } from '../../../core/input-error';
import type { TablePreview } from '../../../formats/csv';
import { csvImportSchema } from '../../../schemas/csv';
import { jsonEndpoint, TABLE_LIMIT } from '../../../server/endpoint';
import { inThread } from '../../../server/threads/in-thread';
import { cloths, type ClothFields } from '../../../store/cloths';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';
import { withEstimates, type LayerBody } from '../../../store/rules/layer';

/** How long a table may take to read, s. */
const SECONDS = 20;

/** Brings a table in: all of its sound rows in one go, or nothing. */
export const POST = jsonEndpoint(
  csvImportSchema,
  async ({ kind, text, mapping, skipFaulty, skipSameName }, { request }) => {
    const limits = { signal: request.signal, seconds: SECONDS };
    const table = await inThread<TablePreview>('read-table', { kind, text, mapping }, limits);
    const faulty = table.rows.find(({ faults }) => faults.length > 0);
    if (faulty && !skipFaulty)
      throw new InputError(
        'text',
        `has ${table.faulty} faulty ${table.faulty === 1 ? 'row' : 'rows'}, the first in line ${faulty.row} (${faulty.faults[0]!.field} ${faulty.faults[0]!.message}); nothing was brought in`,
      );
    const db = database();
    const known = new Set((kind === 'cloths' ? cloths : layers).list(db).map(({ name }) => name.toLowerCase()));
    return db
      .transaction(() => {
        const ids: string[] = [];
        let same = 0;
        for (const { record, name } of table.rows) {
          if (!record) continue;
          if (skipSameName && known.has(name.toLowerCase())) {
            same++;
            continue;
          }
          const made =
            kind === 'cloths'
              ? cloths.insert(db, { ...record, origin: 'own', tests: {} } as unknown as ClothFields)
              : layers.insert(db, withEstimates(record as unknown as LayerBody, 'own'));
          ids.push(made.id);
        }
        return { added: ids.length, leftOut: table.faulty, sameName: same, ids };
      })
      .immediate();
  },
  { status: 201, limit: TABLE_LIMIT },
);
