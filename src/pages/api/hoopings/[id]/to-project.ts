import { hoopingToJobSchema } from '../../../../schemas/hoop';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { stackToJob } from '../../../../server/hooping-to-job';

/** Gives the job of the project that it is for what lies under the motif here. */
export const POST = jsonEndpoint(hoopingToJobSchema, ({ version }, { params }) => stackToJob(database(), params['id']!, version));
