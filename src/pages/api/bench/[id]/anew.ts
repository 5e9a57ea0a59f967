import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { startAnew } from '../../../../server/start-bench';

/** Plans the run anew, for its jobs as they are now. */
export const POST = endpoint(({ params }) => startAnew(database(), params['id']!));
