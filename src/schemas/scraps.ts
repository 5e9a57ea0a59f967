import * as yup from 'yup';
import { HANDS } from '../core/choose';
import { AMOUNTS, GRIDS } from '../core/scrap';
import { number, oneOf, shape, text } from './rules';

const day = yup.string().matches(/^\d{4}-\d{2}-\d{2}$/, ({ value }) => `must be a date such as 2026-05-31, saw ${String(value)}`);
const note = text(1000).default('');
const peel = number({ min: 1, max: 5, integer: true }).nullable().default(null);
const shrink = number({ min: -10, max: 60 }).nullable().default(null);
const overhang = number({ above: 0, max: 1000 }).nullable().default(null);
const version = number({ min: 1, integer: true }).required();

export const scrapStartSchema = shape({ grid: oneOf(GRIDS).required() });

export const scrapReadingSchema = shape({
  overhangBefore: overhang,
  overhangAfter: overhang,
  peel,
  bubbles: oneOf(AMOUNTS).default('none'),
  showThrough: oneOf(AMOUNTS).default('none'),
  glueThrough: oneOf(AMOUNTS).default('none'),
  shrink,
  feel: oneOf(HANDS).nullable().default(null),
  note,
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
  doneOn: day.required(),
  peel,
  bubbles: oneOf(AMOUNTS).default('none'),
  shrink,
  overhang,
  outcome: oneOf(['good', 'fair', 'poor'] as const).required(),
  note,
  version,
});
