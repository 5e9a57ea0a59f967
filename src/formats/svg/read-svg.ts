import svgpath from 'svgpath';
import { InputError } from '../../core/input-error';
import { isWide, MARK_KINDS, runsOn, type MarkKind } from '../../core/pieces';
import { FARTHEST, type DrawnEdge, type Point } from '../../core/shape';
import {
  distance,
  loopEdges,
  MOST_DRAWING_POINTS,
  MOST_LOOPS,
  polygonEdges,
  Warnings,
  type Drawing,
  type DrawnLine,
  type DrawnPoint,
  type LoopRole,
  type Segment,
} from '../drawing/drawing';
import { MOST_ELEMENTS, svgTree, type SvgElement } from './svg-tree';

/** What stands for something else that stands for something else, and so on, is followed this far. */
const DEEPEST_USE = 8;
/** CSS pixels an inch. */
const PIXELS_PER_INCH = 96;
const MM: Record<string, number> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: 25.4 / PIXELS_PER_INCH };
/** What is drawn only when something refers to it. */
const UNSEEN = [
  'defs',
  'clippath',
  'mask',
  'pattern',
  'symbol',
  'marker',
  'lineargradient',
  'radialgradient',
  'metadata',
  'style',
  'script',
];

/** a, b, c, d, e, f of x' = ax + cy + e, y' = bx + dy + f. */
type Matrix = [number, number, number, number, number, number];
const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** What an element takes over from those around it. */
interface Frame {
  matrix: Matrix;
  group: string;
  /** Elements that stand for others, from the outside in. */
  uses: SvgElement[];
}

/**
 * Reads the closed lines of an SVG drawing: paths, polygons, rectangles, circles and ellipses with all their transforms, and
 * what is used again elsewhere, in millimetres by the size that the drawing says it has. Nothing but geometry is looked at:
 * no scripts, styles, entities, images or other files.
 *
 * @throws {InputError} for a file that is no well-formed SVG, defines entities, or is larger than a drawing can be
 */
// The handlers of one reader share its stack of open elements.
// eslint-disable-next-line max-lines-per-function
export function readSvg(text: string): Drawing {
  const root = svgTree(text);
  const loops: Drawing['loops'] = [];
  const points: DrawnPoint[] = [];
  const lines: DrawnLine[] = [];
  const warnings = new Warnings();
  let walked = 0;
  let used = 0;
  let total = 0;
  const names = new Map<string, string>();
  const byId = withIds(root);
  const { unit, matrix: outermost } = viewport(root.attributes, true);
  walk(root, { matrix: outermost, group: '', uses: [] });
  for (const loop of loops) loop.name = names.get(loop.group) ?? loop.name;
  return { loops, points, lines, unit, warnings: warnings.list() };

  /** An element and all that it holds; `of` are the frame around it and, for a nested drawing, its own viewport. */
  function walk(element: SvgElement, of: Frame): void {
    const { name, attributes } = element;
    walked++;
    if (walked > MOST_ELEMENTS) throw new InputError('file', `must hold at most ${MOST_ELEMENTS} elements`);
    if (isHidden(attributes)) return;
    const matrix = attributes['transform'] ? times(of.matrix, readTransform(attributes['transform'])) : of.matrix;
    // What is used twice is two pieces.
    const own =
      attributes['data-piece'] === undefined ? undefined : attributes['data-piece'] + (of.uses.length > 0 ? ` ${used}` : '');
    const frame: Frame = { matrix, group: own ?? of.group, uses: of.uses };
    if (name === 'use') follow(element, frame);
    else if (name === 'image') warnings.add(name, '<image> is not followed; draw it out before saving.');
    else draw(name, attributes, matrix, frame.group);
    for (const child of element.children) {
      if (child.name === 'title') nameGroup(frame.group, child.words);
      else if (child.name === 'svg') walk(child, { ...frame, matrix: times(matrix, viewport(child.attributes, false).matrix) });
      else if (!UNSEEN.includes(child.name)) walk(child, frame);
    }
  }

  /** What stands elsewhere in the drawing, drawn here. */
  function follow(use: SvgElement, frame: Frame): void {
    const { attributes } = use;
    const said = attributes['href'] ?? attributes['xlink:href'] ?? '';
    const meant = said.startsWith('#') ? byId.get(said.slice(1)) : undefined;
    if (!meant || frame.uses.includes(use) || frame.uses.length >= DEEPEST_USE) {
      warnings.add('use', '<use> stands for nothing in this file, or for itself, and was left out.');
      return;
    }
    used++;
    const moved = times(frame.matrix, [1, 0, 0, 1, measure(attributes['x']), measure(attributes['y'])]);
    const matrix =
      meant.name === 'symbol' || meant.name === 'svg'
        ? times(moved, viewport({ ...meant.attributes, ...sizeOf(attributes), x: '0', y: '0' }, false).matrix)
        : moved;
    walk(meant, { matrix, group: frame.group, uses: [...frame.uses, use] });
  }

  /** The title of the whole drawing names no piece. */
  function nameGroup(group: string, title: string): void {
    const words = title.trim().slice(0, 120);
    if (words && group !== '' && !names.has(group)) names.set(group, words);
  }

  /** A shape of its own, by the name of the element. */
  function draw(name: string, attributes: Record<string, string>, matrix: Matrix, group: string): void {
    // Our own layouts draw the cloth as well; it is no piece.
    if (attributes['data-line'] === 'cloth' || attributes['data-line'] === 'mark') return;
    const number = (key: string) => measure(attributes[key]);
    const role = roleOf(attributes['data-line']);
    const put = (p: Point): Point => {
      const [a, b, c, d, e, f] = matrix;
      return [a * p[0] + c * p[1] + e, -(b * p[0] + d * p[1] + f)];
    };
    switch (name) {
      case 'path':
        for (const { start, segments, closed } of readPath(attributes['d'] ?? '', matrix, (n) => count(n), warnings)) {
          const end = segments.at(-1)?.to ?? start;
          const back = Math.hypot(end[0] - start[0], end[1] - start[1]);
          if (segments.length === 0) continue;
          if (attributes['data-line'] === 'grain' || attributes['data-line'] === 'fold')
            lines.push({ from: flip(start), to: flip(end), role: attributes['data-line'], group });
          else if (!closed && back > JOIN) warnings.add('open', 'A line is not closed and was left out.');
          else addLoop(loopEdges(flip(start), segments.map(flipSegment)), attributes, role, group);
        }
        return;
      case 'polygon':
      case 'polyline': {
        const list = (attributes['points'] ?? '').match(NUMBER)?.map(Number) ?? [];
        count(list.length / 2);
        const corners: Point[] = [];
        for (let i = 0; i + 1 < list.length; i += 2) corners.push(put([list[i]!, list[i + 1]!]));
        const [first, last] = [corners[0], corners.at(-1)];
        if (name === 'polyline' && first && last && Math.hypot(first[0] - last[0], first[1] - last[1]) > JOIN)
          warnings.add('open', 'A line is not closed and was left out.');
        else addLoop(polygonEdges(corners), attributes, role, group);
        return;
      }
      case 'rect': {
        const [x, y, w, h] = [number('x'), number('y'), number('width'), number('height')];
        if (!(w > 0) || !(h > 0)) return;
        const rx = Math.min(w / 2, number('rx') || number('ry'));
        const ry = Math.min(h / 2, number('ry') || number('rx'));
        const d =
          rx > 0 && ry > 0
            ? `M${x + rx} ${y}H${x + w - rx}A${rx} ${ry} 0 0 1 ${x + w} ${y + ry}V${y + h - ry}A${rx} ${ry} 0 0 1 ${x + w - rx} ${y + h}H${x + rx}A${rx} ${ry} 0 0 1 ${x} ${y + h - ry}V${y + ry}A${rx} ${ry} 0 0 1 ${x + rx} ${y}Z`
            : `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
        draw('path', { ...attributes, d }, matrix, group);
        return;
      }
      case 'circle':
      case 'ellipse': {
        const rx = number(name === 'circle' ? 'r' : 'rx');
        const ry = number(name === 'circle' ? 'r' : 'ry');
        const [cx, cy] = [number('cx'), number('cy')];
        const mark = MARK_KINDS.find((kind) => kind === attributes['data-mark']);
        if (mark) points.push(...markPoint(mark, [cx, cy], attributes, put, group));
        else if (rx > 0 && ry > 0)
          draw(
            'path',
            { ...attributes, d: `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z` },
            matrix,
            group,
          );
        return;
      }
    }
  }
  function count(more: number): void {
    total += more;
    if (total > MOST_DRAWING_POINTS) throw new InputError('file', `must hold at most ${MOST_DRAWING_POINTS} points`);
  }
  function addLoop(edges: DrawnEdge[], attributes: Record<string, string>, role: LoopRole, group: string): void {
    if (edges.length < 2) return;
    if (loops.length >= MOST_LOOPS) throw new InputError('file', `must hold at most ${MOST_LOOPS} closed lines`);
    for (const { from, curve = [], via = [] } of edges) {
      for (const [x, y] of [from, ...curve, ...via]) {
        if (!(Math.abs(x) <= FARTHEST && Math.abs(y) <= FARTHEST))
          throw new InputError('file', 'holds points that are no numbers or lie more than 100 m away');
      }
    }
    const name = attributes['data-name'] ?? attributes['aria-label'] ?? attributes['id'] ?? '';
    loops.push({ edges, name: name.slice(0, 120), role, group });
  }
}

/** Ends of a line closer than this are joined, mm. */
const JOIN = 0.01;
const NUMBER = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi;

/** Elements by their id, the first of several. */
function withIds(root: SvgElement): Map<string, SvgElement> {
  const byId = new Map<string, SvgElement>();
  const left = [root];
  for (let element = left.pop(); element; element = left.pop()) {
    const { id } = element.attributes;
    if (id && !byId.has(id)) byId.set(id, element);
    for (const child of element.children.toReversed()) left.push(child);
  }
  return byId;
}

/** The size that is said, to go before the one that a symbol has. */
function sizeOf({ width, height }: Record<string, string>): Record<string, string> {
  return { ...(width && { width }), ...(height && { height }) };
}

function isHidden(attributes: Record<string, string>): boolean {
  return (
    attributes['display'] === 'none' ||
    attributes['visibility'] === 'hidden' ||
    /display\s*:\s*none/.test(attributes['style'] ?? '')
  );
}

function roleOf(said: string | undefined): LoopRole {
  return said === 'cut' || said === 'sew' || said === 'opening' ? said : 'unknown';
}

/** A length with its unit, in user units: pixels, unless the drawing says otherwise. */
function measure(text: string | undefined): number {
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z%]*)/i.exec(text ?? '');
  if (!match) return 0;
  const scale = MM[match[2]!.toLowerCase()];
  return Number(match[1]) * (scale === undefined ? 1 : scale / MM['px']!);
}

/** From the numbers of a drawing to millimetres, or to the parent's numbers for a nested one. */
function viewport(attributes: Record<string, string>, outermost: boolean): { matrix: Matrix; unit: Drawing['unit'] } {
  const box = (attributes['viewBox'] ?? '').match(NUMBER)?.map(Number);
  const [minX, minY, boxWidth, boxHeight] = box?.length === 4 && box[2]! > 0 && box[3]! > 0 ? box : [0, 0, NaN, NaN];
  const width = sized(attributes['width']);
  const height = sized(attributes['height']);
  if (!outermost) {
    const scale = Number.isFinite(boxWidth!) && width ? width.pixels / boxWidth! : 1;
    const [x, y] = [measure(attributes['x']), measure(attributes['y'])];
    return { matrix: [scale, 0, 0, scale, x - scale * minX!, y - scale * minY!], unit: { scale, said: true, words: '' } };
  }
  const px = MM['px']!;
  const across = width && Number.isFinite(boxWidth!) ? (width.pixels * px) / boxWidth! : undefined;
  const down = height && Number.isFinite(boxHeight!) ? (height.pixels * px) / boxHeight! : undefined;
  const scale = across !== undefined && down !== undefined ? Math.min(across, down) : (across ?? down ?? px);
  const said = (width?.physical ?? false) || (height?.physical ?? false);
  return {
    matrix: [scale, 0, 0, scale, -scale * minX!, -scale * minY!],
    unit: {
      scale,
      said,
      words: said ? 'by the size that the drawing says it has' : '96 units an inch, which the drawing does not say',
    },
  };
}

function sized(text: string | undefined): { pixels: number; physical: boolean } | undefined {
  if (!text || text.includes('%')) return undefined;
  const pixels = measure(text);
  return pixels > 0 ? { pixels, physical: /(?:mm|cm|in|pt|pc)\s*$/i.test(text) } : undefined;
}

function times(a: Matrix, b: Matrix): Matrix {
  return [
    a[0] * b[0] + a[2] * b[1],
    a[1] * b[0] + a[3] * b[1],
    a[0] * b[2] + a[2] * b[3],
    a[1] * b[2] + a[3] * b[3],
    a[0] * b[4] + a[2] * b[5] + a[4],
    a[1] * b[4] + a[3] * b[5] + a[5],
  ];
}

/** The functions of a transform attribute, from left to right. */
function readTransform(text: string): Matrix {
  let matrix = IDENTITY;
  for (const [, name, list] of text.matchAll(/(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)/g)) {
    const n = (list!.match(NUMBER) ?? []).map(Number);
    const rad = ((n[0] ?? 0) * Math.PI) / 180;
    const [c, s] = [Math.cos(rad), Math.sin(rad)];
    const next: Record<string, () => Matrix> = {
      matrix: () => (n.length === 6 ? (n as Matrix) : IDENTITY),
      translate: () => [1, 0, 0, 1, n[0] ?? 0, n[1] ?? 0],
      scale: () => [n[0] ?? 1, 0, 0, n[1] ?? n[0] ?? 1, 0, 0],
      rotate: () =>
        times(times([1, 0, 0, 1, n[1] ?? 0, n[2] ?? 0], [c, s, -s, c, 0, 0]), [1, 0, 0, 1, -(n[1] ?? 0), -(n[2] ?? 0)]),
      skewX: () => [1, 0, Math.tan(rad), 1, 0, 0],
      skewY: () => [1, Math.tan(rad), 0, 1, 0, 0],
    };
    matrix = times(matrix, next[name!]!());
  }
  return matrix;
}

function flip([x, y]: Point): Point {
  return [x, -y];
}

function flipSegment({ to, curve }: Segment): Segment {
  return curve ? { to: flip(to), curve: [flip(curve[0]), flip(curve[1])] } : { to: flip(to) };
}

/** Subpaths of a path in the drawing's millimetres, y down, arcs and quadratic curves made cubic. */
function readPath(d: string, matrix: Matrix, count: (points: number) => void, warnings: Warnings) {
  if (d.length > MOST_PATH) throw new InputError('file', `must have paths of at most ${MOST_PATH} characters`);
  const read = svgpath(d);
  if ((read as { err?: string }).err) warnings.add('damaged', 'A path is damaged and was read only up to there.');
  const path = read.abs().unshort().unarc().matrix(matrix);
  const found: { start: Point; segments: Segment[]; closed: boolean }[] = [];
  let at: Point = [0, 0];
  let current: (typeof found)[number] | undefined;
  path.iterate((segment, _index, x, y) => {
    count(1);
    const [command, ...n] = segment as [string, ...number[]];
    if (!current && command !== 'M') {
      current = { start: [x, y], segments: [], closed: false };
      found.push(current);
      at = [x, y];
    }
    const line = (to: Point) => {
      current!.segments.push({ to });
      at = to;
    };
    switch (command) {
      case 'M':
        current = { start: [n[0]!, n[1]!], segments: [], closed: false };
        found.push(current);
        at = current.start;
        return;
      case 'L':
        return line([n[0]!, n[1]!]);
      case 'H':
        return line([n[0]!, at[1]]);
      case 'V':
        return line([at[0], n[0]!]);
      case 'C': {
        const to: Point = [n[4]!, n[5]!];
        current!.segments.push({
          to,
          curve: [
            [n[0]!, n[1]!],
            [n[2]!, n[3]!],
          ],
        });
        at = to;
        return;
      }
      case 'Q': {
        // A quadratic curve is the cubic with its control points two thirds of the way to the one it has.
        const [q, to] = [[n[0]!, n[1]!] as Point, [n[2]!, n[3]!] as Point];
        const toward = (from: Point): Point => [from[0] + (2 / 3) * (q[0] - from[0]), from[1] + (2 / 3) * (q[1] - from[1])];
        current!.segments.push({ to, curve: [toward(at), toward(to)] });
        at = to;
        return;
      }
      case 'Z':
        current!.closed = true;
        at = current!.start;
        current = undefined;
        return;
    }
  });
  return found;
}

/** A mark that the file names; one that runs on without saying where to is left out. */
function markPoint(
  kind: MarkKind,
  at: Point,
  attributes: Record<string, string>,
  put: (point: Point) => Point,
  group: string,
): DrawnPoint[] {
  const placed = { at: put(at), role: kind, group };
  if (!runsOn(kind)) return [placed];
  const [x, y, ...more] = (attributes['data-to'] ?? '').split(/[\s,]+/).map(Number);
  const width = Number(attributes['data-width']);
  if (x === undefined || y === undefined || more.length > 0 || !Number.isFinite(x) || !Number.isFinite(y)) return [];
  if (!isWide(kind)) return [{ ...placed, to: put([x, y]) }];
  if (!(width > 0)) return [];
  return [{ ...placed, to: put([x, y]), width: distance(placed.at, put([at[0] + width, at[1]])) }];
}

/** Characters of one path: ten thousand points take about a quarter of it. */
const MOST_PATH = 2_000_000;
