import { InputError } from '../../core/input-error';
import { requireOutline } from '../../core/shape';
import { cloths } from '../cloths';
import type { Db } from '../database';
import type { HoopingFields } from '../hoopings';
import { hoops } from '../hoops';
import { layers } from '../layers';
import { motifs } from '../motifs';
import { parts } from '../parts';
import { projects } from '../projects';

/** A hooping as a page or script sends it. */
export type HoopingBody = Omit<HoopingFields, 'result'>;

/** What a schema cannot see: that everything it names is there and its cloth is an outline. @throws {InputError} */
export function requireHooping(db: Db, body: HoopingBody, current?: HoopingFields): HoopingBody {
  for (const [field, table, id] of [
    ['projectId', projects, body.projectId],
    ['partId', parts, body.partId],
    ['motifId', motifs, body.motifId],
    ['clothId', cloths, body.clothId],
    ['hoopId', hoops, body.hoopId],
  ] as const)
    // What it was kept with may have been deleted since, which must not keep the rest from being saved.
    if (id !== null && id !== current?.[field] && !table.find(db, id))
      throw new InputError(field, `points to nothing that is kept: ${JSON.stringify(id)}`);
  requireOutline(body.ground.outline, 'ground.outline');
  body.ground.obstacles.forEach((outline, i) => requireOutline(outline, `ground.obstacles[${i}]`));
  body.ground.strips.forEach((outline, i) => requireOutline(outline, `ground.strips[${i}]`));
  if (JSON.stringify(body.stack) !== JSON.stringify(current?.stack))
    body.stack?.layers.forEach(({ materialId }, i) => {
      if (!layers.find(db, materialId))
        throw new InputError(
          `stack.layers[${i}].materialId`,
          `points to a layer that is not in the cupboard: ${JSON.stringify(materialId)}`,
        );
    });
  return body;
}
