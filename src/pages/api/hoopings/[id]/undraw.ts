import { undrawSchema } from '../../../../schemas/hoop';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { putBack } from '../../../../server/hooping-work';

/** Puts back what was drawn down when the hooping was filed. */
export const POST = jsonEndpoint(undrawSchema, ({ version }, { params }) => putBack(database(), params['id']!, version));
