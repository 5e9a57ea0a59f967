import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { restorePiece } from '../../../../server/remove-piece';

/** Takes the deletion of a piece back, with what went with it. */
export const POST = endpoint(({ params }) => restorePiece(database(), params['id']!));
