import { layerSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../store/database';
import { layers, type LayerFields } from '../../../store/layers';

export const GET = endpoint(() => ({ layers: layers.list(database()) }));

export const POST = jsonEndpoint(layerSchema, (body) => layers.insert(database(), { ...body, origin: 'own' } as LayerFields), {
  status: 201,
});
