import { database } from '../../../../../server/database';
import { endpoint } from '../../../../../server/endpoint';
import { kitsOf } from '../../../../../server/kits';

/** The bags of a project, one for each thing that is made. */
export const GET = endpoint(({ params }) => ({ kits: kitsOf(database(), params['id']!) }));
