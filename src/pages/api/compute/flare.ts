import { flare, flareSectors } from '../../../core/recipes';
import { flareSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** Radii, hem and braid of a flare; with the width of a cloth also the sectors that it is cut as. */
export const POST = jsonEndpoint(flareSchema, ({ width, ...input }) => ({
  ...flare(input),
  ...(width === undefined ? {} : { sectors: flareSectors(input, width) }),
}));
