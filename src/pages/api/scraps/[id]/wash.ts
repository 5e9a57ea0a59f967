import { scrapWashSchema } from '../../../../schemas/scraps';
import { jsonEndpoint } from '../../../../server/endpoint';
import { washScrap } from '../../../../server/scrap-work';
import { database } from '../../../../server/database';

/** Keeps what was seen after the wash. */
export const PUT = jsonEndpoint(scrapWashSchema, (body, { params }) => washScrap(database(), params['id']!, body));
