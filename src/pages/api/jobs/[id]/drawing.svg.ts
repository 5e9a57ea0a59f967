import { database } from '../../../../server/database';
import { jobDrawing } from '../../../../server/drawings';
import { pictureEndpoint } from '../../../../server/endpoint';

/** A job on its piece, drawn small. */
export const GET = pictureEndpoint(({ params }) => jobDrawing(database(), params['id']!));
