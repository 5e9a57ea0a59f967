import { hoopingSchema } from '../../../schemas/hoop';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { requireHooping, type HoopingBody } from '../../../store/rules/hooping';
import { database } from '../../../server/database';
import { hoopings } from '../../../store/hoopings';

export const GET = endpoint(() => ({ hoopings: hoopings.list(database(), '1', [], 'created_at DESC, id') }));

export const POST = jsonEndpoint(
  hoopingSchema,
  (body) => hoopings.insert(database(), { ...requireHooping(database(), body as HoopingBody), result: null }),
  { status: 201 },
);
