import { bounds, type Outline, type Point } from '../shape';
import { seenAt } from './camera';
import { groundOf } from './ground';
import type { Photographed } from './photographed';
import { bestSeen } from './side-by-side';
import { spotsOf } from './spots';

/** Something that is seen on a piece. */
export interface Within {
  /** Its outer border, mm. */
  border: Outline;
  /** What it covers, mm². */
  area: number;
  /** The line through it, from end to end, mm; how far it reaches to either side of that line, arrow heads left out, mm. */
  from: Point;
  to: Point;
  halfWidth: number;
}

/** Piece and marks are read so finely, mm: about the width of a pen's line. */
const STEP = 0.5;
/** Cells of the largest piece that is read so. */
const MOST_CELLS = 400_000;
/** Cells by which its own tone is guessed, and to which it is fitted. */
const SEEDS = 2000;
const SAMPLES = 6000;
/** So near its border a piece shows paper's edge, shadow and table, mm. */
const RIM = 1.5;
/** Where more of a piece than this share stands out from it, it is printed or woven in colours: nothing can be told. */
const PATTERNED = 0.2;
/** Share of a line that counts for its width: arrow heads are the rest. */
const MOST_OF_IT = 0.8;
/** Smaller marks are specks, mm². */
const SPECK = 2;

/**
 * What stands out from a piece inside its border: lines drawn on it, holes in it, stains. The piece itself is the ground that {@link groundOf}
 * looks for, so that light which falls off does no harm.
 *
 * @param outline of the piece, mm
 * @returns largest first; nothing for a piece of many colours
 * @example seenWithin([photo], square(100)).length >= 0 // true
 */
export function seenWithin(photos: readonly Photographed[], outline: Outline): Within[] {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const step = Math.max(STEP, Math.sqrt(((maxX - minX) * (maxY - minY)) / MOST_CELLS));
  const [width, height] = [Math.ceil((maxX - minX) / step) + 1, Math.ceil((maxY - minY) / step) + 1];
  const toPlane = (column: number, row: number): Point => [minX + column * step, maxY - row * step];
  const blank = new Uint8Array(width * height).fill(1);
  const rgb = new Float32Array(width * height * 3);
  const seeds: Point[] = [];
  let cells = 0;
  const scattered = Math.max(1, Math.floor((width * height) / SEEDS));
  for (let row = 0; row < height; row++)
    for (const [left, right] of insideAlong(outline, maxY - row * step)) {
      for (let column = Math.ceil((left - minX) / step); column <= (right - minX) / step; column++) {
        const at = toPlane(column, row);
        const i = row * width + column;
        const { camera, sampler } = bestSeen(photos, at);
        const pixel = seenAt(camera, at);
        for (let channel = 0; channel < 3; channel++) rgb[i * 3 + channel] = sampler.channel(pixel, channel);
        blank[i] = 0;
        if (cells++ % scattered === 0) seeds.push([column, row]);
      }
    }
  blankRim(blank, width, height, Math.ceil(RIM / step));
  const { differs } = groundOf({ width, height, by: 1, rgb }, blank, seeds, { samples: SAMPLES });
  const mask = differs.map((value) => (value === 0 ? 0 : 1));
  const stands = mask.reduce((sum, value) => sum + value, 0);
  if (stands > PATTERNED * cells) return [];
  return spotsOf(mask, width, height, Math.max(3, SPECK / step ** 2))
    .map(({ pixels, border }) => ({
      border: border.map(([x, y]) => toPlane(x - 0.5, y - 0.5)),
      area: pixels.length * step ** 2,
      ...lineOf(pixels.map((at) => toPlane(at % width, Math.floor(at / width)))),
    }))
    .sort((a, b) => b.area - a.area);
}

/** Where a level line runs inside an outline: from, to, mm. */
function insideAlong(outline: Outline, y: number): [number, number][] {
  const crossings = outline
    .flatMap(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!;
      return ay > y === by > y ? [] : [ax + ((y - ay) / (by - ay)) * (bx - ax)];
    })
    .sort((a, b) => a - b);
  return Array.from({ length: crossings.length >> 1 }, (_, i) => [crossings[2 * i]!, crossings[2 * i + 1]!]);
}

/** Takes away what lies within so many cells of what is blank already: along rows, then along columns. */
function blankRim(blank: Uint8Array, width: number, height: number, cells: number): void {
  const along = (start: number, stride: number, count: number, read: Uint8Array) => {
    let since = 0;
    for (const back of [false, true]) {
      since = 0;
      for (let k = 0; k < count; k++) {
        const i = start + stride * (back ? count - 1 - k : k);
        if (read[i] === 1) since = 0;
        else if (++since <= cells) blank[i] = 1;
      }
    }
  };
  const rows = blank.slice();
  for (let row = 0; row < height; row++) along(row * width, 1, width, rows);
  const columns = blank.slice();
  for (let column = 0; column < width; column++) along(column, width, height, columns);
}

/** The line through points, by their greatest spread. */
function lineOf(points: readonly Point[]): Pick<Within, 'from' | 'to' | 'halfWidth'> {
  const n = points.length;
  const [cx, cy] = points.reduce(([x, y], [u, v]) => [x + u / n, y + v / n], [0, 0]);
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - cx) ** 2;
    xy += (x - cx) * (y - cy);
    yy += (y - cy) ** 2;
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  let [first, last] = [Infinity, -Infinity];
  const off = points
    .map(([x, y]) => {
      const along = (x - cx) * cos + (y - cy) * sin;
      first = Math.min(first, along);
      last = Math.max(last, along);
      return Math.abs((y - cy) * cos - (x - cx) * sin);
    })
    .sort((a, b) => a - b);
  const at = (along: number): Point => [cx + along * cos, cy + along * sin];
  return { from: at(first), to: at(last), halfWidth: off[Math.floor(MOST_OF_IT * (n - 1))]! };
}
