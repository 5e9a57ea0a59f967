import { scrapWashSchema } from '../../../../schemas/scraps';
import { jsonEndpoint } from '../../../../server/endpoint';
import { washScrap } from '../../../../server/scrap-work';

/** Keeps what was seen after the wash. */
export const PUT = jsonEndpoint(scrapWashSchema, (body, { params }) => washScrap(params['id']!, body));
