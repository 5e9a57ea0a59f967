import type { Fabric } from '../../../core/cloth';
import { liningSchema } from '../../../schemas/choose';
import { database } from '../../../server/database';
import { jsonEndpoint } from '../../../server/endpoint';
import { linings } from '../../../server/linings';

/** Cloths of the cupboard as the lining of something, the best first. */
export const POST = jsonEndpoint(liningSchema, ({ fabric, ...asked }) =>
  linings(database(), { ...asked, outer: fabric as Fabric }),
);
