import { COLOUR, JUMP, MotifBuilder, STITCH, TRIM, motifFigures, type Motif } from '../motif';
import type { Point } from '../shape';
import type { Hoop } from './hoop';

/** One hooping of a motif that is too large for a single one. */
export interface MotifPart {
  motif: Motif;
  /** Middle of the hoop, in the motif's own place, mm. */
  centre: Point;
  /** The hoop is turned by a quarter against the motif. */
  turned: boolean;
  /** Crosses that are sewn, by which this part is laid to the one before it. */
  crosses: Point[];
}

/** Parts overlap by this much, so that stitches need not be cut at the border, mm. */
const OVERLAP = 20;
/** Arms of an alignment cross, mm. */
const ARM = 4;
/** More hoopings than this are no longer sensible. */
const MOST_PARTS = 12;

/**
 * Splits a motif that is larger than the field into several hoopings: stretches of stitches go to the part whose middle is
 * nearest, and two crosses on each border are sewn last in the one part and first in the next.
 *
 * @returns in whichever way the hoop is turned takes fewer; one part when it fits; nothing when it would take more than twelve
 * @example splitMotif(motif, hoop).length // 1
 */
export function splitMotif(motif: Motif, { fieldWidth, fieldHeight }: Pick<Hoop, 'fieldWidth' | 'fieldHeight'>): MotifPart[] {
  const upright = splitInto(motif, { fieldWidth, fieldHeight }, false);
  if (upright.length === 1 || fieldWidth === fieldHeight) return upright;
  const turned = splitInto(motif, { fieldWidth: fieldHeight, fieldHeight: fieldWidth }, true);
  return turned.length > 0 && (upright.length === 0 || turned.length < upright.length) ? turned : upright;
}

function splitInto(motif: Motif, hoop: Pick<Hoop, 'fieldWidth' | 'fieldHeight'>, turned: boolean): MotifPart[] {
  const { bounds } = motifFigures(motif);
  if (!bounds) return [];
  const parts = (size: number, field: number) => (size <= field ? 1 : Math.ceil((size - OVERLAP) / (field - OVERLAP - 2 * ARM)));
  const [width, height] = [bounds.maxX - bounds.minX, bounds.maxY - bounds.minY];
  const [across, up] = [parts(width, hoop.fieldWidth), parts(height, hoop.fieldHeight)];
  if (across * up > MOST_PARTS || !Number.isFinite(across * up)) return [];
  const middle = (from: number, size: number, count: number, k: number) => from + (size * (k + 0.5)) / count;
  const centres: Point[] = [];
  for (let r = 0; r < up; r++)
    for (let c = 0; c < across; c++) centres.push([middle(bounds.minX, width, across, c), middle(bounds.minY, height, up, r)]);
  if (centres.length === 1) return [{ motif, centre: centres[0]!, turned, crosses: [] }];

  const builders = centres.map(() => new MotifBuilder());
  const at = centres.map((): Point => [0, 0]);
  const waiting = centres.map(() => 0);
  const { x, y, command } = motif;
  let colour = 0;
  let last = -1;
  for (let i = 0; i < command.length; i++) {
    if (command[i] === COLOUR) {
      colour++;
      last = -1;
      continue;
    }
    if (command[i] !== STITCH) {
      last = -1;
      continue;
    }
    const part = nearestTo(centres, x[i]!, y[i]!);
    const builder = builders[part]!;
    while (waiting[part]! < colour) {
      // Colours that nothing of this part is sewn in are passed over, but keep their number.
      builder.add(COLOUR, at[part]![0], at[part]![1]);
      waiting[part]!++;
    }
    if (part !== last) {
      // A stretch begins where the thread came from, or a row would be torn at the border.
      const from: Point = i > 0 && command[i - 1] === STITCH ? [x[i - 1]!, y[i - 1]!] : [x[i]!, y[i]!];
      if (builder.length > 0 && (from[0] !== at[part]![0] || from[1] !== at[part]![1])) builder.add(TRIM, ...at[part]!);
      builder.add(JUMP, ...from);
      builder.add(STITCH, ...from);
    }
    builder.add(STITCH, x[i]!, y[i]!);
    at[part] = [x[i]!, y[i]!];
    last = part;
  }
  return centres.map((centre, k) => {
    const crosses: Point[] = [];
    const [c, r] = [k % across, Math.floor(k / across)];
    // Borders to the part left of it and below it, where it is laid to what was sewn before.
    if (c > 0) crosses.push(...borderCrosses(centre, centres[k - 1]!, Math.min(height / up, hoop.fieldHeight) / 3));
    else if (r > 0) crosses.push(...borderCrosses(centre, centres[k - across]!, Math.min(width / across, hoop.fieldWidth) / 3));
    const later = centres.flatMap((other, j) => {
      const [oc, or] = [j % across, Math.floor(j / across)];
      if (j <= k) return [];
      if (or === r && oc === c + 1) return borderCrosses(other, centre, Math.min(height / up, hoop.fieldHeight) / 3);
      return oc === 0 && c === 0 && or === r + 1
        ? borderCrosses(other, centre, Math.min(width / across, hoop.fieldWidth) / 3)
        : [];
    });
    return { motif: withCrosses(builders[k]!.motif(`${motif.name} ${k + 1}`), crosses, later), centre, turned, crosses };
  });
}

function nearestTo(centres: readonly Point[], x: number, y: number): number {
  let best = 0;
  centres.forEach(([cx, cy], k) => {
    const [bx, by] = centres[best]!;
    if (Math.max(Math.abs(x - cx), Math.abs(y - cy)) < Math.max(Math.abs(x - bx), Math.abs(y - by)) - 1e-9) best = k;
  });
  return best;
}

/** Two crosses on the border between two parts, so far to either side of the line between their middles. */
function borderCrosses([ax, ay]: Point, [bx, by]: Point, aside: number): Point[] {
  const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
  const length = Math.hypot(bx - ax, by - ay);
  const n: Point = [-(by - ay) / length, (bx - ax) / length];
  return [
    [mx + aside * n[0], my + aside * n[1]],
    [mx - aside * n[0], my - aside * n[1]],
  ];
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
