import { scrapFileSchema } from '../../../../schemas/scraps';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileScrap } from '../../../../server/scrap-work';

/** Takes a field's setting and files the scrap. */
export const PUT = jsonEndpoint(scrapFileSchema, (body, { params }) => fileScrap(params['id']!, body));
