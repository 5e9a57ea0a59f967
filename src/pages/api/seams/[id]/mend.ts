import { seamMendSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { mendSeam } from '../../../../server/mend-seam';

/** One side made as long as the other, or both marked in quarters; what is made from the pieces follows. */
export const POST = jsonEndpoint(seamMendSchema, ({ how, side, at, versions }, { params }) =>
  mendSeam(
    database(),
    params['id']!,
    how === 'quarters' ? { how } : { how, side: side ?? 'first', at: at ?? 'both' },
    new Map(versions.map(({ id, version }) => [id, version])),
  ),
);
