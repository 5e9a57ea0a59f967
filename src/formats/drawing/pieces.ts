import { InputError } from '../../core/input-error';
import { movedMark, type Mark } from '../../core/pieces';
import {
  bounds,
  drawShape,
  edgePoints,
  isInside,
  nearestEdge,
  polygonArea,
  type DrawnEdge,
  type DrawnShape,
  type Outline,
  type Point,
} from '../../core/shape';
import { midpoint, SeamLine } from './seam-line';
import { Warnings, type Drawing, type DrawingWarning, type Loop } from './drawing';

/** A piece that a file holds, its lower left corner at the origin. mm. */
export interface FoundPiece {
  name: string;
  shape: DrawnShape;
  line: 'cut' | 'sew';
  /** Seam allowance of each edge and opening, mm. */
  allowances: number[];
  /** Degrees counter-clockwise from upright. */
  grain: number;
  /** Edge on the fold, or null. */
  fold: number | null;
  marks: Mark[];
  count: number;
  /** Lines inside it that may be openings, or nothing. */
  inner: number;
}

export interface FoundPieces {
  pieces: FoundPiece[];
  unit: Drawing['unit'];
  warnings: DrawingWarning[];
}

/** What a group of lines says about itself besides its geometry. */
export interface GroupFacts {
  name?: string;
  count?: number;
}

/** Smaller loops are specks, mm². */
const SPECK = 25;
/** Two lines closer than this are one, mm. */
const SAME = 0.02;

/**
 * Makes pieces of what a drawing holds: outer lines are pieces, what lies inside them is their seam line when the file says so
 * or it runs along the whole outline, otherwise an opening.
 *
 * @param facts what the file says of its groups
 */
export function piecesOf(drawing: Drawing, facts: ReadonlyMap<string, GroupFacts> = new Map()): FoundPieces {
  const warnings = new Warnings();
  for (const { code, message, count } of drawing.warnings) for (let i = 0; i < count; i++) warnings.add(code, message);
  const loops = drawing.loops.flatMap((loop) => soundLoop(loop, warnings));
  // A seam without an allowance is the outline once more, and comes after it.
  const size = ({ area, role }: SoundLoop) => (role === 'sew' ? area * (1 - 1e-6) : area);
  loops.sort((a, b) => size(b) - size(a));
  const parents = loops.map((loop, i) => {
    // The smallest loop that holds it; a seam line and its piece may share a group only.
    for (let k = i - 1; k >= 0; k--) {
      const other = loops[k]!;
      const related = loop.group === other.group || (loop.role === 'unknown' && other.role === 'unknown');
      if (related && other.role !== 'sew' && other.role !== 'opening' && holds(other.outline, loop.outline)) return k;
    }
    return -1;
  });
  const pieces: FoundPiece[] = [];
  loops.forEach((loop, i) => {
    if (parents[i] !== -1) return;
    if (loop.role === 'opening') {
      warnings.add('stray', 'An opening lies in no piece and was left out.');
      return;
    }
    const inside = loops.filter((_, k) => parents[k] === i);
    pieces.push(pieceOf(loop, inside, drawing, facts.get(loop.group), warnings));
  });
  return { pieces, unit: drawing.unit, warnings: warnings.list() };
}

interface SoundLoop extends Loop {
  outline: Outline;
  area: number;
}

/** A loop that can be cut; others become warnings. */
function soundLoop(loop: Loop, warnings: Warnings): SoundLoop[] {
  try {
    const { outline } = drawShape({ kind: 'drawn', edges: loop.edges });
    const area = polygonArea(outline);
    if (area < SPECK) {
      warnings.add('speck', 'A closed line is smaller than half a centimetre and was left out.');
      return [];
    }
    return [{ ...loop, outline, area }];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const crossing = /cross or touch/.test(error.message);
    warnings.add(
      crossing ? 'crossing' : 'unsound',
      crossing ? 'A closed line crosses itself and was left out.' : 'A closed line encloses nothing and was left out.',
    );
    return [];
  }
}

/** So many corners are asked one by one before a tree of boxes is made for the others. */
const FIRST = 4;

function holds(outer: Outline, inner: Outline): boolean {
  const a = bounds(outer);
  const b = bounds(inner);
  if (b.minX < a.minX - SAME || b.maxX > a.maxX + SAME || b.minY < a.minY - SAME || b.maxY > a.maxY + SAME) return false;
  // A corner on the outer line itself tells nothing; any other does. Most often the first does.
  const closed = [...outer, outer[0]!];
  let line: SeamLine | undefined;
  for (const [i, p] of inner.entries()) {
    const distance = i < FIRST ? nearestEdge([closed], p).distance : (line ??= new SeamLine(outer)).distance(p);
    if (distance >= SAME) return isInside(p, outer);
  }
  // The same line drawn twice.
  return true;
}

function pieceOf(
  loop: SoundLoop,
  inside: readonly SoundLoop[],
  drawing: Drawing,
  facts: GroupFacts | undefined,
  warnings: Warnings,
): FoundPiece {
  const seam =
    inside.find(({ role }) => role === 'sew') ??
    inside.find((each) => each.role === 'unknown' && new SeamLine(each.outline).followsAllRound(loop.outline));
  const openings = inside.filter((each) => each !== seam && each.role !== 'sew');
  const openingSeams = inside.filter((each) => each !== seam && each.role === 'sew');
  const { minX, minY } = bounds(loop.outline);
  const move = ([x, y]: Point): Point => [x - minX, y - minY];
  const drawn = loop.edges.map(({ from, curve, via }): DrawnEdge => ({
    from: move(from),
    ...(curve ? { curve: [move(curve[0]), move(curve[1])] as [Point, Point] } : {}),
    ...(via ? { via: via.map(move) } : {}),
  }));
  const seamLine = seam && new SeamLine(seam.outline.map(move));
  const edges = seamLine ? seamLine.divided(drawn, loop.outline) : drawn;
  const holes = openings.map(({ outline }) => outline.map(move));
  const shape: DrawnShape = { kind: 'drawn', edges, ...(holes.length > 0 ? { holes } : {}) };
  const line = loop.role === 'sew' ? 'sew' : 'cut';
  const lines = edges.map((edge, i) => [
    ...edgePoints(edge, edges[(i + 1) % edges.length]!.from),
    edges[(i + 1) % edges.length]!.from,
  ]);
  const allowances = [
    ...lines.map((points) => (seamLine ? seamLine.allowanceOf(points) : 0)),
    ...openings.map((hole) => openingAllowance(hole, openingSeams)),
  ];
  const ownLines = drawing.lines.filter(({ group, from, to }) => belongs(loop, group, midpoint(from, to)));
  const grainLine = ownLines.find(
    ({ role, from, to }) => role === 'grain' && Math.hypot(to[0] - from[0], to[1] - from[1]) > SAME,
  );
  const foldLine = ownLines.find(({ role }) => role === 'fold');
  let fold: number | null = null;
  if (foldLine) {
    const nearest = nearestEdge(lines, midpoint(move(foldLine.from), move(foldLine.to)));
    if (nearest.distance < 1 && !edges[nearest.edge]!.curve) fold = nearest.edge;
    else warnings.add('fold', 'A fold lies on no straight edge of its piece and was left out.');
  }
  const marks = drawing.points
    .filter(({ group, at }) => belongs(loop, group, at))
    .map(({ group: _, role, ...place }): Mark => movedMark({ kind: role, ...place }, move));
  return {
    name: facts?.name ?? loop.name,
    shape,
    line,
    allowances,
    grain: grainLine ? grainAngle(grainLine.from, grainLine.to) : 0,
    fold,
    marks,
    count: facts?.count ?? 1,
    inner: openings.length,
  };
}

/** A mark belongs to a piece of its group, or to the one that it lies in where there are no groups. */
function belongs(loop: SoundLoop, group: string, at: Point): boolean {
  if (loop.group !== '' || group !== '') return loop.group === group;
  return isInside(at, loop.outline) || nearestEdge([[...loop.outline, loop.outline[0]!]], at).distance < 1;
}

/** Direction of a grain line, degrees counter-clockwise from upright, −90 to 90: the arrow has two ends. */
function grainAngle(a: Point, b: Point): number {
  let angle = (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI - 90;
  while (angle <= -90) angle += 180;
  while (angle > 90) angle -= 180;
  return Math.abs(angle) < 1e-6 ? 0 : angle;
}

/** Distance of an opening from the seam line around it; 0 where the file has none. */
function openingAllowance({ outline }: SoundLoop, seams: readonly SoundLoop[]): number {
  const around = seams.find((seam) => holds(seam.outline, outline));
  return around ? new SeamLine(around.outline).allowanceOf([outline[0]!, outline[1]!]) : 0;
}
