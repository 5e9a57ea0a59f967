import { clothUpdateSchema } from '../../../../schemas/records';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { cloths, type ClothFields } from '../../../../store/cloths';

export const { GET, PUT, DELETE } = recordEndpoints(
  cloths,
  clothUpdateSchema,
  (body, current) => ({ ...withoutVersion(body), origin: current.origin }) as ClothFields,
);
