import { scrapFileSchema } from '../../../../schemas/scraps';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileScrap } from '../../../../server/scrap-work';
import { database } from '../../../../server/database';

/** Takes a field's setting and files the scrap. */
export const PUT = jsonEndpoint(scrapFileSchema, (body, { params }) => fileScrap(database(), params['id']!, body));
