import { hoopingWashSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileWash } from '../../../../server/hooping-work';
import { database } from '../../../../server/database';

export const POST = jsonEndpoint(hoopingWashSchema, (body, { params }) => fileWash(database(), params['id']!, body));
