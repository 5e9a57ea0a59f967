import { InputError } from '../../core/input-error';
import { endpoint } from '../../server/endpoint';
import { shopping } from '../../server/shopping';
import { database } from '../../server/database';

/** More projects than this are not shopped for in one go. */
const MOST_PROJECTS = 100;

/** What some projects still have to be cut from: `?project=ID`, as often as needed; `&hooping=ID` for sets in the hoop. */
export const GET = endpoint(({ url }) => {
  const ids = url.searchParams.getAll('project');
  const sets = url.searchParams.getAll('hooping');
  for (const [field, list] of [
    ['project', ids],
    ['hooping', sets],
  ] as const)
    if (list.length > MOST_PROJECTS) throw new InputError(field, `must be at most ${MOST_PROJECTS}, saw ${list.length}`);
  const db = database();
  return shopping(db, ids, sets);
});
