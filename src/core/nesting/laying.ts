import { bounds, difference, polygonArea, transformed, type Box, type Outline, type Point } from '../shape';
import { orientationsOf, layingOutline, type Orientation } from './orientation';
import { NoFitTable } from './no-fit';
import { overlapArea } from './overlap-area';
import type { NestPiece, Placement, Unplaced } from './piece';
import { Positions } from './positions';

export interface LayingOptions {
  /** Usable width of the cloth, mm. */
  width: number;
  /** Longest length that may be used, mm. */
  length: number;
  /** Room between pieces, mm. */
  gap: number;
  pieces: readonly NestPiece[];
  /** Copies that stay where they are. */
  locked?: readonly Placement[];
  /** Outline of a leftover, within the width and the length, mm; without one the cloth is a plain strip. */
  cloth?: Outline;
  /** Holes and stains, on which nothing is laid, mm. */
  spots?: readonly Outline[];
}

/** Room for rounding where a piece is as wide as the cloth, mm. */
const FIT = 1e-9;
/** Outlines that share less than this only touch, mm². */
const SHARED = 0.1;
/** Rounding dust along the edge of a leftover, mm². */
const DUST = 0.5;

/** What the search works with: things to lay, each in one of its forms, and what lies still. */
export class Laying {
  readonly table: NoFitTable;
  /** Where everything lies: first what is laid, from `movable` on what stays. */
  readonly positions: Positions;
  readonly movable: number;
  /** Indices of what is laid, largest first; what fits in no position is left out. */
  readonly order: number[];
  /** No layout can be shorter, mm. */
  readonly bound: number;
  /** Asked in every long loop: once it says yes, what is found so far is kept. */
  isLate: () => boolean = () => false;

  /**
   * @param width mm @param limit longest length that may be used, mm @param forms of everything, also of what stays
   * @param choices forms that each thing may take @param areas mm² of each thing @param still forms that stay where they are
   * @param stillLaid how many of those count for the length that is used
   */
  constructor(
    readonly width: number,
    readonly limit: number,
    readonly orientations: readonly Orientation[],
    readonly choices: readonly Int32Array[],
    readonly areas: readonly number[],
    still: readonly number[] = [],
    private readonly stillLaid = 0,
  ) {
    this.movable = choices.length;
    this.table = new NoFitTable(orientations);
    this.positions = new Positions(this.movable + still.length);
    still.forEach((orientation, k) => this.positions.lay(this.movable + k, { orientation, x: 0, y: 0 }));
    this.order = choices.map((_, i) => i).filter((i) => choices[i]!.length > 0);
    this.order.sort((a, b) => areas[b]! - areas[a]! || a - b);
    const all = this.order.reduce((sum, i) => sum + areas[i]!, 0);
    const lowest = (i: number) => Math.min(...Array.from(choices[i]!, (f) => height(orientations[f]!)));
    const locked = still.slice(0, stillLaid).map((orientation) => orientations[orientation]!.box.maxY);
    this.bound = Math.max(0, all / width, ...this.order.map(lowest), ...locked);
  }

  /**
   * Whether nothing overlaps, by the area that outlines share: the search goes by no-fit regions, in which rounding can
   * leave cracks, so what it finds is looked at once more, by arithmetic that has nothing to do with those regions.
   */
  isClear(positions: Positions): boolean {
    return this.firstInTheWay(positions) === undefined;
  }

  /** Number of the first thing that overlaps another which was laid no later in `order`, or stays; undefined when all is clear. */
  firstInTheWay(positions: Positions): number | undefined {
    const { orientations } = this;
    const laid: { box: Box; outline: Outline }[] = [];
    const place = (i: number) => {
      const orientation = positions.orientation[i]!;
      if (orientation < 0) return undefined;
      const { reach, outline } = orientations[orientation]!;
      const [x, y] = [positions.x[i]!, positions.y[i]!];
      return {
        box: { minX: reach.minX + x, minY: reach.minY + y, maxX: reach.maxX + x, maxY: reach.maxY + y },
        outline: outline.map(([px, py]): Point => [px + x, py + y]),
      };
    };
    for (let i = this.movable; i < positions.count; i++) laid.push(place(i)!);
    for (const i of this.order) {
      const a = place(i);
      if (!a) continue;
      for (const b of laid) {
        if (a.box.minX >= b.box.maxX || b.box.minX >= a.box.maxX) continue;
        if (a.box.minY >= b.box.maxY || b.box.minY >= a.box.maxY) continue;
        if (overlapArea(a.outline, b.outline) > SHARED) return i;
      }
      laid.push(a);
    }
    return undefined;
  }

  /** Lifts whatever overlaps another and lays it beyond all that is laid, while there is length; gives what found none. */
  mend(positions: Positions, length: number): number[] {
    const lifted: number[] = [];
    for (let i = this.firstInTheWay(positions); i !== undefined; i = this.firstInTheWay(positions)) {
      positions.lift(i);
      lifted.push(i);
    }
    return lifted.filter((i) => {
      let beyond = 0;
      positions.each((orientation, _x, y) => (beyond = Math.max(beyond, y + this.orientations[orientation]!.reach.maxY)));
      const orientation = this.choices[i]!.find(
        (each) => beyond - this.orientations[each]!.reach.minY + this.orientations[each]!.box.maxY <= length,
      );
      if (orientation === undefined || positions.count > this.movable + this.stillLaid) return true;
      positions.lay(i, {
        orientation,
        x: -this.orientations[orientation]!.box.minX,
        y: beyond - this.orientations[orientation]!.reach.minY,
      });
      return false;
    });
  }

  /** Largest y of what is laid or locked, mm. */
  top(positions: Positions): number {
    let top = 0;
    for (let i = 0; i < this.movable + this.stillLaid; i++) {
      const orientation = positions.orientation[i]!;
      if (orientation >= 0) top = Math.max(top, positions.y[i]! + this.orientations[orientation]!.box.maxY);
    }
    return top;
  }
}

/** A laying of single copies, and the way back from spots to placements. */
export interface SingleLaying {
  laying: Laying;
  placements: (positions: Positions) => { placements: Placement[]; unplaced: Unplaced[] };
}

/**
 * Sets up the laying of every copy that is not locked.
 *
 * @example singleLaying({ width: 500, length: 1000, gap: 5, pieces }).laying.order.length // 3
 */
export function singleLaying({ width, length, gap, pieces, locked = [], cloth, spots = [] }: LayingOptions): SingleLaying {
  const orientations: Orientation[] = [];
  const byPiece = pieces.map((piece, index) =>
    Int32Array.from(
      orientationsOf(piece, index, gap)
        .filter(({ box }) => box.maxX - box.minX <= width + FIT && box.maxY - box.minY <= length + FIT)
        .map((orientation) => orientations.push(orientation) - 1),
    ),
  );
  const held = new Set(locked.map(({ id, copy }) => `${id}/${copy}`));
  const copies = pieces.flatMap(({ id, count }, piece) =>
    Array.from({ length: count }, (_, copy) => ({ id, copy, piece })).filter((each) => !held.has(`${each.id}/${each.copy}`)),
  );
  const areas = pieces.map(({ outline }) => polygonArea(outline));
  // Overlaps are added up in this order until they come to too much, which large pieces do soonest.
  copies.sort((a, b) => areas[b.piece]! - areas[a.piece]!);
  const still = locked.map((placement) => lockedForm(placement, pieces, gap));
  if (cloth) still.push(...outsideOf(cloth, width, Math.min(length, bounds(cloth).maxY)).map(fixedForm));
  still.push(...spots.map(fixedForm));
  const stillAt = still.map((orientation) => orientations.push(orientation) - 1);
  const laying = new Laying(
    width,
    length,
    orientations,
    copies.map(({ piece }) => byPiece[piece]!),
    copies.map(({ piece }) => areas[piece]!),
    stillAt,
    locked.length,
  );
  const placements = (positions: Positions) => {
    const laid: Placement[] = [...locked];
    const unplaced: Unplaced[] = [];
    copies.forEach(({ id, copy }, i) => {
      const orientation = orientations[positions.orientation[i]!];
      if (orientation)
        laid.push({
          id,
          copy,
          rotation: orientation.rotation,
          flipped: orientation.flipped,
          x: positions.x[i]!,
          y: positions.y[i]!,
        });
      else unplaced.push({ id, copy });
    });
    return { placements: laid, unplaced };
  };
  return { laying, placements };
}

/** A locked copy where it lies. */
function lockedForm({ id, rotation, flipped, x, y }: Placement, pieces: readonly NestPiece[], gap: number): Orientation {
  const { outline } = pieces.find((piece) => piece.id === id)!;
  const there = transformed(outline, flipped, rotation, x, y);
  return { ...fixedForm(layingOutline(there, gap)), box: bounds(there) };
}

function height({ box }: Orientation): number {
  return box.maxY - box.minY;
}

/** Something that lies where it is: its own outline at no distance from the origin. */
function fixedForm(outline: Outline): Orientation {
  const box = bounds(outline);
  return { piece: -1, rotation: 0, flipped: false, outline, box, reach: box };
}

/** What of the strip is not cloth. Each half of the strip is cut on its own, so that nothing is left with a hole. */
function outsideOf(cloth: Outline, width: number, length: number): Outline[] {
  const { minX, maxX } = bounds(cloth);
  const middle = (minX + maxX) / 2;
  const half = (left: number, right: number): Outline => [
    [left, 0],
    [right, 0],
    [right, length],
    [left, length],
  ];
  return [half(0, middle), half(middle, width)]
    .flatMap((each) => difference(each, [cloth]))
    .filter((path) => polygonArea(path) > DUST);
}
