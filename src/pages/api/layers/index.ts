import { layerSchema } from '../../../schemas/layers';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { layerPage, layersOf, PAGE_SIZES } from '../../../store/lists';
import { pageAsked } from '../../../store/page';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';
import { withEstimates, type LayerBody } from '../../../store/rules/layer';

/** One page with `page`; else all, or those of the families that are named. */
export const GET = endpoint(({ url: { searchParams } }) =>
  searchParams.has('page')
    ? layerPage(
        database(),
        pageAsked(searchParams, PAGE_SIZES.layers),
        searchParams.get('family') ?? 'all',
        searchParams.get('mine') === 'yes',
      )
    : { layers: layersOf(database(), searchParams.get('family')) },
);

export const POST = jsonEndpoint(layerSchema, (body) => layers.insert(database(), withEstimates(body as LayerBody, 'own')), {
  status: 201,
});
