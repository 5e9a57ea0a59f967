import { hoopingResultSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileHooping } from '../../../../server/hooping-work';

export const POST = jsonEndpoint(hoopingResultSchema, (body, { params }) => fileHooping(params['id']!, body));
