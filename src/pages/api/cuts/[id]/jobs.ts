import { jobSchemaNew } from '../../../../schemas/projects';
import { addJob } from '../../../../server/add-pieces';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import type { JobFields } from '../../../../store/jobs';

/** Another job on this cut. */
export const POST = jsonEndpoint(jobSchemaNew, (body, { params }) => addJob(database(), params['id']!, body as JobFields), {
  status: 201,
});
