import { Clipper, EndType, FillRule, JoinType, type Path64, type Paths64 } from 'clipper2-ts';
import { polygonArea, signedArea, transformed, type Outline, type Point } from './polygon';

/**
 * The one place where the polygon library is used. It works in whole numbers, because the library's own
 * handling of fractions is full of surprises: micrometres for a bed cover, finer for a collar. Coordinates
 * stay below 3e7 so that its cross products are exact in double precision.
 */
const LARGEST = 3e7;
const FINEST_SCALE = 1e6;
const COARSEST_SCALE = 1e3;

/** Steps per millimetre for these outlines: the finest power of ten that keeps cross products exact. */
function scaleFor(outlines: readonly Outline[]): number {
  let largest = 1;
  for (const outline of outlines) {
    for (const [x, y] of outline) largest = Math.max(largest, Math.abs(x), Math.abs(y));
  }
  const scale = 10 ** Math.floor(Math.log10(LARGEST / largest));
  return Math.max(COARSEST_SCALE, Math.min(FINEST_SCALE, scale));
}

/** Whole-number paths for the library, without the spikes that it mishandles; what encloses nothing is left out. */
function toPaths(outlines: readonly Outline[], scale: number): Paths64 {
  return outlines
    .map((outline) => withoutSpikes(outline.map(([x, y]) => ({ x: Math.round(x * scale), y: Math.round(y * scale) }))))
    .filter((path) => path.length > 2);
}

/** As {@link toPaths}, the winding made alike, so that either winding of an input counts as filled. */
function filled(outlines: readonly Outline[], scale: number): Paths64 {
  return toPaths(outlines, scale).map((path) => (Clipper.area(path) < 0 ? path.reverse() : path));
}

/**
 * Takes out corners at which a path turns straight back along itself, and corners that repeat, again and again and across
 * the start. What a path winds around stays the same; but where such a spike lies level at a lowest point, the library
 * answers a union with one path within another of the same winding, as if an area were there twice.
 *
 * @example withoutSpikes([{ x: 0, y: 0 }, { x: 5, y: 0 }, { x: 9, y: 0 }, { x: 5, y: 0 }, { x: 5, y: 5 }]).length // 3
 */
export function withoutSpikes(path: Path64): Path64 {
  const kept: Path64 = [];
  for (const p of path) {
    while (kept.length > 0 && turnsBack(kept[kept.length - 2], kept[kept.length - 1]!, p)) kept.pop();
    kept.push(p);
  }
  let first = 0;
  for (;;) {
    const length = kept.length - first;
    if (length < 3) return [];
    if (turnsBack(kept[kept.length - 2], kept[kept.length - 1]!, kept[first]!)) kept.pop();
    else if (turnsBack(kept[kept.length - 1], kept[first]!, kept[first + 1]!)) first++;
    else return first === 0 ? kept : kept.slice(first);
  }
}

/** Whether p, between a and b, repeats b or is the tip of a spike. */
function turnsBack(a: Path64[number] | undefined, p: Path64[number], b: Path64[number]): boolean {
  if (p.x === b.x && p.y === b.y) return true;
  if (!a) return false;
  const [ux, uy, vx, vy] = [p.x - a.x, p.y - a.y, b.x - p.x, b.y - p.y];
  return ux * vy - uy * vx === 0 && ux * vx + uy * vy <= 0;
}

function fromPaths(paths: Paths64, scale: number): Outline[] {
  return paths.map((path) =>
    withoutFlatCorners(
      path.map(({ x, y }) => [x / scale, y / scale]),
      0.75 / scale,
    ),
  );
}

/**
 * Leaves out corners that lie on the line through their neighbours, within the rounding of the grid. One at a
 * time, against the neighbours that are kept: of two corners that fall together one has to stay.
 */
function withoutFlatCorners(outline: Outline, tolerance: number): Outline {
  const flat = (a: Point, p: Point, b: Point) => {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    // A spur that runs out and back along itself encloses nothing.
    if (length <= tolerance) return true;
    return Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) <= tolerance * length;
  };
  const kept: Outline = [];
  for (const p of outline) {
    while (kept.length >= 2 && flat(kept[kept.length - 2]!, kept[kept.length - 1]!, p)) kept.pop();
    kept.push(p);
  }
  while (kept.length > 3 && flat(kept[kept.length - 2]!, kept[kept.length - 1]!, kept[0]!)) kept.pop();
  while (kept.length > 3 && flat(kept[kept.length - 1]!, kept[0]!, kept[1]!)) kept.shift();
  return kept;
}

/**
 * Area covered by any of the outlines, with holes as clockwise paths.
 *
 * @example unionOf([square(10), square(5)]).length // 1
 */
export function unionOf(outlines: readonly Outline[]): Outline[] {
  const scale = scaleFor(outlines);
  return fromPaths(Clipper.union(filled(outlines, scale), FillRule.NonZero), scale);
}

/**
 * What closed loops wind around at least once counter-clockwise. Unlike in {@link unionOf} the winding of each loop
 * counts, so that a clockwise one takes away.
 *
 * @example windingUnion([square(10)]).length // 1
 */
export function windingUnion(loops: readonly Outline[]): Outline[] {
  const scale = scaleFor(loops);
  return fromPaths(Clipper.union(toPaths(loops, scale), FillRule.Positive), scale);
}

/** Turns by which a subtraction that went wrong is tried again, degrees: on another grid other points fall together. */
const TURNS = [7, 19, 41];
/** Areas are right to this much, mm². */
const GRID_AREA = 1;

/**
 * What is left of the outline when the cutters are taken away; holes come as clockwise paths. Where points fall together on the
 * whole-number grid the library can lose all of it; no more can go than the cutters cover and nothing can be gained, so that is noticed, and
 * the same is tried turned.
 *
 * @example difference(square(10), [square(5)]).length // 1
 */
export function difference(outline: Outline, cutters: readonly Outline[]): Outline[] {
  const left = taken(outline, cutters);
  const most = polygonArea(outline) + GRID_AREA;
  const least = polygonArea(outline) - cutters.reduce((sum, cutter) => sum + polygonArea(cutter), 0) - GRID_AREA;
  const canBe = (region: readonly Outline[]) => regionArea(region) >= least && regionArea(region) <= most;
  if (canBe(left)) return left;
  for (const turn of TURNS) {
    const turned = (path: Outline): Outline => transformed(path, false, turn);
    const again = taken(turned(outline), cutters.map(turned));
    if (canBe(again)) return again.map((path) => transformed(path, false, -turn));
  }
  return left;
}

function taken(outline: Outline, cutters: readonly Outline[]): Outline[] {
  const scale = scaleFor([outline, ...cutters]);
  return fromPaths(Clipper.difference(filled([outline], scale), filled(cutters, scale), FillRule.NonZero), scale);
}

/**
 * What outlines and masks have in common.
 *
 * @example polygonArea(intersection([square(10)], [square(5)])[0]) // 25
 */
export function intersection(outlines: readonly Outline[], masks: readonly Outline[]): Outline[] {
  const scale = scaleFor([...outlines, ...masks]);
  return fromPaths(Clipper.intersect(filled(outlines, scale), filled(masks, scale), FillRule.NonZero), scale);
}

/**
 * A region grown by a distance all round, or shrunk where it is negative, corners rounded.
 *
 * @param region outlines, holes clockwise @param by mm
 * @example polygonArea(grownBy([square(10)], 5)[0]) > 370 // true
 */
export function grownBy(region: readonly Outline[], by: number): Outline[] {
  const scale = scaleFor(region);
  return fromPaths(
    Clipper.inflatePaths(toPaths(region, scale), by * scale, JoinType.Round, EndType.Polygon, 2, ARC_ERROR * scale),
    scale,
  );
}

/** How far a rounded corner may lie from a true arc, mm. */
const ARC_ERROR = 0.05;

/**
 * Area of a region whose holes run the other way round, mm².
 *
 * @example regionArea([square(10)]) // 100
 */
export function regionArea(region: readonly Outline[]): number {
  return Math.abs(region.reduce((sum, path) => sum + signedArea(path), 0));
}

/**
 * Drops what is narrower than scissors can follow: slivers below `smallest` mm².
 *
 * @example withoutSlivers([square(10), square(0.1)], 1).length // 1
 */
export function withoutSlivers(region: readonly Outline[], smallest: number): Outline[] {
  return region.filter((path) => polygonArea(path) >= smallest);
}
