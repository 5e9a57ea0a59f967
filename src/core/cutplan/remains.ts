import { bounds, difference, grownBy, intersection, polygonArea, regionArea, signedArea, type Outline } from '../shape';

/** A leftover that is worth keeping. */
export interface Remain {
  /** mm, where it lies on the table. */
  outline: Outline;
  /** mm². */
  area: number;
}

/** Narrower parts than this are not kept, mm. */
const NARROWEST = 40;
/** Corners of what is kept lie at least this far from any cut, mm: scissors need room. */
const SCISSORS = 2;

/**
 * What is left of a piece of cloth when everything laid on it has been cut out: all parts in which a strip of 40 mm has room,
 * largest first, and what goes to waste.
 *
 * The rest of the cloth is shrunk by half the width that is wanted and grown again (a morphological opening), which takes
 * away slivers and necks.
 *
 * @param cloth outline of the cloth on the table, mm @param cut outlines of what is cut out
 * @param smallest least area that is worth keeping, mm²
 * @example remains(square(400), [square(100)], 8000).kept.length // 1
 */
export function remains(cloth: Outline, cut: readonly Outline[], smallest: number): { kept: Remain[]; waste: number } {
  const rest = cut.length > 0 ? difference(cloth, grown(cut)) : [cloth];
  const whole = cut.length > 0 ? regionArea(difference(cloth, cut)) : polygonArea(cloth);
  const opened = grownBy(grownBy(rest, -NARROWEST / 2), NARROWEST / 2);
  // Rounded growing must not reach back over what was cut.
  const clean =
    opened.length > 0
      ? intersection(
          opened.filter((path) => signedArea(path) > 0),
          [cloth],
        )
      : [];
  const kept = withoutHoles(clean.flatMap((path) => (cut.length > 0 ? difference(path, grown(cut)) : [path])))
    .filter((path) => polygonArea(path) >= smallest)
    .map(simplified)
    .map((outline) => ({ outline, area: polygonArea(outline) }))
    .sort((a, b) => b.area - a.area);
  const area = kept.reduce((sum, each) => sum + each.area, 0);
  return { kept, waste: Math.max(0, whole - area) };
}

function grown(cut: readonly Outline[]): Outline[] {
  return cut.flatMap((outline) => grownBy([outline], SCISSORS));
}

/** Less of a spot than this is not worth a word, mm². */
const LEAST_SPOT = 1;

/**
 * What of some spots lies on a leftover: a hole that the scissors went through is only partly there.
 *
 * @param leftover outline, mm @param spots holes and stains, mm
 * @example spotsWithin(square(100), [square(10)]).length // 1
 */
export function spotsWithin(leftover: Outline, spots: readonly Outline[]): Outline[] {
  return spots.flatMap((spot) => intersection([spot], [leftover])).filter((path) => polygonArea(path) >= LEAST_SPOT);
}

/** The same region cut in two through every hole, so that each part is one outline. */
function withoutHoles(region: Outline[]): Outline[] {
  const hole = region.find((path) => signedArea(path) < 0);
  if (!hole) return region;
  const all = bounds(region.flat());
  const { minX, maxX } = bounds(hole);
  const middle = (minX + maxX) / 2;
  const half = (left: number, right: number): Outline => [
    [left, all.minY],
    [right, all.minY],
    [right, all.maxY],
    [left, all.maxY],
  ];
  const outer = region.filter((path) => signedArea(path) > 0);
  const holes = region.filter((path) => signedArea(path) < 0);
  return [half(all.minX, middle), half(middle, all.maxX)].flatMap((mask) =>
    withoutHoles(intersection(outer, [mask]).flatMap((path) => difference(path, holes))),
  );
}

/** Nobody cuts finer than this, mm. */
const FINE = 1;

/**
 * Fewer corners: bulging ones that lie closer than a millimetre to the line past them are cut off, hollow ones stay, so that the
 * outline never claims cloth that is not there.
 */
function simplified(outline: Outline): Outline {
  const n = outline.length;
  const kept: Outline = [];
  for (let start = 0; start < n;) {
    kept.push(outline[start]!);
    let end = start + 1;
    while (end < n && passes(outline, start, end + 1)) end++;
    start = end;
  }
  return kept.length >= 3 && polygonArea(kept) > 0 ? kept : outline;
}

/** Whether the straight line from one corner to a later one cuts off no more than a little of what bulges between. */
function passes(outline: Outline, from: number, to: number): boolean {
  const [a, b] = [outline[from]!, outline[to % outline.length]!];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length === 0) return false;
  for (let i = from + 1; i < to; i++) {
    const p = outline[i]!;
    const off = ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / length;
    if (off > 1e-9 || off < -FINE) return false;
  }
  return true;
}
