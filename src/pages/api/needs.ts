import { InputError } from '../../core/input-error';
import { endpoint } from '../../server/endpoint';
import { otherNeeds } from '../../server/other-needs';
import { shoppingNeeds } from '../../server/shopping-needs';
import { database } from '../../server/database';

/** More projects than this are not shopped for in one go. */
const MOST_PROJECTS = 100;

/** What some projects still have to be cut from: `?project=ID`, as often as needed. */
export const GET = endpoint(({ url }) => {
  const ids = url.searchParams.getAll('project');
  if (ids.length > MOST_PROJECTS) throw new InputError('project', `must be at most ${MOST_PROJECTS}, saw ${ids.length}`);
  return { needs: shoppingNeeds(database(), ids), others: otherNeeds(database(), ids) };
});
