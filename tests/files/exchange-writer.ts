/**
 * Writes the three-byte exchange format in another way than the application does: every bit is tried, largest first, until
 * the move is made up. For tests only; shares no code with what it tests.
 */
export type Entry = ['stitch' | 'jump' | 'colour', number, number];

const X: Record<number, [number, number]> = { 81: [2, 0x04], 27: [1, 0x04], 9: [0, 0x04], 3: [1, 0x01], 1: [0, 0x01] };
const Y: Record<number, [number, number]> = { 81: [2, 0x20], 27: [1, 0x20], 9: [0, 0x20], 3: [1, 0x80], 1: [0, 0x80] };
/** Negative distances use the neighbouring bit: above for x, below for y. */
const opposite = (mask: number, upward: boolean) => (upward ? mask << 1 : mask >> 1);

function moved(bytes: number[], distance: number, table: typeof X, isX: boolean): void {
  let rest = distance;
  for (const step of [81, 27, 9, 3, 1]) {
    const sum = (step - 1) / 2;
    const [byte, mask] = table[step]!;
    if (rest > sum) {
      bytes[byte]! |= mask;
      rest -= step;
    } else if (rest < -sum) {
      bytes[byte]! |= isX ? opposite(mask, true) : opposite(mask, false);
      rest += step;
    }
  }
  if (rest !== 0) throw new Error(`cannot move by ${distance}`);
}

/** Moves relative to one another in tenths of a millimetre, y up. */
export function exchangeFile(entries: readonly Entry[], { end = true, label = 'TEST' } = {}): Uint8Array {
  const header = new Uint8Array(512).fill(0x20);
  const text = `LA:${label.padEnd(16)}\rST:${String(entries.length).padStart(7)}\rCO:  0\r\x1a`;
  header.set(new TextEncoder().encode(text));
  const body = entries.flatMap(([kind, dx, dy]) => {
    const bytes = [0, 0, 0x03 | (kind === 'jump' ? 0x80 : kind === 'colour' ? 0xc0 : 0)];
    moved(bytes, dx, X, true);
    moved(bytes, dy, Y, false);
    return bytes;
  });
  return Uint8Array.from([...header, ...body, ...(end ? [0, 0, 0xf3] : [])]);
}

/** Entries that visit places in turn, in millimetres; long ways are travelled by jumps first. */
export function visits(places: readonly (readonly [number, number])[], from: readonly [number, number] = [0, 0]): Entry[] {
  const entries: Entry[] = [];
  let [x, y] = [Math.round(10 * from[0]), Math.round(10 * from[1])];
  for (const [px, py] of places) {
    const [tx, ty] = [Math.round(10 * px), Math.round(10 * py)];
    while (Math.max(Math.abs(tx - x), Math.abs(ty - y)) > 121) {
      const [dx, dy] = [tx - x, ty - y].map((d) => Math.max(-121, Math.min(121, d))) as [number, number];
      entries.push(['jump', dx, dy]);
      x += dx;
      y += dy;
    }
    entries.push(['stitch', tx - x, ty - y]);
    [x, y] = [tx, ty];
  }
  return entries;
}

/** Rows of a fill of a rectangle, there and back, mm. */
export function rowsOf(x: number, y: number, width: number, height: number, spacing: number, stitch: number): [number, number][] {
  const places: [number, number][] = [];
  const rows = Math.round(height / spacing);
  const steps = Math.round(width / stitch);
  for (let r = 0; r <= rows; r++)
    for (let s = 0; s <= steps; s++) places.push([x + (r % 2 === 0 ? s : steps - s) * stitch, y + r * spacing]);
  return places;
}
