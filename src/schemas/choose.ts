import * as yup from 'yup';
import { AVOIDS, CARES, CUTS, HANDS, ROLES, STRETCHES } from '../core/choose';
import { CONSTRUCTIONS, FIBRES, FRAYS, SHEERNESS, SURFACES, TONES, WATER, WEAVES } from '../core/cloth';
import { number, oneOf, shape, text } from './rules';

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
      ({ value }) => `must add up to 100 % at most, saw ${sumOf(value as { percent: number }[])} %`,
      (value) => !value || sumOf(value) <= 102,
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
  prewashed: yup.boolean(),
};

function sumOf(shares: readonly { percent: number }[]): number {
  return shares.reduce((sum, share) => sum + (share?.percent ?? 0), 0);
}

export const fabricSchema = shape(fabricFields).required();

/** Fields of what a part is for and what is wished of it. */
export const partSchema = shape({
  role: oneOf(ROLES).required(),
  hand: oneOf(HANDS),
  cut: oneOf(CUTS).required(),
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
  }).default(undefined),
  avoid: yup.array().of(oneOf(AVOIDS).required()).max(4, 'must hold each wish once'),
}).required();

export const chooseSchema = shape({
  fabric: fabricSchema,
  part: partSchema,
  limit: number({ min: 1, max: 200, integer: true }),
  /** A cloth of the cupboard, so that what was filed about it counts. */
  clothId: text(100, 1),
});
