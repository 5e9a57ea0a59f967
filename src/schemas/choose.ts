import * as yup from 'yup';
import { AVOIDS, CARES, CRITERION_IDS, CUTS, HANDS, LEADS, ROLES, STRETCHES } from '../core/choose';
import { EXTENTS, JOINS } from '../core/layers';
import { LINED_THINGS } from '../core/lining';
import { SCHOOLS } from '../core/schools';
import { CONSTRUCTIONS, FIBRES, FRAYS, SHEERNESS, SURFACES, TONES, WATER, WEAVES } from '../core/cloth';
import { optionalPlace } from './pieces';
import { number, oneOf, outline, shape, text } from './rules';

const fibreShare = shape({
  fibre: oneOf(FIBRES).required(),
  percent: number({ above: 0, max: 100 }).required(),
}).required();

/** Fields of a cloth as the choosing rules see it. */
export const fabricFields = {
  construction: oneOf(CONSTRUCTIONS).required(),
  weave: oneOf(WEAVES),
  fibres: yup
    .array()
    .of(fibreShare)
    .required()
    .max(12, 'must name at most 12 fibres')
    .test(
      'sum',
      ({ value }) => `must add up to 100 % at most, saw ${fibreSum(value as { percent?: unknown }[])} %`,
      (value) => !value || fibreSum(value) <= 102,
    ),
  arealDensity: number({ above: 0, max: 5000 }).required(),
  thickness: number({ above: 0, max: 50 }),
  stretchLength: number({ min: 0, max: 400 }).required(),
  stretchCross: number({ min: 0, max: 400 }).required(),
  ironDots: number({ min: 0, max: 3, integer: true }).required(),
  water: oneOf(WATER).required(),
  sheer: oneOf(SHEERNESS).required(),
  tone: oneOf(TONES).required(),
  surface: yup.array().of(oneOf(SURFACES).required()).required().max(7, 'must hold each surface once'),
  fray: oneOf(FRAYS).required(),
  overhang: number({ above: 0, max: 1000 }),
  biasGive: number({ min: 0, max: 400 }),
  shrinkLength: number({ min: -10, max: 40 }),
  shrinkCross: number({ min: -10, max: 40 }),
  uptake: number({ above: 0, max: 400 }),
  prewashed: yup.boolean(),
};

/** Shares that are no numbers count nothing here; their own rule tells of them. */
export function fibreSum(shares: readonly { percent?: unknown }[]): number {
  return shares.reduce((sum, share) => sum + (typeof share?.percent === 'number' ? share.percent : 0), 0);
}

const fabricSchema = shape(fabricFields).required();

/** What is wished of a job, besides the grain that its cut has. */
export const wishFields = {
  role: oneOf(ROLES).required(),
  hand: oneOf(HANDS),
  stretch: oneOf(STRETCHES).required(),
  care: oneOf(CARES).required(),
  cutAlready: yup.boolean(),
  embroidery: shape({
    stitches: number({ min: 1, max: 2_000_000 }).required(),
    width: number({ above: 0, max: 2000 }).required(),
    height: number({ above: 0, max: 2000 }).required(),
    nearEdge: yup
      .mixed<boolean | number>()
      .test(
        'nearEdge',
        'must be true, false or a distance in mm of at least 0',
        (value) =>
          value === undefined || typeof value === 'boolean' || (typeof value === 'number' && value >= 0 && value <= 10_000),
      ),
    threadLength: number({ above: 0, max: 10_000_000 }),
    area: number({ above: 0, max: 4_000_000 }),
  }).default(undefined),
  avoid: yup.array().of(oneOf(AVOIDS).required()).max(4, 'must hold each wish once'),
};

/** Fields of what a part is for and what is wished of it. */
const partSchema = shape({ ...wishFields, cut: oneOf(CUTS).required() }).required();

const wishesSchema = shape({
  staySheer: yup.boolean(),
  opaque: yup.boolean().test('opaque', 'and staySheer ask for opposite things; take one of them', function (opaque) {
    return !(opaque && (this.parent as { staySheer?: boolean }).staySheer);
  }),
  useMine: yup.boolean(),
  lead: oneOf(LEADS),
}).default(undefined);

/** How much more or less a criterion matters, 0–4. */
const weightsSchema = shape(
  Object.fromEntries(CRITERION_IDS.map((id) => [id, number({ min: 0, max: 4 })])) as Record<
    (typeof CRITERION_IDS)[number],
    ReturnType<typeof number>
  >,
).default(undefined);

/** One option of each school, any of them left out. */
export const schoolsSchema = shape(
  Object.fromEntries(SCHOOLS.map(({ id, options }) => [id, oneOf(options.map((option) => option.id))])) as Record<
    (typeof SCHOOLS)[number]['id'],
    yup.StringSchema<string | undefined>
  >,
).default(undefined);

const pieceSizeSchema = shape({
  width: number({ min: 1, max: 20_000 }).required(),
  height: number({ min: 1, max: 20_000 }).required(),
  count: number({ min: 1, max: 1000, integer: true }).required(),
  allowance: number({ min: 0, max: 500 }),
  trim: number({ min: 0, max: 500 }),
  grain: number({ min: -180, max: 180 }),
  edge: number({ min: 0, max: 200_000 }),
  area: oneOf(['panel', 'strip', 'patch'] as const),
  strip: number({ above: 0, max: 5000 }),
  patch: number({ above: 0, max: 5000 }),
}).default(undefined);

const askingFields = {
  wishes: wishesSchema,
  weights: weightsSchema,
  schools: schoolsSchema,
  piece: pieceSizeSchema,
  /** A cloth of the cupboard, so that what was filed about it and what is at hand count. */
  clothId: text(100, 1),
};

export const chooseSchema = shape({
  fabric: fabricSchema,
  part: partSchema,
  limit: number({ min: 1, max: 200, integer: true }),
  /** Words of refused layers that are looked for. */
  find: text(100),
  ...askingFields,
});

/** Layers of a stack that somebody put together, outermost first. */
const namedLayersSchema = yup
  .array()
  .of(
    shape({
      materialId: text(120, 1),
      clothId: text(120, 1),
      extent: oneOf(EXTENTS).required(),
      angle: number({ min: -180, max: 180 }),
      join: oneOf(JOINS),
    }).required(),
  )
  .required()
  .min(1, 'must hold at least one layer')
  .max(12, 'must hold at most 12 layers');

/** A stack of one's own, to be judged like a proposal. */
export const judgeSchema = shape({
  fabric: fabricSchema,
  part: partSchema,
  layers: namedLayersSchema,
  ...askingFields,
});

/** A piece by its cut line, its allowances and where on it the job is done. */
const toldPieceSchema = shape({
  outline,
  allowances: yup
    .mixed<number | number[]>()
    .test('allowances', 'must be a number of 0 to 500 mm, or a list with one such number per edge', (value) => {
      const good = (v: unknown) => typeof v === 'number' && v >= 0 && v <= 500;
      return value === undefined || (Array.isArray(value) ? value.every(good) : good(value));
    }),
  place: optionalPlace,
}).default(undefined);

/** A stack whose work is told: techniques, amounts, steps, minutes. */
export const workSchema = shape({
  fabric: fabricSchema,
  part: partSchema,
  layers: namedLayersSchema,
  piece: toldPieceSchema,
  count: number({ min: 1, max: 1000, integer: true }),
  schools: schoolsSchema,
});

/** What would change if, for one stack. */
export const whatIfSchema = shape({
  fabric: fabricSchema,
  part: partSchema,
  stackId: text(800, 1).required(),
  ...askingFields,
});

/** Which property of the cloth would change the answer most. */
export const sensitivitySchema = shape({
  fabric: fabricSchema,
  part: partSchema,
  /** Properties that were measured on this cloth and need no more. */
  measured: yup.array().of(text(40, 1).required()).max(20),
  ...askingFields,
});

/** What a lining is looked for for. */
export const liningSchema = shape({
  fabric: fabricSchema,
  thing: oneOf(LINED_THINGS).required(),
  skin: yup.boolean().required(),
  hangs: yup.boolean().required(),
  care: oneOf(CARES).required(),
  limit: number({ min: 1, max: 200, integer: true }),
});
