import { searchSchema } from '../../schemas/search';
import { validate } from '../../schemas/validate';
import { database } from '../../server/database';
import { endpoint } from '../../server/endpoint';
import { search } from '../../server/search';

/** What has the words of `?q=`, of everything that is kept and every place; best first, at most `limit`. */
export const GET = endpoint(async ({ url }) => {
  const { limit: most, ...asked } = Object.fromEntries(url.searchParams);
  const { q, limit } = validate(searchSchema, { ...asked, ...(most === undefined ? {} : { limit: Number(most) }) });
  return { found: await search(database(), q, limit) };
});
