import { hoopingUpdateSchema } from '../../../../schemas/hoop';
import { requireHooping, type HoopingBody } from '../../../../store/rules/hooping';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { hoopings } from '../../../../store/hoopings';
import { database } from '../../../../server/database';

export const { GET, PUT, DELETE } = recordEndpoints(hoopings, hoopingUpdateSchema, (body, current) => ({
  ...requireHooping(database(), withoutVersion(body) as HoopingBody, current),
  result: current.result,
}));
