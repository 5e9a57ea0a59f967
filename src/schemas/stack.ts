import * as yup from 'yup';
import { stackLayer } from './pieces';
import { number, shape, text } from './rules';
import { layerKey, predicted, pressFields } from './shared';
import { schoolsSchema } from './choose';

const stackLayers = yup.array().of(stackLayer).min(1, 'must hold at least one layer').max(12, 'must hold at most 12 layers');

/** A chosen stack as it is kept with its job: which layers, how far, and what was expected of it. */
export const stackSchema = shape({
  title: text(400, 1).required(),
  layers: stackLayers.required(),
  predicted: predicted.required(),
  reasons: yup.array().of(text(400).required()).required().max(30),
  cautions: yup.array().of(text(400).required()).required().max(30),
  schools: schoolsSchema,
  setting: shape({ materialId: layerKey.required(), ...pressFields, rounds: number({ min: 1, max: 9, integer: true }) }).default(
    undefined,
  ),
  own: yup.boolean(),
  accepted: yup.array().of(text(60, 1).required()).max(40),
})
  .nullable()
  .default(null);

/** Stacks that a job might get, as far as cutting is concerned. */
export const stacksAskedSchema = shape({
  stacks: yup
    .array()
    .of(shape({ layers: stackLayers.required(), schools: schoolsSchema }).required())
    .required()
    .min(1, 'must hold at least one stack')
    .max(24, 'must hold at most 24 stacks'),
});
