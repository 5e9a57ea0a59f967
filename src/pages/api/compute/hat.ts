import { hat, type HatInput } from '../../../core/recipes';
import { hatSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** Tip, side band and brim of every layer of a hat. */
export const POST = jsonEndpoint(hatSchema, (input) => ({ pieces: hat(input as HatInput) }));
