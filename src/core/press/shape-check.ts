import { InputError, requireNumber } from '../input-error';
import type { OpenPiece } from '../pieces';
import { bounds, isInside, type Point } from '../shape';

/** Which way a length of a piece runs, to the grain upright. */
const CHECK_WAYS = ['along', 'across', 'bias'] as const;
export type CheckWay = (typeof CHECK_WAYS)[number];

/** A length of a piece that is measured against its pattern. */
export interface CheckLength {
  way: CheckWay;
  from: Point;
  to: Point;
  /** By the pattern, mm. */
  length: number;
}

/** Lines are followed in steps of this, mm, and end to this. */
const STEP = 2;
const FINE = 0.01;
/** Shorter ones tell nothing: the ruler does not read finer. */
const SHORTEST = 40;

/**
 * Lengths by which a piece is held against its pattern: two along the grain, one across, one on the bias; each the longest run inside the
 * piece on its line. Small pieces have fewer.
 *
 * @param piece as it is cut, opened out, grain upright, mm
 * @example checkLengths(piece).map(({ way, length }) => [way, Math.round(length)]) // [['along', 100], ['along', 100], ['across', 300], ['bias', 141]]
 */
export function checkLengths(piece: OpenPiece): CheckLength[] {
  const { minX, minY, maxX, maxY } = bounds(piece.outline);
  const [w, h] = [maxX - minX, maxY - minY];
  const middle: Point = [minX + w / 2, minY + h / 2];
  const reach = Math.hypot(w, h);
  const lines: [CheckWay, Point, Point][] = [
    ['along', [minX + w / 4, minY - STEP], [0, 1]],
    ['along', [minX + (3 * w) / 4, minY - STEP], [0, 1]],
    ['across', [minX - STEP, middle[1]], [1, 0]],
    ['bias', [middle[0] - reach * Math.SQRT1_2, middle[1] - reach * Math.SQRT1_2], [Math.SQRT1_2, Math.SQRT1_2]],
  ];
  return lines.flatMap(([way, start, direction]) => {
    const run = longestRun(piece, start, direction, 2 * reach + 2 * STEP);
    return run && run.length >= SHORTEST ? [{ way, ...run }] : [];
  });
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
  return { verdict: verdictOf(off, allowance), differences, shrank };
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
