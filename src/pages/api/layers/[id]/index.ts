import { layerUpdateSchema } from '../../../../schemas/records';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { layers } from '../../../../store/layers';
import { withEstimates, type LayerBody } from '../../../../store/rules/layer';

export const { GET, PUT, DELETE } = recordEndpoints(layers, layerUpdateSchema, (body, current) =>
  withEstimates(withoutVersion(body) as LayerBody, current.origin),
);
