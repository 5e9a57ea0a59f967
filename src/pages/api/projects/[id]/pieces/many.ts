import { piecesSchema } from '../../../../../schemas/projects';
import { addPieces, type NewPiece } from '../../../../../server/add-pieces';
import { database } from '../../../../../server/database';
import { jsonEndpoint } from '../../../../../server/endpoint';

/** An outline from a file can be long, and there can be many. */
const LIMIT = 16 * 1024 * 1024;

/** Several pieces at once: all of them or none. */
export const POST = jsonEndpoint(
  piecesSchema,
  (body, { params }) => addPieces(database(), params['id']!, body.pieces as NewPiece[]),
  { status: 201, limit: LIMIT },
);
