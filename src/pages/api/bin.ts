import { endpoint } from '../../server/endpoint';
import { deletedRows } from '../../store/bin';
import { database } from '../../server/database';

/** What was deleted within the last thirty days. */
export const GET = endpoint(() => ({ deleted: deletedRows(database(), new Date().toISOString()) }));
