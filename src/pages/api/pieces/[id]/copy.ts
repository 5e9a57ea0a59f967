import { copyPiece } from '../../../../server/copy-piece';
import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';

/** The same piece once more, with its cuts, its jobs and the layers that were chosen for them; nothing of it is done. */
export const POST = endpoint(({ params }) => copyPiece(database(), params['id']!));
