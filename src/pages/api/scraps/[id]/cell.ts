import { scrapCellSchema } from '../../../../schemas/scraps';
import { jsonEndpoint } from '../../../../server/endpoint';
import { readScrap } from '../../../../server/scrap-work';
import { database } from '../../../../server/database';

/** Keeps the readings of one field. */
export const PUT = jsonEndpoint(scrapCellSchema, (body, { params }) => readScrap(database(), params['id']!, body));
