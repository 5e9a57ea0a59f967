import { daySchema } from '../../schemas/compute';
import { database } from '../../server/database';
import { dayRuns } from '../../server/day-work';
import { jsonEndpoint } from '../../server/endpoint';

/** What some jobs and open runs come to as tasks: how long each takes, what it holds, what it waits for. */
export const POST = jsonEndpoint(daySchema, ({ jobIds, runIds }) => ({ runs: dayRuns(database(), jobIds, runIds) }));
