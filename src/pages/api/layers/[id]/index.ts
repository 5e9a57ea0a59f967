import { layerUpdateSchema } from '../../../../schemas/records';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { layers, type LayerFields } from '../../../../store/layers';

export const { GET, PUT, DELETE } = recordEndpoints(
  layers,
  layerUpdateSchema,
  (body, current) => ({ ...withoutVersion(body), origin: current.origin }) as LayerFields,
);
