import { endpoint } from '../../../../server/endpoint';
import { hoopParts } from '../../../../server/large-motifs';
import { database } from '../../../../server/database';
import { hoopings } from '../../../../store/hoopings';

/** Makes a hooping of its own of every part of a motif that is too large for its hoop. */
export const POST = endpoint(async ({ params, request }) => {
  const db = database();
  return { hoopings: await hoopParts(db, hoopings.get(db, params['id']!), request.signal) };
});
