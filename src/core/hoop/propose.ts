import { difference, type Outline, type Point } from '../shape';
import type { Hoop, HoopPlace } from './hoop';
import { edgeDistance, fromEdge } from './align';
import { hoopOutlines } from './hoop';
import { floatOver, hoopOver, mayHold, troublesAt, type Ground, type MotifPlace } from './placing';

/** A way in which the motif can be sewn after all. */
export type Proposal =
  | { kind: 'moved'; place: MotifPlace; at: HoopPlace; by: number }
  | { kind: 'other-hoop'; hoopIndex: number; place: MotifPlace; at: HoopPlace }
  | { kind: 'strip'; place: MotifPlace; at: HoopPlace; /** Width past the edge, mm. */ width: number; strips: Outline[] }
  | { kind: 'float'; place: MotifPlace; at: HoopPlace; because: 'marks' | 'reach' };

/** How far and how finely a nearer place is looked for, mm and degrees. */
const FARTHEST = 200;
const STEP = 10;
const FINE_STEP = 2;
const RAYS = 24;
/** A strip is sewn on with so much under the clamp to spare, mm. */
const SPARE = 15;
/** What lies no further inside the edge is on it, mm. */
const ON_EDGE = 0.01;
/** A strip lies on the cloth by this much, mm. */
const BASTED = 10;
/** A strip wider than this is no help, mm. */
const WIDEST_STRIP = 150;

/**
 * What can be done when a motif cannot be hooped where it is wanted, best first: the nearest place where it can, another hoop,
 * a strip sewn to the edge, floating. Cloth that a hoop would mark is floated at once.
 *
 * @param motif hull of the motif round its own middle, mm @param hoops the person's own @param chosen index of the hoop that was chosen
 * @example proposals(square(20), [hoop], 0, ground, middle).length // 2
 */
export function proposals(motif: Outline, hoops: readonly Hoop[], chosen: number, ground: Ground, place: MotifPlace): Proposal[] {
  const hoop = hoops[chosen]!;
  const wanted = hoopOver(motif, hoop, ground, place);
  const floated = floatOver(motif, hoop, ground, place);
  const float = (because: 'marks' | 'reach'): Proposal[] =>
    floated.troubles.length === 0 ? [{ kind: 'float', place, at: floated.at, because }] : [];
  if (ground.marks) return float('marks');
  const found: Proposal[] = [];
  const near = nearest(motif, hoop, ground, place);
  if (near) found.push({ kind: 'moved', ...near });
  const others = hoops
    .map((other, hoopIndex) => ({ other, hoopIndex, ...hoopOver(motif, other, ground, place) }))
    .filter(({ hoopIndex, troubles }) => hoopIndex !== chosen && troubles.length === 0)
    // The smallest that does holds the cloth best.
    .sort((a, b) => a.other.outerWidth * a.other.outerHeight - b.other.outerWidth * b.other.outerHeight);
  const [other] = others;
  if (other) found.push({ kind: 'other-hoop', hoopIndex: other.hoopIndex, place, at: other.at });
  const short = wanted.troubles.find(({ kind }) => kind === 'clamp-past-cloth');
  if (short && short.by + SPARE <= WIDEST_STRIP) {
    const width = Math.ceil((short.by + SPARE) / 5) * 5;
    const strips = stripsUnder(hoop, wanted.at, ground, width);
    const held = troublesAt(motif, hoop, { ...ground, strips: [...(ground.strips ?? []), ...strips] }, place, wanted.at);
    if (held.length === 0) found.push({ kind: 'strip', place, at: wanted.at, width, strips });
  }
  return [...found, ...float('reach')];
}

/**
 * Strips of waste cloth along the edges over which a ring hangs: so wide past the edge, basted on 10 mm inside it, as long as the ring needs
 * them, and past the end of the edge where it hangs over a corner, so that two of them meet there.
 */
function stripsUnder(hoop: Hoop, at: HoopPlace, { outline }: Ground, width: number): Outline[] {
  const { outer } = hoopOutlines(hoop, at);
  const over = difference(outer, [outline]).flat();
  return outline.flatMap((_, edge) => {
    const { length } = edgeDistance(outline, edge, outline[edge]!);
    // Where a side of the ring runs over the edge counts as well as its corners.
    const hanging = over.flatMap((point) => {
      const { distance, along } = edgeDistance(outline, edge, point);
      return distance < ON_EDGE && along > -width && along < length + width ? along : [];
    });
    if (hanging.length === 0) return [];
    const from = Math.max(-width, Math.min(...hanging) - SPARE);
    const to = Math.min(length + width, Math.max(...hanging) + SPARE);
    const corner = (distance: number, along: number): Point => {
      const { x, y } = fromEdge(outline, edge, distance, along);
      return [x, y];
    };
    return [[corner(-width, from), corner(-width, to), corner(BASTED, to), corner(BASTED, from)]];
  });
}

/** Nearest place round the one that is wanted where the hoop holds, the motif turned as it is. */
function nearest(
  motif: Outline,
  hoop: Hoop,
  ground: Ground,
  place: MotifPlace,
): { place: MotifPlace; at: HoopPlace; by: number } | undefined {
  const tryAt = (dx: number, dy: number) => {
    const moved = { ...place, x: place.x + dx, y: place.y + dy };
    if (!mayHold(motif, hoop, ground, moved)) return undefined;
    const { at, troubles } = hoopOver(motif, hoop, ground, moved);
    return troubles.length === 0 ? { place: moved, at, by: Math.hypot(dx, dy) } : undefined;
  };
  for (let far = STEP; far <= FARTHEST; far += STEP)
    for (let ray = 0; ray < RAYS; ray++) {
      const u: Point = [Math.cos((2 * Math.PI * ray) / RAYS), Math.sin((2 * Math.PI * ray) / RAYS)];
      if (!tryAt(far * u[0], far * u[1])) continue;
      for (let fine = far - STEP + FINE_STEP; fine < far; fine += FINE_STEP) {
        const closer = tryAt(fine * u[0], fine * u[1]);
        if (closer) return closer;
      }
      return tryAt(far * u[0], far * u[1]);
    }
  return undefined;
}
