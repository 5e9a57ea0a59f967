import { benchToolSchema } from '../../../../schemas/bench';
import { validate } from '../../../../schemas/validate';
import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { startBench } from '../../../../server/start-bench';

/** Starts a bench run for the job, with the iron or (`?tool=press`) under a flat press, or gives the one that is open. */
export const POST = endpoint(({ params, url }) => {
  const { tool } = validate(benchToolSchema, Object.fromEntries(url.searchParams));
  return startBench(database(), params['id']!, tool);
});
