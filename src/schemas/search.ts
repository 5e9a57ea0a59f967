import { number, shape, text } from './rules';

/** What is looked for, and how many answers are wanted. */
export const searchSchema = shape({
  q: text(200, 1).required(),
  limit: number({ min: 1, max: 50, integer: true }).default(12),
});
