import { seamUpdateSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { requireSeam } from '../../../../store/rules/seam';
import { seams } from '../../../../store/seams';

export const { GET, PUT, DELETE } = recordEndpoints(seams, seamUpdateSchema, (body, current) =>
  requireSeam(database(), { ...withoutVersion(body), projectId: current.projectId }),
);
