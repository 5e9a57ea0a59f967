import { cutSchemaNew } from '../../../../schemas/projects';
import { addCut, type NewCut } from '../../../../server/add-pieces';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';

/** Another cut of this piece, with its jobs: from another cloth, for another duty. */
export const POST = jsonEndpoint(cutSchemaNew, (body, { params }) => addCut(database(), params['id']!, body as NewCut), {
  status: 201,
});
