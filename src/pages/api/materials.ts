import { endpoint } from '../../server/endpoint';
import { database } from '../../server/database';
import { materialNames } from '../../store/stock';

/** Names and widths of everything that a roll or leftover can be of. */
export const GET = endpoint(() => ({ materials: materialNames(database()) }));
