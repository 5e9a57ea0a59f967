// Draws made-up photographs: a plane with cards and other things on it, through a camera of one's own. For the demo and for tests; shares no
// code with what measures in photographs.

export type At = [number, number];
/** Red, green, blue, linear light, 0–1. */
export type Light = [number, number, number];

export interface Scene {
  width: number;
  height: number;
  /** Focal length in pixels. */
  focal: number;
  /** Where the camera stands over the plane, mm, and the point of the plane that it looks at; turned about its own axis, degrees. */
  camera: { at: [number, number, number]; to: At; roll: number };
  /** The lens takes r to r (1 + k r²), r in half diagonals. */
  k: number;
  /** What the plane looks like at a point. */
  shade: (at: At) => Light;
  /** Noise of the sensor, as a share of full light. */
  noise?: number;
  seed?: number;
  /** Rays a pixel, along a side. */
  rays?: number;
}

export interface Drawn {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

const SKY: Light = [0.4, 0.4, 0.4];

type Three = [number, number, number];
const minus = (a: Three, b: Three): Three => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Three, b: Three): Three => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const unit = (a: Three): Three => {
  const length = Math.hypot(...a);
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** Draws a scene, pixel by pixel, in linear light, and stores it with the usual gamma. */
export function drawScene({ width, height, focal, camera, k, shade, noise = 0, seed = 1, rays = 2 }: Scene): Drawn {
  const share = 1 / (rays * rays);
  const forward = unit(minus([camera.to[0], camera.to[1], 0], camera.at));
  // Right is the plane's own right, as nearly as the way it looks allows.
  const level = unit(minus([1, 0, 0], [forward[0] ** 2, forward[0] * forward[1], forward[0] * forward[2]]));
  const turn = (camera.roll * Math.PI) / 180;
  const across = cross(level, forward);
  const right: Three = [0, 1, 2].map((i) => level[i]! * Math.cos(turn) + across[i]! * Math.sin(turn)) as Three;
  const up = cross(right, forward);
  const half = Math.hypot(width, height) / 2;
  const data = new Uint8ClampedArray(width * height * 4);
  let state = seed >>> 0 || 1;
  const random = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const sum: Light = [0, 0, 0];
      for (let i = 0; i < rays; i++)
        for (let j = 0; j < rays; j++) {
          const u = column + (j + 0.5) / rays - width / 2;
          const v = row + (i + 0.5) / rays - height / 2;
          // Undo the bending: the radius that the lens would have taken here, step by step.
          const seen = Math.sqrt(u * u + v * v) / half;
          let r = seen;
          for (let n = 0; n < 8 && k !== 0; n++) r = seen / (1 + k * r * r);
          const bent = k === 0 || seen === 0 ? 1 : r / seen;
          const [x, y] = [(u * bent) / focal, (v * bent) / focal];
          const t = -camera.at[2] / (forward[2] + x * right[2] - y * up[2]);
          const light =
            t > 0
              ? shade([
                  camera.at[0] + t * (forward[0] + x * right[0] - y * up[0]),
                  camera.at[1] + t * (forward[1] + x * right[1] - y * up[1]),
                ])
              : SKY;
          sum[0] += light[0] * share;
          sum[1] += light[1] * share;
          sum[2] += light[2] * share;
        }
      const at = (row * width + column) * 4;
      for (let n = 0; n < 3; n++) {
        const grain = noise === 0 ? 0 : noise * (random() + random() + random() - 1.5);
        data[at + n] = stored(sum[n]! + grain * Math.sqrt(Math.max(0.02, sum[n]!)));
      }
      data[at + 3] = 255;
    }
  return { width, height, data };
}

const stored = (light: number) => {
  const l = Math.max(0, Math.min(1, light));
  return 255 * (l <= 0.0031308 ? 12.92 * l : 1.055 * l ** (1 / 2.4) - 0.055);
};

/** Whether a point lies in an outline, by counting crossings. */
export function within(outline: readonly At[], [x, y]: At): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [ax, ay] = outline[i]!;
    const [bx, by] = outline[j]!;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  }
  return inside;
}

/** Something flat with an outline; its box is kept so that most points are decided at once. */
export function flat(outline: readonly At[]): (at: At) => boolean {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, right, bottom, top] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return (at) => at[0] >= left && at[0] <= right && at[1] >= bottom && at[1] <= top && within(outline, at);
}

const CODES = [
  ...['1001110010100000', '1001000101000101', '0101100100011001', '1100110001010000'],
  ...['1101101101001000', '1010101110101110', '1011101000110110', '1000001111100100'],
];
/** How much light printed black and white throw back. */
const BLACK = 0.05;
const WHITE = 0.89;

export interface Card {
  id: number;
  /** Middle of its black square, mm, and its turn, degrees counter-clockwise. */
  at: At;
  turn: number;
}

/** What a card is like at a point: undefined beside it. */
export function cardShade({ id, at, turn }: Card, marker = 60): (point: At) => Light | undefined {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const field = marker / 6;
  return ([x, y]) => {
    const [u, v] = [x - at[0], y - at[1]];
    const column = Math.floor((u * cos + v * sin + marker / 2) / field);
    const row = Math.floor((marker / 2 - (-u * sin + v * cos)) / field);
    if (column < -1 || row < -1 || column > 6 || row > 6) return undefined;
    const white =
      column < 0 || row < 0 || column > 5 || row > 5
        ? true
        : column > 0 && row > 0 && column < 5 && row < 5 && CODES[id - 1]![(row - 1) * 4 + column - 1] === '1';
    const light = white ? WHITE : BLACK;
    return [light, light, light];
  };
}

/** Smooth made-up roughness, 0–1, of a size of about one unit. */
export function roughness(x: number, y: number): number {
  const i = Math.floor(x);
  const j = Math.floor(y);
  const s = eased(x - i);
  const top = chance(i, j) + (chance(i + 1, j) - chance(i, j)) * s;
  const bottom = chance(i, j + 1) + (chance(i + 1, j + 1) - chance(i, j + 1)) * s;
  return top + (bottom - top) * eased(y - j);
}

const eased = (a: number) => a * a * (3 - 2 * a);

/** A number from 0 to 1 that belongs to a pair of whole numbers. */
function chance(p: number, q: number): number {
  let h = Math.imul(p, 374761393) + Math.imul(q, 668265263);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

const isOnLine = (v: number, step: number, wide: number) => Math.abs(v - step * Math.round(v / step)) < wide / 2;

/** Tables that things lie on. */
export const TABLES = {
  wood: ([x, y]: At): Light => {
    const grain = roughness(x / 60, y / 7 + 2 * roughness(x / 90, y / 40));
    const f = 0.7 + 0.5 * grain;
    return [0.34 * f, 0.19 * f, 0.09 * f];
  },
  mat: ([x, y]: At): Light => {
    if (isOnLine(x, 50, 1) || isOnLine(y, 50, 1)) return [0.62, 0.66, 0.5];
    if (isOnLine(x, 10, 0.5) || isOnLine(y, 10, 0.5)) return [0.3, 0.42, 0.3];
    return [0.05, 0.2, 0.13];
  },
  paper: ([x, y]: At): Light => {
    const f = 0.97 + 0.06 * roughness(x / 3, y / 3);
    return [0.5 * f, 0.36 * f, 0.22 * f];
  },
  dark: ([x, y]: At): Light => {
    const f = 0.75 + 0.5 * roughness(x / 1.5, y / 1.5);
    return [0.045 * f, 0.05 * f, 0.075 * f];
  },
  white: ([x, y]: At): Light => {
    const f = 0.97 + 0.05 * roughness(x / 30, y / 30);
    return [0.72 * f, 0.72 * f, 0.7 * f];
  },
} as const;

/**
 * A strip that hangs over an edge, by shooting from its tip: with u from the tip, f the angle from the vertical and c the bending length,
 * c³ f″ = u sin f, f′(0) = 0, and f = 90° at the edge. Points x away from the edge, y up, mm.
 */
export function hangingStrip(bending: number, length: number): At[] {
  const n = 6000;
  const h = length / n;
  const shoot = (tip: number): { edge: number; angles: number[] } => {
    let [angle, turn] = [tip, 0];
    const angles = [angle];
    for (let i = 0; i < n; i++) {
      const middle = angle + (h / 2) * turn;
      const turned = turn + ((h / 2) * i * h * Math.sin(angle)) / bending ** 3;
      turn += (h * (i + 0.5) * h * Math.sin(middle)) / bending ** 3;
      angle += h * turned;
      angles.push(angle);
      if (angle > 2) break;
    }
    return { edge: angle, angles };
  };
  let [low, high] = [-60, Math.log(Math.PI / 2)];
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2;
    if (shoot(Math.exp(middle)).edge > Math.PI / 2) high = middle;
    else low = middle;
  }
  const { angles } = shoot(Math.exp(low));
  let [x, y] = [0, 0];
  const points: At[] = [[0, 0]];
  for (let i = n - 1; i >= 0; i--) {
    const angle = (angles[i]! + angles[i + 1]!) / 2;
    x += h * Math.sin(angle);
    y -= h * Math.cos(angle);
    if (i % 30 === 0) points.push([x, y]);
  }
  return points;
}

/** So many segments of a line are looked at together. */
const TOGETHER = 16;

/** Whether a point lies no farther than this from a line of equal segments, mm; stretches that are far away are passed over at once. */
export function liesOn(line: readonly At[], [x, y]: At, reach: number): boolean {
  const [[ax, ay], [bx, by]] = [line[0]!, line[1]!];
  const skip = (reach + 1.1 * TOGETHER * Math.hypot(bx - ax, by - ay)) ** 2;
  for (let from = 0; from + 1 < line.length; from += TOGETHER) {
    const [fx, fy] = line[from]!;
    if ((x - fx) ** 2 + (y - fy) ** 2 > skip) continue;
    for (let i = from; i < Math.min(from + TOGETHER, line.length - 1); i++) {
      const [sx, sy] = line[i]!;
      const [ex, ey] = line[i + 1]!;
      const [dx, dy] = [ex - sx, ey - sy];
      const t = Math.max(0, Math.min(1, ((x - sx) * dx + (y - sy) * dy) / (dx * dx + dy * dy || 1)));
      if ((x - sx - t * dx) ** 2 + (y - sy - t * dy) ** 2 <= reach ** 2) return true;
    }
  }
  return false;
}
