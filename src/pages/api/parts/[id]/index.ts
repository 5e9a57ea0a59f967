import { partUpdateSchema } from '../../../../schemas/records';
import { requirePart } from '../../../../server/part-rules';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { parts, type PartFields } from '../../../../store/parts';

export const { GET, PUT, DELETE } = recordEndpoints(parts, partUpdateSchema, (body, current) =>
  requirePart({ ...withoutVersion(body), projectId: current.projectId } as PartFields),
);
