/**
 * Solves a small system of linear equations by elimination with pivots; undefined where it has no one answer.
 *
 * @param rows each with its right side last; they are changed
 * @example solved([[2, 0, 4], [0, 3, 9]]) // [2, 3]
 */
export function solved(rows: number[][]): number[] | undefined {
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(rows[r]![i]!) > Math.abs(rows[pivot]![i]!)) pivot = r;
    if (!(Math.abs(rows[pivot]![i]!) > 1e-14)) return undefined;
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    for (let r = i + 1; r < n; r++) {
      const factor = rows[r]![i]! / rows[i]![i]!;
      for (let c = i; c <= n; c++) rows[r]![c]! -= factor * rows[i]![c]!;
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let rest = rows[i]![n]!;
    for (let c = i + 1; c < n; c++) rest -= rows[i]![c]! * x[c]!;
    x[i] = rest / rows[i]![i]!;
  }
  return x;
}

/**
 * The answer of more equations than unknowns that leaves the least squares (normal equations).
 *
 * @param equations each the factors of the unknowns, its right side last
 * @example leastSquares([[1, 1], [1, 3]]) // [2]
 */
export function leastSquares(equations: readonly (readonly number[])[]): number[] | undefined {
  const n = (equations[0]?.length ?? 1) - 1;
  const rows = Array.from({ length: n }, () => new Array<number>(n + 1).fill(0));
  for (const equation of equations)
    for (let i = 0; i < n; i++) for (let j = 0; j <= n; j++) rows[i]![j]! += equation[i]! * equation[j]!;
  return solved(rows);
}

/** Step of a numeric derivative as a share of the unknown, and the least. */
const STEP = 1e-6;
const ROUNDS = 60;

/**
 * Unknowns that leave the least squares of some differences: Levenberg and Marquardt's way, with numeric derivatives.
 *
 * @param differences what is left over for some unknowns; always as many
 * @example fitted(([x]) => [x - 3], [0])[0].toFixed(3) // '3.000'
 */
export function fitted(differences: (unknowns: readonly number[]) => number[], start: readonly number[]): number[] {
  let at = [...start];
  let left = differences(at);
  let sum = squares(left);
  let damping = 1e-3;
  for (let round = 0; round < ROUNDS; round++) {
    const columns = at.map((value, k) => {
      const step = STEP * Math.max(1, Math.abs(value));
      const moved = [...at];
      moved[k] = value + step;
      return differences(moved).map((each, i) => (each - left[i]!) / step);
    });
    const before = sum;
    for (let tries = 0; tries < 10; tries++) {
      const rows = columns.map((a, i) => [
        ...columns.map((b, j) => dot(a, b) * (i === j ? 1 + damping : 1) + (i === j ? 1e-15 : 0)),
        -dot(a, left),
      ]);
      const step = solved(rows);
      const next = step && at.map((value, i) => value + step[i]!);
      const found = next && differences(next);
      if (found && squares(found) < sum) {
        [at, left, sum] = [next, found, squares(found)];
        damping = Math.max(1e-12, damping / 5);
        break;
      }
      damping *= 6;
    }
    if (!(before - sum > 1e-12 * before)) break;
  }
  return at;
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, value, i) => sum + value * b[i]!, 0);
const squares = (all: readonly number[]) => dot(all, all);
