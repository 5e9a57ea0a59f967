import { applyTest, TEST_IDS, type Readings, type TestId } from '../../../../../core/measure';
import { clothTestSchema } from '../../../../../schemas/cloths';
import { jsonEndpoint } from '../../../../../server/endpoint';
import { cloths } from '../../../../../store/cloths';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';

/** Keeps the readings of one test and what follows from them. */
export const PUT = jsonEndpoint(clothTestSchema, ({ readings, doneOn, version }, { params }) => {
  const test = params['test'] as TestId;
  if (!TEST_IDS.includes(test)) throw new NotFoundError('test');
  const db = database();
  const cloth = cloths.get(db, params['id']!);
  const { [test]: _old, ...tests } = cloth.tests;
  const fields = applyTest(cloth, test, readings as Readings | null);
  return cloths.update(
    db,
    cloth.id,
    { ...fields, tests: readings === null ? tests : { ...tests, [test]: { readings: readings as Readings, doneOn } } },
    version,
  );
});
