import { partUpdateSchema } from '../../../../schemas/records';
import { requirePart } from '../../../../store/rules/part';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { parts, type PartFields } from '../../../../store/parts';
import { database } from '../../../../server/database';

export const { GET, PUT, DELETE } = recordEndpoints(parts, partUpdateSchema, (body, current) =>
  requirePart(database(), { ...withoutVersion(body), projectId: current.projectId } as PartFields, current),
);
