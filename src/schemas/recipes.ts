import * as yup from 'yup';
import { number, shape } from './rules';
import { id } from './shared';

/** Measures by their names: mm, numbers, 0 or 1; the recipe says which it knows. */
export const measures = yup
  .mixed<Record<string, number>>()
  .required()
  .test(
    'measures',
    'must be an object of at most 60 numbers',
    (value) =>
      typeof value === 'object' &&
      !Array.isArray(value) &&
      Object.keys(value).length <= 60 &&
      Object.values(value).every((each) => typeof each === 'number' && Number.isFinite(each)),
  );

/** The piece that something is made from, and its edges; null where the measures say all. */
export const recipeSource = shape({
  pieceId: id.required(),
  edges: yup
    .array()
    .of(number({ min: 0, max: 2100, integer: true }).required())
    .required()
    .min(1, 'must name at least one edge')
    .max(50, 'must name at most 50 edges'),
  among: number({ min: 1, max: 2101, integer: true }),
})
  .nullable()
  .default(null);

export const recipeChangeSchema = shape({ measures, version: number({ min: 1, integer: true }).required() });
