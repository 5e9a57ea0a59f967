import { cutPieces, type CutItem, type TableList, type TableOptions, type TableSource } from '../../core/cutlist';
import { measureLaid, type Laid } from '../../core/cutplan';
import { layoutFaults, type LayoutFault, type Placement } from '../../core/nesting';
import { bounds, transformed, type Outline } from '../../core/shape';

/** Name of a copy among what is locked. */
export function lockKey(sourceId: string, { id, copy }: { id: string; copy: number }): string {
  return `${sourceId} ${id} ${copy}`;
}

/** Locked copies by source, as the search takes them. */
export function lockedPlacements(laid: readonly Laid[], locked: readonly string[]): Record<string, Placement[]> {
  return Object.fromEntries(
    laid.map(({ sourceId, placements }) => [
      sourceId,
      placements.filter((placement) => locked.includes(lockKey(sourceId, placement))),
    ]),
  );
}

/** A copy in the hand. */
export interface InHand {
  sourceId: string;
  id: string;
  copy: number;
}

/** The layout with one placement changed. */
export function changed(
  laid: readonly Laid[],
  { sourceId, id, copy }: InHand,
  change: (placement: Placement) => Placement,
  items: readonly CutItem[],
  sources: readonly TableSource[],
): Laid[] {
  const outlines = outlinesOf(items);
  return laid.map((each) => {
    if (each.sourceId !== sourceId) return each;
    const placements = each.placements.map((p) => (p.id === id && p.copy === copy ? change(p) : p));
    const width = sources.find(({ source }) => source.id === sourceId)?.source.width ?? 1;
    return measureLaid(sourceId, placements, outlines, width);
  });
}

export function outlinesOf(items: readonly CutItem[]): Map<string, Outline> {
  return new Map(items.map(({ id, outline }) => [id, outline]));
}

/** The same piece turned to its next allowed position, or flipped. */
export function turned(placement: Placement, item: CutItem, flip: boolean): Placement {
  const at = item.rotations.indexOf(placement.rotation);
  const rotation = flip ? placement.rotation : item.rotations[(at + 1) % item.rotations.length]!;
  const flipped = flip ? !placement.flipped : placement.flipped;
  return aboutMiddle(placement, item, rotation, flipped);
}

/** What a piece without a direction is tilted by at once, degrees. */
export const TILT = 5;

/** The same piece turned a little further, degrees counter-clockwise as it lies on the roll. */
export function tilted(placement: Placement, item: CutItem, by: number): Placement {
  return aboutMiddle(placement, item, (((placement.rotation + by) % 360) + 360) % 360, placement.flipped);
}

/** A piece in another position, its middle where it was. */
function aboutMiddle(placement: Placement, { outline }: CutItem, rotation: number, flipped: boolean): Placement {
  const before = middle(transformed(outline, placement.flipped, placement.rotation, placement.x, placement.y));
  const after = middle(transformed(outline, flipped, rotation));
  return { ...placement, rotation, flipped, x: before[0] - after[0], y: before[1] - after[1] };
}

function middle(outline: Outline): [number, number] {
  const { minX, minY, maxX, maxY } = bounds(outline);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}

/** What a search is asked. */
export function search(
  list: TableList,
  sources: readonly TableSource[],
  options: TableOptions,
  laid: readonly Laid[],
  locked: readonly string[],
) {
  const kept = lockedPlacements(laid, locked);
  const roll = sources.find(({ stock }) => stock === undefined || stock.kind === 'roll')?.source.id;
  if (roll && list.atFold.length > 0)
    kept[roll] = [...list.atFold, ...(kept[roll] ?? []).filter(({ id }) => !id.endsWith('/fold'))];
  return {
    sources: sources.map(({ source }) => source),
    pieces: cutPieces(list.items),
    gap: options.gap,
    seconds: options.seconds,
    seed: options.seed,
    locked: kept,
  };
}

/** What stands in the way of a piece. */
export interface Trouble {
  /** Overlaps others. */
  overlaps: boolean;
  /** Part of it lies beside the cloth. */
  outside: boolean;
  /** Lies over a hole or a stain. */
  spoilt: boolean;
}

interface Checked {
  placements: readonly Placement[];
  faults: LayoutFault[];
}

/**
 * What stands in the way of each piece. Remembers what it found: when some pieces were moved, only those are looked at again, so
 * that a piece follows the hand however many lie there.
 */
export class TroubleFinder {
  private sources: readonly TableSource[] = [];
  private outlines: ReadonlyMap<string, Outline> = new Map();
  private checked = new Map<string, Checked>();

  /** By the lock key of each piece that has trouble. */
  find(laid: readonly Laid[], sources: readonly TableSource[], outlines: ReadonlyMap<string, Outline>): Map<string, Trouble> {
    if (sources !== this.sources || outlines !== this.outlines) this.checked = new Map();
    this.sources = sources;
    this.outlines = outlines;
    const found = new Map<string, Trouble>();
    for (const { sourceId, placements } of laid) {
      const own = sources.find(({ source }) => source.id === sourceId);
      if (!own) continue;
      const known = placements.filter(({ id }) => outlines.has(id));
      const faults = this.faultsOf(own, known);
      const tell = (index: number, trouble: Partial<Trouble>) => {
        const key = lockKey(sourceId, known[index]!);
        found.set(key, { ...(found.get(key) ?? { overlaps: false, outside: false, spoilt: false }), ...trouble });
      };
      for (const { kind, index, other } of faults) {
        tell(index, kind === 'outside' ? { outside: true } : kind === 'spot' ? { spoilt: true } : { overlaps: true });
        if (other !== undefined) tell(other, { overlaps: true });
      }
    }
    return found;
  }

  private faultsOf({ source }: TableSource, placements: readonly Placement[]): LayoutFault[] {
    const layout = {
      placements,
      outlines: this.outlines,
      // Where the hand lays pieces, the room for the scissors is its own business.
      gap: 0,
      width: source.width,
      length: source.length ?? Infinity,
      cloth: source.outline,
      spots: source.spots,
    };
    const before = this.checked.get(source.id);
    let faults: LayoutFault[];
    if (before && before.placements.length === placements.length) {
      const moved = placements.flatMap((placement, i) => (placement === before.placements[i] ? [] : [i]));
      const still = before.faults.filter(({ index, other }) => !moved.includes(index) && !moved.includes(other ?? -1));
      faults = [...still, ...moved.flatMap((only) => layoutFaults({ ...layout, only }))];
    } else faults = layoutFaults(layout);
    this.checked.set(source.id, { placements, faults });
    return faults;
  }
}

/** What can be taken back: where everything lies, and what stays there. */
export interface Arranged {
  laid: Laid[];
  locked: string[];
}
