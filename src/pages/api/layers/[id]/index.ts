import { overwrittenLayerTests, type LayerTestId } from '../../../../core/measure';
import { layerUpdateSchema } from '../../../../schemas/layers';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { layers } from '../../../../store/layers';
import { withEstimates, type LayerBody } from '../../../../store/rules/layer';

/** A test whose figure was changed by hand no longer counts. */
export const { GET, PUT, DELETE } = recordEndpoints(layers, layerUpdateSchema, (body, current) => {
  const fields = withEstimates(
    { ...(withoutVersion(body) as LayerBody), tests: current.tests, bottle: current.bottle },
    current.origin,
  );
  const tests = { ...current.tests };
  const done = Object.keys(tests) as LayerTestId[];
  for (const test of overwrittenLayerTests(current, { ...fields, id: current.id }, done)) delete tests[test];
  return { ...fields, tests };
});
