import type { Point } from '../shape';
import { solved } from './equations';
import type { Small } from './picture';

/** How a picture differs from the ground that things lie on. */
export interface Ground {
  width: number;
  height: number;
  /** Of each pixel: 0 ground, 1 something else, 2 a shadow: darker, of the ground's own hue. */
  differs: Uint8Array;
}

/** Below this much light a hue is noise. */
const DIM = 0.012;
/** Pixels that a surface is fitted to. */
const SAMPLES = 25_000;
/** How often it is fitted anew to what lies near it. */
const ROUNDS = 6;
/** The ground's own spread counts for at least this much: brightness as a logarithm, hues likewise. */
const LEAST = [0.045, 0.03, 0.03] as const;
/** As much of it is enough on a plain wall. */
const PLAIN = 0.4;
/** Spreads from the ground at which something else begins. */
const ELSE = 4.2;
/** What is darker than this share of its ground is no shadow. */
const DARKEST_SHADOW = Math.log(0.38);

/**
 * What of a picture is not the ground. Brightness and two hues are taken as logarithms, so that light that falls off over the table only adds to
 * the first: a smooth surface fitted to what is surely ground takes it away. The first guess is what stands round the cards and at the rim.
 *
 * @param blank true where the picture is a card
 * @param seeds pixels that lie beside the cards
 * @param options.plain the ground is known to be of one tone, so that little stands out from it already
 * @param options.samples about how many pixels the surface is fitted to
 * @example groundOf(photo.small, new Uint8Array(photo.small.width * photo.small.height), []).differs.includes(1) // true
 */
export function groundOf(
  { width, height, rgb }: Small,
  blank: Uint8Array,
  seeds: readonly Point[],
  { plain = false, samples = SAMPLES }: { plain?: boolean; samples?: number } = {},
): Ground {
  const n = width * height;
  const traits = new Float32Array(n * 3);
  for (let i = 0; i < n; i++) {
    if (blank[i] !== 0) continue;
    const [r, g, b] = [rgb[i * 3]! + DIM, rgb[i * 3 + 1]! + DIM, rgb[i * 3 + 2]! + DIM];
    traits[i * 3] = Math.log(0.3 * r + 0.59 * g + 0.11 * b);
    traits[i * 3 + 1] = Math.log(r / g);
    traits[i * 3 + 2] = Math.log(b / g);
  }
  const step = Math.max(1, Math.floor(Math.sqrt(n / samples)));
  const sample: number[] = [];
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) if (blank[y * width + x] === 0) sample.push(y * width + x);
  let ground = firstGuess(traits, width, height, blank, seeds);
  let surface = surfaceThrough(traits, ground, width, height);
  let spread = spreadOf(traits, surface, ground, width, height, plain);
  for (let round = 0; round < ROUNDS; round++) {
    ground = sample.filter((i) => distanceFrom(traits, surface, spread, i, width, height) < 3);
    if (ground.length < 200) break;
    surface = surfaceThrough(traits, ground, width, height);
    spread = spreadOf(traits, surface, ground, width, height, plain);
  }
  const differs = new Uint8Array(n);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (blank[i] !== 0) continue;
      const light = traits[i * 3]! - valueOf(surface[0], x, y, width, height);
      const hue = Math.hypot(
        (traits[i * 3 + 1]! - valueOf(surface[1], x, y, width, height)) / spread[1]!,
        (traits[i * 3 + 2]! - valueOf(surface[2], x, y, width, height)) / spread[2]!,
      );
      const off = Math.abs(light) / spread[0]!;
      if (Math.hypot(off, hue) < ELSE) continue;
      differs[i] = light < 0 && light > DARKEST_SHADOW && hue < ELSE ? 2 : 1;
    }
  return { width, height, differs };
}

/** A surface of the second degree over the picture: six factors. */
type Surface = readonly number[];

function valueOf(surface: Surface, x: number, y: number, width: number, height: number): number {
  const [u, v] = [(2 * x) / width - 1, (2 * y) / height - 1];
  return surface[0]! + surface[1]! * u + surface[2]! * v + surface[3]! * u * u + surface[4]! * u * v + surface[5]! * v * v;
}

function surfaceThrough(
  traits: Float32Array,
  ground: readonly number[],
  width: number,
  height: number,
): [Surface, Surface, Surface] {
  // Normal equations, summed as they come: the three surfaces share the left side. A little weight on none keeps a surface level where
  // ground is seen in one corner only.
  const left = new Float64Array(36);
  const right = new Float64Array(18);
  for (let i = 1; i < 6; i++) left[i * 7] = 1;
  const row = new Float64Array(6);
  for (const at of ground) {
    const u = (2 * (at % width)) / width - 1;
    const v = (2 * Math.floor(at / width)) / height - 1;
    row[0] = 1;
    row[1] = u;
    row[2] = v;
    row[3] = u * u;
    row[4] = u * v;
    row[5] = v * v;
    for (let i = 0; i < 6; i++) {
      for (let j = 0; j < 6; j++) left[i * 6 + j]! += row[i]! * row[j]!;
      for (let k = 0; k < 3; k++) right[k * 6 + i]! += row[i]! * traits[at * 3 + k]!;
    }
  }
  return [0, 1, 2].map(
    (k) =>
      solved(Array.from({ length: 6 }, (_, i) => [...left.subarray(i * 6, i * 6 + 6), right[k * 6 + i]!])) ?? [0, 0, 0, 0, 0, 0],
  ) as unknown as [Surface, Surface, Surface];
}

/** The middle half of what is left over, as a spread; never less than the least. */
function spreadOf(
  traits: Float32Array,
  surface: readonly Surface[],
  ground: readonly number[],
  width: number,
  height: number,
  plain: boolean,
): number[] {
  return surface.map((each, k) => {
    const off = Float32Array.from(ground, (i) =>
      Math.abs(traits[i * 3 + k]! - valueOf(each, i % width, Math.floor(i / width), width, height)),
    ).sort();
    return Math.max(LEAST[k]! * (plain ? PLAIN : 1), 1.48 * (off[off.length >> 1] ?? 0));
  });
}

function distanceFrom(
  traits: Float32Array,
  surface: readonly Surface[],
  spread: readonly number[],
  i: number,
  width: number,
  height: number,
): number {
  const [x, y] = [i % width, Math.floor(i / width)];
  let sum = 0;
  for (let k = 0; k < 3; k++) sum += ((traits[i * 3 + k]! - valueOf(surface[k]!, x, y, width, height)) / spread[k]!) ** 2;
  return Math.sqrt(sum);
}

/** What is seen most often at the rim and beside the cards. */
function firstGuess(traits: Float32Array, width: number, height: number, blank: Uint8Array, seeds: readonly Point[]): number[] {
  const rim: number[] = [];
  const add = (x: number, y: number) => {
    const [i, j] = [Math.round(x), Math.round(y)];
    if (i >= 0 && j >= 0 && i < width && j < height && blank[j * width + i] === 0) rim.push(j * width + i);
  };
  for (let x = 0; x < width; x += 2) [1, 3, height - 4, height - 2].forEach((y) => add(x, y));
  for (let y = 0; y < height; y += 2) [1, 3, width - 4, width - 2].forEach((x) => add(x, y));
  // What stands beside a card weighs as much as the rim.
  const times = Math.max(1, Math.round(rim.length / Math.max(1, seeds.length)));
  for (let k = 0; k < times; k++) seeds.forEach(([x, y]) => add(x, y));
  // The hue and brightness with most others within reach.
  const reach = [0.35, 0.15, 0.15];
  const cell = (i: number) => [0, 1, 2].map((k) => Math.round(traits[i * 3 + k]! / reach[k]!)).join();
  const counts = new Map<string, number[]>();
  for (const i of rim) {
    const key = cell(i);
    const all = counts.get(key);
    if (all) all.push(i);
    else counts.set(key, [i]);
  }
  let best: number[] = [];
  for (const all of counts.values()) if (all.length > best.length) best = all;
  const centre = [0, 1, 2].map((k) => {
    const values = best.map((i) => traits[i * 3 + k]!).sort((a, b) => a - b);
    return values[values.length >> 1] ?? 0;
  });
  return rim.filter((i) => [0, 1, 2].every((k) => Math.abs(traits[i * 3 + k]! - centre[k]!) < 1.2 * reach[k]!));
}
