import { fillSchema } from '../../../../../schemas/hoop';
import { endpoint, jsonEndpoint } from '../../../../../server/endpoint';
import { filled, keepFilled, marginAsked } from '../../../../../server/large-motifs';
import { database } from '../../../../../server/database';

/** Where as many copies as a hoop holds lie in its field. */
export const GET = endpoint(async ({ params, url, request }) => {
  const hoop = url.searchParams.get('hoop') ?? '';
  const { places } = await filled(database(), params['id']!, hoop, marginAsked(url), request.signal);
  return { places };
});

/** Keeps them as a motif of its own, to be hooped once. */
export const POST = jsonEndpoint(
  fillSchema,
  async ({ hoopId, margin }, { params, request }) => {
    const db = database();
    return keepFilled(db, params['id']!, await filled(db, params['id']!, hoopId, margin, request.signal));
  },
  { status: 201 },
);
