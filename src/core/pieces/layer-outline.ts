import { isBase, type Extent, type Material } from '../layers';
import {
  bounds,
  difference,
  distanceToBorder,
  innermost,
  inset,
  isInside,
  intersection,
  outset,
  polygonArea,
  regionArea,
  signedArea,
  type Outline,
  type Point,
} from '../shape';
import { pieceSize, type OpenPiece } from './piece';
import { DEFAULT_LAYER_OUTLINE, isTape, pastSeam, type BaseJoins, type LayerOutlineOptions } from './layer-cut';
import { edgesByRule, sewnLength } from './strip-edges';

export interface LayerOutline {
  /** Counter-clockwise, mm. */
  outlines: Outline[];
  /** Openings inside them, clockwise. */
  holes: Outline[];
  /** mm². */
  area: number;
  /** What the extent leaves off the piece, mm². */
  removedArea: number;
  /** For a tape or strip: running length, mm. */
  runningLength?: number;
}

/** Remains of less than this are rounding, mm². */
const DUST = 1;

/**
 * The exact outline of a layer on a piece: full size, trimmed inside the edge, net to the seam line, a strip
 * along edges, a patch around a point, or a sheet for the hoop.
 *
 * @example layerOutline(piece, 'full', lightWoven).outlines.length // 1
 */
export function layerOutline(
  piece: OpenPiece,
  extent: Extent,
  material: Pick<Material, 'rollWidth'> & Partial<Pick<Material, 'family'>>,
  options: LayerOutlineOptions = DEFAULT_LAYER_OUTLINE,
): LayerOutline {
  const { outline, allowances, holes } = piece;
  const whole = polygonArea(outline) - holes.reduce((sum, hole) => sum + polygonArea(hole.outline), 0);
  const region = (outlines: Outline[], kept: (allowance: number) => number): LayerOutline => {
    const cutters = holes.map((hole) => {
      const by = kept(hole.allowance);
      return by > 0 ? outset(hole.outline, by).outline : hole.outline;
    });
    if (options.clipped) cutters.push(...clippedCorners(piece));
    return measured(cutters.length > 0 ? outlines.flatMap((path) => difference(path, cutters)) : outlines, whole);
  };
  const moved = (kept: (allowance: number) => number) => {
    const by = allowances.map(kept);
    return region(by.every((mm) => mm === 0) ? [outline] : inset(outline, by).outlines, kept);
  };
  /** Into the seams that join it, and to the seam line of every other edge: a stiff base in an allowance cannot be turned. */
  const base = (joins: BaseJoins): LayerOutline => {
    const ends = joins === 'ends' ? shortEdges(piece) : [];
    const by = allowances.map((allowance, i) => (joins === 'outside' || ends.includes(piece.edges[i]!) ? 0 : allowance));
    const outer = by.every((mm) => mm === 0) ? [outline] : inset(outline, by).outlines;
    return region(outer, (allowance) => (joins === 'opening' ? 0 : allowance));
  };
  switch (extent) {
    case 'full':
      return options.joins && material.family && isBase(material.family) ? base(options.joins) : moved(() => 0);
    case 'trimmed':
      return moved((allowance) => Math.min(options.trim, allowance));
    case 'net':
      return moved((allowance) => allowance);
    case 'strip':
      return strip(piece, material, options, whole);
    case 'patch': {
      const box = bounds(outline);
      const size = Math.min(options.size, box.maxX - box.minX, box.maxY - box.minY);
      const own = holes.map((hole) => hole.outline);
      const on = (at: Point) => intersection([rectangleAt(at, size, size)], [outline]).flatMap((path) => difference(path, own));
      return measured(on(options.at ?? (options.line ? pointOf(options.line, outline) : patchMiddle(piece, size, on))), whole);
    }
    case 'field': {
      const field = options.field ?? pieceSize(piece);
      const margin = 2 * options.fieldMargin;
      const { width, height } = options.sheet ?? { width: field.width + margin, height: field.height + margin };
      return measured([rectangleAt(options.at ?? middle(outline), width, height)], whole);
    }
  }
}

/** Edges that are shorter than half of the longest one: the ends of a band. */
function shortEdges(piece: OpenPiece): number[] {
  const edges = [...new Set(piece.edges)];
  const lengths = edges.map((edge) => sewnLength(piece, [edge]));
  const longest = Math.max(...lengths);
  return edges.filter((_, i) => lengths[i]! < longest / 2);
}

function measured(region: readonly Outline[], whole: number): LayerOutline {
  const outlines = region.filter((path) => signedArea(path) > DUST);
  const holes = region.filter((path) => signedArea(path) < -DUST);
  const area = [...outlines, ...holes].reduce((sum, path) => sum + signedArea(path), 0);
  return { outlines, holes, area, removedArea: Math.max(0, whole - area) };
}

/** A strip with a line in its middle, and how far it reaches past the line's ends, mm. */
interface AlongLine {
  line: [Point, Point];
  width: number;
  past: number;
}

/** A strip with a line in its middle, as far as there is cloth under it. */
function alongLine({ outline, holes }: OpenPiece, { line, width, past }: AlongLine, whole: number): LayerOutline {
  const [a, b] = line;
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = length > 0 ? [(b[0] - a[0]) / length, (b[1] - a[1]) / length] : [0, 1];
  const half = width / 2;
  const corner = ([x, y]: Point, along: number, across: number): Point => [
    x + past * along * ux - half * across * uy,
    y + past * along * uy + half * across * ux,
  ];
  const beside: Outline = [corner(a, -1, -1), corner(b, 1, -1), corner(b, 1, 1), corner(a, -1, 1)];
  const own = holes.map((hole) => hole.outline);
  const left = intersection([beside], [outline]).flatMap((path) => (own.length > 0 ? difference(path, own) : [path]));
  return { ...measured(left, whole), runningLength: runOnCloth(outline, line, past) };
}

/** How far a line and so much past both its ends lie on cloth, mm; all of it where none of it does. */
function runOnCloth(outline: Outline, [a, b]: [Point, Point], past: number): number {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = length > 0 ? [(b[0] - a[0]) / length, (b[1] - a[1]) / length] : [0, 1];
  const at = (far: number): Point => [a[0] + far * ux, a[1] + far * uy];
  const ends = [-past, length + past];
  // Where the line crosses the border, by its distance from the first end.
  const crossings = outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const [dp, dq] = [p, q].map(([x, y]) => (x - a[0]) * uy - (y - a[1]) * ux) as [number, number];
    if (dp > 0 === dq > 0) return [];
    const t = dp / (dp - dq);
    return [(p[0] + t * (q[0] - p[0]) - a[0]) * ux + (p[1] + t * (q[1] - p[1]) - a[1]) * uy];
  });
  const stops = [...ends, ...crossings.filter((far) => far > ends[0]! && far < ends[1]!)].sort((m, n) => m - n);
  const on = stops.slice(1).reduce((sum, far, i) => {
    const before = stops[i]!;
    return isInside(at((before + far) / 2), outline) ? sum + far - before : sum;
  }, 0);
  return on > 0 ? on : length + 2 * past;
}

/**
 * A strip along a line of the piece; beside the fold, where nothing is chosen and the rule says so; or along edges: what lies between a line
 * a little past the seam line and the same line moved in by the strip's width.
 */
function strip(
  piece: OpenPiece,
  material: Pick<Material, 'rollWidth'> & Partial<Pick<Material, 'family'>>,
  options: LayerOutlineOptions,
  whole: number,
): LayerOutline {
  const { outline, allowances, fold } = piece;
  const width = isTape(material) ? material.rollWidth : options.width;
  if (options.line) return alongLine(piece, { line: options.line, width, past: options.pastEnds ?? width / 2 }, whole);
  const runningLength = stripRun(piece, options);
  if (fold && besideFold(piece, options)) {
    const [a, b] = fold;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
    const beside: Outline = [a, b, [b[0] + width * nx, b[1] + width * ny], [a[0] + width * nx, a[1] + width * ny]];
    return { ...measured(intersection([beside], inset(outline, allowances).outlines), whole), runningLength };
  }
  const chosen = segmentsOf(piece, stripEdges(piece, options));
  const past = pastSeam(material, width, options);
  // From the cut edge: where the strip begins, and where it ends.
  const begins = (allowance: number) => Math.max(0, allowance - past);
  const outer = inset(
    outline,
    allowances.map((allowance, i) => (chosen.has(i) ? begins(allowance) : allowance)),
  ).outlines;
  const inner = inset(
    outline,
    allowances.map((allowance, i) => (chosen.has(i) ? begins(allowance) + width : 0)),
  ).outlines;
  const left = inner.length > 0 ? outer.flatMap((path) => difference(path, inner)) : outer;
  return { ...measured(left, whole), runningLength };
}

const besideFold = ({ fold }: OpenPiece, { edges, rule }: Pick<LayerOutlineOptions, 'edges' | 'rule'>): boolean =>
  fold !== undefined && rule === 'fold' && !edges?.length;

/**
 * Length that a strip runs on a piece, mm: along the sewn line of its edges, the fold, or a line and half its width past both ends, as far as there is
 * cloth.
 *
 * @example stripRun(piece, { rule: 'longest', width: 30 }) // 280
 */
export function stripRun(
  piece: OpenPiece,
  options: Pick<LayerOutlineOptions, 'edges' | 'line' | 'rule' | 'width' | 'pastEnds'>,
): number {
  const apart = ([a, b]: [Point, Point]) => Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (options.line) return runOnCloth(piece.outline, options.line, options.pastEnds ?? options.width / 2);
  if (besideFold(piece, options)) return apart(piece.fold!);
  return sewnLength(piece, stripEdges(piece, options));
}

/**
 * Edges that a strip runs along: those that were chosen, or those of the rule.
 *
 * @example stripEdges(piece, { rule: 'longest' }).length // 1
 */
export function stripEdges(piece: OpenPiece, { edges, rule }: Pick<LayerOutlineOptions, 'edges' | 'rule'>): number[] {
  return edges && edges.length > 0 ? edges : edgesByRule(piece, rule);
}

function segmentsOf({ edges }: OpenPiece, chosen: readonly number[]): Set<number> {
  return new Set(edges.map((_, i) => i).filter((i) => chosen.includes(edges[i]!)));
}

function middle(outline: Outline): Point {
  const box = bounds(outline);
  return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
}

/** Ends of a line that lie as deep in a piece to within this are alike, mm. */
const AS_DEEP = 5;

/** The point of a slash: the end that lies deeper in the piece; of two alike the first. */
function pointOf([a, b]: [Point, Point], outline: Outline): Point {
  return distanceToBorder(outline, b) > distanceToBorder(outline, a) + AS_DEEP ? b : a;
}

/** Places above, below and beside the middle of a piece at which a patch is tried, each way. */
const TRIES = 24;

/**
 * The middle of the piece if the patch has room there. A crescent is hollow in its middle: then the nearest place straight above,
 * below or beside it, or else where the piece is widest.
 */
function patchMiddle({ outline, holes }: OpenPiece, size: number, on: (at: Point) => Outline[]): Point {
  const [x, y] = middle(outline);
  const { minX, maxX, minY, maxY } = bounds(outline);
  const [stepX, stepY] = [(maxX - minX) / 2 / TRIES, (maxY - minY) / 2 / TRIES];
  for (let k = 0; k <= TRIES; k++) {
    const around: Point[] = [
      [x, y - k * stepY],
      [x, y + k * stepY],
      [x - k * stepX, y],
      [x + k * stepX, y],
    ];
    const found = around.find((at) => regionArea(on(at)) > size * size - DUST);
    if (found) return found;
  }
  return innermost(
    outline,
    holes.map((hole) => hole.outline),
  ).at;
}

function rectangleAt([cx, cy]: Point, width: number, height: number): Outline {
  return [
    [cx - width / 2, cy - height / 2],
    [cx + width / 2, cy - height / 2],
    [cx + width / 2, cy + height / 2],
    [cx - width / 2, cy + height / 2],
  ];
}

/** Corners that turn by less than this are no corners to turn out, or too sharp to be clipped, radians. */
const LEAST_TURN = (35 * Math.PI) / 180;
const MOST_TURN = (150 * Math.PI) / 180;

/**
 * Triangles at the corners where two allowances meet, each cut off straight through the point where the seams meet.
 */
function clippedCorners({ outline, allowances }: OpenPiece): Outline[] {
  const n = outline.length;
  const found: Outline[] = [];
  for (let i = 0; i < n; i++) {
    const before = (i + n - 1) % n;
    const [in0, in1] = [allowances[before]!, allowances[i]!];
    if (in0 === 0 || in1 === 0) continue;
    const corner = outline[i]!;
    const d0 = direction(outline[before]!, corner);
    const d1 = direction(corner, outline[(i + 1) % n]!);
    const cross = d0[0] * d1[1] - d0[1] * d1[0];
    const turn = Math.atan2(cross, d0[0] * d1[0] + d0[1] * d1[1]);
    if (turn < LEAST_TURN || turn > MOST_TURN) continue;
    // Where the seams meet, from the corner: along d1 by in0 and back along d0 by in1, over the sine of the turn.
    const to: Point = [(in0 * d1[0] - in1 * d0[0]) / cross, (in0 * d1[1] - in1 * d0[1]) / cross];
    const far = Math.hypot(to[0], to[1]);
    const u: Point = [-to[0] / far, -to[1] / far];
    const back = far / (d0[0] * u[0] + d0[1] * u[1]);
    const on = -far / (d1[0] * u[0] + d1[1] * u[1]);
    if (!(back > 0) || !(on > 0)) continue;
    found.push([corner, [corner[0] + on * d1[0], corner[1] + on * d1[1]], [corner[0] - back * d0[0], corner[1] - back * d0[1]]]);
  }
  return found;
}

function direction(a: Point, b: Point): Point {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
}
