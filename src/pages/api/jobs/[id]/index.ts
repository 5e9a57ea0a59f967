import { jobUpdateSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { withFoundSetting } from '../../../../server/found-setting';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { cuts } from '../../../../store/cuts';
import { jobs, type JobFields } from '../../../../store/jobs';
import { pieces } from '../../../../store/pieces';
import { requireJob } from '../../../../store/rules/piece';

export const { GET, PUT, DELETE } = recordEndpoints(jobs, jobUpdateSchema, (body, current) => {
  const db = database();
  const cut = cuts.get(db, current.cutId);
  const fields = { ...withoutVersion(body), cutId: current.cutId } as JobFields;
  const stack = withFoundSetting(db, cut.clothId, fields.stack, current.stack);
  return requireJob(db, { ...fields, stack }, pieces.get(db, cut.pieceId), current);
});
