import * as yup from 'yup';
import { bundledHoop, bundledHooping, bundledMotif } from './hoop';
import { clothFields, testsSchema } from './cloths';
import { bottleSchema, layerFields, layerTestsSchema } from './layers';
import { logFields } from './log';
import { cutFields, jobFields, patternFields, projectFields, seamFields } from './projects';
import { measures, recipeSource } from './recipes';
import { kitStates } from './moves';
import { number, shape, text } from './rules';
import { scrapSchema } from './scraps';
import { id } from './shared';
import { bundledTable, stockFields } from './tables';

/** A bundle holds as many records of a kind as the application is meant to hold, and more. */
const MOST_RECORDS = 100_000;
const TOO_MANY = ({ value }: { value?: unknown }) =>
  `holds ${(value as unknown[]).length.toLocaleString('en')} records, and a bundle may hold ${MOST_RECORDS.toLocaleString('en')} of a kind; bring it in as several smaller ones`;

/** A bundle of records, as it is exported, imported, and kept for the demo. */
export const bundleSchema = shape({
  format: yup.string().oneOf(['nembrel-bundle']).required(),
  formatVersion: number({ min: 3, max: 3, integer: true }).required(),
  cloths: yup
    .array()
    .of(shape({ id: id.required(), ...clothFields, tests: testsSchema }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  layers: yup
    .array()
    .of(shape({ id: id.required(), ...layerFields, tests: layerTestsSchema, bottle: bottleSchema }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  projects: yup
    .array()
    .of(shape({ id: id.required(), ...projectFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  pieces: yup
    .array()
    .of(shape({ id: id.required(), projectId: id.required(), ...patternFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  cuts: yup
    .array()
    .of(shape({ id: id.required(), pieceId: id.required(), ...cutFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  jobs: yup
    .array()
    .of(shape({ id: id.required(), cutId: id.required(), ...jobFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  seams: yup
    .array()
    .of(shape({ id: id.required(), projectId: id.required(), ...seamFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  recipes: yup
    .array()
    .of(
      shape({
        id: id.required(),
        projectId: id.required(),
        kind: yup.string().max(60).required(),
        measures,
        source: recipeSource,
        pieces: yup.array().of(id.nullable().defined()).max(60).required(),
      }).required(),
    )
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  kits: yup
    .array()
    .of(
      shape({
        ...{ id: id.required(), projectId: id.required() },
        copy: number({ min: 1, max: 1000, integer: true }).required(),
        states: kitStates.required(),
        place: text(200).defined('is missing'),
      }).required(),
    )
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  log: yup
    .array()
    .of(shape({ id: id.required(), ...logFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  scraps: yup.array().of(scrapSchema.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  hoops: yup.array().of(bundledHoop.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  motifs: yup.array().of(bundledMotif.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  hoopings: yup.array().of(bundledHooping.required()).default([]).max(MOST_RECORDS, TOO_MANY),
  stock: yup
    .array()
    .of(shape({ id: id.required(), ...stockFields }).required())
    .default([])
    .max(MOST_RECORDS, TOO_MANY),
  tables: yup.array().of(bundledTable.required()).default([]).max(MOST_RECORDS, TOO_MANY),
});
