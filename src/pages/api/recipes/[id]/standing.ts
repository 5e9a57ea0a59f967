import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { standingOf } from '../../../../server/standing';

/** What the flare of a recipe is made of: its shape, cloth and layers. */
export const GET = endpoint(({ params }) => standingOf(database(), params['id']!));
