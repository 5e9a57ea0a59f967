import { piecesSchema } from '../../../../../schemas/projects';
import { addPieces, type NewPiece } from '../../../../../server/add-pieces';
import { database } from '../../../../../server/database';
import { addMade } from '../../../../../server/recipe-work';
import { jsonEndpoint } from '../../../../../server/endpoint';

/** An outline from a file can be long, and there can be many. */
const LIMIT = 16 * 1024 * 1024;

/** Several pieces at once: all of them or none. */
export const POST = jsonEndpoint(
  piecesSchema,
  ({ pieces, recipe }, { params }) =>
    recipe
      ? addMade(database(), params['id']!, pieces as NewPiece[], recipe)
      : addPieces(database(), params['id']!, pieces as NewPiece[]),
  { status: 201, limit: LIMIT },
);
