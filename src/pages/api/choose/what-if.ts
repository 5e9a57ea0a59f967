import { whatIf, type Part } from '../../../core/choose';
import type { Fabric } from '../../../core/cloth';
import { whatIfSchema } from '../../../schemas/choose';
import { askingOf } from '../../../server/asking';
import { jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { layers } from '../../../store/layers';

export const POST = jsonEndpoint(whatIfSchema, ({ fabric, part, stackId, ...asked }) => ({
  changes: whatIf(fabric as Fabric, part as Part, layers.all(database()), askingOf(database(), asked), stackId),
}));
