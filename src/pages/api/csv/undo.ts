import { csvUndoSchema } from '../../../schemas/csv';
import { jsonEndpoint } from '../../../server/endpoint';
import { cloths } from '../../../store/cloths';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';

/** Takes back what a table brought in, all of it in one go. */
export const POST = jsonEndpoint(csvUndoSchema, ({ kind, ids }) => {
  const db = database();
  return db
    .transaction(() => {
      for (const id of ids) (kind === 'cloths' ? cloths : layers).remove(db, id);
      return { removed: ids.length };
    })
    .immediate();
});
