import { requireOutline } from '../../core/shape';
import { cloths } from '../cloths';
import type { Db } from '../database';
import type { HoopingFields } from '../hoopings';
import { hoops } from '../hoops';
import { motifs } from '../motifs';
import { jobs } from '../jobs';
import { projects } from '../projects';
import { requireKept, requireStack } from './references';

/** A hooping as a page or script sends it. */
export type HoopingBody = Omit<HoopingFields, 'result'>;

/** What a schema cannot see: that everything it names is there and its cloth is an outline. @throws {InputError} */
export function requireHooping(db: Db, body: HoopingBody, current?: HoopingFields): HoopingBody {
  requireKept(
    db,
    [
      ['projectId', projects, body.projectId],
      ['jobId', jobs, body.jobId],
      ['motifId', motifs, body.motifId],
      ['clothId', cloths, body.clothId],
      ['hoopId', hoops, body.hoopId],
    ],
    current,
  );
  requireOutline(body.ground.outline, 'ground.outline');
  body.ground.obstacles.forEach((outline, i) => requireOutline(outline, `ground.obstacles[${i}]`));
  body.ground.strips.forEach((outline, i) => requireOutline(outline, `ground.strips[${i}]`));
  requireStack(db, body.stack, current?.stack);
  return body;
}
