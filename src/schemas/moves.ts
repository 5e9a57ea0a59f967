import * as yup from 'yup';
import { DAMPNESS } from '../core/liquid';
import { KIT_STATES, type KitState } from '../core/kit';
import { number, oneOf, shape, text } from './rules';
import { causeFound, id, instant } from './shared';

/** Steps of a run, and stops of a step, at most. */
const step = number({ min: 0, max: 20_000, integer: true }).required();
const stop = number({ min: 0, max: 20_000, integer: true }).required();

/** Moves at the bench by their kind, with the fields of each. */
const BENCH: ReadonlyMap<string, yup.ObjectShape> = new Map<string, yup.ObjectShape>([
  ['tick', { check: text(500, 1).required(), on: yup.boolean().required() }],
  [
    'cause',
    {
      found: causeFound.required(),
      work: number({ min: 0, max: 1000, integer: true }).nullable().defined(),
      on: yup.boolean().required(),
    },
  ],
  ['next', { step }],
  ['start', { step, stop, seconds: number({ min: 0, max: 1e6 }).required() }],
  ['pause', { step, stop }],
  ['resume', { step, stop }],
  ['back', { step, stop }],
  ['rung', { step, stop, flowing: yup.boolean().required() }],
  ['aside', { step }],
  ['dismiss', { endsAt: instant.required() }],
  ['felt', { step, found: oneOf(DAMPNESS).required() }],
  ['weighed', { step, grams: number({ min: 1, max: 100_000 }).required() }],
  ['longer', { step }],
  ['finish', {}],
]);

const ids = yup.array().of(id.required()).required().max(500, 'must name at most 500');
/** A task; one that stands for several names them all. */
const task = text(6000, 1).required();
const few = () => number({ min: 1, max: 3, integer: true });

/** What the day is planned by, besides the work itself. */
export const dayWishes = {
  people: few(),
  irons: few(),
  evening: number({ min: 0, max: 720 }),
  aim: oneOf(['shortest', 'fewer-changes', 'board-free'] as const),
  from: yup.string().matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time such as 19:00'),
};

const DAY: ReadonlyMap<string, yup.ObjectShape> = new Map<string, yup.ObjectShape>([
  ['begin', { runIds: ids }],
  ['wish', { wishes: shape(dayWishes).required() }],
  ['add', { jobIds: ids, runIds: ids, hoopingIds: ids.optional() }],
  ['leave-out', { jobIds: ids, runIds: ids, hoopingIds: ids.optional() }],
  ['done', { id: task }],
  ['late', { id: task, minutes: number({ min: -1440, max: 1440 }).required() }],
  ['anew', {}],
]);

/** So many items of a bag can be said something of; and the longest key of one. */
const MOST_KEYS = 2000;
const LONGEST_KEY = 300;

/** What is done to the bag of one thing. */
const KIT: ReadonlyMap<string, yup.ObjectShape> = new Map<string, yup.ObjectShape>([
  [
    'put',
    {
      keys: yup
        .array()
        .of(text(LONGEST_KEY, 1).required())
        .required()
        .min(1, 'must name at least one')
        .max(MOST_KEYS, `must name at most ${MOST_KEYS}`),
      state: oneOf(KIT_STATES).nullable().defined('is missing'),
    },
  ],
  ['place', { place: text(200).defined('is missing') }],
]);

/** What is said of the items of a bag, by their keys. */
export const kitStates = yup
  .mixed<Record<string, KitState>>(
    (value): value is Record<string, KitState> => typeof value === 'object' && !Array.isArray(value),
  )
  .test('states', `must hold at most ${MOST_KEYS} keys, each with ${KIT_STATES.join(', ')}`, (value) => {
    const all = Object.entries(value ?? {});
    return (
      all.length <= MOST_KEYS &&
      all.every(([key, state]) => key !== '' && key.length <= LONGEST_KEY && KIT_STATES.includes(state as KitState))
    );
  });

/** Moves of one request; each has a name of its own, by which it counts once however often it is sent. */
function movesSchema(kinds: ReadonlyMap<string, yup.ObjectShape>) {
  const kind = oneOf([...kinds.keys()]).required();
  const move = yup.lazy((value: { kind?: unknown } | undefined) =>
    shape({ kind, ...(typeof value?.kind === 'string' ? kinds.get(value.kind) : undefined) }).required(),
  );
  return shape({
    moves: yup
      .array()
      .of(shape({ id: id.required(), at: instant.required(), move }).required())
      .required()
      .min(1, 'must hold at least one move')
      .max(500, 'must hold at most 500 moves'),
  });
}

export const benchMovesSchema = movesSchema(BENCH);
export const dayMovesSchema = movesSchema(DAY);
export const kitMovesSchema = movesSchema(KIT);
