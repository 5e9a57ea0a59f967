import { hoopingResultSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileHooping } from '../../../../server/hooping-work';
import { database } from '../../../../server/database';

export const POST = jsonEndpoint(hoopingResultSchema, (body, { params }) => fileHooping(database(), params['id']!, body));
