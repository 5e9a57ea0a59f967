import { endpoint } from '../../server/endpoint';
import { database } from '../../server/database';
import { loadDemo } from '../../store/demo';

/** Brings the demo scenario into the open database. */
export const POST = endpoint(() => loadDemo(database(), { onlyIfEmpty: false }));
