import { pressPlan, type PressOptions } from '../../../core/press';
import { pressPlanSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

export const POST = jsonEndpoint(pressPlanSchema, (body) => pressPlan(body as PressOptions));
