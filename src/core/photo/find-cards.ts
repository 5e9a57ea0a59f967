import type { Point } from '../shape';
import { convexHull } from '../shape';
import { FIELDS, readCode } from './card-codes';
import { homographyOf, mapped } from './homography';
import { middleOf } from './lines';
import type { Plane, Small } from './picture';
import { opened } from './spots';

/** A card as it was seen: which it is, and where its black square's corners are, in pixels of the whole picture. */
export interface SeenCard {
  id: number;
  /** Top left, top right, bottom right, bottom left as the card is printed. */
  corners: [Point, Point, Point, Point];
}

/** A place is dark where it is darker than this share of its surroundings. */
const DARKER = 0.72;
/** Surroundings that are tried, as shares of the longer side of the picture. */
const SURROUNDINGS = [0.02, 0.06, 0.16];
/** Pixels of the least black square that is read, along a side. */
const LEAST_SIDE = 14;
/** Share of its four-sided figure that a square's hull fills at least. */
const FILLS = 0.93;
/** White is at least so many times as light as black on one card. */
const CONTRAST = 2;

/** What is dark enough to be print: less light than a share of what is around, or hardly more than the darkest there. */
const HARDLY_MORE = 1.5;
/** What hangs on to a square and is thinner than this brush is taken off, pixels. */
const BRUSHES = [2, 4];

/**
 * The cards in a picture, each once: dark spots on light that have four corners and bear the code of a card.
 *
 * @param wanted a card that may be trimmed and touched by something dark: it is looked for once more, harder, where it was not found
 * @example findCards(madeSmaller(picture, 1200)).map(({ id }) => id) // [1, 2, 3, 4]
 */
export function findCards(small: Small, wanted?: number): SeenCard[] {
  const grey = greyOf(small);
  const found = new Map<number, SeenCard>();
  const look = (dark: Uint8Array) => {
    for (const spot of darkSpots(grey, dark)) {
      const quad = fourCorners(spot);
      const read = quad && readCard(grey, quad);
      if (read && !found.has(read.id)) found.set(read.id, read);
    }
  };
  const windows = SURROUNDINGS.map((share) => Math.max(4, Math.round((share * Math.max(grey.width, grey.height)) / 2)));
  for (const around of windows) look(darkerThanAround(grey, around));
  const missing = () => wanted !== undefined && !found.has(wanted);
  for (const around of windows)
    for (const mask of [darkerThanAround, nearDarkest])
      for (const brush of BRUSHES) if (missing()) look(opened(mask(grey, around), grey.width, grey.height, brush));
  return [...found.values()]
    .map(({ id, corners }) => ({
      id,
      corners: corners.map(([x, y]): Point => [x * small.by, y * small.by]) as SeenCard['corners'],
    }))
    .sort((a, b) => a.id - b.id);
}

/** Brightness of a picture that was made smaller. */
function greyOf({ width, height, rgb }: Small): Plane {
  const values = new Float32Array(width * height);
  for (let i = 0; i < values.length; i++) values[i] = 0.3 * rgb[i * 3]! + 0.59 * rgb[i * 3 + 1]! + 0.11 * rgb[i * 3 + 2]!;
  return { width, height, values };
}

/** What is darker than a share of the mean of its surroundings. */
function darkerThanAround({ width, height, values }: Plane, around: number): Uint8Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++)
    for (let x = 0, row = 0; x < width; x++) {
      row += values[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  const dark = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - around), Math.min(height, y + around + 1)];
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - around), Math.min(width, x + around + 1)];
      const sum =
        sums[bottom * (width + 1) + right]! -
        sums[top * (width + 1) + right]! -
        sums[bottom * (width + 1) + left]! +
        sums[top * (width + 1) + left]!;
      const mean = sum / ((bottom - top) * (right - left));
      if (values[y * width + x]! < DARKER * mean) dark[y * width + x] = 1;
    }
  }
  return dark;
}

/** What is hardly lighter than the darkest of its surroundings, taken block by block. */
function nearDarkest({ width, height, values }: Plane, around: number): Uint8Array {
  const [w, h] = [Math.ceil(width / around), Math.ceil(height / around)];
  const least = new Float32Array(w * h).fill(Infinity);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const block = Math.floor(y / around) * w + Math.floor(x / around);
      least[block] = Math.min(least[block]!, values[y * width + x]!);
    }
  const dark = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [i, j] = [Math.floor(x / around), Math.floor(y / around)];
      let darkest = Infinity;
      for (let v = Math.max(0, j - 1); v <= Math.min(h - 1, j + 1); v++)
        for (let u = Math.max(0, i - 1); u <= Math.min(w - 1, i + 1); u++) darkest = Math.min(darkest, least[v * w + u]!);
      if (values[y * width + x]! < HARDLY_MORE * darkest + 0.006) dark[y * width + x] = 1;
    }
  return dark;
}

/** Outer points of every connected dark spot that may be a square. */
function darkSpots({ width, height }: Plane, mask: Uint8Array): Point[][] {
  const dark = mask.slice();
  const spots: Point[][] = [];
  const queue = new Int32Array(width * height);
  let to = 0;
  const take = (at: number) => {
    if (dark[at] !== 1) return;
    dark[at] = 2;
    queue[to++] = at;
  };
  for (let start = 0; start < dark.length; start++) {
    if (dark[start] !== 1) continue;
    let from = 0;
    to = 0;
    take(start);
    let [minX, maxX, minY, maxY] = [width, 0, height, 0];
    while (from < to) {
      const at = queue[from++]!;
      const x = at % width;
      const y = (at / width) | 0;
      if (x < minX) minX = x;
      if (x > maxX) maxX = x;
      if (y < minY) minY = y;
      if (y > maxY) maxY = y;
      if (x > 0) take(at - 1);
      if (x < width - 1) take(at + 1);
      if (y > 0) take(at - width);
      if (y < height - 1) take(at + width);
    }
    const [w, h] = [maxX - minX + 1, maxY - minY + 1];
    if (Math.min(w, h) < LEAST_SIDE || to < 0.2 * Math.min(w, h) ** 2) continue;
    if (minX === 0 || minY === 0 || maxX === width - 1 || maxY === height - 1) continue;
    spots.push(rowEnds(queue.subarray(0, to), width, minY, h));
  }
  return spots;
}

/** The corners of the outermost pixels of each row of a spot: all that its hull needs. */
function rowEnds(pixels: Int32Array, width: number, top: number, rows: number): Point[] {
  const left = new Int32Array(rows).fill(width);
  const right = new Int32Array(rows).fill(-1);
  for (const at of pixels) {
    const [x, row] = [at % width, ((at / width) | 0) - top];
    if (x < left[row]!) left[row] = x;
    if (x > right[row]!) right[row] = x;
  }
  return Array.from(left).flatMap((from, row): Point[] => {
    const [to, y] = [right[row]! + 1, top + row];
    return [
      [from, y],
      [to, y],
      [from, y + 1],
      [to, y + 1],
    ];
  });
}

/** The four corners of a spot whose hull is four-sided, in order; undefined for any other spot. */
function fourCorners(spot: readonly Point[]): Point[] | undefined {
  const hull = convexHull([...spot]);
  if (hull.length < 4) return undefined;
  // The largest four-sided figure of the hull: from its two farthest points the farthest on either side, then each moved while it grows.
  let [a, b] = [hull[0]!, hull[0]!];
  let farthest = -1;
  for (const p of hull) for (const q of hull) if (distance(p, q) > farthest) [a, b, farthest] = [p, q, distance(p, q)];
  const side = (p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
  let quad = [a, largest(hull, side), b, largest(hull, (p) => -side(p))];
  for (let round = 0; round < 4; round++)
    quad = quad.map((_, i) => {
      const [before, after] = [quad[(i + 3) % 4]!, quad[(i + 1) % 4]!];
      const sign = Math.sign(cross(before, after, quad[i]!)) || 1;
      quad[i] = largest(hull, (p) => sign * cross(before, after, p));
      return quad[i]!;
    });
  const whole = Math.abs(areaOf(hull));
  if (Math.abs(areaOf(quad)) < FILLS * whole) return undefined;
  const sides = quad.map((p, i) => distance(p, quad[(i + 1) % 4]!));
  if (Math.min(...sides) < LEAST_SIDE || Math.max(...sides) > 5 * Math.min(...sides)) return undefined;
  // Clockwise as it is seen: y runs down.
  return areaOf(quad) > 0 ? quad : [quad[0]!, quad[3]!, quad[2]!, quad[1]!];
}

const distance = ([x, y]: Point, [u, v]: Point) => Math.hypot(x - u, y - v);
const cross = ([ax, ay]: Point, [bx, by]: Point, [x, y]: Point) => (bx - ax) * (y - ay) - (by - ay) * (x - ax);
const areaOf = (outline: readonly Point[]) =>
  outline.reduce((sum, [x, y], i) => {
    const [u, v] = outline[(i + 1) % outline.length]!;
    return sum + (x * v - u * y) / 2;
  }, 0);
const largest = (points: readonly Point[], of: (point: Point) => number) =>
  points.reduce((best, point) => (of(point) > of(best) ? point : best));

/** Reads the fields inside four corners; undefined where they are those of no card. */
function readCard(grey: Plane, quad: Point[]): SeenCard | undefined {
  const map = homographyOf(UNIT, quad);
  if (!map) return undefined;
  const fieldAt = (row: number, column: number): number => {
    let sum = 0;
    for (const dy of [-0.2, 0, 0.2])
      for (const dx of [-0.2, 0, 0.2]) sum += valueAt(grey, mapped(map, [column + 0.5 + dx, row + 0.5 + dy]));
    return sum / 9;
  };
  const ring: number[] = [];
  const margin: number[] = [];
  for (let i = 0; i < FIELDS; i++) {
    ring.push(fieldAt(0, i), fieldAt(FIELDS - 1, i), fieldAt(i, 0), fieldAt(i, FIELDS - 1));
    margin.push(fieldAt(-1, i), fieldAt(FIELDS, i), fieldAt(i, -1), fieldAt(i, FIELDS));
  }
  const black = middleOf(ring)!;
  const white = middleOf(margin)!;
  if (!(white > CONTRAST * black + 0.01)) return undefined;
  // As the eye has it, half way between black and white.
  const between = ((Math.sqrt(black) + Math.sqrt(white)) / 2) ** 2;
  if (ring.filter((value) => value > between).length > 2) return undefined;
  const bits: boolean[] = [];
  for (let row = 1; row < FIELDS - 1; row++)
    for (let column = 1; column < FIELDS - 1; column++) bits.push(fieldAt(row, column) > between);
  const read = readCode(bits);
  if (!read) return undefined;
  // Turned clockwise once, the printed top left is seen at the top right.
  const corners = quad.map((_, i) => quad[(i + read.turns) % 4]!) as SeenCard['corners'];
  return { id: read.id, corners };
}

const UNIT: Point[] = [[0, 0], [FIELDS, 0], [FIELDS, FIELDS], [0, FIELDS]]; // prettier-ignore

function valueAt({ width, height, values }: Plane, [x, y]: Point): number {
  const [i, j] = [Math.max(0, Math.min(width - 1, Math.floor(x))), Math.max(0, Math.min(height - 1, Math.floor(y)))];
  return values[j * width + i]!;
}
