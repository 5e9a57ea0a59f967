import { hoopingResultSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileHooping } from '../../../../server/hooping-work';
import { database } from '../../../../store/database';

export const POST = jsonEndpoint(hoopingResultSchema, (body, { params }) => fileHooping(database(), params['id']!, body));
