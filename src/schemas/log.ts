import * as yup from 'yup';
import { COVERS } from '../core/layers';
import { number, oneOf, shape, text } from './rules';
import { causeFound, checkName, day, id, layerKey, note, version } from './shared';

const shrank = number({ min: -60, max: 60 }).nullable().default(null);
export const logFields = {
  jobId: id.nullable().default(null),
  benchRunId: id.nullable().default(null),
  kind: oneOf(['piece', 'scrap'] as const).default('piece'),
  doneOn: day.required(),
  title: text(500, 1).required(),
  clothId: id.nullable().default(null),
  clothName: text(120, 1).required(),
  stackTitle: text(400, 1).required(),
  layerIds: yup.array().of(layerKey.required()).required().max(12),
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
  /** What was found to be wrong, as `trouble/cause`. */
  causes: yup.array().of(causeFound.required()).max(40).default([]),
  outcome: oneOf(['good', 'fair', 'poor'] as const).required(),
  predictedBendingLength: number({ above: 0, max: 1000 }).nullable().default(null),
  predictedLow: number({ above: 0, max: 1000 }).nullable().default(null),
  predictedHigh: number({ above: 0, max: 1000 }).nullable().default(null),
  overhang: number({ above: 0, max: 1000 }).nullable().default(null),
  /** How much it shrank each way against its pattern when its layers were put on, %; it grew where negative. */
  shape: shape({ along: shrank, across: shrank, bias: shrank }).nullable().default(null),
  /** A motif that was sewn: its pull ÷ what the model says is carried, and whether it held. */
  stitched: shape({ share: number({ min: 0, max: 1000 }).required(), held: yup.boolean().required() })
    .nullable()
    .default(null),
  note,
};
export const logSchema = shape(logFields);
export const logUpdateSchema = shape({ ...logFields, version: version.required() });
