import { drying } from '../../../core/liquid';
import { dryingSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** How fast wet cloth dries in some air. */
export const POST = jsonEndpoint(dryingSchema, (body) => drying(body));
