import { TABLE_KINDS, writeTable, type TableKind } from '../../../formats/csv';
import { fileEndpoint } from '../../../server/endpoint';
import { cloths } from '../../../store/cloths';
import { database } from '../../../server/database';
import { NotFoundError } from '../../../store/errors';
import { layers } from '../../../store/layers';

/** All cloths or layers as a table; `?mine=yes` leaves the library out. */
export const GET = fileEndpoint(({ params, url }) => {
  const kind = params['table']!.replace(/\.csv$/, '') as TableKind;
  if (!TABLE_KINDS.includes(kind)) throw new NotFoundError('table');
  const mine = url.searchParams.get('mine') === 'yes';
  const where = mine ? "origin = 'own'" : '1';
  const records =
    kind === 'cloths' ? cloths.list(database(), where) : layers.list(database(), mine ? "(origin = 'own' OR in_stock = 1)" : '1');
  return { name: `${kind}.csv`, type: 'text/csv; charset=utf-8', bytes: writeTable(kind, records) };
});
