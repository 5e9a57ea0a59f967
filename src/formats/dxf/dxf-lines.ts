import type { Outline, Point } from '../../core/shape';
import { arcSegments, distance, type Warnings } from '../drawing/drawing';
import { InputError } from '../../core/input-error';
import { figure, type DxfEntity } from './dxf-entities';

/** Points of an entity in the file's units; undefined for what is no line. */
export function pointsOf(entity: DxfEntity, warnings: Warnings): { points: Outline; closed: boolean } | undefined {
  const { type } = entity;
  const centre = { x: entity.number(10, 0), y: entity.number(20, 0) };
  switch (type) {
    case 'LINE':
      return {
        points: [
          [centre.x, centre.y],
          [entity.number(11, 0), entity.number(21, 0)],
        ],
        closed: false,
      };
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const vertices = type === 'POLYLINE' ? entity.vertices.map(vertexOf) : lightVertices(entity);
      if (vertices.length < 2) return undefined;
      const closed = (entity.number(70, 0) & CLOSED) !== 0;
      const points: Outline = [];
      vertices.forEach(({ at, bulge }, i) => {
        points.push(at);
        const next = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
        if (bulge !== 0 && next) points.push(...bulged(at, next.at, bulge).slice(1, -1));
      });
      return { points, closed };
    }
    case 'CIRCLE': {
      const radius = entity.number(40, 0);
      return radius > 0 ? { points: round(centre, radius, 0, 2 * Math.PI).slice(0, -1), closed: true } : undefined;
    }
    case 'ARC': {
      const radius = entity.number(40, 0);
      const from = turn(entity.number(50, 0));
      const to = turn(entity.number(51, 360));
      return radius > 0 ? { points: round(centre, radius, from, to > from ? to : to + 2 * Math.PI), closed: false } : undefined;
    }
    case 'ELLIPSE': {
      const [ax, ay, ratio] = [entity.number(11, 0), entity.number(21, 0), entity.number(40, 1)];
      const [from, to] = [entity.number(41, 0), entity.number(42, 2 * Math.PI)];
      const whole = 2 * Math.PI;
      const within = (((to - from) % whole) + whole) % whole;
      const span = within < 1e-9 ? whole : within;
      const points = Array.from({ length: ELLIPSE_STEPS + 1 }, (_, i): Point => {
        const t = from + (span * i) / ELLIPSE_STEPS;
        return [centre.x + Math.cos(t) * ax - Math.sin(t) * ratio * ay, centre.y + Math.cos(t) * ay + Math.sin(t) * ratio * ax];
      });
      const closed = Math.abs(span - 2 * Math.PI) < 1e-6;
      return { points: closed ? points.slice(0, -1) : points, closed };
    }
    case 'SPLINE': {
      const points = splinePoints(entity);
      return points.length >= 2 ? { points, closed: (entity.number(70, 0) & CLOSED) !== 0 } : undefined;
    }
    case 'TEXT':
    case 'MTEXT':
    case 'ATTDEF':
    case 'ATTRIB':
      return undefined;
    default:
      warnings.add(`entity-${type}`, `${type.slice(0, 30)} is no line that is read here.`);
      return undefined;
  }
}

/** Flag of a line that ends where it began. */
const CLOSED = 1;
const ELLIPSE_STEPS = 180;

function vertexOf(vertex: DxfEntity): { at: Point; bulge: number } {
  return { at: [vertex.number(10, 0), vertex.number(20, 0)], bulge: vertex.number(42, 0) };
}

/** Corners of a light polyline: each begins with its x. */
function lightVertices({ pairs }: DxfEntity): { at: Point; bulge: number }[] {
  const found: { at: Point; bulge: number }[] = [];
  for (const [code, value] of pairs) {
    const last = found.at(-1);
    if (code === 10) found.push({ at: [figure(value), 0], bulge: 0 });
    else if (code === 20 && last) last.at[1] = figure(value);
    else if (code === 42 && last) last.bulge = figure(value);
  }
  return found;
}

/** An angle of the file within one turn, radians. */
function turn(degrees: number): number {
  return ((((degrees % 360) + 360) % 360) * Math.PI) / 180;
}

/** An arc of a larger radius is no line of a piece, in the file's unit; made into points it would fill the memory. */
const LARGEST_RADIUS = 1e6;

/** @throws {InputError} */
function requireRadius(radius: number): number {
  if (!(radius <= LARGEST_RADIUS)) throw new InputError('file', `holds an arc of a radius of more than ${LARGEST_RADIUS}`);
  return radius;
}

function round(centre: { x: number; y: number }, radius: number, from: number, to: number): Outline {
  const start: Point = [centre.x + radius * Math.cos(from), centre.y + radius * Math.sin(from)];
  return [start, ...arcSegments([centre.x, centre.y], requireRadius(radius), from, to).map(({ to: point }) => point)];
}

/** Arc between two corners of a polyline: its bulge is the tangent of a quarter of the angle, positive to the left. */
function bulged(a: Point, b: Point, bulge: number): Outline {
  const chord = distance(a, b);
  if (chord === 0) return [a, b];
  const angle = 4 * Math.atan(bulge);
  const radius = chord / 2 / Math.sin(angle / 2);
  const middle: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const away = radius * Math.cos(angle / 2);
  const left: Point = [-(b[1] - a[1]) / chord, (b[0] - a[0]) / chord];
  const centre: Point = [middle[0] + away * left[0], middle[1] + away * left[1]];
  const from = Math.atan2(a[1] - centre[1], a[0] - centre[0]);
  return [a, ...arcSegments(centre, requireRadius(Math.abs(radius)), from, from + angle).map(({ to }) => to)];
}

/** Points of a B-spline by de Boor's algorithm, sixteen to a span; the fit points where it has no control points. */
function splinePoints(entity: DxfEntity): Outline {
  const listed = (x: number, y: number) => {
    const ys = entity.numbers(y);
    return entity.numbers(x).map((value, i) => ({ x: value, y: ys[i] ?? NaN }));
  };
  const controlPoints = listed(10, 20);
  const knots = entity.numbers(40);
  const degree = entity.number(71, 3);
  if (!(degree >= 1 && degree <= 10) || controlPoints.length <= degree || knots.length < controlPoints.length + degree + 1)
    return listed(11, 21).map(({ x, y }): Point => [x, y]);
  const [first, last] = [knots[degree]!, knots[controlPoints.length]!];
  const steps = Math.min(4000, 16 * (controlPoints.length - degree));
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const t = first + ((last - first) * i) / steps;
    let k = degree;
    while (k < controlPoints.length - 1 && knots[k + 1]! <= t) k++;
    const d = Array.from({ length: degree + 1 }, (_d, j) => ({ ...controlPoints[k - degree + j]! }));
    for (let r = 1; r <= degree; r++) {
      for (let j = degree; j >= r; j--) {
        const low = knots[k - degree + j]!;
        const span = knots[k + 1 + j - r]! - low;
        const w = span > 0 ? (t - low) / span : 0;
        d[j] = { x: (1 - w) * d[j - 1]!.x + w * d[j]!.x, y: (1 - w) * d[j - 1]!.y + w * d[j]!.y };
      }
    }
    return [d[degree]!.x, d[degree]!.y];
  });
}
