import { applyLayerTest, LAYER_TEST_IDS, type LayerTestId, type Readings } from '../../../../../core/measure';
import { clothTestSchema } from '../../../../../schemas/cloths';
import { database } from '../../../../../server/database';
import { jsonEndpoint } from '../../../../../server/endpoint';
import { NotFoundError } from '../../../../../store/errors';
import { layers } from '../../../../../store/layers';
import { withEstimates } from '../../../../../store/rules/layer';

/** Keeps the readings of one test of a layer and what follows from them; what is only estimated follows a new weight. */
export const PUT = jsonEndpoint(clothTestSchema, ({ readings, doneOn, version }, { params }) => {
  const test = params['test'] as LayerTestId;
  if (!LAYER_TEST_IDS.includes(test)) throw new NotFoundError('test');
  const db = database();
  const layer = layers.get(db, params['id']!);
  const { [test]: _old, ...others } = layer.tests;
  const tests = readings === null ? others : { ...others, [test]: { readings: readings as Readings, doneOn } };
  const { origin, ...fields } = applyLayerTest(layer, test, readings as Readings | null);
  return layers.update(db, layer.id, withEstimates({ ...fields, tests }, origin), version);
});
