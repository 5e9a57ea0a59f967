import { endpoint } from '../../../server/endpoint';
import { RequestError } from '../../../server/errors';
import { otherHouse } from '../../../server/house';
import { beginAfresh } from '../../../server/begin-afresh';

/** The practice house as it was in the beginning. One's own is never touched. */
export const POST = endpoint(() => {
  if (!otherHouse()) throw new RequestError(403, 'Only the practice house is begun afresh; this is your own.');
  beginAfresh();
  return { afresh: true };
});
