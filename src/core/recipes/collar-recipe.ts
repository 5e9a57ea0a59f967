import { InputError } from '../input-error';
import { arcPoints, type DrawnShape, type Outline, type Point } from '../shape';
import { ALLOWANCE } from './allowance-field';
import type { RecipeCut, RecipeKind } from './recipe';

/** A shirt collar: a stand that is curved so that it lies to the neck, and a fall sewn to its upper edge between the centre fronts. */
export const collarRecipe: RecipeKind = {
  id: 'collar',
  name: 'Shirt collar with a stand',
  words: 'A stand that rises to the front and closes with a button, and a fall with points; each cut twice.',
  fields: [
    { field: 'neck', words: 'Neckline, to centre front', kind: 'length', start: 400, min: 200, max: 900 },
    { field: 'overlap', words: 'Past the centre front', kind: 'length', start: 18, min: 5, max: 60 },
    { field: 'stand', words: 'Stand, high', kind: 'length', start: 32, min: 12, max: 90 },
    { field: 'rise', words: 'Rises at the front by', kind: 'length', start: 12, min: 1, max: 80 },
    { field: 'fall', words: 'Fall, high behind', kind: 'length', start: 45, min: 20, max: 150 },
    { field: 'drop', words: 'Points longer by', kind: 'length', start: 20, min: 0, max: 120 },
    { field: 'spread', words: 'Points outward by', kind: 'length', start: 15, min: 0, max: 100 },
    ALLOWANCE,
  ],
  make(values) {
    const { neck, overlap, stand, rise, fall, drop, spread, allowance } = values as Record<string, number> & Collar;
    if (fall < stand) throw new InputError('fall', `must cover the stand, which is ${stand} mm high; saw ${fall} mm`);
    const seam = neck + 2 * overlap;
    const half = halfAngle(seam, rise);
    const outer = seam / (2 * half);
    const inner = outer - stand;
    if (inner < stand) throw new InputError('rise', `curves the stand into itself at this height; saw ${rise} mm`);
    const past = overlap / outer;
    const top = inner * 2 * (half - past);
    const all = (edges: number): number[] => Array.from({ length: edges }, () => allowance);
    const cuts: RecipeCut[] = [
      { duty: 'shell', count: 2, orientation: 'straight', jobs: [{ name: '', place: { kind: 'whole' }, role: 'collar' }] },
    ];
    return {
      pieces: [
        {
          name: 'Collar stand',
          shape: standShape(inner, outer, half, past),
          ...{ allowances: all(6), grain: 90 },
          marks: [
            { kind: 'centre-back', at: [0, -outer] },
            { kind: 'centre-back', at: [0, -inner] },
            { kind: 'centre-front', at: onArc(outer, half - past) },
            { kind: 'centre-front', at: onArc(outer, past - half) },
          ],
          cuts,
        },
        {
          name: 'Collar fall',
          shape: fallShape(top, { fall, drop, spread }),
          ...{ allowances: all(4), grain: 90 },
          marks: [{ kind: 'centre-back', at: [top / 2, 0] }],
          cuts,
        },
      ],
      seams: [
        // The fall to the stand from centre front to centre front; the stand to its other half beside it and at its ends; the fall to its other half.
        { first: { piece: 0, edges: [3] }, second: { piece: 1, edges: [0] } },
        { first: { piece: 0, edges: [1, 2, 4, 5] }, second: { piece: 0, edges: [1, 2, 4, 5] } },
        { first: { piece: 1, edges: [1, 2, 3] }, second: { piece: 1, edges: [1, 2, 3] } },
      ],
      facts: [
        { words: 'Neck seam, with both ends', length: seam },
        { words: 'Fall to stand', length: top },
        { words: 'Front edge of the fall', length: Math.hypot(spread, fall + drop) },
      ],
      notes: [
        'The layer goes on the outer fall and on both stands, or on one of each where the cloth is crisp by itself; it ends at the seam line in the points.',
        'Sew the fall round its three outer edges with the upper one eased by the turn of the cloth, 1 to 2 mm; trim the points, turn and press.',
        'Lay the fall between both stands, centre fronts and centre back on their marks; sew from end to end, clip the curve and turn.',
        'Sew the outer stand to the neckline, then close the inner one over the allowances.',
      ],
    };
  },
};

interface Collar {
  neck: number;
  overlap: number;
  stand: number;
  rise: number;
  fall: number;
  drop: number;
  spread: number;
  allowance: number;
}

/** More than this half turn, rad, and the stand is a ring. */
const WIDEST = 1.2;
const STEPS = 60;

/** Half the angle of an arc of this length whose ends rise by so much above its middle, rad: rise = length (1 − cos x) / 2x. @throws {InputError} */
function halfAngle(length: number, rise: number): number {
  const riseAt = (x: number) => (length * (1 - Math.cos(x))) / (2 * x);
  if (riseAt(WIDEST) < rise)
    throw new InputError('rise', `must be at most ${Math.floor(riseAt(WIDEST))} mm at this neckline; saw ${rise} mm`);
  let [low, high] = [0, WIDEST];
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2;
    if (riseAt(middle) < rise) low = middle;
    else high = middle;
  }
  return high;
}

/** Point of an arc round the origin, by the angle to the right of straight down. */
const onArc = (radius: number, angle: number): Point => [radius * Math.sin(angle), -radius * Math.cos(angle)];

/** The same arc as points, both ends included. */
const along = (radius: number, from: number, to: number): Outline =>
  arcPoints([0, 0], radius, from - Math.PI / 2, to - Math.PI / 2);

/** Edges: lower, right end, upper to the right centre front, upper between the centre fronts, upper to the left end, left end. */
function standShape(inner: number, outer: number, half: number, past: number): DrawnShape {
  const arc = (radius: number, from: number, to: number) => {
    const points = along(radius, from, to);
    return { from: points[0]!, via: points.slice(1, -1) };
  };
  return {
    kind: 'drawn',
    edges: [
      arc(outer, -half, half),
      { from: onArc(outer, half) },
      arc(inner, half, half - past),
      arc(inner, half - past, past - half),
      arc(inner, past - half, -half),
      { from: onArc(inner, -half) },
    ],
  };
}

/** Edges: lower, right front edge, outer edge, left front edge. The outer edge bends so that the points are longer than the back. */
function fallShape(top: number, { fall, drop, spread }: Pick<Collar, 'fall' | 'drop' | 'spread'>): DrawnShape {
  const high = fall + drop;
  const [right, left]: [Point, Point] = [
    [top + spread, high],
    [-spread, high],
  ];
  // The middle of a cubic lies at an eighth of its ends and three eighths of its controls.
  const control = (8 * fall - 2 * high) / 6;
  const third = (top + 2 * spread) / 3;
  return {
    kind: 'drawn',
    edges: [
      { from: [0, 0] },
      { from: [top, 0] },
      { from: right, curve: [[right[0] - third, control], [left[0] + third, control]] }, // prettier-ignore
      { from: left },
    ],
  };
}
