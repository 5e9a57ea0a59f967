import { opacityOf } from '../../../core/seethrough';
import { opacitySchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** How much is seen through a pile of sheets. */
export const POST = jsonEndpoint(opacitySchema, ({ sheets }) => opacityOf(sheets));
