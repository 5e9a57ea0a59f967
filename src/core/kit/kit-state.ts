import type { KitItem } from './kit-items';

/** What can be said of an item of a bag; nothing is said of one that was not packed yet. */
export const KIT_STATES = ['packed', 'missing', 'taken'] as const;
export type KitState = (typeof KIT_STATES)[number];

/** Where the bag of one thing stands. */
export interface KitStanding {
  /** By the key of each item. */
  states: Readonly<Record<string, KitState>>;
  /** Where the bag lies. */
  place: string;
}

/** What is done to a bag, on any tablet. `state` null takes back what was said. */
export type KitMove = { kind: 'put'; keys: readonly string[]; state: KitState | null } | { kind: 'place'; place: string };

/**
 * Where a bag stands after a move. The last word about an item holds.
 *
 * @example kitMoved({ states: {}, place: '' }, { kind: 'put', keys: ['notion/zip'], state: 'packed' }).states // { 'notion/zip': 'packed' }
 */
export function kitMoved(standing: KitStanding, move: KitMove): KitStanding {
  if (move.kind === 'place') return { ...standing, place: move.place };
  const states = new Map(Object.entries(standing.states));
  for (const key of move.keys) {
    if (move.state === null) states.delete(key);
    else states.set(key, move.state);
  }
  return { ...standing, states: Object.fromEntries(states) };
}

export interface KitCount {
  packed: number;
  missing: number;
  taken: number;
  /** Of nothing is said yet. */
  open: number;
}

/**
 * How many items of a bag are packed, missing, taken out, and not packed yet.
 *
 * @example kitCount([], { states: {}, place: '' }).open // 0
 */
export function kitCount(items: readonly Pick<KitItem, 'key'>[], { states }: KitStanding): KitCount {
  const count: KitCount = { packed: 0, missing: 0, taken: 0, open: 0 };
  for (const { key } of items) {
    const state = Object.hasOwn(states, key) ? states[key] : undefined;
    count[state ?? 'open'] += 1;
  }
  return count;
}
