import { clothSchema } from '../../../schemas/cloths';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { cloths, type ClothFields } from '../../../store/cloths';
import { clothPage, PAGE_SIZES } from '../../../store/lists';
import { pageAsked } from '../../../store/page';
import { database } from '../../../server/database';

/** One page with `page`, or all. */
export const GET = endpoint(({ url: { searchParams } }) =>
  searchParams.has('page')
    ? clothPage(database(), pageAsked(searchParams, PAGE_SIZES.cloths), searchParams.get('mine') === 'yes')
    : { cloths: cloths.all(database()) },
);

export const POST = jsonEndpoint(
  clothSchema,
  (body) => cloths.insert(database(), { ...body, origin: 'own', tests: {} } as ClothFields),
  {
    status: 201,
  },
);
