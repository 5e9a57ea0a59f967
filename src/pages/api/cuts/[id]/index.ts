import { cutUpdateSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { saveCut } from '../../../../server/recipe-follow';
import { cuts, type Cut, type CutFields } from '../../../../store/cuts';
import { pieces } from '../../../../store/pieces';
import { requireCut } from '../../../../store/rules/piece';

const fieldsOf = (body: { version: number }, current: Cut) => {
  const db = database();
  const { pieceId } = current;
  return requireCut(db, { ...withoutVersion(body), pieceId } as CutFields, pieces.get(db, pieceId), current);
};

export const { GET, DELETE } = recordEndpoints(cuts, cutUpdateSchema, fieldsOf);

/** What is made from edges of its piece follows how many there are, their halves and their allowances. */
export const PUT = jsonEndpoint(cutUpdateSchema, (body, { params }) => {
  const db = database();
  const current = cuts.get(db, params['id']!);
  return saveCut(db, current.id, fieldsOf(body, current), body.version);
});
