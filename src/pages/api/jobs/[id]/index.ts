import { jobUpdateSchema } from '../../../../schemas/records';
import { database } from '../../../../server/database';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { cuts } from '../../../../store/cuts';
import { jobs, type JobFields } from '../../../../store/jobs';
import { pieces } from '../../../../store/pieces';
import { requireJob } from '../../../../store/rules/piece';

export const { GET, PUT, DELETE } = recordEndpoints(jobs, jobUpdateSchema, (body, current) => {
  const db = database();
  const piece = pieces.get(db, cuts.get(db, current.cutId).pieceId);
  return requireJob(db, { ...withoutVersion(body), cutId: current.cutId } as JobFields, piece, current);
});
