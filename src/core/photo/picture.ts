import { InputError } from '../input-error';
import type { Point } from '../shape';

/** A picture: red, green, blue and opacity of each pixel, row by row from the top, 0–255. */
export interface Picture {
  width: number;
  height: number;
  data: Uint8Array | Uint8ClampedArray;
}

/** Pixels of the largest picture that is looked at. */
export const MOST_PIXELS = 50_000_000;
/** Sides of the smallest, pixels. */
const SMALLEST = 64;

/**
 * Checks that a picture is one that can be measured in.
 *
 * @throws {InputError} for one that is too small or too large, or whose data do not match
 * @example requirePicture({ width: 64, height: 64, data: new Uint8Array(64 * 64 * 4) }).width // 64
 */
export function requirePicture(picture: Picture): Picture {
  const { width, height, data } = picture;
  if (!(width >= SMALLEST && height >= SMALLEST))
    throw new InputError('picture', `must be at least ${SMALLEST} × ${SMALLEST} pixels, saw ${width} × ${height}`);
  if (width * height > MOST_PIXELS)
    throw new InputError('picture', `must have at most ${MOST_PIXELS / 1e6} megapixels, saw ${width} × ${height}`);
  if (data.length !== width * height * 4) throw new InputError('picture', 'must hold four bytes for every pixel');
  return picture;
}

/** One figure for each pixel, row by row. */
export interface Plane {
  width: number;
  height: number;
  values: Float32Array;
}

/** Three figures for each pixel of a picture made smaller: red, green, blue, linear light, 0–1. */
export interface Small {
  width: number;
  height: number;
  /** Pixels of the picture in one of these, along a side. */
  by: number;
  rgb: Float32Array;
}

/** Light that a stored value stands for, 0–1: the picture's gamma undone. */
const LIGHT = Float32Array.from({ length: 256 }, (_, value) => {
  const v = value / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/**
 * The light that a stored value of a picture stands for: the gamma of the usual colour space undone (IEC 61966-2-1).
 *
 * @param value 0–255
 * @example lightOf(188) // about 0.5
 */
export function lightOf(value: number): number {
  return LIGHT[Math.max(0, Math.min(255, Math.round(value)))]!;
}

/**
 * A picture made smaller by averaging whole blocks of pixels in linear light.
 *
 * @param longest most pixels of the longer side
 * @example madeSmaller({ width: 4, height: 4, data: new Uint8Array(64).fill(255) }, 2).width // 2
 */
export function madeSmaller({ width, height, data }: Picture, longest: number): Small {
  const by = Math.max(1, Math.ceil(Math.max(width, height) / longest));
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const rgb = new Float32Array(w * h * 3);
  const share = 1 / (by * by);
  for (let y = 0, to = 0; y < h; y++)
    for (let x = 0; x < w; x++, to += 3) {
      let r = 0;
      let g = 0;
      let b = 0;
      for (let dy = 0; dy < by; dy++)
        for (let dx = 0, from = ((y * by + dy) * width + x * by) * 4; dx < by; dx++, from += 4) {
          r += LIGHT[data[from]!]!;
          g += LIGHT[data[from + 1]!]!;
          b += LIGHT[data[from + 2]!]!;
        }
      rgb[to] = r * share;
      rgb[to + 1] = g * share;
      rgb[to + 2] = b * share;
    }
  return { width: w, height: h, by, rgb };
}

/** Reads a picture between its pixels: what is asked for, at a place whose whole numbers are the middles of pixels less a half. */
export class Sampler {
  readonly #picture: Picture;
  readonly #level: Float32Array;

  /** @param exponent to which stored values are raised: 1 as they are stored, 2.2 about linear light */
  constructor(picture: Picture, exponent: number) {
    this.#picture = picture;
    this.#level = Float32Array.from({ length: 256 }, (_, value) => (value / 255) ** exponent);
  }

  /** One channel at a place, 0–1; the nearest pixel beyond the border. */
  channel([x, y]: Point, channel: number): number {
    const { width, height, data } = this.#picture;
    const u = Math.max(0, Math.min(width - 1.001, x - 0.5));
    const v = Math.max(0, Math.min(height - 1.001, y - 0.5));
    const [i, j] = [Math.floor(u), Math.floor(v)];
    const [s, t] = [u - i, v - j];
    const at = (j * width + i) * 4 + channel;
    const below = at + width * 4;
    const level = this.#level;
    return (
      (1 - t) * ((1 - s) * level[data[at]!]! + s * level[data[at + 4]!]!) +
      t * ((1 - s) * level[data[below]!]! + s * level[data[below + 4]!]!)
    );
  }

  /** Brightness at a place, 0–1. */
  grey(at: Point): number {
    return 0.3 * this.channel(at, 0) + 0.59 * this.channel(at, 1) + 0.11 * this.channel(at, 2);
  }

  inside([x, y]: Point): boolean {
    return x >= 0 && y >= 0 && x <= this.#picture.width && y <= this.#picture.height;
  }
}
