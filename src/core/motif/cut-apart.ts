import { bounds, distanceToBorder, distanceToEdge, type Outline, type Point } from '../shape';

/** Squares along the longer side of the ground on which the nearest outline is asked for. */
const SQUARES = 110;
/** With more outlines than this nobody cuts them apart one by one first. */
const MOST_OUTLINES = 60;
/** A line may be straightened by so many squares. */
const STRAIGHTENED = 0.75;

/**
 * Lines along which a sheet is cut apart between islands, before each is trimmed: everywhere half way between the two
 * nearest trim lines, so that no cut comes near stitching. They end where one meets another or the sheet ends.
 *
 * The ground is laid out in squares, each given to the nearest outline (exact distance from its middle); the lines run
 * between squares of different outlines, their stairs straightened. They are right within a square, about a hundredth of
 * the longer side.
 *
 * @param trims outlines along which the islands are trimmed, mm, apart from one another @param margin of the sheet round them, mm
 * @returns open lines, mm; none with fewer than two outlines or more than sixty
 * @example cutApartLines([square(10)], 5) // []
 */
export function cutApartLines(trims: readonly Outline[], margin: number): Point[][] {
  if (trims.length < 2 || trims.length > MOST_OUTLINES) return [];
  const boxes = trims.map(bounds);
  const minX = Math.min(...boxes.map((box) => box.minX)) - margin;
  const minY = Math.min(...boxes.map((box) => box.minY)) - margin;
  const width = Math.max(...boxes.map((box) => box.maxX)) + margin - minX;
  const height = Math.max(...boxes.map((box) => box.maxY)) + margin - minY;
  const square = Math.max(width, height) / SQUARES;
  const across = Math.max(1, Math.ceil(width / square));
  const up = Math.max(1, Math.ceil(height / square));
  const nearest = new Int32Array(across * up);
  for (let r = 0; r < up; r++)
    for (let c = 0; c < across; c++)
      nearest[r * across + c] = nearestOutline(trims, [minX + (c + 0.5) * square, minY + (r + 0.5) * square]);

  /** Sides between squares of different outlines, from corner to corner of the squares. */
  const next = new Map<number, number[]>();
  const corner = (c: number, r: number) => r * (across + 1) + c;
  const side = (a: number, b: number) => {
    next.set(a, [...(next.get(a) ?? []), b]);
    next.set(b, [...(next.get(b) ?? []), a]);
  };
  for (let r = 0; r < up; r++)
    for (let c = 0; c < across; c++) {
      const own = nearest[r * across + c]!;
      if (c + 1 < across && nearest[r * across + c + 1] !== own) side(corner(c + 1, r), corner(c + 1, r + 1));
      if (r + 1 < up && nearest[(r + 1) * across + c] !== own) side(corner(c, r + 1), corner(c + 1, r + 1));
    }
  const place = (at: number): Point => [minX + (at % (across + 1)) * square, minY + Math.floor(at / (across + 1)) * square];
  return walked(next).map((chain) => straightened(unstepped(chain.map(place)), STRAIGHTENED * square));
}

function nearestOutline(outlines: readonly Outline[], point: Point): number {
  let best = 0;
  let least = Infinity;
  outlines.forEach((outline, index) => {
    const distance = distanceToBorder(outline, point);
    if (distance >= least) return;
    least = distance;
    best = index;
  });
  return best;
}

/** Chains of corners from one end or meeting to the next; rings, which have neither, from any corner round to it again. */
function walked(next: Map<number, number[]>): number[][] {
  const chains: number[][] = [];
  const gone = new Set<string>();
  const key = (a: number, b: number) => (a < b ? `${a} ${b}` : `${b} ${a}`);
  const follow = (from: number, to: number) => {
    const chain = [from];
    let [before, at] = [from, to];
    for (;;) {
      gone.add(key(before, at));
      chain.push(at);
      const on = next.get(at)!;
      if (on.length !== 2 || at === from) break;
      [before, at] = [at, on[0] === before ? on[1]! : on[0]!];
    }
    chains.push(chain);
  };
  const ends = [...next.keys()].filter((at) => next.get(at)!.length !== 2);
  for (const at of [...ends, ...next.keys()]) for (const to of next.get(at)!) if (!gone.has(key(at, to))) follow(at, to);
  return chains;
}

/** A line along the sides of squares without its stairs: through the middles of the sides, the ends kept. */
function unstepped(line: readonly Point[]): Point[] {
  const middles = line.slice(1).map(([x, y], i): Point => [(x + line[i]![0]) / 2, (y + line[i]![1]) / 2]);
  return [line[0]!, ...middles, line.at(-1)!];
}

/** Fewer points, none further from the line than the tolerance (Ramer, Douglas and Peucker). */
function straightened(line: readonly Point[], tolerance: number): Point[] {
  const a = line[0]!;
  const b = line.at(-1)!;
  let [worst, at] = [0, 0];
  for (let i = 1; i < line.length - 1; i++) {
    const d = distanceToEdge(a, b, line[i]!);
    if (d > worst) [worst, at] = [d, i];
  }
  if (worst <= tolerance) return [a, b];
  return [...straightened(line.slice(0, at + 1), tolerance), ...straightened(line.slice(at), tolerance).slice(1)];
}
