import { InputError } from '../../input-error';
import { edgeRunsOf, sewnOutline } from '../../pieces';
import { distanceToBorder, isInside, type Outline, type Point } from '../../shape';
import { placeAlong } from '../../seams/seam-run';
import { isSymmetric, mirroredPart, type PiecePart } from './along-edges';
import { SOURCE, type EdgeKind } from './edge-kind';

/** The curve is drawn in so many stretches; at usual sizes it lies within 0.02 mm of its circle. */
const STRETCHES = 120;
/** What lies no farther outside than this is on the border, mm. */
const ON_BORDER = 0.05;

interface Measures {
  depth: number;
  free: number;
}

/** A half-moon inside a back: the neckline above, below it an arc from one end of it to the other. */
export const halfMoon: EdgeKind = {
  id: 'edge-half-moon',
  name: 'Half-moon',
  words: 'A piece inside the back: the neckline above, an arc from end to end below. It holds the neckline and hides the seam.',
  fields: [
    { field: 'depth', words: 'Depth in the middle', kind: 'length', start: 100, min: 10, max: 600 },
    { field: 'free', words: 'Allowance of its curve', kind: 'length', start: 10, min: 0, max: 50 },
  ],
  make({ name, spec, edges, count, orientation }, values) {
    const { depth, free } = values as Record<string, number> & Measures;
    const { outline, edges: owners } = sewnOutline(spec);
    const runs = edgeRunsOf(owners, edges);
    const run = runs[0]!;
    if (runs.length > 1 || run.length === outline.length)
      throw new InputError('edges', 'must be one line with two ends, such as the neckline of a back on its fold');
    const line = [...run.map((i) => outline[i]!), outline[(run.at(-1)! + 1) % outline.length]!];
    const arc = arcBelow(line, depth);
    if (arc.some((point) => !isInside(point, outline) && distanceToBorder(outline, point) > ON_BORDER))
      throw new InputError('depth', `must stay inside the piece; an arc ${depth} mm deep does not`);
    const [a, b] = [line[0]!, line.at(-1)!];
    // Each edge of the neckline stays one, with its own allowance.
    const neckline = run.reduce<{ from: Point; via: Point[]; owner: number }[]>((all, i) => {
      const last = all.at(-1);
      if (last && last.owner === owners[i]) last.via.push(outline[i]!);
      else all.push({ from: outline[i]!, via: [], owner: owners[i]! });
      return all;
    }, []);
    const whole: PiecePart = {
      shape: { kind: 'drawn', edges: [...neckline.map(({ from, via }) => ({ from, via })), { from: b, via: arc }] },
      from: [...neckline.map(({ owner }) => owner), null],
      lengths: [
        ...neckline.map(({ from, via }, i) => lengthOf([from, ...via, neckline[i + 1]?.from ?? b])),
        lengthOf([b, ...arc, a]),
      ],
    };
    // It lies with its wrong side on the wrong side of the back.
    const turned = !isSymmetric(whole);
    const part = turned ? mirroredPart(whole) : whole;
    const neck = part.from.flatMap((owner, i) => (owner === null ? [] : i));
    return {
      pieces: [
        {
          name: `${name}: half-moon`,
          shape: part.shape,
          allowances: part.from.map((owner) => (owner === null ? free : (spec.own?.[owner] ?? spec.allowances[owner]!))),
          grain: turned ? -spec.grain : spec.grain,
          marks: [],
          cuts: [
            {
              ...{ duty: 'shell', count, orientation },
              jobs: [{ name: '', place: { kind: 'whole' }, role: 'neck-facing' }],
            },
          ],
        },
      ],
      seams: [{ first: { piece: SOURCE, edges: [...edges] }, second: { piece: 0, edges: neck } }],
      facts: [
        { words: 'Along the neckline', length: lengthOf(line) },
        { words: 'Along its curve', length: lengthOf([b, ...arc, a]) },
      ],
      notes: [
        'The layer goes onto the half-moon first. Press the allowance of its curve to the wrong side over a card of its shape.',
        'Lay it wrong side down on the wrong side of the back, neck edges together, and stitch its curve close to the edge before the shoulders are sewn.',
        'From then on back and half-moon are one at the neckline.',
      ],
    };
  },
};

/** mm. */
function lengthOf(line: Outline): number {
  return line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);
}

/** Points of the circle through both ends of a line and a place so far to the left of its middle, from the last end back to the first, both left out. */
function arcBelow(line: Outline, depth: number): Outline {
  const [a, b] = [line[0]!, line.at(-1)!];
  const middle = placeAlong(line, lengthOf(line) / 2).place;
  const chord = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / chord, (b[1] - a[1]) / chord];
  const through: Point = [middle[0] - depth * uy, middle[1] + depth * ux];
  const centre = centreOf(a, through, b);
  if (!centre) throw new InputError('depth', `must bend the curve away from a straight line, saw ${depth} mm`);
  const radius = Math.hypot(a[0] - centre[0], a[1] - centre[1]);
  const angle = ([x, y]: Point) => Math.atan2(y - centre[1], x - centre[0]);
  const full = 2 * Math.PI;
  const turn = (from: number, to: number) => (((to - from) % full) + full) % full;
  // Which way round passes the place.
  const ahead = turn(angle(b), angle(through)) < turn(angle(b), angle(a));
  const sweep = ahead ? turn(angle(b), angle(a)) : turn(angle(b), angle(a)) - full;
  return Array.from({ length: STRETCHES - 1 }, (_, i): Point => {
    const at = angle(b) + (sweep * (i + 1)) / STRETCHES;
    return [centre[0] + radius * Math.cos(at), centre[1] + radius * Math.sin(at)];
  });
}

/** Centre of the circle through three places; none where they lie on a line. */
function centreOf([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): Point | undefined {
  const double = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by));
  if (Math.abs(double) < 1e-9) return undefined;
  const [a2, b2, c2] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
  return [
    (a2 * (by - cy) + b2 * (cy - ay) + c2 * (ay - by)) / double,
    (a2 * (cx - bx) + b2 * (ax - cx) + c2 * (bx - ax)) / double,
  ];
}
