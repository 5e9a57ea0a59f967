import * as yup from 'yup';
import { WEAVES, weavesOf, type Construction } from '../core/cloth';
import { TEST_IDS } from '../core/measure';
import { fabricFields, fibreSum } from './choose';
import { number, oneOf, shape } from './rules';
import { day, name, note, version } from './shared';

/** Readings of a home test: numbers and choices by field; what they may be, the test itself says. */
export const readings = yup
  .mixed<Record<string, number | string>>()
  .test(
    'readings',
    'must be an object of at most 20 numbers and words',
    (value) =>
      value === undefined ||
      value === null ||
      (typeof value === 'object' &&
        !Array.isArray(value) &&
        Object.keys(value).length <= 20 &&
        Object.values(value).every(
          (each) => (typeof each === 'number' && Number.isFinite(each)) || (typeof each === 'string' && each.length <= 40),
        )),
  );
export const testReadingsSchema = shape({ readings: readings.required() });
/** A test of a cloth; readings that are null take the test back. */
export const clothTestSchema = shape({
  readings: readings.nullable().defined('is missing'),
  doneOn: day.required(),
  version: version.required(),
});

export const testsSchema = shape(
  Object.fromEntries(
    TEST_IDS.map((id) => [id, shape({ readings: readings.required(), doneOn: day.required() }).default(undefined)]),
  ) as unknown as Record<(typeof TEST_IDS)[number], yup.Schema>,
).default({});

export const clothFields = {
  name,
  note,
  ...fabricFields,
  /** Width of the cloth, mm, and what a metre costs, minor units. */
  rollWidth: number({ above: 0, max: 10_000 }),
  pricePerMetre: number({ min: 0, max: 100_000_000, integer: true }),
};
/** What is described anew says the whole of its fibres, and a weave that its construction can have; an older bundle may not. */
const wholeCloth = {
  ...clothFields,
  weave: oneOf(WEAVES).test('made', function (weave) {
    const { construction } = this.parent as { construction?: Construction };
    if (!weave || (construction !== 'woven' && construction !== 'knit') || weavesOf(construction).includes(weave)) return true;
    return this.createError({
      message: `must be one of ${weavesOf(construction).join(', ')} of a ${construction} cloth, saw ${weave}`,
    });
  }),
  fibres: fabricFields.fibres.test(
    'whole',
    ({ value }) => `must add up to 100 %, saw ${fibreSum(value as { percent?: unknown }[])} %; name the rest as other`,
    (value) => !value || value.length === 0 || fibreSum(value) >= 98,
  ),
};
export const clothSchema = shape(wholeCloth);
export const clothUpdateSchema = shape({ ...wholeCloth, version: version.required() });
