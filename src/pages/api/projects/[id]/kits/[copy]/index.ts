import { database } from '../../../../../../server/database';
import { endpoint } from '../../../../../../server/endpoint';
import { kitOf } from '../../../../../../server/kits';

/** Where the bag of one thing stands: what of it is packed, missing, taken out. */
export const GET = endpoint(({ params }) => kitOf(database(), params['id']!, Number(params['copy'])).kept);
