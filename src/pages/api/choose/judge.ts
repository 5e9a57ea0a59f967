import { judgeStack, type Part } from '../../../core/choose';
import type { Fabric } from '../../../core/cloth';
import { judgeSchema } from '../../../schemas/choose';
import { askingOf } from '../../../server/asking';
import { chosenLayers } from '../../../server/chosen-layers';
import { database } from '../../../server/database';
import { jsonEndpoint } from '../../../server/endpoint';

/** Judges a stack that somebody put together, as proposals are judged. */
export const POST = jsonEndpoint(judgeSchema, ({ fabric, part, layers, ...asked }) =>
  judgeStack(fabric as Fabric, part as Part, chosenLayers(database(), layers), askingOf(database(), asked)),
);
