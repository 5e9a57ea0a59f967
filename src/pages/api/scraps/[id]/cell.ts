import { scrapCellSchema } from '../../../../schemas/scraps';
import { jsonEndpoint } from '../../../../server/endpoint';
import { readScrap } from '../../../../server/scrap-work';

/** Keeps the readings of one field. */
export const PUT = jsonEndpoint(scrapCellSchema, (body, { params }) => readScrap(params['id']!, body));
