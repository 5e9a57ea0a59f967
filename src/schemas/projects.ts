import * as yup from 'yup';
import { CARES, CUTS } from '../core/choose';
import { DUTIES } from '../core/workpiece';
import { wishFields } from './choose';
import { pieceFields, placeSchema } from './pieces';
import { measures, recipeSource } from './recipes';
import { number, oneOf, shape, text } from './rules';
import { id, name, note, version } from './shared';
import { stackSchema } from './stack';

export const notionSchema = shape({
  name: text(120, 1).required(),
  count: number({ min: 1, max: 1000, integer: true }).required(),
  there: yup.boolean().required(),
});

export const projectFields = {
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

export const jobFields = {
  name: text(120).default(''),
  place: placeSchema,
  wish: shape(wishFields).required(),
  stack: stackSchema,
  glueUp: yup.boolean().default(true),
  cutDone: yup.boolean().default(false),
  position,
};
export const jobSchemaNew = shape(jobFields);
export const jobUpdateSchema = shape({ ...jobFields, version: version.required() });

export const cutFields = {
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
  jobs: yup.array().of(jobSchemaNew.required()).max(50, 'must hold at most 50 jobs').default([]),
});
export const cutUpdateSchema = shape({ ...cutFields, version: version.required() });

export const patternFields = { name, ...pieceFields, position };
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
  /** The recipe that makes them, which stays with them. */
  recipe: shape({ kind: text(60, 1).required(), measures, source: recipeSource })
    .optional()
    .default(undefined),
});
export const pieceUpdateSchema = shape({ ...patternFields, version: version.required() });

const edgesOfSeam = yup
  .array()
  .of(number({ min: 0, max: 2100, integer: true }).required())
  .required()
  .min(1, 'must name at least one edge')
  .max(50, 'must name at most 50 edges');
export const seamFields = {
  firstCut: id.required(),
  firstEdges: edgesOfSeam,
  secondCut: id.required(),
  secondEdges: edgesOfSeam,
  note,
};
/** Which edges of which cut are sewn to which of another. */
export const seamSchema = shape(seamFields);
export const seamUpdateSchema = shape({ ...seamFields, version: version.required() });

/** How a seam is mended, against the pieces that the person sees. */
export const seamMendSchema = shape({
  how: oneOf(['length', 'quarters'] as const).required(),
  side: oneOf(['first', 'second'] as const).optional(),
  at: oneOf(['start', 'end', 'both'] as const).optional(),
  versions: yup
    .array()
    .of(shape({ id: id.required(), version: version.required() }).required())
    .required()
    .min(1, 'must name the pieces as they are seen')
    .max(2, 'must name at most two pieces'),
});
