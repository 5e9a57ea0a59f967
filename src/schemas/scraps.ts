import * as yup from 'yup';
import { HANDS } from '../core/choose';
import { JOINS } from '../core/layers';
import { AMOUNTS, FEWEST_CANDIDATES, GRIDS, MOST_CANDIDATES, MOST_ROUNDS } from '../core/scrap';
import { stackSchema } from './stack';
import { number, oneOf, shape, text } from './rules';
import { day, id, predicted, pressFields } from './shared';

const note = text(1000).default('');
const peel = number({ min: 1, max: 5, integer: true }).nullable().default(null);
const shrink = number({ min: -10, max: 60 }).nullable().default(null);
const overhang = number({ above: 0, max: 1000 }).nullable().default(null);
/** How far bias is pulled, or an edge rolls, mm. */
const gives = number({ min: 0, max: 100 }).nullable().default(null);
const version = number({ min: 1, integer: true }).required();

/** Stacks that are compared on one scrap. */
const stacks = yup
  .array()
  .of(stackSchema.nonNullable().required())
  .min(FEWEST_CANDIDATES, `must be at least ${FEWEST_CANDIDATES}`)
  .max(MOST_CANDIDATES, `must be at most ${MOST_CANDIDATES}`);

export const scrapStartSchema = shape({
  grid: oneOf(GRIDS).required(),
  /** Of a spray scrap: how many rounds are tried. */
  rounds: number({ min: 1, max: MOST_ROUNDS, integer: true }).default(2),
  stacks,
});

export const scrapReadingSchema = shape({
  overhangBefore: overhang,
  overhangAfter: overhang,
  peel,
  bubbles: oneOf(AMOUNTS).default('none'),
  showThrough: oneOf(AMOUNTS).default('none'),
  glueThrough: oneOf(AMOUNTS).default('none'),
  shrink,
  biasBefore: gives,
  biasAfter: gives,
  curlBefore: gives,
  curlAfter: gives,
  feel: oneOf(HANDS).nullable().default(null),
  note,
});

/** What was seen after the wash, and when. */
const washSeen = {
  peel,
  bubbles: oneOf(AMOUNTS).default('none'),
  shrink,
  overhang,
  outcome: oneOf(['good', 'fair', 'poor'] as const).required(),
  note,
};
const washFields = { doneOn: day.required(), ...washSeen };
export const washSeenSchema = shape(washSeen);

/** A scrap as it travels in a bundle. */
export const scrapSchema = shape({
  id: id.required(),
  jobId: id.required(),
  clothId: text(100, 1).required(),
  clothName: text(120, 1).required(),
  stackTitle: text(400, 1).required(),
  layerIds: yup.array().of(text(100, 1).required()).required().max(6),
  predicted: predicted.required(),
  plan: shape({
    grid: oneOf(GRIDS).required(),
    materialId: text(100, 1).nullable().default(null),
    width: number({ above: 0, max: 2000 }).required(),
    height: number({ above: 0, max: 2000 }).required(),
    cellWidth: number({ above: 0, max: 2000 }).required(),
    cellHeight: number({ above: 0, max: 2000 }).required(),
    rows: number({ min: 1, max: 3, integer: true }).required(),
    columns: number({ min: 1, max: 4, integer: true }).required(),
    cells: yup
      .array()
      .of(
        shape({
          name: text(4, 2).required(),
          row: number({ min: 0, max: 2, integer: true }).required(),
          column: number({ min: 0, max: 3, integer: true }).required(),
          setting: shape(pressFields).required(),
          dose: shape({
            join: oneOf(JOINS).required(),
            rounds: number({ min: 1, max: MOST_ROUNDS, integer: true }).required(),
          }).default(undefined),
          candidate: number({ min: 0, max: MOST_CANDIDATES - 1, integer: true }),
        }).required(),
      )
      .required()
      .min(1)
      .max(9),
    stacks,
  }).required(),
  readings: shape(
    Object.fromEntries(
      ['A', 'B', 'C'].flatMap((row) => [1, 2, 3, 4].map((column) => [`${row}${column}`, scrapReadingSchema.default(undefined)])),
    ),
  ).required(),
  chosen: text(4, 2).nullable().default(null),
  filedOn: day.nullable().default(null),
  washDue: day.nullable().default(null),
  wash: shape(washFields).nullable().default(null),
});

/** Readings of one field; null takes them back. */
export const scrapCellSchema = shape({
  cell: text(4, 2).required(),
  reading: scrapReadingSchema.nullable().default(undefined).defined('is missing'),
  version,
});

export const scrapFileSchema = shape({
  chosen: text(4, 2).required(),
  doneOn: day.required(),
  /** When the scrap is to be looked at after its wash; null when it is never washed. */
  washDue: day.nullable().default(null),
  version,
});

export const scrapWashSchema = shape({
  ...washFields,
  version,
});
