import { InputError } from '../input-error';
import { COLOUR, JUMP, LARGEST_MOTIF, STITCH, TRIM, type Motif } from './motif';

export interface MotifBounds {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

/** What is counted and measured of a block of one colour. */
export interface ColourBlock {
  stitches: number;
  /** Upper thread that is sewn in, mm. */
  threadLength: number;
  /** Records from … up to …, the second not included. */
  from: number;
  to: number;
}

export interface MotifFigures {
  /** Sewing records. */
  stitches: number;
  /** Travels: jumps that follow one another count as one. */
  jumps: number;
  /** Times the thread is cut: trims, and travels of three jumps or more. */
  trims: number;
  colourChanges: number;
  blocks: ColourBlock[];
  /** mm. */
  threadLength: number;
  /** Of all places where the needle goes in; undefined without a stitch. */
  bounds: MotifBounds | undefined;
  /** Sewn stitches shorter than 0.5 mm, and longer than 8 mm. */
  veryShort: number;
  veryLong: number;
  longest: number;
  /** Length that is sewn in each direction, twelve of them by 15° from along x, mm. */
  directions: number[];
  /** Most needle holes within a tenth of a millimetre, and where, mm. */
  holes: { count: number; x: number; y: number };
}

/** Jumps in a row that mean a cut thread. */
const TRIM_RUN = 3;
const SHORT = 0.5;
const LONG = 8;
export const DIRECTIONS = 12;
/** Holes closer than this are one, mm. */
const HOLE = 0.1;

/**
 * Counts and measures of a motif.
 *
 * @throws {InputError} when it is wider or taller than any hoop
 * @example motifFigures(motif).colourChanges // 0
 */
export function motifFigures(motif: Motif): MotifFigures {
  const { x, y, command } = motif;
  const figures: MotifFigures = {
    stitches: 0,
    jumps: 0,
    trims: 0,
    colourChanges: 0,
    blocks: [],
    threadLength: 0,
    bounds: undefined,
    veryShort: 0,
    veryLong: 0,
    longest: 0,
    directions: Array.from({ length: DIRECTIONS }, () => 0),
    holes: { count: 0, x: 0, y: 0 },
  };
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  let [atX, atY] = [0, 0];
  let run = 0;
  let block: ColourBlock = { stitches: 0, threadLength: 0, from: 0, to: 0 };
  const endRun = () => {
    if (run > 0) figures.jumps++;
    if (run >= TRIM_RUN) figures.trims++;
    run = 0;
  };
  for (let i = 0; i < command.length; i++) {
    const [toX, toY] = [x[i]!, y[i]!];
    if (command[i] === JUMP) run++;
    else {
      endRun();
      if (command[i] === STITCH) {
        const [dx, dy] = [toX - atX, toY - atY];
        const length = Math.sqrt(dx * dx + dy * dy);
        figures.stitches++;
        block.stitches++;
        block.threadLength += length;
        if (length < SHORT) figures.veryShort++;
        if (length > LONG) figures.veryLong++;
        if (length > figures.longest) figures.longest = length;
        if (length > 0) figures.directions[directionOf(dx, dy)]! += length;
        if (toX < minX) minX = toX;
        if (toX > maxX) maxX = toX;
        if (toY < minY) minY = toY;
        if (toY > maxY) maxY = toY;
      } else if (command[i] === TRIM) figures.trims++;
      else if (command[i] === COLOUR) {
        figures.colourChanges++;
        figures.blocks.push({ ...block, to: i });
        block = { stitches: 0, threadLength: 0, from: i + 1, to: 0 };
      }
    }
    atX = toX;
    atY = toY;
  }
  endRun();
  figures.blocks.push({ ...block, to: command.length });
  figures.threadLength = figures.blocks.reduce((sum, { threadLength }) => sum + threadLength, 0);
  if (figures.stitches === 0) return figures;
  for (const [size, words] of [
    [maxX - minX, 'wide'],
    [maxY - minY, 'tall'],
  ] as const)
    if (size > LARGEST_MOTIF)
      throw new InputError('file', `is ${Math.round(size)} mm ${words}; no hoop takes more than ${LARGEST_MOTIF} mm`);
  figures.bounds = { minX, minY, maxX, maxY };
  figures.holes = mostHoles(motif);
  return figures;
}

/** Which of the twelve directions: 0 along x, each 15° wide about its middle. */
function directionOf(dx: number, dy: number): number {
  const turn = Math.atan2(dy, dx) / Math.PI;
  return Math.round((turn < 0 ? turn + 1 : turn) * DIRECTIONS) % DIRECTIONS;
}

/** Place with the most needle holes: counted in an open table of places, twice as large as there are stitches. */
function mostHoles({ x, y, command }: Motif): MotifFigures['holes'] {
  let size = 1024;
  while (size < 2 * command.length) size *= 2;
  const keys = new Float64Array(size).fill(NaN);
  const counts = new Uint32Array(size);
  let [best, bestAt] = [0, -1];
  for (let i = 0; i < command.length; i++) {
    if (command[i] !== STITCH) continue;
    const [cx, cy] = [Math.round(x[i]! / HOLE), Math.round(y[i]! / HOLE)];
    const key = cx * 1_000_003 + cy;
    let slot = ((Math.imul(cx, 0x9e3779b1) ^ Math.imul(cy, 0x85ebca6b)) >>> 8) & (size - 1);
    while (keys[slot] !== key && counts[slot] !== 0) slot = (slot + 1) & (size - 1);
    keys[slot] = key;
    const count = ++counts[slot]!;
    if (count > best) {
      best = count;
      bestAt = i;
    }
  }
  return { count: best, x: bestAt < 0 ? 0 : x[bestAt]!, y: bestAt < 0 ? 0 : y[bestAt]! };
}

/** A stop at which the hands change the thread, s. */
export const COLOUR_SECONDS = 60;
/** What a machine needs for a cut, s. */
const TRIM_SECONDS = 7;
/** Long stitches are sewn slower: a stitch takes as much longer as it is longer than this, mm. */
const FULL_SPEED = 4;

/**
 * Time that a motif takes, s: sewing, cuts, changes of colour by hand. A rough figure; machines differ.
 *
 * @param speed stitches a minute, 100–1500
 * @example runningSeconds(motif, motifFigures(motif), 600) > 0 // true
 */
export function runningSeconds(motif: Motif, figures: Pick<MotifFigures, 'trims' | 'colourChanges'>, speed: number): number {
  const { x, y, command } = motif;
  let beats = 0;
  for (let i = 0; i < command.length; i++) {
    if (command[i] === COLOUR || command[i] === TRIM) continue;
    const [fromX, fromY] = i === 0 ? [0, 0] : [x[i - 1]!, y[i - 1]!];
    beats += Math.max(1, Math.hypot(x[i]! - fromX, y[i]! - fromY) / FULL_SPEED);
  }
  return (60 * beats) / speed + figures.trims * TRIM_SECONDS + figures.colourChanges * COLOUR_SECONDS;
}
