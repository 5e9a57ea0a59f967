import * as yup from 'yup';
import { oneOf, shape, text } from './rules';

/** Largest table as text, characters. */
const LONGEST_TABLE = 5_000_000;

const mapping = yup
  .mixed<Record<string, string>>()
  .test(
    'mapping',
    'must be an object of fields and headings',
    (value) =>
      value === undefined ||
      (typeof value === 'object' &&
        value !== null &&
        !Array.isArray(value) &&
        Object.keys(value).length <= 100 &&
        Object.values(value).every((each) => typeof each === 'string' && each.length <= 500)),
  );

const tableFields = {
  kind: oneOf(['cloths', 'layers'] as const).required(),
  text: yup.string().required().max(LONGEST_TABLE, `must be at most ${LONGEST_TABLE} characters`),
  mapping,
};

export const csvPreviewSchema = shape(tableFields);
export const csvImportSchema = shape({
  ...tableFields,
  /** Take the sound rows and leave the others; without it a single fault stops everything. */
  skipFaulty: yup.boolean().default(false),
  /** Rows whose name is in the cupboard already are left out. */
  skipSameName: yup.boolean().default(false),
});

/** Rows that a table brought in and that are to go again. */
export const csvUndoSchema = shape({
  kind: oneOf(['cloths', 'layers'] as const).required(),
  ids: yup.array().of(text(100, 1).required()).required().max(5000),
});
