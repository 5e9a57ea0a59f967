import * as yup from 'yup';
import { wishFields } from './choose';
import { optionalPlace } from './pieces';
import { stackSchema } from './stack';
import { number, shape } from './rules';
import { id } from './shared';

const materials = yup.array().of(id.required()).max(200, 'must hold at most 200 materials').default([]);

/** What a person says about a plan: materials that are left out or taken anyway, stacks that are held. */
export const planSchema = shape({
  dropped: materials,
  wanted: materials,
  locked: yup
    .mixed<Record<string, string>>()
    .test(
      'locked',
      'must name a stack for each held job',
      (value) =>
        value === undefined ||
        (typeof value === 'object' &&
          value !== null &&
          !Array.isArray(value) &&
          Object.keys(value).length <= 500 &&
          Object.values(value).every((each) => typeof each === 'string' && each.length <= 1000)),
    )
    .default({}),
});

/** Stacks for many jobs at once. */
export const stacksSchema = shape({
  stacks: yup
    .array()
    .of(
      shape({
        jobId: id.required(),
        version: number({ min: 1, integer: true }).required(),
        stack: stackSchema.defined(),
        cutDone: yup.boolean(),
        place: optionalPlace,
        wish: shape(wishFields).default(undefined),
      }).required(),
    )
    .required()
    .min(1, 'must hold at least one stack')
    .max(500, 'must hold at most 500 stacks'),
});
