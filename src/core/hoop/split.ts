import { COLOUR, JUMP, MotifBuilder, STITCH, TRIM, motifFigures, type Motif, type MotifBounds } from '../motif';
import type { Point } from '../shape';
import type { Hoop } from './hoop';
import { stretchesOf } from './satin';

/** Alignment crosses that a part shares with another. */
export interface PartCrosses {
  /** Number of the other part, from 0. */
  with: number;
  at: Point[];
  /** This part is laid to what the other has sewn already: they are sewn first, and must fall onto those that are there. */
  laid: boolean;
}

/** One hooping of a motif that is too large for a single one. */
export interface MotifPart {
  motif: Motif;
  /** Middle of the hoop, in the motif's own place, mm. */
  centre: Point;
  /** The hoop is turned by a quarter against the motif. */
  turned: boolean;
  /** Box of what is sewn, with the crosses, in the motif's own place, mm. */
  bounds: MotifBounds;
  crosses: PartCrosses[];
  /** A satin that is longer than any field was cut across. */
  throughSatin: boolean;
}

type Field = Pick<Hoop, 'shape' | 'fieldWidth' | 'fieldHeight'>;

/** Neighbouring fields share at least this much: a stitch that crosses the border lies whole in one of them, a cross in both. mm. */
const OVERLAP = 20;
/** Arms of an alignment cross, mm. */
const ARM = 4;
/** More hoopings than this are no longer sensible. */
const MOST_PARTS = 12;
/** The thread is not cut for a shorter way, mm. */
const NO_TRIM = 3;
/** Inside a field by a rounding, mm. */
const ROUNDING = 1e-6;

/**
 * Splits a motif that is larger than the field into several hoopings. Fields lie in rows over it and share a strip; every stitch goes to the
 * nearest field in which both its ends lie, satins go as a whole; rows of a fill may be parted. Two crosses on every border are sewn last in the
 * one part and first in the next. A satin longer than the field is cut across, and said so.
 *
 * @returns in whichever way the hoop is turned takes fewer; one part when it fits; nothing when it would take more than twelve
 * @example splitMotif(motif, hoop).length // 1
 */
export function splitMotif(motif: Motif, { shape, fieldWidth, fieldHeight }: Field): MotifPart[] {
  const upright = splitInto(motif, { shape, fieldWidth, fieldHeight }, false);
  if (upright.length === 1 || fieldWidth === fieldHeight) return upright;
  const turned = splitInto(motif, { shape, fieldWidth: fieldHeight, fieldHeight: fieldWidth }, true);
  return turned.length > 0 && (upright.length === 0 || turned.length < upright.length) ? turned : upright;
}

/** Whether a point lies within a field round its middle. */
function within({ shape, fieldWidth, fieldHeight }: Field, dx: number, dy: number): boolean {
  const [a, b] = [fieldWidth / 2 + ROUNDING, fieldHeight / 2 + ROUNDING];
  return shape === 'oval' ? (dx / a) ** 2 + (dy / b) ** 2 <= 1 : Math.abs(dx) <= a && Math.abs(dy) <= b;
}

interface Grid {
  centres: Point[];
  across: number;
}

/** What the fields must cover: half a field each way; of an oval the rectangle of the same proportions inside it. */
function covers({ shape, fieldWidth, fieldHeight }: Field): [number, number] {
  const share = shape === 'oval' ? Math.SQRT1_2 : 1;
  return [share * fieldWidth, share * fieldHeight];
}

/** Middles of so many fields over a box, the outer ones flush with it, left to right and upward. */
function gridOver({ minX, minY, maxX, maxY }: MotifBounds, field: Field, across: number, up: number): Grid | undefined {
  const [width, height] = covers(field);
  const line = (from: number, to: number, size: number, count: number): number[] | undefined => {
    if (count === 1) return to - from > size + ROUNDING ? undefined : [(from + to) / 2];
    const step = (to - from - size) / (count - 1);
    if (step <= 0 || size - step < OVERLAP) return undefined;
    return Array.from({ length: count }, (_, k) => from + size / 2 + k * step);
  };
  const xs = line(minX, maxX, width, across);
  const ys = line(minY, maxY, height, up);
  return xs && ys && { centres: ys.flatMap((cy) => xs.map((cx): Point => [cx, cy])), across };
}

function splitInto(motif: Motif, field: Field, turned: boolean): MotifPart[] {
  const { bounds: box } = motifFigures(motif);
  if (!box) return [];
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const fits = motif.command.every(
    (command, i) => command !== STITCH || within(field, motif.x[i]! - middle[0], motif.y[i]! - middle[1]),
  );
  if (fits) return [{ motif, centre: middle, turned, bounds: box, crosses: [], throughSatin: false }];
  const sizes = Array.from({ length: MOST_PARTS }, (_, a) =>
    Array.from({ length: MOST_PARTS }, (_unused, b) => [a + 1, b + 1] as const),
  ) // prettier-ignore
    .flat()
    .filter(([across, up]) => across * up > 1 && across * up <= MOST_PARTS)
    .sort((a, b) => a[0] * a[1] - b[0] * b[1] || Math.abs(a[0] - a[1]) - Math.abs(b[0] - b[1]));
  const stretches = stretchesOf(motif);
  let rough: MotifPart[] = [];
  for (const [across, up] of sizes) {
    const grid = gridOver(box, field, across, up);
    if (!grid) continue;
    const homes = assigned(motif, field, grid, stretches);
    if (!homes) continue;
    if (!homes.throughSatin) return partsOf(motif, field, turned, grid, homes);
    // More fields may keep a satin whole; else it is cut where the fewest fields cut it.
    if (rough.length === 0) rough = partsOf(motif, field, turned, grid, homes);
  }
  return rough;
}

interface Homes {
  /** Field of every record that is a stitch; −1 for others. */
  of: Int16Array;
  throughSatin: boolean;
}

/** The field of every stitch: the nearest in which it lies whole; undefined where one lies in none. */
function assigned(
  { x, y, command }: Motif,
  field: Field,
  { centres }: Grid,
  stretches: ReturnType<typeof stretchesOf>,
): Homes | undefined {
  const of = new Int16Array(command.length).fill(-1);
  /** Where a stitch comes from: it begins there. */
  const start = (i: number) => (i > 0 && command[i - 1] === STITCH ? i - 1 : i);
  const homeOf = (from: number, to: number): number => {
    const [mx, my] = [(x[from]! + x[to]!) / 2, (y[from]! + y[to]!) / 2];
    let best = -1;
    let nearest = Infinity;
    centres.forEach(([cx, cy], k) => {
      const far = Math.max(Math.abs(mx - cx) / field.fieldWidth, Math.abs(my - cy) / field.fieldHeight);
      if (far >= nearest - 1e-12) return;
      for (let i = start(from); i <= to; i++) if (!within(field, x[i]! - cx, y[i]! - cy)) return;
      best = k;
      nearest = far;
    });
    return best;
  };
  let throughSatin = false;
  const settle = (from: number, to: number, satin: boolean): boolean => {
    const home = homeOf(from, to);
    if (home >= 0) {
      of.fill(home, from, to + 1);
      return true;
    }
    if (from === to) return false;
    throughSatin ||= satin;
    const half = (from + to) >> 1;
    return settle(from, half, satin) && settle(half + 1, to, satin);
  };
  for (const { from, to, satin } of stretches) if (!settle(from, to, satin)) return undefined;
  return { of, throughSatin };
}

function partsOf(motif: Motif, field: Field, turned: boolean, grid: Grid, { of, throughSatin }: Homes): MotifPart[] {
  const { centres } = grid;
  const used = new Set(of.filter((home) => home >= 0));
  const order = orderOf(grid, used) ?? orderOf(grid, new Set(centres.keys()))!;
  const number = new Map(order.map(({ at }, n) => [at, n]));
  const crossesOf = order.map((): PartCrosses[] => []);
  order.forEach(({ at, after }, n) => {
    if (after === undefined) return;
    const points = borderCrosses(field, centres[at]!, centres[after]!);
    const before = number.get(after)!;
    crossesOf[n]!.push({ with: before, at: points, laid: true });
    crossesOf[before]!.push({ with: n, at: points, laid: false });
  });
  return order.map(({ at }, n) => {
    const crosses = crossesOf[n]!;
    const own = withCrosses(
      stitchesOf(motif, of, at, `${motif.name} ${n + 1}`),
      crosses.flatMap(({ laid, at: points }) => (laid ? points : [])),
      crosses.flatMap(({ laid, at: points }) => (laid ? [] : points)),
    );
    const [cx, cy] = centres[at]!;
    return {
      ...{ motif: own, centre: centres[at]!, turned, crosses, throughSatin },
      bounds: motifFigures(own).bounds ?? { minX: cx, minY: cy, maxX: cx, maxY: cy },
    };
  });
}

/** Fields in the order in which they are sewn, each beside one that was sewn before it; undefined where they do not hang together. */
function orderOf({ centres, across }: Grid, used: ReadonlySet<number>): { at: number; after?: number }[] | undefined {
  const first = centres.findIndex((_, k) => used.has(k));
  if (first < 0) return undefined;
  const order: { at: number; after?: number }[] = [{ at: first }];
  const seen = new Set([first]);
  for (const { at } of order) {
    const column = at % across;
    for (const next of [column < across - 1 ? at + 1 : -1, at + across, column > 0 ? at - 1 : -1, at - across])
      if (next >= 0 && next < centres.length && used.has(next) && !seen.has(next)) {
        seen.add(next);
        order.push({ at: next, after: at });
      }
  }
  return order.length === used.size ? order : undefined;
}

/** The stitches of one field, their colours with the numbers they have in the whole motif. */
function stitchesOf({ x, y, command }: Motif, of: Int16Array, home: number, name: string): Motif {
  const builder = new MotifBuilder();
  let at: Point = [0, 0];
  let passed = 0;
  let colour = 0;
  /** What happened since the last stitch of this field: the needle travelled, another field was sewn in, the thread was cut. */
  let [away, elsewhere, cut] = [true, false, false];
  for (let i = 0; i < command.length; i++) {
    if (command[i] === COLOUR) colour++;
    if (command[i] === COLOUR || command[i] === TRIM) cut = true;
    if (command[i] !== STITCH || of[i] !== home) {
      away = true;
      elsewhere ||= command[i] === STITCH;
      continue;
    }
    // Colours that nothing of this part is sewn in are passed over, but keep their number.
    for (; passed < colour; passed++) builder.add(COLOUR, ...at);
    const here: Point = [x[i]!, y[i]!];
    // A stretch begins where the thread came from, or a row would be torn at the border.
    const from: Point = i > 0 && command[i - 1] === STITCH ? [x[i - 1]!, y[i - 1]!] : here;
    const way = Math.hypot(from[0] - at[0], from[1] - at[1]);
    if (away && (builder.length === 0 || way > ROUNDING)) {
      const far = way > NO_TRIM;
      if (builder.length > 0 && far && (cut || elsewhere)) builder.add(TRIM, ...at);
      if (builder.length === 0 || far || cut || !elsewhere) builder.add(JUMP, ...from);
      if (from !== here) builder.add(STITCH, ...from);
    }
    builder.add(STITCH, ...here);
    at = here;
    [away, elsewhere, cut] = [false, false, false];
  }
  return builder.motif(name);
}

/** Two crosses on the border between two fields, far apart, with their arms in both. */
function borderCrosses({ shape, fieldWidth, fieldHeight }: Field, [ax, ay]: Point, [bx, by]: Point): Point[] {
  const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
  const level = Math.abs(bx - ax) > Math.abs(by - ay);
  const [along, aside] = level ? [fieldWidth, fieldHeight] : [fieldHeight, fieldWidth];
  const half = (level ? Math.abs(bx - ax) : Math.abs(by - ay)) / 2;
  const free = shape === 'oval' ? (aside / 2) * Math.sqrt(Math.max(0, 1 - ((half + ARM) / (along / 2)) ** 2)) : aside / 2;
  const off = Math.max(0, 0.7 * (free - ARM));
  return level ? [[mx, my + off], [mx, my - off]] : [[mx + off, my], [mx - off, my]]; // prettier-ignore
}

/** Sews crosses first, for laying it to the part before, and last, for the parts that follow; each with a colour of its own. */
function withCrosses(motif: Motif, first: readonly Point[], last: readonly Point[]): Motif {
  const builder = new MotifBuilder();
  const sew = ([x, y]: Point) => {
    builder.add(JUMP, x - ARM, y);
    for (const [dx, dy] of [
      [-ARM, 0],
      [0, 0],
      [ARM, 0],
      [0, 0],
      [0, ARM],
      [0, -ARM],
      [0, 0],
    ] as const)
      // prettier-ignore
      builder.add(STITCH, x + dx, y + dy);
    builder.add(TRIM, x, y);
  };
  first.forEach(sew);
  if (first.length > 0) builder.add(COLOUR, ...first.at(-1)!);
  for (let i = 0; i < motif.command.length; i++) builder.add(motif.command[i]!, motif.x[i]!, motif.y[i]!);
  if (last.length > 0) {
    const end = motif.command.length - 1;
    builder.add(COLOUR, end < 0 ? 0 : motif.x[end]!, end < 0 ? 0 : motif.y[end]!);
    last.forEach(sew);
  }
  return builder.motif(motif.name);
}
