import { database } from '../../../../server/database';
import { projectDrawing } from '../../../../server/drawings';
import { pictureEndpoint } from '../../../../server/endpoint';
import { projects } from '../../../../store/projects';

/** The pieces of a project, laid out small. */
export const GET = pictureEndpoint(({ params }) => projectDrawing(database(), projects.get(database(), params['id']!).id));
