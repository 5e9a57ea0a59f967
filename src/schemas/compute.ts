import * as yup from 'yup';
import { TONES } from '../core/cloth';
import { METHODS } from '../core/liquid';
import { PRESS_ORDERS } from '../core/press';
import { HAT_DUTIES } from '../core/recipes';
import { number, oneOf, outline, shape, text } from './rules';
import { dayWishes } from './moves';

export const droopSchema = shape({
  arealDensity: number({ above: 0, max: 5000 }).required(),
  overhang: number({ above: 0, max: 5000 }),
  angle: number({ min: 1, max: 89 }),
  length: number({ above: 0, max: 5000 }),
  drop: number({ above: 0, max: 5000 }),
  profileLength: number({ above: 0, max: 10_000 }),
});

/** One number, or one per edge. */
const allowance = yup
  .mixed<number | number[]>()
  .required()
  .test('allowance', 'must be a number of at least 0 mm, or a list with one such number per edge', (value) => {
    const good = (v: unknown) => typeof v === 'number' && v >= 0 && v <= 10_000;
    return Array.isArray(value) ? value.every(good) : good(value);
  });

export const insetSchema = shape({ outline, allowance });

export const cutPlanSchema = shape({
  width: number({ above: 0, max: 20_000 }).required(),
  length: number({ above: 0, max: 200_000 }),
  gap: number({ min: 0, max: 1000 }).required(),
  pieces: yup
    .array()
    .of(
      shape({
        id: text(200, 1).required(),
        outline,
        count: number({ min: 1, max: 2000, integer: true }).required(),
        rotations: yup
          .array()
          .of(number({ min: -360, max: 360 }).required())
          .required()
          .min(1, 'must hold at least one angle')
          .max(360, 'must hold at most 360 angles'),
        flip: yup.boolean(),
      }).required(),
    )
    .required()
    .min(1, 'must hold at least one piece')
    .max(500, 'must hold at most 500 pieces'),
  seconds: number({ min: 0, max: 60 }).required(),
  seed: number({ integer: true, min: 0, max: Number.MAX_SAFE_INTEGER }),
});

export const pressPlanSchema = shape({
  outline,
  plate: yup
    .object({ outline: outline.notRequired(), width: number({ min: 1, max: 5000 }), height: number({ min: 1, max: 5000 }) })
    .noUnknown()
    .required()
    .test('plate', 'must hold either an outline, or a width and a height', (plate) =>
      plate.outline
        ? plate.width === undefined && plate.height === undefined
        : plate.width !== undefined && plate.height !== undefined,
    ),
  overlap: number({ min: 0, max: 1000 }).required(),
  order: oneOf(PRESS_ORDERS).required(),
  secondsPerStop: number({ min: 0, max: 3600 }).required(),
  moveSeconds: number({ min: 0, max: 3600 }).required(),
});

/** Answers by question; which there are, the core says. */
export const identifySchema = shape({
  kind: oneOf(['cloth', 'layer'] as const).default('cloth'),
  answers: yup
    .mixed<Record<string, string>>()
    .required()
    .test(
      'answers',
      'must be an object of questions and answers',
      (value) =>
        typeof value === 'object' &&
        value !== null &&
        !Array.isArray(value) &&
        Object.keys(value).length <= 50 &&
        Object.values(value).every((each) => typeof each === 'string' && each.length <= 40),
    ),
});

export const liquidSchema = shape({
  pieces: yup
    .array()
    .of(
      shape({
        id: text(200, 1).required(),
        area: number({ min: 0, max: 1e9 }).required(),
        arealDensity: number({ above: 0, max: 5000 }).required(),
        tone: oneOf(TONES).required(),
      }).required(),
    )
    .required()
    .max(5000, 'must hold at most 5000 pieces'),
  method: oneOf(METHODS).required(),
  mlPerPull: number({ above: 0, max: 100 }),
  strength: number({ min: 0, max: 1 }),
});

export const dryingSchema = shape({
  water: number({ min: 0, max: 20_000 }).required(),
  sides: number({ min: 1, max: 2, integer: true }).required(),
  temperature: number({ min: 0, max: 60 }).required(),
  humidity: number({ min: 0, max: 99 }).required(),
  airSpeed: number({ min: 0, max: 20 }).required(),
  arealDensity: number({ above: 0, max: 5000 }).required(),
});

export const scheduleSchema = shape({
  tasks: yup
    .array()
    .of(
      shape({
        id: text(200, 1).required(),
        minutes: number({ min: 0, max: 100_000 }).required(),
        uses: yup.array().of(text(100, 1).required()).max(50, 'must name at most 50 resources').default([]),
        after: yup.array().of(text(200, 1).required()).max(2000, 'must name at most 2000 tasks').default([]),
      }).required(),
    )
    .required()
    .max(2000, 'must hold at most 2000 tasks'),
  capacity: yup
    .mixed<Record<string, number>>()
    .required()
    .test('capacity', 'must be an object of at most 200 resources with how many there are of each, 0 to 1000', (value) => {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
      const counts = Object.values(value);
      return counts.length <= 200 && counts.every((count) => typeof count === 'number' && count >= 0 && count <= 1000);
    }),
  seed: number({ integer: true, min: 0, max: Number.MAX_SAFE_INTEGER }),
});

export const opacitySchema = shape({
  sheets: yup
    .array()
    .of(
      shape({
        reflectance: number({ min: 0, max: 1 }).required(),
        transmittance: number({ min: 0, max: 1 }).required(),
        openArea: number({ min: 0, max: 1 }),
      }).required(),
    )
    .required()
    .min(1, 'must hold at least one sheet')
    .max(50, 'must hold at most 50 sheets'),
});

const ids = yup.array().of(text(100, 1).required()).max(60, 'must name at most 60').default([]);
/** Jobs and open runs of a working day. */
export const daySchema = shape({ jobIds: ids, runIds: ids, hoopingIds: ids.default([]) });

const taskId = text(6000, 1).required();
/** The day that is planned, as every tablet of the house sees it. */
export const dayPlanSchema = shape({
  plan: shape({
    jobIds: ids,
    runIds: ids,
    hoopingIds: ids.optional(),
    people: dayWishes.people.required(),
    irons: dayWishes.irons.required(),
    evening: dayWishes.evening.required(),
    aim: dayWishes.aim.default('shortest'),
    from: dayWishes.from.required(),
    done: yup.array().of(taskId).max(5000).required(),
    late: yup
      .array()
      .of(shape({ id: taskId, minutes: number({ min: 0, max: 6000 }).required() }).required())
      .max(5000)
      .required(),
  }).required(),
  version: number({ min: 0, integer: true }).required(),
});

/** Measures by their names: mm, numbers, 0 or 1. */
export const recipeSchema = shape({
  recipe: yup.string().required().max(60),
  values: yup
    .mixed<Record<string, unknown>>()
    .test(
      'values',
      'must be an object of numbers',
      (value) => value === undefined || (typeof value === 'object' && value !== null && !Array.isArray(value)),
    )
    .default({}),
});

export const flareSchema = shape({
  circles: number({ above: 0, max: 12 }).required(),
  waist: number({ above: 0, max: 20_000 }).required(),
  length: number({ above: 0, max: 20_000 }).required(),
  allowance: number({ min: 0, max: 500 }).required(),
  /** Usable width of the cloth, where sectors are asked for, mm. */
  width: number({ above: 0, max: 20_000 }),
});

export const hatSchema = shape({
  head: number({ above: 0, max: 20_000 }).required(),
  ease: number({ min: 0, max: 200 }).required(),
  oval: number({ min: 1, max: 2 }).required(),
  bandHeight: number({ above: 0, max: 20_000 }).required(),
  brimWidth: number({ min: 0, max: 20_000 }).required(),
  allowance: number({ min: 0, max: 500 }).required(),
  layers: yup
    .array()
    .of(
      shape({
        id: text(100, 1).required(),
        duty: oneOf(HAT_DUTIES).required(),
        thickness: number({ min: 0, max: 100 }).required(),
      }).required(),
    )
    .required()
    .min(1, 'must hold at least one layer')
    .max(12, 'must hold at most 12 layers'),
});
