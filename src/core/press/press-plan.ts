import { InputError, requireNumber } from '../input-error';
import {
  bounds,
  boxOutline,
  intersection,
  polygonArea,
  regionArea,
  requireOutline,
  signedArea,
  transformed,
  unionOf,
  type Outline,
} from '../shape';
import { inscribedRectangle, type Rectangle } from './inscribed-rectangle';

export type PressOrder = 'centre-out' | 'edge-first' | 'one-way';
export const PRESS_ORDERS = ['centre-out', 'edge-first', 'one-way'] as const;

export interface PressStop {
  /** Where the plate's own origin stands, mm. */
  x: number;
  y: number;
  /** Turn of the plate, degrees counter-clockwise. */
  rotation: number;
}

export interface PressPlan {
  stops: PressStop[];
  /** stops × secondsPerStop + (stops − 1) × moveSeconds. */
  seconds: number;
  /** Share of the piece that some stop covers, 0–1. */
  coverage: number;
}

export interface PressOptions {
  /** The piece, mm. */
  outline: Outline;
  /** Sole of the iron or press: an outline about its own origin, or a rectangle centred on it. */
  plate: { outline: Outline } | { width: number; height: number };
  /** Least overlap of neighbouring stops, mm. */
  overlap: number;
  order: PressOrder;
  secondsPerStop: number;
  moveSeconds: number;
}

/** More stops than this would take an afternoon; the plate is too small for the piece. */
const MOST_STOPS = 2000;

/** Parts of a row narrower than this are rounding, mm². */
const DUST = 1e-3;

/**
 * Where to set down an iron so that all of a piece is pressed.
 *
 * The plate counts with the largest upright rectangle inside it, so that a pointed sole never leaves a gap
 * at its tip. The piece is cut into rows of that height less the overlap; each stretch of a row gets evenly
 * spread stops. Both ways of turning the rows are tried and the one with fewer stops is kept.
 *
 * @throws {InputError} for a malformed outline or plate, or an overlap that leaves no step
 * @example pressPlan({ outline: square(90), plate: { width: 110, height: 110 }, overlap: 10, order: 'centre-out', secondsPerStop: 10, moveSeconds: 3 }).seconds // 10
 */
export function pressPlan(options: PressOptions): PressPlan {
  const { outline, overlap, order, secondsPerStop, moveSeconds } = options;
  requireOutline(outline);
  const plate = plateOutline(options.plate);
  requireNumber('overlap', overlap, 'mm', { min: 0, max: 1000 });
  requireNumber('secondsPerStop', secondsPerStop, 's', { min: 0, max: 3600 });
  requireNumber('moveSeconds', moveSeconds, 's', { min: 0, max: 3600 });

  const sole = inscribedRectangle(plate);
  const stepX = sole.maxX - sole.minX - overlap;
  const stepY = sole.maxY - sole.minY - overlap;
  if (!(stepX > 0 && stepY > 0)) {
    const least = Math.min(sole.maxX - sole.minX, sole.maxY - sole.minY);
    throw new InputError('overlap', `must be less than the plate's usable ${least.toFixed(0)} mm, saw ${overlap}`);
  }
  const area = polygonArea(outline);
  const box = bounds(outline);
  const rough = ((box.maxX - box.minX) / stepX + 1) * ((box.maxY - box.minY) / stepY + 1);
  if (!(rough <= 4 * MOST_STOPS)) {
    throw new InputError(
      'plate',
      `is too small for this piece: it would take some ${Math.round(rough)} stops, at most ${MOST_STOPS} are planned`,
    );
  }

  const rows = ([0, 90] as const)
    .flatMap((rotation) => layings(outline, sole, overlap, rotation))
    .reduce((best, each) => (each.flat().length < best.flat().length ? each : best));
  const stops = ordered(rows, outline, order);
  if (stops.length > MOST_STOPS)
    throw new InputError('plate', `is too small for this piece: ${stops.length} stops, at most ${MOST_STOPS} are planned`);
  const pressed = unionOf(stops.map((stop) => transformed(plate, false, stop.rotation, stop.x, stop.y)));
  const covered = stops.length > 0 ? regionArea(intersection([outline], pressed)) : 0;
  return {
    stops,
    seconds: stops.length * secondsPerStop + Math.max(0, stops.length - 1) * moveSeconds,
    coverage: Math.min(1, covered / area),
  };
}

function plateOutline(plate: PressOptions['plate']): Outline {
  if ('outline' in plate) return requireOutline(plate.outline, 'plate.outline');
  const w = requireNumber('plate.width', plate.width, 'mm', { min: 1, max: 5000 }) / 2;
  const h = requireNumber('plate.height', plate.height, 'mm', { min: 1, max: 5000 }) / 2;
  return boxOutline({ minX: -w, minY: -h, maxX: w, maxY: h });
}

/** Corners that turn inward at which a piece is divided, the most that are tried. */
const MOST_DIVIDED = 6;

/**
 * Rows of stops for a plate turned by `rotation` (0 or 90): from the bottom of the piece to its top, or below and above an inner corner by
 * themselves, where an arm of the piece ends.
 */
function layings(outline: Outline, sole: Rectangle, overlap: number, rotation: 0 | 90): PressStop[][][] {
  // Turn the piece instead of the plate, lay level rows, and turn the stops back.
  const piece = transformed(outline, false, -rotation);
  const { minY, maxY } = bounds(piece);
  const whole = rowsOfStops(piece, sole, overlap, rotation, [minY, maxY]);
  const divided = innerCorners(piece)
    .filter((y) => y > minY + overlap && y < maxY - overlap)
    .slice(0, MOST_DIVIDED)
    .map((y) => [
      ...rowsOfStops(piece, sole, overlap, rotation, [minY, y + overlap / 2]),
      ...rowsOfStops(piece, sole, overlap, rotation, [y - overlap / 2, maxY]),
    ]);
  return [whole, ...divided];
}

/** Heights of the corners at which an outline turns inward; few-cornered pieces only, a curve has no arms. */
function innerCorners(outline: Outline): number[] {
  const n = outline.length;
  if (n > 40) return [];
  const winding = Math.sign(signedArea(outline));
  return outline.flatMap(([x, y], i) => {
    const [a, b] = [outline[(i + n - 1) % n]!, outline[(i + 1) % n]!];
    const turn = (x - a[0]) * (b[1] - y) - (y - a[1]) * (b[0] - x);
    return turn * winding < 0 ? [y] : [];
  });
}

/** Stops in rows from the bottom of a band to its top, each row from the left. */
function rowsOfStops(
  whole: Outline,
  sole: Rectangle,
  overlap: number,
  rotation: 0 | 90,
  [low, high]: [number, number],
): PressStop[][] {
  const around = bounds(whole);
  const band: Outline = boxOutline({ minX: around.minX - 1, minY: low, maxX: around.maxX + 1, maxY: high });
  const parts = low <= around.minY && high >= around.maxY ? [whole] : intersection([whole], [band]);
  const piece = parts.length === 1 ? parts[0]! : whole;
  const box = { minY: low, maxY: high };
  const width = sole.maxX - sole.minX;
  const height = sole.maxY - sole.minY;
  const count = spread(box.maxY - box.minY, height, overlap);
  const rows: PressStop[][] = [];
  for (let r = 0; r < count; r++) {
    const bottom = position(box.minY, box.maxY, height, count, r);
    const row: PressStop[] = [];
    for (const [left, right] of stretches(piece, bottom, bottom + height, width)) {
      const across = spread(right - left, width, overlap);
      for (let k = 0; k < across; k++) {
        const x = position(left, right, width, across, k) - sole.minX;
        const y = bottom - sole.minY;
        const [[backX, backY]] = transformed([[x, y]], false, rotation) as [[number, number]];
        row.push({ x: backX, y: backY, rotation });
      }
    }
    rows.push(row);
  }
  return rows;
}

/** How many tiles of `size` cover `length` when neighbours share `overlap`. */
function spread(length: number, size: number, overlap: number): number {
  return Math.max(1, Math.ceil((length - overlap) / (size - overlap) - 1e-9));
}

/** Near edge of tile k of `count` spread evenly from `from` to `to`; a single tile is centred. */
function position(from: number, to: number, size: number, count: number, k: number): number {
  if (count === 1) return (from + to - size) / 2;
  return from + (k * (to - from - size)) / (count - 1);
}

/** The stretches of the piece inside a row, left to right; those that one plate spans are joined. */
function stretches(piece: Outline, bottom: number, top: number, width: number): [number, number][] {
  const box = bounds(piece);
  const band: Outline = [
    [box.minX - 1, bottom],
    [box.maxX + 1, bottom],
    [box.maxX + 1, top],
    [box.minX - 1, top],
  ];
  const found = intersection([piece], [band])
    .filter((path) => polygonArea(path) > DUST)
    .map((path): [number, number] => {
      const b = bounds(path);
      return [b.minX, b.maxX];
    })
    .sort((a, b) => a[0] - b[0]);
  const joined: [number, number][] = [];
  for (const [left, right] of found) {
    const last = joined[joined.length - 1];
    if (last && (left <= last[1] || right - last[0] <= width)) last[1] = Math.max(last[1], right);
    else joined.push([left, right]);
  }
  return joined;
}

/** Puts the rows into working order. */
function ordered(rows: PressStop[][], outline: Outline, order: PressOrder): PressStop[] {
  if (order === 'one-way') return rows.flatMap((row, r) => (r % 2 === 0 ? row : [...row].reverse()));
  const box = bounds(outline);
  const cx = (box.minX + box.maxX) / 2;
  const cy = (box.minY + box.maxY) / 2;
  const far = (stop: PressStop) => Math.hypot(stop.x - cx, stop.y - cy);
  const angle = (stop: PressStop) => Math.atan2(stop.y - cy, stop.x - cx);
  // To the nearest millimetre, so that rounding does not decide between stops that lie equally far out.
  const ring = (stop: PressStop) => Math.round(far(stop));
  const all = rows.flat().sort((a, b) => ring(a) - ring(b) || angle(a) - angle(b) || far(a) - far(b));
  // Each stop lies no nearer to the middle than the one before: no lump is pushed together between two pressed places.
  if (order === 'centre-out') return all;
  // Edge first: the outer ring all the way round, then inward.
  const outer = new Set(
    rows.flatMap((row, r) => row.filter((_, k) => r === 0 || r === rows.length - 1 || k === 0 || k === row.length - 1)),
  );
  return [...all.filter((s) => outer.has(s)).sort((a, b) => angle(a) - angle(b)), ...all.filter((s) => !outer.has(s)).reverse()];
}
