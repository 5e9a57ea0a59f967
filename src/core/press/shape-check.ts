import { InputError, requireNumber } from '../input-error';
import { edgeRuns, type GrainCut, type OpenPiece } from '../pieces';
import { isInside, type Point } from '../shape';

/** Which way a length of a piece runs, to the grain of its cloth. */
const CHECK_WAYS = ['along', 'across', 'bias'] as const;
export type CheckWay = (typeof CHECK_WAYS)[number];

/** A length of a piece that is measured against its pattern. */
export interface CheckLength {
  /** A curved edge is followed with a tape; it runs all ways. */
  way: CheckWay | 'edge';
  from: Point;
  to: Point;
  /** By the pattern, mm. */
  length: number;
  /** The line of a curved edge, from its beginning to its end. */
  path?: Point[];
}

/** Lines are followed in steps of this, mm, and end to this. */
const STEP = 2;
const FINE = 0.01;
/** Shorter ones tell nothing: the ruler does not read finer. */
const SHORTEST = 40;
/** An edge is curved when it leaves its chord by more than this, mm. */
const CURVED = 3;
/** Curved edges that are measured, the longest first. */
const MOST_EDGES = 2;

/** How far the grain of a cut is turned from the pattern's arrow, degrees. */
const TURNED: Record<GrainCut, number> = { straight: 0, cross: 90, bias: 45 };

/**
 * Lengths by which a piece is held against its pattern: two along the grain of its cloth, one across, one on the bias, each the longest run
 * inside the piece on its line; and its curved edges, which are what grows. Small pieces have fewer.
 *
 * @param piece as it is cut, opened out, mm @param cut how the grain of the cloth runs along the pattern's arrow
 * @example checkLengths(piece).map(({ way, length }) => [way, Math.round(length)]) // [['along', 100], ['along', 100], ['across', 300], ['bias', 141]]
 */
export function checkLengths(piece: OpenPiece, cut: GrainCut = 'straight'): CheckLength[] {
  const angle = (((piece.grain ?? 0) + TURNED[cut]) * Math.PI) / 180;
  const along: Point = [-Math.sin(angle), Math.cos(angle)];
  const across: Point = [Math.cos(angle), Math.sin(angle)];
  const [lowU, highU] = extent(piece, along);
  const [lowV, highV] = extent(piece, across);
  const [u, v] = [highU - lowU, highV - lowV];
  /** A point by how far it lies along and across. */
  const at = (a: number, c: number): Point => [along[0] * a + across[0] * c, along[1] * a + across[1] * c];
  const reach = Math.hypot(u, v);
  const [midU, midV] = [(lowU + highU) / 2, (lowV + highV) / 2];
  const diagonal: Point = [(along[0] + across[0]) * Math.SQRT1_2, (along[1] + across[1]) * Math.SQRT1_2];
  const lines: [CheckWay, Point, Point][] = [
    ['along', at(lowU - STEP, lowV + v / 4), along],
    ['along', at(lowU - STEP, lowV + (3 * v) / 4), along],
    ['across', at(midU, lowV - STEP), across],
    ['bias', at(midU - reach * Math.SQRT1_2, midV - reach * Math.SQRT1_2), diagonal],
  ];
  const straight = lines.flatMap(([way, start, direction]): CheckLength[] => {
    const run = longestRun(piece, start, direction, 2 * reach + 2 * STEP);
    return run && run.length >= SHORTEST ? [{ way, ...run }] : [];
  });
  return [...straight, ...curvedEdges(piece)];
}

/** From where to where a piece reaches in some direction. */
function extent({ outline }: OpenPiece, [dx, dy]: Point): [number, number] {
  const reached = outline.map(([x, y]) => x * dx + y * dy);
  return [Math.min(...reached), Math.max(...reached)];
}

/** The longest curved edges, each with its line. */
function curvedEdges(piece: OpenPiece): CheckLength[] {
  return edgeRuns(piece)
    .flatMap(({ points, closed }): CheckLength[] => {
      const [from, to] = [points[0]!, points.at(-1)!];
      const length = points.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - points[i]![0], p[1] - points[i]![1]), 0);
      if (closed || length < SHORTEST || points.every((p) => offChord(p, from, to) <= CURVED)) return [];
      return [{ way: 'edge', from, to, length, path: points }];
    })
    .sort((a, b) => b.length - a.length)
    .slice(0, MOST_EDGES);
}

function offChord([x, y]: Point, a: Point, b: Point): number {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length < FINE) return Math.hypot(x - a[0], y - a[1]);
  return Math.abs((x - a[0]) * (b[1] - a[1]) - (y - a[1]) * (b[0] - a[0])) / length;
}

/** The longest run of a line inside the piece. */
function longestRun(piece: OpenPiece, [x, y]: Point, [dx, dy]: Point, reach: number) {
  const at = (t: number): Point => [x + dx * t, y + dy * t];
  const within = (t: number) => isInside(at(t), piece.outline) && !piece.holes.some(({ outline }) => isInside(at(t), outline));
  /** Where it goes in or out between two steps. */
  const border = (a: number, b: number) => {
    let [low, high] = [a, b];
    const first = within(a);
    while (high - low > FINE) {
      const mid = (low + high) / 2;
      if (within(mid) === first) low = mid;
      else high = mid;
    }
    return (low + high) / 2;
  };
  let best: { from: Point; to: Point; length: number } | undefined;
  let from: number | undefined;
  const steps = Math.ceil(reach / STEP);
  for (let i = 1; i <= steps; i++) {
    const [a, b] = [(i - 1) * STEP, i * STEP];
    if (!within(a) && within(b)) from = border(a, b);
    else if (within(a) && !within(b) && from !== undefined) {
      const to = border(a, b);
      if (!best || to - from > best.length) best = { from: at(from), to: at(to), length: to - from };
      from = undefined;
    }
  }
  return best;
}

/** What to do with a piece whose lengths were read. */
export type ShapeVerdict = 'go-on' | 'trim' | 'less-allowance' | 'recut' | 'lay-again';

export interface ShapeJudged {
  verdict: ShapeVerdict;
  /** By how much each length differs from the pattern, mm; null where it was not read. */
  differences: (number | null)[];
  /** How much it shrank that way, %; it grew where negative; null where nothing was read. */
  shrank: Record<CheckWay, number | null>;
}

/** What a ruler and a hand can tell: within this a length is right. */
const WITHIN = { mm: 1, share: 0.005 };

/**
 * Lengths of a piece after it was fused or treated, held against its pattern.
 *
 * @param measured in the order of the lengths, mm; null where it was not read
 * @param allowance smallest seam allowance that the piece has, mm: what is missing may come out of it
 * @throws {InputError} when nothing was read, or a reading cannot be of this piece
 * @example judgeShape([{ way: 'along', from: [0, 0], to: [0, 300], length: 300 }], [303], 10).verdict // 'trim'
 */
export function judgeShape(
  lengths: readonly CheckLength[],
  measured: readonly (number | null)[],
  allowance: number,
): ShapeJudged {
  const differences = lengths.map(({ length }, i) => {
    const read = measured[i] ?? null;
    if (read === null) return null;
    requireNumber(`lengths[${i}]`, read, 'mm', { min: length * 0.7, max: length * 1.3 });
    return read - length;
  });
  if (differences.every((difference) => difference === null)) throw new InputError('lengths', 'read at least one of them');
  const off = differences.map((difference, i) =>
    difference === null || Math.abs(difference) <= Math.max(WITHIN.mm, WITHIN.share * lengths[i]!.length) ? 0 : difference,
  );
  const shrank = Object.fromEntries(
    CHECK_WAYS.map((way) => {
      const own = differences.flatMap((difference, i) =>
        difference !== null && lengths[i]!.way === way ? [(-100 * difference) / lengths[i]!.length] : [],
      );
      return [way, own.length === 0 ? null : own.reduce((sum, each) => sum + each, 0) / own.length];
    }),
  ) as Record<CheckWay, number | null>;
  const stretched =
    lengths.some(({ way }, i) => way === 'edge' && off[i]! > 0) && lengths.every(({ way }, i) => way === 'edge' || off[i]! <= 0);
  return { verdict: stretched ? 'lay-again' : verdictOf(off, allowance), differences, shrank };
}

function verdictOf(off: readonly number[], allowance: number): ShapeVerdict {
  const longer = Math.max(0, ...off);
  const missing = -Math.min(0, ...off);
  if (longer === 0 && missing === 0) return 'go-on';
  // Drawn one way and short the other: it was pulled out of shape, not shrunk.
  if (longer > 0 && missing > 0) return 'lay-again';
  if (longer > 0) return 'trim';
  // Half of it on either side comes out of the seam allowance, as long as a seam can still be sewn there.
  return missing / 2 <= allowance / 2 ? 'less-allowance' : 'recut';
}
