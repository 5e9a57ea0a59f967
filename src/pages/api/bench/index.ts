import { batchSchema } from '../../../schemas/bench';
import { database } from '../../../server/database';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { startBatch } from '../../../server/start-bench';
import { openRuns } from '../../../store/bench-runs';

/** Runs that are open. */
export const GET = endpoint(() => ({ runs: openRuns(database()) }));

/** Starts a run of one job or a batch of several. */
export const POST = jsonEndpoint(batchSchema, ({ jobIds, tool }) => startBatch(database(), jobIds, tool), { status: 201 });
