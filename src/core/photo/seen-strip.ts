import { InputError } from '../input-error';
import { bendingLengthFromDrop, droopProfile } from '../cloth';
import type { Outline, Point } from '../shape';
import { seenAt } from './camera';
import { FIELDS, MARGIN_FIELDS, MARKER } from './card-codes';
import { groundOf } from './ground';
import { photographed, type Photographed, type Progress } from './photographed';
import type { Picture, Small } from './picture';
import { spotsOf } from './spots';

/** A strip that hangs over the corner of a box, seen from the side. */
export interface SeenStrip {
  /** mm. */
  bendingLength: number;
  /** Range that the picture leaves open, mm. */
  low: number;
  high: number;
  /** Arc length past the edge, mm. */
  overhang: number;
  /** What the line stands off from the fitted one, root mean square, mm. */
  residual: number;
  /** The line that was seen, from the edge to the tip, x away from the edge, y up, mm. */
  curve: Point[];
  warnings: string[];
}

/** The card whose upper right corner is the edge. */
const EDGE_CARD = 5;
/** How far from the edge it is looked, mm: to the right, up, down. */
const LOOKED = { right: 420, up: 45, down: 420 };
/** The strip begins within this of the edge, mm. */
const BEGINS = 7;
/** Shorter than this nothing is told from it, mm. */
const SHORTEST = 15;
/** What hangs down by less than this share of its length tells little. */
const LITTLE_DROP = 0.06;
/** Points of the line that tell something of their own stand so far apart, mm. */
const APART = 6;
/** More bending lengths than this do not hang in one strip that is measured. */
const SOFTEST = 190;
/** What card, print and ruler leave open, as a share. */
const SCALE = 0.01;
/** A line that stands off by more is no hanging strip, mm, and as a share of its length. */
const MOST_OFF = { mm: 2, share: 0.03 };

/**
 * The bending length of a strip from the whole curve in which it hangs: everything that is no wall and begins at the corner, its middle line
 * from the edge to the tip, and the heavy elastica whose one unknown leaves the least squares to all of it.
 *
 * @param marker side of a card's black square as measured on the print, mm
 * @throws {InputError} where no strip is seen
 * @example Math.round(stripSeen(hangPicture, 60).bendingLength) // 24
 */
export function stripSeen(picture: Picture, marker = MARKER, progress?: Progress): SeenStrip {
  const photo = photographed(picture, marker, { upright: EDGE_CARD, trimmed: true, progress });
  progress?.('Following the strip', 0.5);
  const line = middleLine(photo, marker);
  progress?.('Fitting the curve', 0.8);
  const overhang = lengthOf(line);
  if (overhang < SHORTEST)
    throw new InputError(
      'picture',
      `must show a strip that hangs over by at least ${SHORTEST} mm; saw ${Math.round(overhang)} mm`,
    );
  const fit = fittedBending(line, overhang);
  const warnings: string[] = [];
  const tip = line[line.length - 1]!;
  if (fit.residual > Math.max(MOST_OFF.mm, MOST_OFF.share * overhang))
    warnings.push('The line does not hang as a strip of one cloth does: see that it is flat, not folded, and hangs free.');
  if (-tip[1] < LITTLE_DROP * overhang) warnings.push('It hangs down very little: let more hang over, to measure it better.');
  if (photo.cards.length < 3) warnings.push('With three cards or more on the side of the box the lens is measured too.');
  return { ...fit, overhang, curve: line, warnings };
}

/** The picture right of the edge, as it lies on the plane of the cards. */
interface Laid extends Small {
  /** mm of a pixel; the first is at this place. */
  pitch: number;
  left: number;
  top: number;
}

function laidOut(photo: Photographed): { laid: Laid; blank: Uint8Array } {
  const { camera, sampler } = photo;
  const one = seenAt(camera, [1, 0]);
  const none = seenAt(camera, [0, 0]);
  const pitch = Math.max(0.35, Math.min(1.2, 0.7 / Math.hypot(one[0] - none[0], one[1] - none[1])));
  const left = 0.5;
  const width = Math.floor(LOOKED.right / pitch);
  const height = Math.floor((LOOKED.up + LOOKED.down) / pitch);
  const rgb = new Float32Array(width * height * 3);
  const blank = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = seenAt(camera, [left + x * pitch, LOOKED.up - y * pitch]);
      const i = y * width + x;
      if (!sampler.inside(at)) {
        blank[i] = 1;
        continue;
      }
      for (let channel = 0; channel < 3; channel++) rgb[i * 3 + channel] = sampler.channel(at, channel);
    }
  return { laid: { width, height, by: 1, rgb, pitch, left, top: LOOKED.up }, blank };
}

/** Blanks the cards that lie right of the edge. */
function blankCards({ cards }: Photographed, { width, height, pitch, left, top }: Laid, blank: Uint8Array, marker: number): void {
  const reach = (Math.SQRT2 * marker * (FIELDS + 2 * MARGIN_FIELDS)) / FIELDS / 2;
  for (const { id, corners } of cards) {
    if (id === EDGE_CARD) continue;
    const centre: Point = [(corners[0][0] + corners[2][0]) / 2, (corners[0][1] + corners[2][1]) / 2];
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        if (Math.hypot(left + x * pitch - centre[0], top - y * pitch - centre[1]) < reach) blank[y * width + x] = 1;
  }
}

function middleLine(photo: Photographed, marker: number): Outline {
  const { laid, blank } = laidOut(photo);
  blankCards(photo, laid, blank, marker);
  const { width, height, pitch, left, top } = laid;
  const { differs } = groundOf(laid, blank, [], { plain: true });
  const mask = differs.map((value) => (value === 0 ? 0 : 1));
  const start = Math.round(top / pitch);
  const spots = spotsOf(mask, width, height, Math.max(8, SHORTEST / pitch));
  const strip = spots
    .map((spot) => ({ spot, begins: spot.pixels.filter((at) => nearEdge(at, width, start, pitch)) }))
    .filter(({ begins }) => begins.length > 0)
    .sort((a, b) => b.spot.pixels.length - a.spot.pixels.length)[0];
  if (!strip)
    throw new InputError(
      'picture',
      'must show a strip that hangs over the upper right corner of card 5, in another tone than the wall',
    );
  const place = (at: number): Point => [left + (at % width) * pitch, top - Math.floor(at / width) * pitch];
  const along = waysAlong(strip.spot.pixels, strip.begins, width);
  // Bins of one millimetre along the strip: the middle of each is the line's.
  const bins = new Map<number, { n: number; x: number; y: number }>();
  let farthest = 0;
  for (const [at, way] of along) {
    const bin = Math.floor(way * pitch);
    farthest = Math.max(farthest, way * pitch);
    const [x, y] = place(at);
    const had = bins.get(bin) ?? { n: 0, x: 0, y: 0 };
    bins.set(bin, { n: had.n + 1, x: had.x + x, y: had.y + y });
  }
  const thick = (strip.spot.pixels.length * pitch ** 2) / Math.max(1, farthest);
  if (thick > Math.max(12, 0.25 * farthest))
    throw new InputError('picture', 'must show the strip from its narrow side, before a plain wall that is of another tone');
  const line = [...bins.keys()]
    .sort((a, b) => a - b)
    .map((bin) => bins.get(bin)!)
    .map(({ n, x, y }): Point => [x / n, y / n]);
  const calm = smoothedLine(line);
  // From the edge itself, where it is level, to the middle of the last millimetre.
  return [[0, calm[0]![1]], ...calm.filter(([x], i) => i > 0 && x > 0.5)];
}

const nearEdge = (at: number, width: number, start: number, pitch: number) =>
  (at % width) * pitch < 1.6 && Math.abs(Math.floor(at / width) - start) * pitch < BEGINS;

/** How far every pixel of a spot lies along it from where it begins, pixels: shortest ways over straight and slanted neighbours. */
function waysAlong(pixels: readonly number[], begins: readonly number[], width: number): Map<number, number> {
  const own = new Set(pixels);
  const ways = new Map<number, number>();
  // Whole steps of a fifth: straight 5, slanted 7, a knight's 11 (Borgefors' weights).
  const buckets: number[][] = [[...begins]];
  begins.forEach((at) => ways.set(at, 0));
  const steps: [number, number][] = [];
  for (const dy of [-2, -1, 0, 1, 2])
    for (const dx of [-2, -1, 0, 1, 2]) {
      const far = dx * dx + dy * dy;
      if (far === 1 || far === 2 || far === 5) steps.push([dy * width + dx, far === 1 ? 5 : far === 2 ? 7 : 11]);
    }
  for (let way = 0; way < buckets.length; way++)
    for (const at of buckets[way] ?? []) {
      if (ways.get(at) !== way) continue;
      for (const [step, cost] of steps) {
        const next = at + step;
        if (!own.has(next) || (ways.get(next) ?? Infinity) <= way + cost) continue;
        ways.set(next, way + cost);
        (buckets[way + cost] ??= []).push(next);
      }
    }
  return new Map([...ways].map(([at, way]) => [at, way / 5]));
}

function smoothedLine(line: Outline): Outline {
  return line.map((_, i) => {
    const reach = Math.min(2, i, line.length - 1 - i);
    let [x, y] = [0, 0];
    for (let k = -reach; k <= reach; k++) {
      x += line[i + k]![0] / (2 * reach + 1);
      y += line[i + k]![1] / (2 * reach + 1);
    }
    return [x, y];
  });
}

const lengthOf = (line: Outline) =>
  line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);

/** The one unknown of the elastica, by the golden section of its logarithm; the line may lie half a cloth's thickness above or below the edge. */
function fittedBending(line: Outline, overhang: number): Pick<SeenStrip, 'bendingLength' | 'low' | 'high' | 'residual'> {
  const off = (bending: number): number => {
    const profile = droopProfile(Math.max(bending, overhang / SOFTEST), overhang).map(([x, y]): Point => [x, -y]);
    const gaps = line.map((at) => gapTo(profile, at));
    const lift = gaps.reduce((sum, { up }) => sum + up, 0) / gaps.length;
    const raised = Math.max(-1.5, Math.min(3, lift));
    return line.reduce((sum, [x, y]) => sum + gapTo(profile, [x, y - raised]).squared, 0) / line.length;
  };
  const tip = line[line.length - 1]!;
  const drop = Math.max(0.02 * overhang, Math.min(0.97 * overhang, line[0]![1] - tip[1]));
  const guess = bendingLengthFromDrop(overhang, drop);
  const from = Math.max(overhang / SOFTEST, guess / 2);
  let [low, high] = [Math.log(from), Math.log(guess * 2)];
  for (let i = 0; i < 40; i++) {
    const [a, b] = [low + (high - low) * 0.382, low + (high - low) * 0.618];
    if (off(Math.exp(a)) < off(Math.exp(b))) high = b;
    else low = a;
  }
  const bendingLength = Math.exp((low + high) / 2);
  const best = off(bendingLength);
  // How far it may go before the squares grow by what four of their spreads explain.
  const n = Math.max(2, overhang / APART);
  const limit = best + (4 * Math.max(best, 0.01)) / n;
  const reach = (sign: number) => {
    let share = 0.005;
    while (share < 0.5 && off(bendingLength * (1 + sign * share)) < limit) share *= 1.3;
    return share + SCALE;
  };
  return {
    bendingLength,
    low: bendingLength * (1 - reach(-1)),
    high: bendingLength * (1 + reach(1)),
    residual: Math.sqrt(best),
  };
}

/** Squared distance of a point from a line, and how far above it the point lies. */
function gapTo(line: Outline, [x, y]: Point): { squared: number; up: number } {
  let best = { squared: Infinity, up: 0 };
  for (let i = 0; i + 1 < line.length; i++) {
    const [ax, ay] = line[i]!;
    const [bx, by] = line[i + 1]!;
    const [dx, dy] = [bx - ax, by - ay];
    const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    const [ox, oy] = [x - ax - t * dx, y - ay - t * dy];
    const squared = ox * ox + oy * oy;
    if (squared < best.squared) best = { squared, up: oy };
  }
  return best;
}
