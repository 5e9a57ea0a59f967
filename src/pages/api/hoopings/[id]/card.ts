import { hoopCard } from '../../../../core/hoop';
import { endpoint } from '../../../../server/endpoint';
import { copyAsked, hoopedSet } from '../../../../server/hoop-cards';
import { database } from '../../../../server/database';
import { hoopings } from '../../../../store/hoopings';

/** How one copy of a set is hooped: two folds, the turn of the hoop, what is set at the machine. */
export const GET = endpoint(({ params, url }) => {
  const hooping = hoopings.get(database(), params['id']!);
  return hoopCard(hoopedSet(hooping), copyAsked(url, hooping.count));
});
