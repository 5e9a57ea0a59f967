import { requireHoop, type Hoop } from '../../../core/hoop';
import { hoopSchema } from '../../../schemas/hoop';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { hoops, type HoopFields } from '../../../store/hoops';

export const GET = endpoint(() => ({ hoops: hoops.list(database()) }));

export const POST = jsonEndpoint(hoopSchema, (body) => hoops.insert(database(), requireHoop(body as Hoop) as HoopFields), {
  status: 201,
});
