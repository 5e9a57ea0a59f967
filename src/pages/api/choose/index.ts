import { choose, type Part } from '../../../core/choose';
import type { Fabric } from '../../../core/cloth';
import { chooseSchema } from '../../../schemas/choose';
import { askingOf } from '../../../server/asking';
import { jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';

export const POST = jsonEndpoint(chooseSchema, ({ fabric, part, ...asked }) =>
  choose(fabric as Fabric, part as Part, layers.all(database()), askingOf(database(), asked)),
);
