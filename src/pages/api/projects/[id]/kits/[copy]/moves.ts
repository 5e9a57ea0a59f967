import type { KitMove } from '../../../../../../core/kit';
import { kitMovesSchema } from '../../../../../../schemas/moves';
import { database } from '../../../../../../server/database';
import { jsonEndpoint } from '../../../../../../server/endpoint';
import { kitOf } from '../../../../../../server/kits';
import { moveKit } from '../../../../../../store/kits';
import type { SentMove } from '../../../../../../store/moves';

/** What was put into a bag or taken out of it, on any tablet. */
export const POST = jsonEndpoint(kitMovesSchema, ({ moves }, { params }) => {
  const { project, copy } = kitOf(database(), params['id']!, Number(params['copy']));
  return moveKit(database(), project.id, copy, moves as SentMove<KitMove>[]);
});
