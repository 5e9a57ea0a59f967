import { inset } from '../../../core/shape';
import { insetSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

export const POST = jsonEndpoint(insetSchema, ({ outline, allowance }) => inset(outline, allowance));
