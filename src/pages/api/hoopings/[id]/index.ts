import { hoopingUpdateSchema } from '../../../../schemas/hoop';
import { requireHooping, type HoopingBody } from '../../../../server/hooping-work';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { hoopings } from '../../../../store/hoopings';

export const { GET, PUT, DELETE } = recordEndpoints(hoopings, hoopingUpdateSchema, (body, current) => ({
  ...requireHooping(withoutVersion(body) as HoopingBody, current),
  result: current.result,
}));
