/** Rows are tried shifted by so many steps against the end of the strip; of many pieces fewer, as one row more or less hardly tells. */
const SHIFTS = 8;
const FEW_SHIFTS = 2;
const MANY = 60;
/** Rounding, mm. */
const EPSILON = 1e-6;

/**
 * Length of a strip that equal rectangles take when all of them lie in the same turn: rows that run along one of their sides, pieces of
 * one row beside each other. What a hand would lay; a search may do better.
 *
 * @param width mm @param height mm @param count how many @param strip width of the strip, mm
 * @param gap between pieces, mm @param turn of the pieces against the strip, degrees
 * @returns mm; undefined where the strip is too narrow for one
 * @example latticeLength(388, 88, 4, 880, 3, 0) // 179
 */
export function latticeLength(
  width: number,
  height: number,
  count: number,
  strip: number,
  gap: number,
  turn: number,
): number | undefined {
  const quarter = ((turn % 180) + 180) % 180;
  const swap = quarter > 45 && quarter <= 135;
  // Mirrored, a lattice leans the other way and is as long: angles of 0 to 45° are all that there is.
  const lean = (Math.abs(swap ? quarter - 90 : quarter > 135 ? 180 - quarter : quarter) * Math.PI) / 180;
  const [w, h] = swap ? [height, width] : [width, height];
  if (lean < EPSILON) return upright(w, h, count, strip, gap);
  const rows = leaningRows(w, h, count, strip, gap, Math.sin(lean), Math.cos(lean));
  // Columns are the rows of the mirror image, with the sides of the rectangle swapped and the lean taken from the other axis.
  const columns = leaningRows(h, w, count, strip, gap, Math.cos(lean), Math.sin(lean));
  const best = Math.min(rows, columns, zigzag(w, h, count, strip, gap, Math.sin(lean), Math.cos(lean)));
  return Number.isFinite(best) ? best : undefined;
}

function upright(width: number, height: number, count: number, strip: number, gap: number): number | undefined {
  const perRow = Math.floor((strip + gap + EPSILON) / (width + gap));
  if (perRow < 1) return undefined;
  const full = Math.ceil(count / perRow);
  return full * height + (full - 1) * gap;
}

/**
 * Two leaning columns at the edges of the strip, one piece left, the next right: each as low as it comes beside the one before, which it
 * touches along one side without standing in a row with it. Wide pieces lie so.
 */
function zigzag(w: number, h: number, count: number, strip: number, gap: number, sin: number, cos: number): number {
  const apart = strip - (w * cos + h * sin);
  if (apart < -EPSILON) return Infinity;
  // To the right it has to clear the one before along u, to the left along v; two of one column clear each other either way.
  const right = Math.max(0, (w + gap - apart * cos) / sin);
  const left = Math.max(0, (h + gap - apart * sin) / cos);
  const both = Math.max(right + left, Math.min((w + gap) / sin, (h + gap) / cos));
  return w * sin + h * cos + Math.floor((count - 1) / 2) * both + ((count - 1) % 2) * Math.min(left, right);
}

/**
 * Rows along u of a strip 0 ≤ x ≤ W with x = u cos − v sin and y = u sin + v cos: of all places of the lattice that lie in the strip, those
 * that end lowest are taken.
 */
function leaningRows(w: number, h: number, count: number, strip: number, gap: number, sin: number, cos: number): number {
  if (w * cos + h * sin > strip + EPSILON) return Infinity;
  const shifts = count > MANY ? FEW_SHIFTS : SHIFTS;
  let best = Infinity;
  for (let k = 0; k < shifts; k++) best = Math.min(best, endOf(w, h, count, strip, gap, sin, cos, (k / shifts) * (h + gap)));
  return best;
}

function endOf(w: number, h: number, count: number, strip: number, gap: number, sin: number, cos: number, shift: number): number {
  const ends: number[] = [];
  // The lowest row that reaches into the strip has its upper right corner at x = W, y ≥ 0.
  const lowest = -strip * sin;
  let enough = Infinity;
  for (let row = Math.floor((lowest - shift) / (h + gap)); ; row++) {
    const v = shift + row * (h + gap);
    let u = Math.max(((v + h) * sin) / cos, (-v * cos) / sin);
    const last = (strip + v * sin) / cos - w + EPSILON;
    if (u * sin + v * cos + w * sin + h * cos > enough && v > 0) break;
    for (let n = 0; u <= last && n < count; n++, u += w + gap) ends.push((u + w) * sin + (v + h) * cos);
    if (ends.length >= count) {
      ends.sort((a, b) => a - b);
      ends.length = count;
      enough = ends[count - 1]!;
    }
  }
  return enough;
}
