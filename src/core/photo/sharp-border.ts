import type { Outline, Point } from '../shape';
import { onPlane, seenAt } from './camera';
import { middleOf } from './lines';
import type { Photographed } from './photographed';
import { bestSeen } from './side-by-side';

/** A border measured between the pixels, and how much of it was plainly seen. */
export interface SharpBorder {
  /** Points on the plane, mm. */
  points: Outline;
  /** Share of the border where inside and outside could be told apart, 0–1. */
  seen: number;
}

/** Points are so far apart, mm. */
const STEP = 1.6;
/** How far the picture is read to either side, mm: at first, and once more when the border is nearly right. */
const REACHES = [5, 3];
/** Inside and outside differ at least by so much light. */
const LEAST_CONTRAST = 0.02;

/**
 * Moves a rough border to where the picture turns from what is inside to what is outside: half way between the two colours, which are read to
 * either side of each point, so that uneven light does no harm.
 *
 * @param photos one, or several on one plane: each point is read where it is seen farthest from the rim
 * @param rough on the plane, mm, either winding @example sharpBorder([photo], square(100)).points.length > 3 // true
 */
export function sharpBorder(photos: readonly Photographed[], rough: Outline): SharpBorder {
  let points = smoothed(evenly(rough, STEP), 3);
  let seen = 1;
  for (const reach of REACHES) {
    const sides = clockwiseSign(points);
    const offs = points.map((at, i) => {
      const before = points[(i + points.length - 2) % points.length]!;
      const after = points[(i + 2) % points.length]!;
      const length = Math.hypot(after[0] - before[0], after[1] - before[1]) || 1;
      const outward: Point = [(sides * (after[1] - before[1])) / length, (-sides * (after[0] - before[0])) / length];
      return { outward, off: turnAcross(bestSeen(photos, at), at, outward, reach) };
    });
    seen = offs.filter(({ off }) => off !== undefined).length / offs.length;
    const calm = calmed(offs.map(({ off }) => off));
    const moved = points.map(([x, y], i): Point => {
      const off = calm[i]!;
      return [x + off * offs[i]!.outward[0], y + off * offs[i]!.outward[1]];
    });
    points = evenly(moved, STEP);
  }
  return { points, seen };
}

/** How far off it turns from inside to outside; undefined where the two look alike. */
function turnAcross({ camera, sampler }: Photographed, [x, y]: Point, outward: Point, reach: number): number | undefined {
  const a = seenAt(camera, [x - reach * outward[0], y - reach * outward[1]]);
  const b = seenAt(camera, [x + reach * outward[0], y + reach * outward[1]]);
  const pixels = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const n = Math.max(16, Math.min(96, Math.round(pixels * 2)));
  const at = (i: number): Point => [a[0] + ((b[0] - a[0]) * i) / n, a[1] + ((b[1] - a[1]) * i) / n];
  if (!sampler.inside(a) || !sampler.inside(b)) return undefined;
  const read = Array.from({ length: n + 1 }, (_, i) => [0, 1, 2].map((channel) => sampler.channel(at(i), channel)));
  const third = Math.max(3, Math.floor(n / 4));
  const mid = (from: number, to: number) =>
    [0, 1, 2].map((channel) => middleOf(read.slice(from, to).map((each) => each[channel]!))!);
  const inside = mid(0, third);
  const outside = mid(n + 1 - third, n + 1);
  const axis = inside.map((value, channel) => value - outside[channel]!);
  const size = Math.hypot(...axis);
  if (size < LEAST_CONTRAST) return undefined;
  const level = read.map((each) =>
    each.reduce((sum, value, channel) => sum + ((value - outside[channel]!) * axis[channel]!) / size ** 2, 0),
  );
  let best: number | undefined;
  for (let i = 0; i < n; i++) {
    const [p, q] = [level[i]!, level[i + 1]!];
    if (!(p >= 0.5 && q < 0.5)) continue;
    const off = ((i + (p - 0.5) / (p - q)) / n) * 2 * reach - reach;
    if (best === undefined || Math.abs(off) < Math.abs(best)) best = off;
  }
  return best;
}

/** Fills what was not seen from its neighbours and takes back what stands alone. */
function calmed(offs: readonly (number | undefined)[]): number[] {
  const n = offs.length;
  return offs.map((off, i) => {
    const around: number[] = [];
    for (let k = -3; k <= 3; k++) {
      const each = offs[(i + k + n) % n];
      if (each !== undefined) around.push(each);
    }
    const usual = middleOf(around) ?? 0;
    return off === undefined || Math.abs(off - usual) > 1.2 ? usual : off;
  });
}

const clockwiseSign = (outline: Outline) =>
  Math.sign(
    outline.reduce((sum, [x, y], i) => {
      const [u, v] = outline[(i + 1) % outline.length]!;
      return sum + x * v - u * y;
    }, 0),
  ) || 1;

/**
 * Points along a closed outline, equally far apart.
 *
 * @param step about how far, in the outline's own unit
 * @example evenly([[0, 0], [10, 0], [10, 10], [0, 10]], 5).length // 8
 */
export function evenly(outline: Outline, step: number): Outline {
  const lengths = outline.map(([x, y], i) => {
    const [u, v] = outline[(i + 1) % outline.length]!;
    return Math.hypot(u - x, v - y);
  });
  const whole = lengths.reduce((a, b) => a + b, 0);
  const n = Math.max(8, Math.round(whole / step));
  const points: Outline = [];
  let [edge, gone] = [0, 0];
  for (let i = 0; i < n; i++) {
    const wanted = (whole * i) / n;
    while (edge < outline.length - 1 && gone + lengths[edge]! < wanted) gone += lengths[edge++]!;
    const share = lengths[edge]! > 0 ? (wanted - gone) / lengths[edge]! : 0;
    const [x, y] = outline[edge]!;
    const [u, v] = outline[(edge + 1) % outline.length]!;
    points.push([x + share * (u - x), y + share * (v - y)]);
  }
  return points;
}

function smoothed(points: Outline, reach: number): Outline {
  const n = points.length;
  return points.map((_, i) => {
    let [x, y] = [0, 0];
    for (let k = -reach; k <= reach; k++) {
      const [u, v] = points[(i + k + n) % n]!;
      x += u / (2 * reach + 1);
      y += v / (2 * reach + 1);
    }
    return [x, y];
  });
}

/**
 * An outline in pixels as it lies on the plane, mm.
 *
 * @example borderOnPlane(photo, [[0, 0], [10, 0], [10, 10]]).length // 3
 */
export function borderOnPlane({ camera }: Photographed, border: Outline): Outline {
  return border.map((at) => onPlane(camera, at));
}
