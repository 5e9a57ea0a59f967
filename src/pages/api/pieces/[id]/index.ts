import { pieceUpdateSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { pieces, type PieceFields } from '../../../../store/pieces';
import { requirePiece } from '../../../../store/rules/piece';

export const { GET, PUT, DELETE } = recordEndpoints(pieces, pieceUpdateSchema, (body, current) =>
  requirePiece(database(), { ...withoutVersion(body), projectId: current.projectId } as PieceFields, current.id),
);
