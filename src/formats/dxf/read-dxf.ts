import { InputError } from '../../core/input-error';
import { isWide, MARK_KINDS, MARK_WORDS, runsOn, type MarkKind } from '../../core/pieces';
import { FARTHEST, type Outline, type Point } from '../../core/shape';
import {
  distance,
  loopEdges,
  MOST_DRAWING_POINTS,
  MOST_LOOPS,
  Warnings,
  type Drawing,
  type DrawnLine,
  type DrawnPoint,
  type LoopRole,
  type Segment,
} from '../drawing/drawing';
import type { GroupFacts } from '../drawing/pieces';
import { dxfEntities, type DxfBlock, type DxfEntity } from './dxf-entities';
import { pointsOf } from './dxf-lines';
import { joinedLines } from './joined-lines';

/**
 * Layers of the apparel pattern standard: what each line of a piece is. Everything else on a piece (turn points, grading,
 * stripes, plaids) is left out.
 */
const LAYERS = {
  cut: ['1'],
  sew: ['14'],
  opening: ['11'],
  grain: ['7'],
  fold: ['6', '85'],
  notch: ['4', '80', '81', '82', '83'],
  drill: ['13'],
} as const;

/** mm a unit, by the header's number for units. */
const UNITS: Record<number, [number, string]> = {
  1: [25.4, 'inches, as the file says'],
  2: [304.8, 'feet, as the file says'],
  4: [1, 'millimetres, as the file says'],
  5: [10, 'centimetres, as the file says'],
  6: [1000, 'metres, as the file says'],
};

/** Blocks may stand in blocks this deep. */
const DEEPEST = 8;
const MOST_ENTITIES = 100_000;
/** Open lines whose ends are closer than this are joined, mm. */
const JOIN = 0.05;

/** A line as it was drawn, in mm. */
interface Line {
  points: Outline;
  closed: boolean;
  layer: string;
  group: string;
}

/**
 * Reads the lines of a DXF drawing: plain outlines, and patterns on the layers of the apparel standard, each piece a block with its
 * cut line, sew line, grain line, notches, holes to drill, name and quantity.
 *
 * @throws {InputError} for a file that is no DXF drawing or larger than a drawing can be
 */
export function readDxf(text: string): { drawing: Drawing; facts: Map<string, GroupFacts> } {
  if (!/^\s*(?:999\s|0\s*\r?\n\s*SECTION)/.test(text.slice(0, 2000)))
    throw new InputError('file', 'must be a DXF drawing in text form, which begins with 0 and SECTION');
  const { header, blocks, entities } = dxfEntities(text);
  const warnings = new Warnings();
  const pieces = [...blocks.values()].filter(
    ({ name, entities: own }) => !name.startsWith('*') && own.some(({ layer, type }) => is('cut', layer) && /LINE$/.test(type)),
  );
  const apparel = pieces.length > 0;
  const texts = [...entities, ...[...blocks.values()].flatMap((block) => block.entities)].flatMap(textOf);
  const unit = unitOf(header, texts, apparel);
  const lines: Line[] = [];
  const points: DrawnPoint[] = [];
  const facts = new Map<string, GroupFacts>();
  let total = 0;
  let seen = 0;

  const place: Place = { a: unit.scale, b: 0, c: 0, d: unit.scale, e: 0, f: 0 };
  if (apparel) {
    // Each block is a piece; where it is inserted does not matter, and a nest of placed pieces would only repeat them.
    for (const { name, entities: own } of pieces) {
      facts.set(name, factsOf(name, own.flatMap(textOf)));
      for (const entity of own) visit(entity, place, name, 0);
      for (const { kind, at, to, width } of own.flatMap(markOf)) {
        const there = put(place, at);
        const [point] = points
          .filter((each) => each.group === name && each.role === 'drill' && distance(each.at, there) < JOIN)
          .sort((a, b) => distance(a.at, there) - distance(b.at, there));
        if (!point) continue;
        point.role = kind;
        if (to) point.to = put(place, to);
        if (width) point.width = width * unit.scale;
      }
    }
  } else for (const entity of entities) visit(entity, place, '', 0);

  function visit(entity: DxfEntity, at: Place, group: string, depth: number): void {
    seen++;
    if (seen > MOST_ENTITIES) throw new InputError('file', `must hold at most ${MOST_ENTITIES} entities`);
    if (entity.type === 'INSERT') {
      const block = blocks.get(entity.text(2));
      if (!block) return;
      if (depth >= DEEPEST) throw new InputError('file', `must nest its blocks at most ${DEEPEST} deep`);
      const inner = inserted(at, entity, block);
      for (const each of block.entities) visit(each, inner, group, depth + 1);
      return;
    }
    if (entity.type === 'POINT') {
      const there = put(at, { x: entity.number(10, 0), y: entity.number(20, 0) });
      if (is('notch', entity.layer)) points.push({ at: there, role: 'notch', group });
      else if (is('drill', entity.layer)) points.push({ at: there, role: 'drill', group });
      return;
    }
    const line = pointsOf(entity, warnings);
    if (!line) return;
    total += line.points.length;
    if (total > MOST_DRAWING_POINTS) throw new InputError('file', `must hold at most ${MOST_DRAWING_POINTS} points`);
    const placed = line.points.map(([x, y]) => put(at, { x, y }));
    for (const [x, y] of placed) {
      if (!(Math.abs(x) <= FARTHEST && Math.abs(y) <= FARTHEST))
        throw new InputError('file', 'holds points that are no numbers or lie more than 100 m away');
    }
    lines.push({ points: placed, closed: line.closed, layer: entity.layer, group });
  }

  const { loops, marks, rest } = sorted(lines, apparel);
  if (rest > 0) for (let i = 0; i < rest; i++) warnings.add('open', 'A line is not closed and was left out.');
  if (loops.length > MOST_LOOPS) throw new InputError('file', `must hold at most ${MOST_LOOPS} closed lines`);
  return { drawing: { loops, points, lines: marks, unit, warnings: warnings.list() }, facts };
}

function is(role: keyof typeof LAYERS, layer: string): boolean {
  return (LAYERS[role] as readonly string[]).includes(layer);
}

/** Words of a text, without the codes of a formatted one. */
function textOf(entity: DxfEntity): string[] {
  if (entity.type !== 'TEXT' && entity.type !== 'MTEXT') return [];
  return [entity.text(1).replace(/\\U\+([0-9A-F]{4})/gi, (_, code: string) => String.fromCharCode(Number.parseInt(code, 16)))];
}

/** What a text says of the mark that it stands at. */
function markOf(
  entity: DxfEntity,
): { kind: MarkKind; at: { x: number; y: number }; to?: { x: number; y: number }; width?: number }[] {
  const [, words, x, y, width] =
    /^\s*MARK\s*:\s*(.+?)(?:\s+TO\s+(-?[\d.]+)\s+(-?[\d.]+))?(?:\s+WIDTH\s+([\d.]+))?\s*$/i.exec(textOf(entity)[0] ?? '') ?? [];
  const kind = MARK_KINDS.find((each) => MARK_WORDS[each] === words?.toLowerCase());
  const at = { x: entity.number(10, 0), y: entity.number(20, 0) };
  if (!kind) return [];
  if (!runsOn(kind)) return [{ kind, at }];
  const to = { x: Number(x), y: Number(y) };
  // Without its other end such a mark says nothing that could be drawn.
  if (!Number.isFinite(to.x) || !Number.isFinite(to.y) || (isWide(kind) && !(Number(width) > 0))) return [];
  return [{ kind, at, to, ...(isWide(kind) ? { width: Number(width) } : {}) }];
}

function unitOf(header: ReadonlyMap<string, string>, texts: readonly string[], apparel: boolean): Drawing['unit'] {
  for (const text of texts) {
    const match = /^\s*UNITS?\s*:\s*(METRIC|ENGLISH|IMPERIAL)/i.exec(text);
    if (match) {
      const metric = match[1]!.toUpperCase() === 'METRIC';
      return {
        scale: metric ? 1 : 25.4,
        said: true,
        words: metric ? 'millimetres, as the file says' : 'inches, as the file says',
      };
    }
  }
  const known = UNITS[Number(header.get('$INSUNITS') ?? NaN)];
  if (known) return { scale: known[0], said: true, words: known[1] };
  if (apparel) return { scale: 1, said: false, words: 'millimetres, which the file does not say' };
  return header.get('$MEASUREMENT') === '0'
    ? { scale: 25.4, said: false, words: 'inches, which the file only hints at' }
    : { scale: 1, said: false, words: 'millimetres, which the file does not say' };
}

/** x' = ax + cy + e, y' = bx + dy + f. */
interface Place {
  a: number;
  b: number;
  c: number;
  d: number;
  e: number;
  f: number;
}

function put({ a, b, c, d, e, f }: Place, { x, y }: { x: number; y: number }): Point {
  return [a * x + c * y + e, b * x + d * y + f];
}

/** Scale, turn, move, as an insertion does it, about the block's own base. */
function inserted(at: Place, insert: DxfEntity, { base }: DxfBlock): Place {
  const xScale = insert.number(41, 1);
  const yScale = insert.number(42, 1);
  const rotation = insert.number(50, 0);
  const position = { x: insert.number(10, 0), y: insert.number(20, 0) };
  const rad = (rotation * Math.PI) / 180;
  const [cos, sin] = [Math.cos(rad), Math.sin(rad)];
  const own = { a: cos * xScale, b: sin * xScale, c: -sin * yScale, d: cos * yScale };
  const e = position.x - own.a * base.x - own.c * base.y;
  const f = position.y - own.b * base.x - own.d * base.y;
  const [ox, oy] = put(at, { x: e, y: f });
  return {
    a: at.a * own.a + at.c * own.b,
    b: at.b * own.a + at.d * own.b,
    c: at.a * own.c + at.c * own.d,
    d: at.b * own.c + at.d * own.d,
    e: ox,
    f: oy,
  };
}

/** Name and quantity that the texts of a piece give. */
function factsOf(name: string, texts: readonly string[]): GroupFacts {
  const facts: GroupFacts = { name };
  for (const text of texts) {
    const match = /^\s*([A-Z ]+?)\s*:\s*(.+?)\s*$/i.exec(text);
    if (!match) continue;
    const [, key, value] = match as unknown as [string, string, string];
    if (/^PIECE NAME$/i.test(key)) facts.name = value.slice(0, 120);
    if (/^QUANTITY$/i.test(key)) {
      // Left and right are often counted apart: 1,1.
      const count = value.split(/[,;+]/).reduce((sum, each) => sum + (Number.parseInt(each, 10) || 0), 0);
      if (count >= 1 && count <= 1000) facts.count = count;
    }
  }
  return facts;
}

/** Closed lines, and lines that mark something; open lines of one layer are joined where their ends meet. */
function sorted(lines: readonly Line[], apparel: boolean) {
  const loops: Drawing['loops'] = [];
  const marks: DrawnLine[] = [];
  const open = new Map<string, Line[]>();
  let number = 0;
  const add = (points: Outline, layer: string, group: string) => {
    const role: LoopRole = !apparel ? 'unknown' : is('cut', layer) ? 'cut' : is('sew', layer) ? 'sew' : 'opening';
    const segments = points.slice(1).map((to): Segment => ({ to }));
    const edges = loopEdges(points[0]!, segments);
    if (edges.length >= 2) loops.push({ edges, name: group || `Piece ${++number}`, role, group });
  };
  for (const line of lines) {
    const { points, closed, layer, group } = line;
    if (apparel && (is('grain', layer) || is('fold', layer)) && points.length >= 2) {
      marks.push({ from: points[0]!, to: points.at(-1)!, role: is('grain', layer) ? 'grain' : 'fold', group });
      continue;
    }
    if (apparel && !is('cut', layer) && !is('sew', layer) && !is('opening', layer)) continue;
    if (closed || distance(points[0]!, points.at(-1)!) < JOIN) add(points, layer, group);
    else {
      const key = `${group} ${layer}`;
      const own = open.get(key);
      if (own) own.push(line);
      else open.set(key, [line]);
    }
  }
  let rest = 0;
  for (const own of open.values()) {
    const chains = joinedLines(
      own.map(({ points }) => points),
      JOIN,
    );
    for (const points of chains) {
      if (points.length > 2 && distance(points[0]!, points.at(-1)!) < JOIN) add(points, own[0]!.layer, own[0]!.group);
      else rest++;
    }
  }
  return { loops, marks, rest };
}
