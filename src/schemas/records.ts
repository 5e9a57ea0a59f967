import * as yup from 'yup';
import { CARES, CUTS } from '../core/choose';
import { SHEERNESS, TONES, WEAVES, weavesOf, type Construction } from '../core/cloth';
import { COVERS, ENDS, FAMILIES, FORMS, GLUES, LAW_FIGURES, WASHES } from '../core/layers';
import { DAMPNESS } from '../core/liquid';
import { LAYER_TEST_IDS, TEST_IDS } from '../core/measure';
import { PRESS_TOOLS } from '../core/press';
import { DUTIES } from '../core/workpiece';
import { fabricFields, fibreSum, schoolsSchema, wishFields } from './choose';
import { bundledHoop, bundledHooping, bundledMotif } from './hoop';
import { pieceFields, placeSchema } from './pieces';
import { number, oneOf, shape, text } from './rules';
import { scrapSchema } from './scraps';
import { day, id, instant } from './shared';
import { stackSchema } from './stack';
import { bundledTable, stockFields } from './tables';

const version = number({ min: 1, integer: true });
/** Name of a thing: something is written. */
const name = text(120, 1).required();
const note = text(4000).default('');

/** Readings of a home test: numbers and choices by field; what they may be, the test itself says. */
const readings = yup
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

const testsSchema = shape(
  Object.fromEntries(
    TEST_IDS.map((id) => [id, shape({ readings: readings.required(), doneOn: day.required() }).default(undefined)]),
  ) as unknown as Record<(typeof TEST_IDS)[number], yup.Schema>,
).default({});

const clothFields = {
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
  weave: oneOf(WEAVES).test(
    'made',
    ({ value, options }) => {
      const { construction } = (options as { parent: { construction: Construction } }).parent;
      return `must be one of ${weavesOf(construction).join(', ')} of a ${construction} cloth, saw ${value as string}`;
    },
    function (weave) {
      const { construction } = this.parent as { construction?: Construction };
      return !weave || (construction !== 'woven' && construction !== 'knit') || weavesOf(construction).includes(weave);
    },
  ),
  fibres: fabricFields.fibres.test(
    'whole',
    ({ value }) => `must add up to 100 %, saw ${fibreSum(value as { percent?: unknown }[])} %; name the rest as other`,
    (value) => !value || value.length === 0 || fibreSum(value) >= 98,
  ),
};
export const clothSchema = shape(wholeCloth);
export const clothUpdateSchema = shape({ ...wholeCloth, version: version.required() });

const layerFields = {
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
const layerTestsSchema = shape(
  Object.fromEntries(
    LAYER_TEST_IDS.map((id) => [id, shape({ readings: readings.required(), doneOn: day.required() }).default(undefined)]),
  ) as unknown as Record<(typeof LAYER_TEST_IDS)[number], yup.Schema>,
).default({});
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
});
/** Tests come back with what was read, and are kept by an endpoint of their own. */
export const layerUpdateSchema = shape({ ...layerFields, tests: layerTestsSchema, version: version.required() });

export const notionSchema = shape({
  name: text(120, 1).required(),
  count: number({ min: 1, max: 1000, integer: true }).required(),
  there: yup.boolean().required(),
});

const projectFields = {
  name,
  note,
  makes: number({ min: 1, max: 1000, integer: true }).default(1),
  variant: text(120).default(''),
  care: oneOf(CARES).nullable().default(null),
  notions: yup.array().of(notionSchema.required()).max(100, 'must hold at most 100 notions').default([]),
  archived: yup.boolean().default(false),
};
export const projectSchema = shape(projectFields);
/** The project that one is to stand before; null for the end of the list. */
export const projectPlaceSchema = shape({ before: id.nullable().defined('is missing') });
export const projectUpdateSchema = shape({ ...projectFields, version: version.required() });

const position = number({ min: -1e9, max: 1e9 }).default(0);

const jobFields = {
  name: text(120).default(''),
  place: placeSchema,
  wish: shape(wishFields).required(),
  stack: stackSchema,
  glueUp: yup.boolean().default(true),
  cutDone: yup.boolean().default(false),
  position,
};
const jobSchema = shape(jobFields);
export const jobSchemaNew = jobSchema;
export const jobUpdateSchema = shape({ ...jobFields, version: version.required() });

const cutFields = {
  duty: oneOf(DUTIES).default('shell'),
  clothId: id.nullable().default(null),
  count: number({ min: 1, max: 1000, integer: true }).required(),
  pairs: yup.boolean().default(false),
  oneWay: yup.boolean().default(false),
  own: yup
    .array()
    .of(number({ min: 0, max: 500 }).nullable().defined())
    .nullable()
    .max(2100)
    .default(null),
  orientation: oneOf(CUTS).required(),
  done: yup.boolean().default(false),
  position,
};
/** A cut with the jobs that are done on it. */
export const cutSchemaNew = shape({
  ...cutFields,
  jobs: yup.array().of(jobSchema.required()).max(50, 'must hold at most 50 jobs').default([]),
});
export const cutUpdateSchema = shape({ ...cutFields, version: version.required() });

const patternFields = { name, ...pieceFields, position };
/** A piece with its cuts and their jobs. */
export const pieceSchemaNew = shape({
  ...patternFields,
  cuts: yup.array().of(cutSchemaNew.required()).max(20, 'must hold at most 20 cuts').default([]),
});
export const piecesSchema = shape({
  pieces: yup
    .array()
    .of(pieceSchemaNew.required())
    .required()
    .min(1, 'must hold at least one piece')
    .max(200, 'must hold at most 200 pieces'),
});
export const pieceUpdateSchema = shape({ ...patternFields, version: version.required() });

const edgesOfSeam = yup
  .array()
  .of(number({ min: 0, max: 2100, integer: true }).required())
  .required()
  .min(1, 'must name at least one edge')
  .max(50, 'must name at most 50 edges');
const seamFields = {
  firstCut: id.required(),
  firstEdges: edgesOfSeam,
  secondCut: id.required(),
  secondEdges: edgesOfSeam,
  note,
};
/** Which edges of which cut are sewn to which of another. */
export const seamSchema = shape(seamFields);
export const seamUpdateSchema = shape({ ...seamFields, version: version.required() });

/** What is ticked: its words, in a batch after the name of its job. */
const checkName = text(500);
const timer = shape({ label: text(500).required(), endsAt: instant.required() });

/** A batch of thirty jobs, each of sixty copies in a dozen steps. */
const MOST_STEPS = 25_000;

/** Where a bench run stands. */
const benchStateSchema = shape({
  step: number({ min: 0, max: MOST_STEPS, integer: true }).required(),
  stop: number({ min: 0, max: 10_000, integer: true }).required(),
  /** When the countdown that is running ends, ISO time; null when none runs. */
  endsAt: instant.nullable().defined(),
  /** Seconds that were left when it was paused. */
  pausedLeft: number({ min: 0, max: 86_400 }).nullable().defined(),
  timers: yup.array().of(timer.required()).required().max(500),
  checks: yup.array().of(checkName.required()).required().max(MOST_STEPS),
  stamps: yup
    .array()
    .of(shape({ step: number({ min: 0, max: MOST_STEPS, integer: true }).required(), at: instant.required() }).required())
    .max(4 * MOST_STEPS),
  hung: yup
    .array()
    .of(
      shape({
        step: number({ min: 0, max: MOST_STEPS, integer: true }).required(),
        seconds: number({ min: 0, max: 1e7 }).required(),
        found: oneOf(DAMPNESS).required(),
      }).required(),
    )
    .max(MOST_STEPS),
});

/** Jobs that are worked in one go. */
export const batchSchema = shape({
  jobIds: yup.array().of(id.required()).required().min(1, 'must name at least one job').max(30, 'must name at most 30 jobs'),
  tool: oneOf(PRESS_TOOLS).default('iron'),
});
export const benchToolSchema = shape({ tool: oneOf(PRESS_TOOLS).default('iron') });

export const benchUpdateSchema = shape({
  state: benchStateSchema.required(),
  finished: yup.boolean().default(false),
  version: version.required(),
});

const shrank = number({ min: -60, max: 60 }).nullable().default(null);
const logFields = {
  jobId: id.nullable().default(null),
  benchRunId: id.nullable().default(null),
  kind: oneOf(['piece', 'scrap'] as const).default('piece'),
  doneOn: day.required(),
  title: text(500, 1).required(),
  clothId: id.nullable().default(null),
  clothName: text(120, 1).required(),
  stackTitle: text(400, 1).required(),
  layerIds: yup.array().of(id.required()).required().max(12),
  settings: shape({
    ironDots: number({ min: 0, max: 3, integer: true }).required(),
    seconds: number({ min: 0, max: 600 }).required(),
    steam: yup.boolean().required(),
    cover: oneOf(COVERS).required(),
  }).required(),
  checks: shape({
    held: yup.array().of(checkName.required()).required().max(200),
    failed: yup.array().of(checkName.required()).required().max(200),
  }).required(),
  outcome: oneOf(['good', 'fair', 'poor'] as const).required(),
  predictedBendingLength: number({ above: 0, max: 1000 }).nullable().default(null),
  predictedLow: number({ above: 0, max: 1000 }).nullable().default(null),
  predictedHigh: number({ above: 0, max: 1000 }).nullable().default(null),
  overhang: number({ above: 0, max: 1000 }).nullable().default(null),
  /** A motif that was sewn: its pull ÷ what the model says is carried, and whether it held. */
  /** How much it shrank each way against its pattern when its layers were put on, %; it grew where negative. */
  shape: shape({ along: shrank, across: shrank, bias: shrank }).nullable().default(null),
  stitched: shape({ share: number({ min: 0, max: 1000 }).required(), held: yup.boolean().required() })
    .nullable()
    .default(null),
  note,
};
export const logSchema = shape(logFields);
export const logUpdateSchema = shape({ ...logFields, version: version.required() });

export const settingsSchema = shape({
  units: oneOf(['metric', 'inch'] as const).required(),
  theme: oneOf(['workroom', 'lamplight', 'system'] as const).required(),
  currency: text(4, 1).required(),
  soleLength: number({ min: 50, max: 1000 }).required(),
  soleWidth: number({ min: 30, max: 600 }).required(),
  ironSteam: yup.boolean().default(true),
  ironWeight: number({ min: 100, max: 20_000 }).default(1400),
  boardLength: number({ min: 200, max: 5000 }).default(1200),
  boardWidth: number({ min: 150, max: 3000 }).default(380),
  pressLength: number({ min: 0, max: 2000 }).default(0),
  pressWidth: number({ min: 0, max: 2000 }).default(0),
  mlPerPull: number({ above: 0, max: 20 }).default(0.9),
  airTemperature: number({ min: 0, max: 60 }).default(20),
  airHumidity: number({ min: 0, max: 99 }).default(50),
  airSpeed: number({ min: 0, max: 20 }).default(0),
  stopOverlap: number({ min: 0, max: 100 }).required(),
  machineClearance: number({ min: 1, max: 30 }).required(),
  trim: number({ min: 0, max: 50 }).required(),
  sound: yup.boolean().required(),
  schools: schoolsSchema.default({}),
});

/** A bundle holds as many records of a kind as the application is meant to hold, and more. */
const MOST_RECORDS = 100_000;
const TOO_MANY = ({ value }: { value?: unknown }) =>
  `holds ${(value as unknown[]).length.toLocaleString('en')} records, and a bundle may hold ${MOST_RECORDS.toLocaleString('en')} of a kind; bring it in as several smaller ones`;

/** A bundle of records, as it is exported, imported, and kept for the demo. */
export const bundleSchema = shape({
  format: yup.string().oneOf(['nembrel-bundle']).required(),
  formatVersion: number({ min: 3, max: 3, integer: true }).required(),
  cloths: yup
    .array()
    .of(shape({ id: id.required(), ...clothFields, tests: testsSchema }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  layers: yup
    .array()
    .of(shape({ id: id.required(), ...layerFields, tests: layerTestsSchema }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  projects: yup
    .array()
    .of(shape({ id: id.required(), ...projectFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  pieces: yup
    .array()
    .of(shape({ id: id.required(), projectId: id.required(), ...patternFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  cuts: yup
    .array()
    .of(shape({ id: id.required(), pieceId: id.required(), ...cutFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  jobs: yup
    .array()
    .of(shape({ id: id.required(), cutId: id.required(), ...jobFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  seams: yup
    .array()
    .of(shape({ id: id.required(), projectId: id.required(), ...seamFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  log: yup
    .array()
    .of(shape({ id: id.required(), ...logFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  scraps: yup.array().of(scrapSchema.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  hoops: yup.array().of(bundledHoop.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  motifs: yup.array().of(bundledMotif.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  hoopings: yup.array().of(bundledHooping.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  stock: yup
    .array()
    .of(shape({ id: id.required(), ...stockFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  tables: yup.array().of(bundledTable.required()).default([]).max(MOST_RECORDS, TOO_MANY),
});
