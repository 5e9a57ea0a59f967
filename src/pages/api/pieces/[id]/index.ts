import { pieceUpdateSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { endpoint, jsonEndpoint } from '../../../../server/endpoint';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { savePiece } from '../../../../server/recipe-follow';
import { removePiece } from '../../../../server/remove-piece';
import { pieces, type PieceFields } from '../../../../store/pieces';
import { requirePiece } from '../../../../store/rules/piece';

const fieldsOf = (body: { version: number }, current: PieceFields & { id: string }) =>
  requirePiece(database(), { ...withoutVersion(body), projectId: current.projectId } as PieceFields, current.id);

export const { GET } = recordEndpoints(pieces, pieceUpdateSchema, fieldsOf);

/** What its recipe put on another piece goes with it. */
export const DELETE = endpoint(({ params }) => {
  removePiece(database(), params['id']!);
  return { deleted: params['id'] };
});

/** What is made from edges of the piece follows it. */
export const PUT = jsonEndpoint(pieceUpdateSchema, (body, { params }) => {
  const db = database();
  const current = pieces.get(db, params['id']!);
  return savePiece(db, current.id, fieldsOf(body, current), body.version);
});
