import { InputError } from '../../core/input-error';
import { edgeNames } from '../../core/shape';
import type { Db } from '../database';
import type { SeamFields } from '../seams';
import { cutPiecesByIds } from '../workpieces';

/** That both cuts belong to the project and have these edges. @throws {InputError} naming the field */
export function requireSeam(db: Db, seam: SeamFields): SeamFields {
  for (const side of ['first', 'second'] as const) {
    const [cut] = cutPiecesByIds(db, [seam[`${side}Cut`]]);
    if (!cut || cut.projectId !== seam.projectId)
      throw new InputError(`${side}Cut`, `must be a cut of this project, saw ${JSON.stringify(seam[`${side}Cut`])}`);
    const edges = edgeNames(cut.shape).length;
    seam[`${side}Edges`].forEach((edge, i) => {
      if (edge >= edges)
        throw new InputError(`${side}Edges[${i}]`, `must be an edge of ${cut.name} (0 to ${edges - 1}), saw ${edge}`);
    });
  }
  return seam;
}
