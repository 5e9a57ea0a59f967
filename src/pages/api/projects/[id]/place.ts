import { projectPlaceSchema } from '../../../../schemas/projects';
import { jsonEndpoint } from '../../../../server/endpoint';
import { database } from '../../../../server/database';
import { moveProject } from '../../../../store/projects';

/** Puts a project into another place of the list. */
export const PUT = jsonEndpoint(projectPlaceSchema, ({ before }, { params }) => {
  moveProject(database(), params['id']!, before);
  return { id: params['id'], before };
});
