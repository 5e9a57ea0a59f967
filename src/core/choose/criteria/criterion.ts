/**
 * Clamps to 0–100.
 *
 * @example points(104) // 100
 */
export function points(value: number): number {
  return Math.max(0, Math.min(100, value));
}

/**
 * Straight line through (x0, y0) and (x1, y1), held at its ends.
 *
 * @example ramp(5, 0, 100, 10, 0) // 50
 */
export function ramp(x: number, x0: number, y0: number, x1: number, y1: number): number {
  const share = Math.max(0, Math.min(1, (x - x0) / (x1 - x0)));
  return y0 + share * (y1 - y0);
}
