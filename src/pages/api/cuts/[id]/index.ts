import { cutUpdateSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { cuts, type CutFields } from '../../../../store/cuts';
import { pieces } from '../../../../store/pieces';
import { requireCut } from '../../../../store/rules/piece';

export const { GET, PUT, DELETE } = recordEndpoints(cuts, cutUpdateSchema, (body, current) => {
  const db = database();
  const { pieceId } = current;
  return requireCut(db, { ...withoutVersion(body), pieceId } as CutFields, pieces.get(db, pieceId), current);
});
