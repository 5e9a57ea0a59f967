import { endpoint } from '../../../../server/endpoint';
import { startScrapBench } from '../../../../server/scrap-work';
import { database } from '../../../../server/database';

/** Starts the bench for a scrap, or gives the run that is open. */
export const POST = endpoint(({ params }) => startScrapBench(database(), params['id']!));
