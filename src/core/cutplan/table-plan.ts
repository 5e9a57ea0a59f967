import { requireNumber } from '../input-error';
import { bounds, polygonArea, transformed, type Outline, type Point } from '../shape';
import { cutPlans, type CutPlan } from '../nesting/cut-plan';
import type { NestPiece, Placement, Unplaced } from '../nesting/piece';

/** Cloth that lies on the table: a leftover of any outline, a sheet, or a roll. */
export interface Source {
  id: string;
  /** Usable width, mm. */
  width: number;
  /** Usable length, mm; undefined on a roll that is bought as long as needed. */
  length?: number;
  /** Outline of a leftover, from its lower left corner. */
  outline?: Outline;
  /** Holes and stains in it, from the same corner: nothing is laid on them. */
  spots?: readonly Outline[];
}

/** What lies on one source. */
export interface Laid {
  sourceId: string;
  placements: Placement[];
  length: number;
  density: number;
}

export interface TablePlan {
  laid: Laid[];
  unplaced: Unplaced[];
  /** Share of the work that is done, 0–1. */
  done: number;
}

export interface TablePlanOptions {
  /** In the order in which they are used: leftovers from the box first, then the roll. */
  sources: readonly Source[];
  pieces: readonly NestPiece[];
  /** mm. */
  gap: number;
  /** Time allowed for all of it, s. */
  seconds: number;
  seed: number;
  /** Copies that stay where they are, by source. */
  locked?: Readonly<Record<string, readonly Placement[]>>;
  /** Asked between steps: once it says yes, what is found is kept, and the rest is only laid somewhere. */
  enough?: () => boolean;
}

/** No more time than this is spent on one leftover, as a share of the whole. */
const LEFTOVER_SHARE = 0.25;

/**
 * Lays pieces on several sources, one after the other: what fits on the first, the rest on the next. Every report is a whole
 * layout; what is not laid yet stands in `unplaced`.
 *
 * @throws {InputError} as {@link cutPlans}
 * @example [...tablePlans({ sources: [{ id: 's', width: 500, fullWidth: 500, length: 2000 }], pieces, gap: 5, seconds: 1, seed: 1 })].at(-1).unplaced // []
 */
export function* tablePlans(options: TablePlanOptions): Generator<TablePlan, void> {
  const { sources, pieces, gap, seconds, seed, locked = {}, enough = () => false } = options;
  requireNumber('seconds', seconds, 's', { min: 0, max: 60 });
  let waiting: Unplaced[] = pieces.flatMap(({ id, count }) => Array.from({ length: count }, (_, copy) => ({ id, copy })));
  const held = new Set(Object.values(locked).flatMap((all) => all.map(keyOf)));
  waiting = waiting.filter((copy) => !held.has(keyOf(copy)));
  const laid: Laid[] = [];
  let spent = 0;
  for (const [index, source] of sources.entries()) {
    const still = locked[source.id] ?? [];
    const last = index === sources.length - 1;
    const share = last ? 1 - spent : Math.min(LEFTOVER_SHARE, (1 - spent) / 2);
    if (waiting.length === 0 && still.length === 0) continue;
    const { list, copies } = renumbered(pieces, waiting, still);
    let plan: CutPlan | undefined;
    for (const { done, ...found } of cutPlans({
      width: source.width,
      gap,
      pieces: list,
      seconds: enough() ? 0 : seconds * share,
      seed,
      locked: still.map((each) => ({ ...each, copy: copies.get(each.id)!.indexOf(each.copy) })),
      ...(source.length === undefined ? {} : { length: source.length }),
      ...(source.outline ? { cloth: source.outline } : {}),
      ...(source.spots ? { spots: source.spots } : {}),
    })) {
      plan = found;
      const { unplaced, ...now } = named(found, copies);
      yield { laid: [...laid, { sourceId: source.id, ...now }], unplaced, done: Math.min(1, spent + share * done) };
      if (enough()) break;
    }
    spent += share;
    if (!plan) continue;
    const { unplaced, ...now } = named(plan, copies);
    if (now.placements.length > 0) laid.push({ sourceId: source.id, ...now });
    waiting = unplaced;
  }
  yield { laid, unplaced: waiting, done: 1 };
}

function keyOf({ id, copy }: Unplaced): string {
  return `${id} ${copy}`;
}

/** Pieces with the copies that take part, numbered anew from 0, and the numbers they had. */
function renumbered(pieces: readonly NestPiece[], waiting: readonly Unplaced[], still: readonly Placement[]) {
  const copies = new Map<string, number[]>();
  for (const { id, copy } of [...still, ...waiting]) copies.set(id, [...(copies.get(id) ?? []), copy]);
  const list = pieces.flatMap((piece) => {
    const count = copies.get(piece.id)?.length ?? 0;
    return count > 0 ? [{ ...piece, count }] : [];
  });
  return { list, copies };
}

function named({ placements, unplaced, length, density }: CutPlan, copies: ReadonlyMap<string, readonly number[]>) {
  const back = <T extends Unplaced>(each: T): T => ({ ...each, copy: copies.get(each.id)![each.copy]! });
  return { placements: placements.map(back), unplaced: unplaced.map(back), length, density };
}

/**
 * What lies on a source, measured anew: largest y, and piece area over what is used of the width.
 *
 * @example measureLaid('s', [{ id: 'a', copy: 0, rotation: 0, flipped: false, x: 0, y: 0 }], new Map([['a', square(100)]]), 500).length // 100
 */
export function measureLaid(
  sourceId: string,
  placements: readonly Placement[],
  outlines: ReadonlyMap<string, Outline>,
  width: number,
): Laid {
  let length = 0;
  let area = 0;
  for (const { id, flipped, rotation, x, y } of placements) {
    const outline = outlines.get(id);
    if (!outline) continue;
    length = Math.max(length, bounds(transformed(outline, flipped, rotation, x, y)).maxY);
    area += polygonArea(outline);
  }
  return { sourceId, placements: [...placements], length, density: length > 0 ? area / (width * length) : 0 };
}

/**
 * A leftover moved so that its lower left corner lies at the origin, as a source.
 *
 * @param spots holes and stains in it, mm where the outline lies
 * @example leftoverSource('s', square(300)).width // 300
 */
export function leftoverSource(id: string, outline: Outline, spots: readonly Outline[] = []): Source {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const toCorner = (each: Outline): Outline => each.map(([x, y]): Point => [x - minX, y - minY]);
  return {
    id,
    width: maxX - minX,
    length: maxY - minY,
    outline: toCorner(outline),
    ...(spots.length > 0 ? { spots: spots.map(toCorner) } : {}),
  };
}
