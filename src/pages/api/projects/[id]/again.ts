import { sewAgain } from '../../../../server/add-pieces';
import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';

/** The same thing once more: a project with the same pieces, jobs and chosen layers, nothing of it done. */
export const POST = endpoint(({ params }) => sewAgain(database(), params['id']!));
