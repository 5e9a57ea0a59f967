import * as yup from 'yup';
import { DAMPNESS } from '../core/liquid';
import { PRESS_TOOLS } from '../core/press';
import { number, oneOf, shape, text } from './rules';
import { causeFound, checkName, id, instant, version } from './shared';

const timer = shape({ label: text(500).required(), endsAt: instant.required() });

/** A batch of thirty jobs, each of sixty copies in a dozen steps. */
const MOST_STEPS = 25_000;

/** Where a bench run stands. */
const benchStateSchema = shape({
  step: number({ min: 0, max: MOST_STEPS, integer: true }).required(),
  stop: number({ min: 0, max: 10_000, integer: true }).required(),
  /** When the countdown that is running ends, ISO time; null when none runs. */
  endsAt: instant.nullable().defined(),
  /** Seconds that were left when it was paused. */
  pausedLeft: number({ min: 0, max: 86_400 }).nullable().defined(),
  timers: yup.array().of(timer.required()).required().max(500),
  checks: yup.array().of(checkName.required()).required().max(MOST_STEPS),
  tickedBy: yup
    .array()
    .of(shape({ check: checkName.required(), device: text(60).required() }).required())
    .max(MOST_STEPS),
  causes: yup
    .array()
    .of(
      shape({ found: causeFound.required(), work: number({ min: 0, max: 1000, integer: true }).nullable().defined() }).required(),
    )
    .max(200),
  stamps: yup
    .array()
    .of(shape({ step: number({ min: 0, max: MOST_STEPS, integer: true }).required(), at: instant.required() }).required())
    .max(4 * MOST_STEPS),
  paused: yup
    .array()
    .of(
      shape({
        step: number({ min: 0, max: MOST_STEPS, integer: true }).required(),
        stop: number({ min: 0, max: 10_000, integer: true }).required(),
        left: number({ min: 0, max: 86_400 }).required(),
      }).required(),
    )
    .max(MOST_STEPS),
  hung: yup
    .array()
    .of(
      shape({
        step: number({ min: 0, max: MOST_STEPS, integer: true }).required(),
        seconds: number({ min: 0, max: 1e7 }).required(),
        found: oneOf(DAMPNESS).required(),
      }).required(),
    )
    .max(MOST_STEPS),
  weighed: yup
    .array()
    .of(
      shape({
        step: number({ min: 0, max: MOST_STEPS, integer: true }).required(),
        at: instant.required(),
        grams: number({ min: 1, max: 100_000 }).required(),
      }).required(),
    )
    .max(MOST_STEPS),
});

/** Jobs that are worked in one go. */
export const batchSchema = shape({
  jobIds: yup.array().of(id.required()).required().min(1, 'must name at least one job').max(30, 'must name at most 30 jobs'),
  tool: oneOf(PRESS_TOOLS).default('iron'),
});
export const benchToolSchema = shape({ tool: oneOf(PRESS_TOOLS).default('iron') });

export const benchUpdateSchema = shape({
  state: benchStateSchema.required(),
  finished: yup.boolean().default(false),
  version: version.required(),
});
