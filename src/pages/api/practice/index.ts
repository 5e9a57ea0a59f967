import { deviceOf } from '../../../server/door/the-door';
import { endpoint } from '../../../server/endpoint';
import { RequestError } from '../../../server/errors';
import { otherHouse, practiceHouse } from '../../../server/house';

/** Opens the practice house beside one's own, or finds it open, and says where it is. */
export const POST = endpoint(async ({ request }) => {
  if (deviceOf(request) !== null)
    throw new RequestError(403, 'The practice house is only opened on the computer that runs Nembrel, at its own screen.');
  const { port } = otherHouse() ?? (await practiceHouse());
  return { address: `http://127.0.0.1:${port}/` };
});
