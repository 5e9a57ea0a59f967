import { bundleSchema } from '../../schemas/records';
import { BUNDLE_LIMIT, endpoint, jsonEndpoint } from '../../server/endpoint';
import { exportBundle, importBundle } from '../../store/bundle';
import { database } from '../../store/database';

export const GET = endpoint(() => exportBundle(database()));

export const POST = jsonEndpoint(bundleSchema, (bundle) => importBundle(database(), bundle), {
  status: 201,
  limit: BUNDLE_LIMIT,
});
