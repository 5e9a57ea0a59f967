import { sensitivity, type Part } from '../../../core/choose';
import type { Fabric } from '../../../core/cloth';
import { sensitivitySchema } from '../../../schemas/choose';
import { askingOf } from '../../../server/asking';
import { jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';

export const POST = jsonEndpoint(sensitivitySchema, ({ fabric, part, measured, ...asked }) => ({
  properties: sensitivity(fabric as Fabric, part as Part, layers.all(database()), askingOf(database(), asked), measured ?? []),
}));
