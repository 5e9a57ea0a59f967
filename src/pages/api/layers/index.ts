import { layerSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../store/database';
import { layers } from '../../../store/layers';
import { withEstimates, type LayerBody } from '../../../store/rules/layer';

export const GET = endpoint(() => ({ layers: layers.list(database()) }));

export const POST = jsonEndpoint(layerSchema, (body) => layers.insert(database(), withEstimates(body as LayerBody, 'own')), {
  status: 201,
});
