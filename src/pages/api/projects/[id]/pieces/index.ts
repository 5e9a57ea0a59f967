import { pieceSchemaNew } from '../../../../../schemas/projects';
import { addPieces, type NewPiece } from '../../../../../server/add-pieces';
import { database } from '../../../../../server/database';
import { endpoint, jsonEndpoint } from '../../../../../server/endpoint';
import { piecesOf } from '../../../../../store/workpieces';

/** Pieces of a project, their cuts, and the jobs on these. */
export const GET = endpoint(({ params }) => piecesOf(database(), [params['id']!]));

/** A piece with its cuts and their jobs. */
export const POST = jsonEndpoint(pieceSchemaNew, (body, { params }) => addPieces(database(), params['id']!, [body as NewPiece]), {
  status: 201,
});
