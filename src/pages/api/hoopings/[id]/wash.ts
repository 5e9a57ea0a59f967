import { hoopingWashSchema } from '../../../../schemas/hoop';
import { jsonEndpoint } from '../../../../server/endpoint';
import { fileWash } from '../../../../server/hooping-work';

export const POST = jsonEndpoint(hoopingWashSchema, (body, { params }) => fileWash(params['id']!, body));
