import type { Outline, Point } from '../shape';

/** A connected spot of a mask. */
export interface Spot {
  /** Its pixels. */
  pixels: number[];
  /** Its outer border, along the sides of its pixels. */
  border: Outline;
  /** It reaches the picture's rim. */
  cutOff: boolean;
}

/**
 * Takes away from a mask what is thinner than a brush, and keeps the rest as it is.
 *
 * @param mask 1 where something is @param radius of the brush, pixels
 * @example opened(new Uint8Array(9).fill(1), 3, 3, 0)[4] // 1
 */
export function opened(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  if (radius <= 0) return mask;
  return grown(shrunk(mask, width, height, radius), width, height, radius);
}

const shrunk = (mask: Uint8Array, width: number, height: number, radius: number) =>
  inverted(grown(inverted(mask), width, height, radius));
const inverted = (mask: Uint8Array) => mask.map((value) => (value === 1 ? 0 : 1));

/** Everything within a distance of a mask, by the exact squared distance along rows, then columns (Felzenszwalb and Huttenlocher). */
function grown(mask: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const far = width + height;
  const rows = new Int32Array(width * height);
  for (let y = 0; y < height; y++) {
    let last = -far;
    for (let x = 0; x < width; x++) {
      if (mask[y * width + x] === 1) last = x;
      rows[y * width + x] = x - last;
    }
    last = width + far;
    for (let x = width - 1; x >= 0; x--) {
      if (mask[y * width + x] === 1) last = x;
      rows[y * width + x] = Math.min(rows[y * width + x]!, last - x);
    }
  }
  const reach = Math.floor(radius);
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let dy = Math.max(-reach, -y); dy <= reach && y + dy < height; dy++) {
        const dx = rows[(y + dy) * width + x]!;
        if (dx * dx + dy * dy <= radius * radius) {
          out[y * width + x] = 1;
          break;
        }
      }
  return out;
}

/**
 * The connected spots of a mask, with their outer borders; openings in them are left out.
 *
 * @param least fewest pixels of a spot
 * @example spotsOf(new Uint8Array(9).fill(1), 3, 3, 1)[0].pixels.length // 9
 */
export function spotsOf(mask: Uint8Array, width: number, height: number, least: number): Spot[] {
  const label = new Int32Array(width * height);
  const spots: Spot[] = [];
  const stack: number[] = [];
  const take = (at: number, number: number) => {
    if (mask[at] !== 1 || label[at] !== 0) return;
    label[at] = number;
    stack.push(at);
  };
  for (let start = 0; start < mask.length; start++) {
    if (mask[start] !== 1 || label[start] !== 0) continue;
    const number = spots.length + 1;
    const pixels: number[] = [];
    let cutOff = false;
    label[start] = number;
    stack.push(start);
    while (stack.length > 0) {
      const at = stack.pop()!;
      pixels.push(at);
      const [x, y] = [at % width, Math.floor(at / width)];
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) cutOff = true;
      if (x > 0) take(at - 1, number);
      if (x < width - 1) take(at + 1, number);
      if (y > 0) take(at - width, number);
      if (y < height - 1) take(at + width, number);
    }
    spots.push({ pixels, cutOff, border: [] });
  }
  return spots
    .map((spot, i) => ({ spot, number: i + 1 }))
    .filter(({ spot }) => spot.pixels.length >= least)
    .map(({ spot, number }) => ({ ...spot, border: borderOf(label, number, width, height, spot.pixels) }));
}

/** Walks round a spot with it on the right hand, from the upper side of its first pixel. */
function borderOf(label: Int32Array, number: number, width: number, height: number, pixels: readonly number[]): Outline {
  const first = pixels.reduce((a, b) => Math.min(a, b));
  const is = (x: number, y: number) => x >= 0 && y >= 0 && x < width && y < height && label[y * width + x] === number;
  let [x, y] = [first % width, Math.floor(first / width)];
  const start: Point = [x, y];
  // Directions: right, down, left, up, along the sides of pixels; the spot lies to the right of the way.
  let towards = 0;
  const border: Outline = [];
  do {
    border.push([x, y]);
    [x, y] = [x + [1, 0, -1, 0][towards]!, y + [0, 1, 0, -1][towards]!];
    // The pixels ahead on the left and on the right.
    const ahead = { left: AHEAD_LEFT[towards]!, right: AHEAD_RIGHT[towards]! };
    if (is(x + ahead.left[0], y + ahead.left[1])) towards = (towards + 3) % 4;
    else if (!is(x + ahead.right[0], y + ahead.right[1])) towards = (towards + 1) % 4;
  } while ((x !== start[0] || y !== start[1] || towards !== 0) && border.length < 4 * width * height);
  return border;
}

const AHEAD_LEFT = [[0, -1], [0, 0], [-1, 0], [-1, -1]] as const; // prettier-ignore
const AHEAD_RIGHT = [[0, 0], [-1, 0], [-1, -1], [0, -1]] as const; // prettier-ignore
