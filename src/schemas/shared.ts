import { causeOf } from '../core/techniques';
import { isValid, parseISO } from 'date-fns';
import * as yup from 'yup';
import { shown } from '../core/input-error';
import { COVERS } from '../core/layers';
import { number, oneOf, shape, text } from './rules';

/** Shapes that several records share. */

/** Name of a record in a bundle or behind a reference: what our own names are made of, and nothing that a page could trip over. */
export const id = yup.string().test(
  'id',
  ({ value }) => `must be 1 to 100 letters, figures, dots, hyphens and underscores, saw ${shown(value)}`,
  (value) => value === undefined || value === null || /^[A-Za-z0-9._-]{1,100}$/.test(value),
);

/** A layer as it is used: a material of the cupboard or, after `cloth:`, a cloth of it; with how it is joined behind. */
export const layerKey = yup.string().test(
  'layer',
  ({ value }) => `must be the id of a layer, or cloth: and the id of a cloth, saw ${shown(value)}`,
  (value) => value === undefined || value === null || /^(cloth:)?[A-Za-z0-9._-]{1,120}$/.test(value),
);

/** A local date: a day that the calendar has. */
export const day = yup.string().test(
  'day',
  ({ value }) => `must be a date such as 2026-05-31, saw ${shown(value)}`,
  (value) => value === null || value === undefined || (/^\d{4}-\d{2}-\d{2}$/.test(value) && isValid(parseISO(value))),
);

/** A moment of time, as JSON writes it. */
export const instant = yup.string().test(
  'instant',
  ({ value }) => `must be a time such as 2026-05-31T14:20:00.000Z, saw ${shown(value)}`,
  (value) => value === null || value === undefined || (value.length <= 40 && isValid(parseISO(value))),
);

/** What a stack was expected to be like. */
export const predicted = shape({
  bendingLength: number({ above: 0, max: 100_000 }).required(),
  low: number({ above: 0, max: 100_000 }).required(),
  high: number({ above: 0, max: 100_000 }).required(),
  rigidity: number({ min: 0, max: 1e15 }).required(),
  arealDensity: number({ above: 0, max: 100_000 }).required(),
  thickness: number({ min: 0, max: 1000 }).required(),
});

/** Fields of how a layer is pressed; a shoe on the iron is a cover too. */
export const pressFields = {
  ironDots: number({ min: 0, max: 3, integer: true }).required(),
  seconds: number({ min: 0, max: 600 }).required(),
  steam: yup.boolean().required(),
  cover: oneOf([...COVERS, 'shoe'] as const).required(),
};

/** Version of a record that a change was made to. */
export const version = number({ min: 1, integer: true });
/** Name of a thing: something is written. */
export const name = text(120, 1).required();
export const note = text(4000).default('');

/** What is ticked: its words, in a batch after the name of its job. */
export const checkName = text(500);
/** A cause that was found, as `trouble/cause`. */
export const causeFound = yup.string().test(
  'cause',
  ({ value }) => `must be a trouble and a cause of it, such as lifts/moved-warm, saw ${JSON.stringify(value)}`,
  (value) => value === undefined || (value.length < 80 && causeOf(value) !== undefined),
);
