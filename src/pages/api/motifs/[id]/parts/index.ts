import { endpoint } from '../../../../../server/endpoint';
import { partsIn, toldPart } from '../../../../../server/large-motifs';
import { database } from '../../../../../server/database';

/** The hoopings that a motif takes in a hoop, in the order in which they are sewn. */
export const GET = endpoint(async ({ params, url, request }) => {
  const parts = await partsIn(database(), params['id']!, url.searchParams.get('hoop') ?? '', request.signal);
  return { parts: parts.map(toldPart) };
});
