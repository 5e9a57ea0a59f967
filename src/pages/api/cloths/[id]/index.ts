import { overwritten, type TestId } from '../../../../core/measure';
import { clothUpdateSchema } from '../../../../schemas/cloths';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { cloths, type ClothFields } from '../../../../store/cloths';

/** Measured figures that the form does not show stay; a test whose figure was changed by hand no longer counts. */
export const { GET, PUT, DELETE } = recordEndpoints(cloths, clothUpdateSchema, (body, current) => {
  const fields = {
    biasGive: current.biasGive,
    shrinkLength: current.shrinkLength,
    shrinkCross: current.shrinkCross,
    uptake: current.uptake,
    ...withoutVersion(body),
    origin: current.origin,
  } as ClothFields;
  const tests = { ...current.tests };
  for (const id of overwritten(current, fields, Object.keys(tests) as TestId[])) delete tests[id];
  return { ...fields, tests };
});
