import { layerFromLittle, type BoughtLayer } from '../../../core/library';
import { boughtLayerSchema } from '../../../schemas/layers';
import { database } from '../../../server/database';
import { jsonEndpoint } from '../../../server/endpoint';
import { layers } from '../../../store/layers';

/** A layer that was bought, from the little that is known of it; it lies in the cupboard. */
export const POST = jsonEndpoint(
  boughtLayerSchema,
  (body) =>
    layers.insert(database(), {
      ...{ note: '', origin: 'own', inStock: true, estimated: [], fibres: [], tests: {}, bottle: {} },
      ...layerFromLittle(body as BoughtLayer),
    }),
  { status: 201 },
);
