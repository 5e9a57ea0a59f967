import type { Point } from '../shape';
import { MARKER } from './card-codes';
import { fitted } from './equations';
import type { SeenCard } from './find-cards';
import { homographyOf, inverseOf, mapped, type Homography } from './homography';

/** How a camera sees a plane: a projective map, and a lens that bends lines. */
export interface Camera {
  /** From the plane, mm, x to the right and y up as it is seen, to pixels without the bending. */
  map: Homography;
  back: Homography;
  /** Middle of the picture, pixels, and half its diagonal. */
  middle: Point;
  half: number;
  /** The lens takes a point at r from the middle to r (1 + k r²), r in half diagonals. */
  k: number;
}

/** The cards where they lie on the plane, and the camera. */
export interface Solved {
  camera: Camera;
  /** Top left, top right, bottom right, bottom left as printed, mm. */
  cards: { id: number; corners: [Point, Point, Point, Point] }[];
  /** What the corners stand off from where they should be, root mean square, mm. */
  residual: number;
}

/**
 * Where a point of the plane is seen.
 *
 * @param at mm
 * @returns pixels
 * @example seenAt(camera, [0, 0]) // [100, 700]
 */
export function seenAt({ map, middle, half, k }: Camera, at: Point): Point {
  const [x, y] = mapped(map, at);
  const [u, v] = [(x - middle[0]) / half, (y - middle[1]) / half];
  const bent = 1 + k * (u * u + v * v);
  return [middle[0] + u * bent * half, middle[1] + v * bent * half];
}

/**
 * The point of the plane that is seen somewhere: the bending undone by Newton's steps on the radius.
 *
 * @param at pixels
 * @returns mm
 * @example onPlane(camera, [100, 700]) // [0, 0]
 */
export function onPlane({ back, middle, half, k }: Camera, at: Point): Point {
  const [u, v] = [(at[0] - middle[0]) / half, (at[1] - middle[1]) / half];
  const seen = Math.hypot(u, v);
  let r = seen;
  for (let i = 0; i < 6; i++) {
    const slope = 1 + 3 * k * r * r;
    if (slope < 0.2) break;
    r -= (r * (1 + k * r * r) - seen) / slope;
  }
  const share = seen > 1e-9 ? r / seen : 1;
  return mapped(back, [middle[0] + u * share * half, middle[1] + v * share * half]);
}

/** Cards from which the bending of the lens can be told as well. */
const FOR_BENDING = 3;
/** Bending that no lens of a telephone passes; it is drawn gently to none. */
const USUAL_BENDING = 0.15;

/** Corners of a card's black square about its middle, mm. */
const square = (side: number): Point[] => {
  const h = side / 2;
  return [[-h, h], [h, h], [h, -h], [-h, -h]]; // prettier-ignore
};
const placed = (corners: readonly Point[], x: number, y: number, turn: number): Point[] => {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return corners.map(([u, v]): Point => [x + u * cos - v * sin, y + u * sin + v * cos]);
};

/**
 * The camera and the places of the cards, by least squares over all corners together: eight unknowns of the projective map, one of the
 * lens where three cards or more are seen, three for every card but the first. Scale comes from the cards alone.
 *
 * @param marker side of the black square as it was measured on the print, mm
 * @param upright a card whose own axes the plane is to have, with its upper right corner as origin; the picture's own axes otherwise
 * @returns undefined where the cards cannot be seen like that by any camera
 * @example solveCamera([], 1600, 1200) // undefined
 */
export function solveCamera(
  seen: readonly SeenCard[],
  width: number,
  height: number,
  marker = MARKER,
  upright?: number,
): Solved | undefined {
  if (seen.length === 0) return undefined;
  const middle: Point = [width / 2, height / 2];
  const half = Math.hypot(width, height) / 2;
  const own = square(marker);
  // The card that is seen largest is the one to begin with.
  const sorted = [...seen].sort((a, b) => sizeOf(b) - sizeOf(a));
  const [first, ...others] = sorted as [SeenCard, ...SeenCard[]];
  const unit = first.corners.map(([x, y]): Point => [(x - middle[0]) / half, (y - middle[1]) / half]);
  const start = homographyOf(
    own.map(([x, y]): Point => [x / 100, y / 100]),
    unit,
  );
  if (!start) return undefined;
  const back = inverseOf(start);
  const places = others.flatMap(({ corners }) => {
    const there = corners.map(([x, y]) => mapped(back, [(x - middle[0]) / half, (y - middle[1]) / half]));
    const [cx, cy] = [mean(there.map(([x]) => x)), mean(there.map(([, y]) => y))];
    const [a, b] = [there[0]!, there[1]!];
    const [d, c] = [there[3]!, there[2]!];
    return [cx, cy, Math.atan2(b[1] - a[1] + c[1] - d[1], b[0] - a[0] + c[0] - d[0])];
  });
  const bends = seen.length >= FOR_BENDING;
  const differences = (unknowns: readonly number[]): number[] => {
    const map = unknowns.slice(0, 8) as unknown as Homography;
    const k = bends ? unknowns[8]! : 0;
    const rest = unknowns.slice(bends ? 9 : 8);
    const off = sorted.flatMap(({ corners }, i) => {
      const lies = i === 0 ? own : placed(own, rest[3 * i - 3]! * 100, rest[3 * i - 2]! * 100, rest[3 * i - 1]!);
      return lies.flatMap(([x, y], j) => {
        const [u, v] = mapped(map, [x / 100, y / 100]);
        const bent = 1 + k * (u * u + v * v);
        return [(u * bent - (corners[j]![0] - middle[0]) / half) * half, (v * bent - (corners[j]![1] - middle[1]) / half) * half];
      });
    });
    // A thousandth of a pixel for each hundredth of bending: it decides only what the corners leave open.
    return bends ? [...off, (0.1 * k) / USUAL_BENDING] : off;
  };
  const found = fitted(differences, [...start, ...(bends ? [0] : []), ...places]);
  if (!found.every(Number.isFinite)) return undefined;
  const inHundreds = found.slice(0, 8) as unknown as Homography;
  const k = bends ? found[8]! : 0;
  const rest = found.slice(bends ? 9 : 8);
  const lie = sorted.map(({ id }, i) => ({
    id,
    corners: i === 0 ? own : placed(own, rest[3 * i - 3]! * 100, rest[3 * i - 2]! * 100, rest[3 * i - 1]!),
  }));
  const [a, b, c, d, e, f, g, h] = inHundreds;
  const whole: Homography = [
    ...[a * half + middle[0] * g, b * half + middle[0] * h].map((value) => value / 100),
    c * half + middle[0],
    ...[d * half + middle[1] * g, e * half + middle[1] * h].map((value) => value / 100),
    f * half + middle[1],
    ...[g, h].map((value) => value / 100),
  ] as unknown as Homography;
  const camera: Camera = { map: whole, back: inverseOf(whole), middle, half, k };
  const axes = upright === undefined ? picturesAxes(camera, lie) : cardsAxes(lie, upright);
  if (!axes) return undefined;
  const turned = turnedCamera(camera, axes);
  const cards = lie
    .map(({ id, corners }) => ({ id, corners: corners.map((at) => toAxes(axes, at)) as Solved['cards'][number]['corners'] }))
    .sort((p, q) => p.id - q.id);
  const off = seen.flatMap(({ id, corners }) => {
    const card = cards.find((each) => each.id === id)!;
    return corners.map((corner, i) => {
      const [x, y] = onPlane(turned, corner);
      return (x - card.corners[i]![0]) ** 2 + (y - card.corners[i]![1]) ** 2;
    });
  });
  return { camera: turned, cards, residual: Math.sqrt(mean(off)) };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const sizeOf = ({ corners: [a, b, c, d] }: SeenCard) => Math.abs((c[0] - a[0]) * (d[1] - b[1]) - (c[1] - a[1]) * (d[0] - b[0]));

/** New axes: their origin and the turn of their x, in the old ones. */
interface Axes {
  origin: Point;
  turn: number;
}

/** x to the right and y up as the picture is seen, from the lower left of all cards. */
function picturesAxes(camera: Camera, cards: readonly { corners: readonly Point[] }[]): Axes {
  const all = cards.flatMap(({ corners }) => corners);
  const centre: Point = [mean(all.map(([x]) => x)), mean(all.map(([, y]) => y))];
  const [u, v] = seenAt(camera, centre);
  const left = onPlane(camera, [u - 1, v]);
  const right = onPlane(camera, [u + 1, v]);
  const turn = Math.atan2(right[1] - left[1], right[0] - left[0]);
  const seen = all.map((at) => toAxes({ origin: [0, 0], turn }, at));
  const corner: Point = [Math.min(...seen.map(([x]) => x)), Math.min(...seen.map(([, y]) => y))];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return { origin: [corner[0] * cos - corner[1] * sin, corner[0] * sin + corner[1] * cos], turn };
}

function cardsAxes(cards: readonly { id: number; corners: readonly Point[] }[], id: number): Axes | undefined {
  const card = cards.find((each) => each.id === id);
  if (!card) return undefined;
  const [a, b] = [card.corners[0]!, card.corners[1]!];
  return { origin: b, turn: Math.atan2(b[1] - a[1], b[0] - a[0]) };
}

function toAxes({ origin, turn }: Axes, [x, y]: Point): Point {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [u, v] = [x - origin[0], y - origin[1]];
  return [u * cos + v * sin, -u * sin + v * cos];
}

/**
 * The camera as it sees a plane whose points were turned about the origin, then moved.
 *
 * @param turn radians, counter-clockwise @param move mm
 * @example movedCamera(camera, 0, [0, 0]).k === camera.k // true
 */
export function movedCamera(camera: Camera, turn: number, [dx, dy]: Point): Camera {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return turnedCamera(camera, { origin: [-dx * cos - dy * sin, dx * sin - dy * cos], turn: -turn });
}

function turnedCamera(camera: Camera, { origin, turn }: Axes): Camera {
  const [a, b, c, d, e, f, g, h] = camera.map;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  // The old place of a point with new coordinates (X, Y) is origin + X (cos, sin) + Y (−sin, cos).
  const row = (p: number, q: number, r: number): [number, number, number] => [
    p * cos + q * sin,
    -p * sin + q * cos,
    p * origin[0] + q * origin[1] + r,
  ];
  const [x, y, w] = [row(a, b, c), row(d, e, f), row(g, h, 1)];
  const map = [...x, ...y, w[0], w[1]].map((value) => value / w[2]) as unknown as Homography;
  return { ...camera, map, back: inverseOf(map) };
}
