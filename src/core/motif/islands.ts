import { bounds as boundsOf, difference, grownBy, polygonArea, regionArea, unionOf, type Outline, type Point } from '../shape';
import type { MotifBounds } from './figures';
import { STITCH, type Motif } from './motif';

/** Stitching that hangs together. */
export interface Island {
  /** Sewn first, counted from 1. */
  number: number;
  stitches: number;
  /** Upper thread of its stitches, mm. */
  threadLength: number;
  bounds: MotifBounds;
  /** Ground that is stitched, with about a millimetre around it that is drawn in as well, mm². */
  area: number;
  /** Outline of what is stitched, holes among them wound the other way, mm. */
  outlines: Outline[];
}

/** Stitching nearer than this hangs together, mm; as squares fall, up to twice as far may too. */
export const ISLAND_GAP = 1.5;
/** Size of the squares in which stitching is looked at, mm, and how many at most a side. */
const SQUARE = 0.5;
const MOST_SQUARES = 900;

/**
 * Islands of stitching: stitches are drawn on squared paper, squares nearer than 1.5 mm joined, and what hangs together
 * numbered in the order in which it is sewn.
 *
 * @param outlined also make outlines, which takes longer
 * @example islandsOf(motif, box).length // 1
 */
export function islandsOf(motif: Motif, bounds: MotifBounds, outlined = true): Island[] {
  const { x, y, command } = motif;
  const square = Math.max(SQUARE, (bounds.maxX - bounds.minX) / MOST_SQUARES, (bounds.maxY - bounds.minY) / MOST_SQUARES);
  const reach = Math.max(1, Math.round(ISLAND_GAP / 2 / square));
  const pad = reach + 1;
  const across = Math.ceil((bounds.maxX - bounds.minX) / square) + 1 + 2 * pad;
  const up = Math.ceil((bounds.maxY - bounds.minY) / square) + 1 + 2 * pad;
  const column = (value: number) => Math.floor((value - bounds.minX) / square) + pad;
  const row = (value: number) => Math.floor((value - bounds.minY) / square) + pad;
  const sewn = new Uint8Array(across * up);
  for (let i = 0; i < command.length; i++) {
    if (command[i] !== STITCH) continue;
    const [toX, toY] = [x[i]!, y[i]!];
    // The thread of the first stitch of a stretch comes from where the needle went in before, which may lie outside.
    const sews = i > 0 && command[i - 1] === STITCH;
    const [fromX, fromY] = sews ? [x[i - 1]!, y[i - 1]!] : [toX, toY];
    const steps = Math.ceil((1.5 * Math.hypot(toX - fromX, toY - fromY)) / square);
    for (let k = steps === 0 ? 0 : 1; k <= steps; k++) {
      const t = steps === 0 ? 1 : k / steps;
      sewn[row(fromY + t * (toY - fromY)) * across + column(fromX + t * (toX - fromX))] = 1;
    }
  }
  const near = widened(sewn, across, up, reach);
  const labels = labelled(near, across, up);

  const found = new Map<number, Island>();
  for (let i = 0; i < command.length; i++) {
    if (command[i] !== STITCH) continue;
    const [px, py] = [x[i]!, y[i]!];
    const sews = i > 0 && command[i - 1] === STITCH;
    const thread = sews ? Math.hypot(px - x[i - 1]!, py - y[i - 1]!) : 0;
    const label = labels[row(py) * across + column(px)]!;
    const island = found.get(label);
    if (!island) {
      found.set(label, {
        number: found.size + 1,
        stitches: 1,
        threadLength: thread,
        bounds: { minX: px, minY: py, maxX: px, maxY: py },
        area: 0,
        outlines: [],
      });
      continue;
    }
    island.stitches++;
    island.threadLength += thread;
    const box = island.bounds;
    if (px < box.minX) box.minX = px;
    if (px > box.maxX) box.maxX = px;
    if (py < box.minY) box.minY = py;
    if (py > box.maxY) box.maxY = py;
  }
  const squares = counted(labels);
  for (const [label, island] of found) island.area = squares[label]! * square * square;
  if (outlined) {
    const corner = (c: number, r: number): Point => [bounds.minX + (c - pad) * square, bounds.minY + (r - pad) * square];
    const runs = new Map<number, Outline[]>();
    for (let r = 0; r < up; r++)
      for (let c = 0; c < across; c++) {
        if (near[r * across + c] === 0) continue;
        const label = labels[r * across + c]!;
        const from = c;
        while (c < across && near[r * across + c] === 1) c++;
        const list = runs.get(label) ?? [];
        list.push([corner(from, r), corner(c, r), corner(c, r + 1), corner(from, r + 1)]);
        runs.set(label, list);
      }
    for (const [label, island] of found) {
      // Taken in by what it was widened by, which also rounds the steps off.
      const steps = unionOf(runs.get(label) ?? []).map((outline) => unstepped(outline, square));
      const region = grownBy(steps, -(reach - 0.5) * square);
      island.outlines = region.length > 0 ? region : [boxOutline(island.bounds, square)];
    }
  }
  return [...found.values()];
}

/**
 * A box that reaches so much further on every side, mm.
 *
 * @example widerBox(box, 5) // { minX: -5, minY: -5, maxX: 25, maxY: 25 }
 */
export function widerBox({ minX, minY, maxX, maxY }: MotifBounds, by: number): MotifBounds {
  return { minX: minX - by, minY: minY - by, maxX: maxX + by, maxY: maxY + by };
}

/**
 * Smallest distance between the boxes of two islands, mm; 0 when they overlap.
 *
 * @example boxGap(box, { minX: 25, minY: 0, maxX: 30, maxY: 20 }) // 5
 */
export function boxGap(a: MotifBounds, b: MotifBounds): number {
  const dx = Math.max(0, a.minX - b.maxX, b.minX - a.maxX);
  const dy = Math.max(0, a.minY - b.maxY, b.minY - a.maxY);
  return Math.hypot(dx, dy);
}

/**
 * Where a cut-away sheet is trimmed: each island's outline grown by the distance that is left, those that touch joined.
 * Outlines apart from one another, none within another.
 *
 * @param distance mm, 3–6 as a rule
 * @example trimOutlines(islandsOf(motif, box), 4).length // 1
 */
export function trimOutlines(islands: readonly Island[], distance: number): Outline[] {
  const grown = islands.flatMap(({ outlines }) => grownBy(outlines, distance));
  const outer = unionOf(grown).filter((outline) => polygonArea(outline) > 1 && isOuter(outline));
  // The sheet inside a ring stays, and with it what is sewn there.
  return outer.filter((outline) => !outer.some((other) => other !== outline && liesWithin(outline, other)));
}

/** Whether an outline lies wholly within another, their boxes asked first. */
function liesWithin(inner: Outline, outer: Outline): boolean {
  const [a, b] = [boundsOf(inner), boundsOf(outer)];
  if (a.minX < b.minX || a.maxX > b.maxX || a.minY < b.minY || a.maxY > b.maxY) return false;
  return regionArea(difference(inner, [outer])) < 1e-3 * polygonArea(inner);
}

function isOuter(outline: Outline): boolean {
  let twice = 0;
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    twice += ax * by - bx * ay;
  });
  return twice > 0;
}

function boxOutline(box: MotifBounds, least: number): Outline {
  const [w, h] = [Math.max(least, box.maxX - box.minX), Math.max(least, box.maxY - box.minY)];
  return [
    [box.minX, box.minY],
    [box.minX + w, box.minY],
    [box.minX + w, box.minY + h],
    [box.minX, box.minY + h],
  ];
}

/** An outline of squares with its stairs straightened: short edges are replaced by their middles, long ones stay. */
function unstepped(outline: Outline, square: number): Outline {
  const next = outline.flatMap((a, i): Point[] => {
    const b = outline[(i + 1) % outline.length]!;
    const short = Math.hypot(b[0] - a[0], b[1] - a[1]) < 2.5 * square;
    return short ? [[(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]] : [a, b];
  });
  return next.length >= 3 ? next : outline;
}

/** Squares within `reach` of a marked one, as the crow flies. */
function widened(marked: Uint8Array, across: number, up: number, reach: number): Uint8Array {
  const offsets: number[] = [];
  for (let dy = -reach; dy <= reach; dy++)
    for (let dx = -reach; dx <= reach; dx++) if (dx * dx + dy * dy <= reach * reach) offsets.push(dy * across + dx);
  const wide = new Uint8Array(across * up);
  for (let at = 0; at < marked.length; at++) {
    if (marked[at] === 0) continue;
    for (const offset of offsets) wide[at + offset] = 1;
  }
  return wide;
}

/** Squares that hang together, corners included, by number from 1. */
function labelled(marked: Uint8Array, across: number, up: number): Int32Array {
  const labels = new Int32Array(across * up);
  const stack: number[] = [];
  let label = 0;
  const around = [-across - 1, -across, -across + 1, -1, 1, across - 1, across, across + 1];
  for (let start = 0; start < marked.length; start++) {
    if (marked[start] === 0 || labels[start] !== 0) continue;
    labels[start] = ++label;
    stack.push(start);
    while (stack.length > 0) {
      const at = stack.pop()!;
      for (let k = 0; k < around.length; k++) {
        const next = at + around[k]!;
        if (marked[next] !== 1 || labels[next] !== 0) continue;
        labels[next] = label;
        stack.push(next);
      }
    }
  }
  return labels;
}

/** How often each label stands on the paper. */
function counted(labels: Int32Array): Int32Array {
  let most = 0;
  for (let i = 0; i < labels.length; i++) if (labels[i]! > most) most = labels[i]!;
  const squares = new Int32Array(most + 1);
  for (let i = 0; i < labels.length; i++) squares[labels[i]!]!++;
  return squares;
}

/**
 * Box round all outlines.
 *
 * @example outlinesBox([square(10)]) // { minX: 0, minY: 0, maxX: 10, maxY: 10 }
 */
export function outlinesBox(outlines: readonly Outline[]): MotifBounds {
  const boxes = outlines.map(boundsOf);
  return {
    minX: Math.min(...boxes.map((box) => box.minX)),
    minY: Math.min(...boxes.map((box) => box.minY)),
    maxX: Math.max(...boxes.map((box) => box.maxX)),
    maxY: Math.max(...boxes.map((box) => box.maxY)),
  };
}
