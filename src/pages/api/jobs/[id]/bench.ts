import { endpoint } from '../../../../server/endpoint';
import { startBench } from '../../../../server/start-bench';
import { database } from '../../../../server/database';

/** Starts a bench run for the job, or gives the one that is open. */
export const POST = endpoint(({ params }) => startBench(database(), params['id']!));
