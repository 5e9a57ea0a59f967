import { endpoint } from '../../../../server/endpoint';
import { database } from '../../../../server/database';
import { scraps } from '../../../../store/scraps';

export const GET = endpoint(({ params }) => scraps.get(database(), params['id']!));
export const DELETE = endpoint(({ params }) => {
  scraps.remove(database(), params['id']!);
  return { deleted: params['id'] };
});
