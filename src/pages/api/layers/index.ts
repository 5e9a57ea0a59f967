import { layerSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { layerPage, PAGE_SIZES } from '../../../store/lists';
import { pageAsked } from '../../../store/page';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';
import { withEstimates, type LayerBody } from '../../../store/rules/layer';

/** One page with `page`, or all. */
export const GET = endpoint(({ url: { searchParams } }) =>
  searchParams.has('page')
    ? layerPage(
        database(),
        pageAsked(searchParams, PAGE_SIZES.layers),
        searchParams.get('family') ?? 'all',
        searchParams.get('mine') === 'yes',
      )
    : { layers: layers.all(database()) },
);

export const POST = jsonEndpoint(layerSchema, (body) => layers.insert(database(), withEstimates(body as LayerBody, 'own')), {
  status: 201,
});
