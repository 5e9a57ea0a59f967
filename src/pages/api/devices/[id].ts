import { doorFromInside } from '../../../server/door/the-door';
import { endpoint } from '../../../server/endpoint';
import { NotFoundError } from '../../../store/errors';

/** A device is let in no more, from this moment on. */
export const DELETE = endpoint(({ params, request }) => {
  if (!doorFromInside(request).revoke(params['id']!)) throw new NotFoundError('device');
  return { deleted: params['id'] };
});
