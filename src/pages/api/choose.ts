import { choose, type Part } from '../../core/choose';
import type { Fabric } from '../../core/cloth';
import { chooseSchema } from '../../schemas/choose';
import { jsonEndpoint } from '../../server/endpoint';
import { database } from '../../store/database';
import { memoryOfCloth } from '../../store/log';
import { layers } from '../../store/layers';

export const POST = jsonEndpoint(chooseSchema, ({ fabric, part, limit, clothId }) =>
  choose(
    fabric as Fabric,
    part as Part,
    layers.list(database()),
    limit,
    clothId === undefined ? undefined : memoryOfCloth(database(), clothId),
  ),
);
