import { seeded } from '../random';
import { EdgeToEdge } from './edge-to-edge';
import type { Laying } from './laying';
import { AT_BOUND } from './search';
import { TOUCHING } from './pairs';
import { Separation } from './separation';
import type { Positions } from './positions';

/**
 * Where less of the outlines than this lies against something after so many tries, these pieces were not cut from one
 * another.
 */
const LEAST_WORTH = [
  { tries: 2, worth: 0.4 },
  { tries: 30, worth: 0.55 },
];
/** After so many tries without more touching, everything is laid anew. */
const IDLE_TRIES = 80;
/** How much worse a layout may be that is gone on from, and what counts as better, as shares of all outlines. */
const SLIGHTLY = 0.01;
const GAIN = 1e-6;
/** What counts as shorter, mm. */
const SHORTER = 1e-6;
/** What laying edge to edge gets of length to push rounding apart. */
const EASE = 1.0002;

/**
 * Layouts edge to edge, each shorter than the one before; undefined in between.
 *
 * @example [...searchEdges(laying, 1, 100)].length > 0 // true
 */
export function* searchEdges(laying: Laying, seed: number, work: number): Generator<Positions | undefined, void> {
  const { table, width, bound, order } = laying;
  const random = seeded(seed);
  const positions = laying.positions.clone();
  for (const i of order) positions.lift(i);
  const edges = new EdgeToEdge(positions, order, laying, width, random);
  const kept = positions.clone();
  let worth = -Infinity;
  let most = -Infinity;
  let idle = 0;
  let length = Infinity;
  for (let k = 0; table.work < work && length > bound * AT_BOUND && !laying.isLate(); k++) {
    if (idle > IDLE_TRIES) {
      for (const i of order) positions.lift(i);
      worth = -Infinity;
      most = -Infinity;
      idle = 0;
    } else if (k > 0) edges.ruin();
    edges.lay();
    const now = edges.worth();
    // A slightly worse layout may be the way to a better one.
    if (now < worth - SLIGHTLY * random() * random()) positions.copyFrom(kept);
    else {
      worth = now;
      kept.copyFrom(positions);
    }
    idle = now > most + GAIN ? 0 : idle + 1;
    most = Math.max(most, now);
    if (LEAST_WORTH.some((least) => k === least.tries && most < least.worth)) return;
    const top = laying.top(positions);
    if (top > length - SHORTER) {
      yield undefined;
      continue;
    }
    const apart = positions.clone();
    const separation = new Separation(laying, apart, top * EASE, random);
    separation.start();
    separation.settle();
    const good = separation.total <= TOUCHING && laying.isClear(apart);
    if (good) length = top;
    yield good ? apart : undefined;
  }
}
