import * as yup from 'yup';
import { LAYING_METHODS } from '../core/cutlist';
import { number, oneOf, outline, shape, text } from './rules';
import { day, id } from './shared';

const version = number({ min: 1, integer: true }).required();
const size = () => number({ above: 0, max: 200_000 }).required();
/** Holes and stains of a leftover. */
const spots = yup.array().of(outline.required()).max(50).default([]);

export const stockFields = {
  kind: oneOf(['roll', 'sheet', 'leftover'] as const).required(),
  ofKind: oneOf(['layer', 'cloth'] as const).required(),
  ofId: id.required(),
  width: number({ above: 0, max: 20_000 }).required(),
  length: size(),
  count: number({ min: 1, max: 10_000, integer: true }).default(1),
  outline: outline.nullable().default(null),
  spots,
  place: text(200).default(''),
  note: text(4000).default(''),
};
export const stockSchema = shape(stockFields);
export const stockUpdateSchema = shape({ ...stockFields, length: number({ min: 0, max: 200_000 }).required(), version });

const placement = shape({
  id: text(300, 1).required(),
  copy: number({ min: 0, max: 2000, integer: true }).required(),
  rotation: number({ min: -360, max: 720 }).required(),
  flipped: yup.boolean().required(),
  x: number({ min: -200_000, max: 200_000 }).required(),
  y: number({ min: -200_000, max: 200_000 }).required(),
}).required();

const tableFields = {
  ofKind: oneOf(['layer', 'cloth'] as const).required(),
  ofId: id.required(),
  options: shape({
    method: oneOf(LAYING_METHODS).required(),
    glueUp: yup.boolean().required(),
    gap: number({ min: 0, max: 100 }).required(),
    margin: number({ min: 0, max: 200 }).required(),
    squaring: number({ min: 0, max: 500 }).required(),
    folded: yup.boolean().required(),
    shrink: yup.boolean().required(),
    rollWidth: number({ above: 0, max: 20_000 }).nullable().defined('is missing'),
    stockIds: yup.array().of(id.required()).required().max(100),
    seconds: number({ min: 0, max: 60 }).required(),
    seed: number({ min: 0, max: 1_000_000_000, integer: true }).required(),
  }).required(),
  laid: yup
    .array()
    .of(
      shape({
        sourceId: text(100, 1).required(),
        placements: yup.array().of(placement).required().max(2000),
        length: number({ min: 0, max: 200_000 }).required(),
        density: number({ min: 0, max: 1.001 }).required(),
      }).required(),
    )
    .required()
    .max(200),
  locked: yup.array().of(text(500, 1).required()).required().max(2000),
  fingerprint: text(200, 1).required(),
  workIds: yup.array().of(id.required()).required().max(500),
};

/** A cutting table as it is first kept. */
export const tableSchema = shape(tableFields);
/** One that comes in a bundle. */
export const bundledTable = shape({ id: id.required(), projectId: id.required(), ...tableFields });
export const tableUpdateSchema = shape({ ...tableFields, version });

/** Everything is cut: what is put away, and what it was cut from. */
export const tableDoneSchema = shape({
  doneOn: day.required(),
  keep: yup
    .array()
    .of(
      shape({
        outline,
        spots,
        place: text(200).default(''),
      }).required(),
    )
    .required()
    .max(100),
  version,
});

/** Only the version that was seen. */
export const versionSchema = shape({ version });
