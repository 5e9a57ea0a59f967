import * as yup from 'yup';
import { SHEERNESS, TONES } from '../core/cloth';
import { COVERS, ENDS, FAMILIES, FORMS, GLUES, LAW_FIGURES, WASHES } from '../core/layers';
import { LAYER_TEST_IDS } from '../core/measure';
import { fabricFields } from './choose';
import { number, oneOf, shape } from './rules';
import { day, name, note, version } from './shared';
import { readings } from './cloths';

export const layerFields = {
  name,
  note,
  family: oneOf(FAMILIES).required(),
  form: oneOf(FORMS).required(),
  arealDensity: number({ above: 0, max: 3000 }).required(),
  // What was not measured is left out, and follows the family's law at this weight.
  thickness: number({ min: 0, max: 50 }),
  bendingLength: number({ min: 0, max: 1000 }),
  membraneStiffness: number({ min: 0, max: 1_000_000 }),
  estimated: yup.array().of(oneOf(LAW_FIGURES).required()).max(3, 'must hold each figure once').default([]),
  stretchLength: number({ min: 0, max: 400 }).required(),
  stretchCross: number({ min: 0, max: 400 }).required(),
  tones: yup
    .array()
    .of(oneOf(TONES).required())
    .required()
    .min(1, 'must name at least one shade')
    .max(3, 'must hold each shade once'),
  opacity: oneOf(SHEERNESS).required(),
  rollWidth: number({ min: 0, max: 10_000 }).required(),
  leaflet: shape({
    ironDots: number({ min: 0, max: 3, integer: true }).required(),
    seconds: number({ min: 0, max: 600 }).required(),
    steam: yup.boolean().required(),
    mist: yup.boolean(),
    cover: oneOf(COVERS).required(),
    coolMinutes: number({ min: 0, max: 600 }).required(),
  }).required(),
  glue: oneOf(GLUES).required(),
  wash: oneOf(WASHES).required(),
  dryClean: yup.boolean().required(),
  preShrink: yup.boolean().required(),
  grain: yup.boolean().required(),
  ends: oneOf(ENDS).required(),
  stiffening: number({ min: 1, max: 50 }).required(),
  pricePerMetre: number({ min: 0, max: 100_000_000, integer: true }).required(),
  inStock: yup.boolean().default(false),
  fibres: fabricFields.fibres.default([]),
};
export const layerTestsSchema = shape(
  Object.fromEntries(
    LAYER_TEST_IDS.map((id) => [id, shape({ readings: readings.required(), doneOn: day.required() }).default(undefined)]),
  ) as unknown as Record<(typeof LAYER_TEST_IDS)[number], yup.Schema>,
).default({});
const bottleFields = {
  mlPerPull: number({ above: 0, max: 20 }),
  strength: number({ above: 0, max: 1 }),
  left: number({ min: 0, max: 100_000 }),
};
/** What is known of the bottle of a liquid. */
export const bottleSchema = shape(bottleFields).default({});
export const bottleUpdateSchema = shape({ ...bottleFields, version: version.required() });
export const layerSchema = shape(layerFields);
/** What is known of a layer that was just bought. */
export const boughtLayerSchema = shape({
  name,
  family: oneOf(FAMILIES).required(),
  arealDensity: number({ above: 0, max: 3000 }).required(),
  form: oneOf(FORMS),
  rollWidth: number({ above: 0, max: 10_000 }),
  tones: yup
    .array()
    .of(oneOf(TONES).required())
    .min(1, 'must name at least one shade')
    .max(3, 'must hold each shade once')
    .default(undefined),
  leaflet: shape({
    ironDots: number({ min: 0, max: 3, integer: true }),
    seconds: number({ min: 0, max: 600 }),
    steam: yup.boolean(),
    cover: oneOf(COVERS),
    coolMinutes: number({ min: 0, max: 600 }),
  }).default(undefined),
});
/** Tests and bottle come back with what was read, and are kept by endpoints of their own. */
export const layerUpdateSchema = shape({
  ...layerFields,
  tests: layerTestsSchema,
  bottle: bottleSchema,
  version: version.required(),
});
