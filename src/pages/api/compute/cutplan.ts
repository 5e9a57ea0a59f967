import { cutPlan, type CutPlanOptions } from '../../../core/cutplan';
import { cutPlanSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

export const POST = jsonEndpoint(cutPlanSchema, (body) => cutPlan(body as CutPlanOptions));
