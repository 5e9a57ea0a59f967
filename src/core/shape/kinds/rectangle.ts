import { InputError, requireNumber } from '../../input-error';
import { arcSteps } from '../arc';
import type { Outline, Point } from '../polygon';
import { LONGEST, type EdgedOutline, type ShapeKind } from './kind';

/** A rectangle, its corners square, rounded or cut off. Measures in mm. */
export interface RectangleShape {
  kind: 'rectangle' | 'rounded' | 'angled';
  width: number;
  height: number;
  /** Which corners are shaped: bottom left, bottom right, top right, top left. */
  corners: [boolean, boolean, boolean, boolean];
  /** Radius of a rounded corner, or how much an angled one takes off each edge, mm. */
  corner: number;
}

const start = { width: 300, height: 120, corners: [false, false, true, true], corner: 30 } as const;
const size = [
  { field: 'width', words: 'Width', min: 1 },
  { field: 'height', words: 'Height', min: 1 },
] as const;
const kindOf = (kind: RectangleShape['kind'], words: string, corner?: string): ShapeKind<RectangleShape> => ({
  kind,
  words,
  measures: corner ? [...size, { field: 'corner', words: corner, min: 0 }] : size,
  edgeNames: () => ['bottom', 'right', 'top', 'left'],
  start: { kind, ...start, corners: [...start.corners] },
  draw,
});

export const rectangle = kindOf('rectangle', 'Rectangle');
export const rounded = kindOf('rounded', 'Rounded corners', 'Radius');
export const angled = kindOf('angled', 'Angled corners', 'Cut off');

/** Edges run bottom, right, top, left; what lies in a corner counts with the edge before it. */
function draw(shape: RectangleShape): EdgedOutline {
  requireNumber('width', shape.width, 'mm', { min: 1, max: LONGEST });
  requireNumber('height', shape.height, 'mm', { min: 1, max: LONGEST });
  const shaped = shape.kind === 'rectangle' ? [false, false, false, false] : shape.corners;
  const size = shape.kind === 'rectangle' ? 0 : requireNumber('corner', shape.corner, 'mm', { min: 0, max: LONGEST });
  const room = Math.min(
    shape.width / (shaped[0] && shaped[1] ? 2 : shaped[2] && shaped[3] ? 2 : 1),
    shape.height / ((shaped[0] && shaped[3]) || (shaped[1] && shaped[2]) ? 2 : 1),
  );
  if (!(size <= room))
    throw new InputError(
      'corner',
      `must be at most ${Math.floor(room * 100) / 100} mm so that the corners fit, saw ${Math.round(size * 100) / 100} mm`,
    );

  const { width: w, height: h } = shape;
  const corners: Point[] = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ];
  const outline: Outline = [];
  const sides: number[] = [];
  for (let k = 0; k < 4; k++) {
    // Corner k ends side k − 1 and begins side k.
    const before = (k + 3) % 4;
    const side = k;
    if (!shaped[k] || size === 0) {
      outline.push(corners[k]!);
      sides.push(side);
      continue;
    }
    for (const point of cornerPoints(corners[k]!, before, side, size, shape.kind === 'rounded')) {
      outline.push(point);
      sides.push(before);
    }
    sides[sides.length - 1] = side;
  }
  return { outline, edges: sides, holes: [] };
}

const ALONG: Point[] = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
];

/** Points of a shaped corner, from where it leaves the side before to where it joins the side after. */
function cornerPoints(corner: Point, before: number, after: number, size: number, round: boolean): Point[] {
  const d0 = ALONG[before]!;
  const d1 = ALONG[after]!;
  const start: Point = [corner[0] - size * d0[0], corner[1] - size * d0[1]];
  const end: Point = [corner[0] + size * d1[0], corner[1] + size * d1[1]];
  if (!round) return [start, end];
  const steps = arcSteps(size, Math.PI / 2);
  const centre: Point = [start[0] + size * d1[0], start[1] + size * d1[1]];
  const points: Point[] = [start];
  for (let i = 1; i < steps; i++) {
    const a = (i / steps) * (Math.PI / 2);
    points.push([
      centre[0] - size * Math.cos(a) * d1[0] + size * Math.sin(a) * d0[0],
      centre[1] - size * Math.cos(a) * d1[1] + size * Math.sin(a) * d0[1],
    ]);
  }
  points.push(end);
  return points;
}
