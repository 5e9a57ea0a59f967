import { requireHoop, type Hoop } from '../../../../core/hoop';
import { hoopUpdateSchema } from '../../../../schemas/hoop';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { hoops, type HoopFields } from '../../../../store/hoops';

export const { GET, PUT, DELETE } = recordEndpoints(
  hoops,
  hoopUpdateSchema,
  (body) => requireHoop(withoutVersion(body) as Hoop) as HoopFields,
);
