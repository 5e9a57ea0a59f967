import { clothSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { cloths, type ClothFields } from '../../../store/cloths';
import { database } from '../../../store/database';

export const GET = endpoint(() => ({ cloths: cloths.list(database()) }));

export const POST = jsonEndpoint(
  clothSchema,
  (body) => cloths.insert(database(), { ...body, origin: 'own', tests: {} } as ClothFields),
  {
    status: 201,
  },
);
