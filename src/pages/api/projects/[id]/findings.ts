import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { pairFindings } from '../../../../server/found-setting';
import { projects } from '../../../../store/projects';
import { piecesOf } from '../../../../store/workpieces';

/** What scraps found for the cloths of a project, with any layer, the last one first. */
export const GET = endpoint(({ params }) => {
  const db = database();
  const { cuts } = piecesOf(db, [projects.get(db, params['id']!).id]);
  return { findings: pairFindings(db, [...new Set(cuts.flatMap(({ clothId }) => clothId ?? []))]) };
});
