/** Sets of pieces to lay: jigsaws whose perfect layout is known, and garment-like ones. Made by a seed. */
import type { NestPiece } from '../../src/core/nesting';
import { seeded } from '../../src/core/random';
import { bounds, signedArea, type Outline, type Point } from '../../src/core/shape';

export interface LayoutSet {
  name: string;
  width: number;
  pieces: NestPiece[];
}

/** Rectangles cut from a full strip by guillotine cuts: laid perfectly they cover it. */
export function rectangles(seed: number, count: number, width = 500, rotations = [0, 180]): LayoutSet {
  const random = seeded(seed);
  const cells: [number, number, number, number][] = [[0, 0, width, 1.6 * width]];
  while (cells.length < count) {
    cells.sort((a, b) => a[2] * a[3] - b[2] * b[3]);
    const [x, y, w, h] = cells.splice(cells.length - 1 - Math.floor(random() * Math.min(3, cells.length)), 1)[0]!;
    const at = 0.25 + 0.5 * random();
    if (w > h * (0.5 + random())) cells.push([x, y, w * at, h], [x + w * at, y, w * (1 - at), h]);
    else cells.push([x, y, w, h * at], [x, y + h * at, w, h * (1 - at)]);
  }
  const pieces = cells.map(([, , w, h], i) =>
    piece(
      `r${i}`,
      [
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ],
      rotations,
    ),
  );
  return { name: `${count} rectangles`, width, pieces };
}

/** Convex polygons: a strip cut by straight lines, the largest cell each time. */
export function jigsaw(seed: number, count: number, width = 600, rotations = [0, 180]): LayoutSet {
  const random = seeded(seed);
  const cells: Outline[] = [
    [
      [0, 0],
      [width, 0],
      [width, 1.4 * width],
      [0, 1.4 * width],
    ],
  ];
  while (cells.length < count) {
    cells.sort((a, b) => Math.abs(signedArea(a)) - Math.abs(signedArea(b)));
    const cell = cells.pop()!;
    const { minX, minY, maxX, maxY } = bounds(cell);
    const centre: Point = [
      (minX + maxX) / 2 + 0.15 * (random() - 0.5) * (maxX - minX),
      (minY + maxY) / 2 + 0.15 * (random() - 0.5) * (maxY - minY),
    ];
    const tall = maxY - minY > maxX - minX;
    const angle = (tall ? 0 : Math.PI / 2) + 1.2 * (random() - 0.5);
    const n: Point = [-Math.sin(angle), Math.cos(angle)];
    cells.push(half(cell, centre, n), half(cell, centre, [-n[0], -n[1]]));
  }
  return { name: `${count} polygons`, width, pieces: cells.map((cell, i) => piece(`p${i}`, atOrigin(cell), rotations)) };
}

/** Hollow polygons: neighbours of a jigsaw glued together two by two where they share an edge, with a stepped joint. */
export function hollowJigsaw(seed: number, rows: number, columns: number, width = 600, rotations = [0, 180]): LayoutSet {
  const random = seeded(seed);
  const w = width / columns;
  const h = 150;
  const corner = (i: number, j: number): Point => [
    i === 0 ? 0 : i === columns ? width : i * w + 0.3 * w * (random() - 0.5),
    j === 0 ? 0 : j === rows ? rows * h : j * h + 0.3 * h * (random() - 0.5),
  ];
  const grid = Array.from({ length: columns + 1 }, (_, i) => Array.from({ length: rows + 1 }, (_, j) => corner(i, j)));
  /** A joint between two corners: straight at the rim, with a tab inside. */
  const joints = new Map<string, Point[]>();
  const joint = (a: [number, number], b: [number, number]): Point[] => {
    const p = grid[a[0]]![a[1]]!;
    const q = grid[b[0]]![b[1]]!;
    const rim = (a[0] === b[0] && (a[0] === 0 || a[0] === columns)) || (a[1] === b[1] && (a[1] === 0 || a[1] === rows));
    if (rim) return [];
    const key = `${a}-${b}`;
    const back = joints.get(`${b}-${a}`);
    if (back) return [...back].reverse();
    const depth = (random() < 0.5 ? -1 : 1) * (0.1 + 0.12 * random());
    const d: Point = [q[0] - p[0], q[1] - p[1]];
    const at = (t: number, s: number): Point => [p[0] + t * d[0] - s * d[1], p[1] + t * d[1] + s * d[0]];
    const points = [at(0.32, 0), at(0.4, depth), at(0.6, depth), at(0.68, 0)];
    joints.set(key, points);
    return points;
  };
  const pieces: NestPiece[] = [];
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const ring: [number, number][] = [
        [i, j],
        [i + 1, j],
        [i + 1, j + 1],
        [i, j + 1],
      ];
      const outline = ring.flatMap((c, k) => [grid[c[0]]![c[1]]!, ...joint(c, ring[(k + 1) % 4]!)]);
      pieces.push(piece(`h${pieces.length}`, atOrigin(outline), rotations));
    }
  }
  return { name: `${rows * columns} hollow polygons`, width, pieces };
}

/** Collars, crescent facings, cuffs, bodices, waistbands of several sizes. */
export function garments(seed: number, count: number, width = 900, rotations = [0, 180]): LayoutSet {
  const random = seeded(seed);
  const shapes: ((s: number) => [string, Outline])[] = [
    (s) => ['bodice', bodice(s)],
    (s) => ['facing', crescent(150 * s, 100 * s, 0.9 + 0.5 * random())],
    (s) => ['collar', collar(s)],
    (s) => ['cuff', cuff(s)],
    (s) => ['waistband', waistband(s)],
  ];
  const pieces: NestPiece[] = [];
  let made = 0;
  for (let k = 0; made < count; k++) {
    const [name, outline] = shapes[k % shapes.length]!(0.75 + 0.5 * random());
    const copies = Math.min(count - made, name === 'waistband' || name === 'bodice' ? 1 : 2);
    pieces.push({
      ...piece(`${name}-${k}`, atOrigin(outline), rotations),
      count: copies,
      ...(name === 'facing' ? { flip: true } : {}),
    });
    made += copies;
  }
  return { name: `${count} garment pieces`, width, pieces };
}

function bodice(s: number): Outline {
  const w = 240 * s;
  const h = 420 * s;
  return [
    [0, 0],
    [0.95 * w, 0],
    ...arc([0.98 * w, 0.62 * h], [0.72 * w, 0.93 * h], 0.22 * w, 12),
    [0.3 * w, h],
    ...arc([0.3 * w, h], [0, 0.82 * h], 0.18 * w, 10).slice(1),
  ];
}

function crescent(outer: number, inner: number, half: number): Outline {
  const steps = 16;
  const at = (r: number, a: number): Point => [r * Math.sin(a), r * Math.cos(a)];
  return [
    ...Array.from({ length: steps + 1 }, (_, i) => at(outer, half - (2 * half * i) / steps)),
    ...Array.from({ length: steps + 1 }, (_, i) => at(inner, -half + (2 * half * i) / steps)),
  ];
}

function collar(s: number): Outline {
  const w = 400 * s;
  const h = 75 * s;
  return [
    ...arc([0, 0.15 * h], [w, 0.15 * h], -0.2 * h, 14),
    [w + 18 * s, h],
    ...arc([w + 18 * s, h], [-18 * s, h], 0.12 * h, 12).slice(1, -1),
    [-18 * s, h],
  ];
}

function cuff(s: number): Outline {
  return [
    [0, 0],
    [230 * s, 0],
    [230 * s, 55 * s],
    [215 * s, 70 * s],
    [15 * s, 70 * s],
    [0, 55 * s],
  ];
}

function waistband(s: number): Outline {
  const w = 620 * s;
  return [...arc([0, 0], [w, 0], -22 * s, 16), ...arc([w - 6 * s, 60 * s], [6 * s, 60 * s], 22 * s, 16)];
}

/** Points from a to b on a shallow arc that bulges to the left by `sagitta`. */
function arc(a: Point, b: Point, sagitta: number, steps: number): Outline {
  const d: Point = [b[0] - a[0], b[1] - a[1]];
  const length = Math.hypot(d[0], d[1]);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps;
    const s = (4 * t * (1 - t) * sagitta) / length;
    return [a[0] + t * d[0] - s * d[1], a[1] + t * d[1] + s * d[0]];
  });
}

function half(cell: Outline, through: Point, n: Point): Outline {
  const side = (p: Point) => (p[0] - through[0]) * n[0] + (p[1] - through[1]) * n[1];
  const kept: Outline = [];
  cell.forEach((a, i) => {
    const b = cell[(i + 1) % cell.length]!;
    const sa = side(a);
    const sb = side(b);
    if (sa >= 0) kept.push(a);
    if (sa * sb < 0) kept.push([a[0] + (sa / (sa - sb)) * (b[0] - a[0]), a[1] + (sa / (sa - sb)) * (b[1] - a[1])]);
  });
  return kept;
}

function atOrigin(outline: Outline): Outline {
  const { minX, minY } = bounds(outline);
  return outline.map(([x, y]): Point => [x - minX, y - minY]);
}

function piece(id: string, outline: Outline, rotations: number[]): NestPiece {
  return { id, outline, count: 1, rotations };
}
