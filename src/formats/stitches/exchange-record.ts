/**
 * One move of the three-byte exchange format. Each of the 24 bits adds a fixed distance, in tenths of a millimetre; two bits are
 * always set, and two say what the move is.
 */
const X_BITS: [byte: number, bit: number, tenths: number][] = [
  [0, 0, 1], [0, 1, -1], [0, 2, 9], [0, 3, -9],
  [1, 0, 3], [1, 1, -3], [1, 2, 27], [1, 3, -27],
  [2, 2, 81], [2, 3, -81],
]; // prettier-ignore
const Y_BITS: [byte: number, bit: number, tenths: number][] = [
  [0, 7, 1], [0, 6, -1], [0, 5, 9], [0, 4, -9],
  [1, 7, 3], [1, 6, -3], [1, 5, 27], [1, 4, -27],
  [2, 5, 81], [2, 4, -81],
]; // prettier-ignore

/** Longest move along one axis, tenths of a millimetre: 1 + 3 + 9 + 27 + 81. */
export const LONGEST_MOVE = 121;
/** The two bits of the last byte that are always set. */
const ALWAYS = 0b11;
const JUMP_BIT = 0b1000_0000;
const COLOUR_BITS = 0b1100_0000;
const END = 0b1111_0011;

export type Move = 'stitch' | 'jump' | 'colour' | 'end';

/** Tables of what each byte adds, so that reading is three additions an axis. */
const xOf = [0, 1, 2].map((byte) => sums(X_BITS, byte));
const yOf = [0, 1, 2].map((byte) => sums(Y_BITS, byte));

function sums(bits: typeof X_BITS, byte: number): Int16Array {
  return Int16Array.from({ length: 256 }, (_, value) =>
    bits.reduce((sum, [of, bit, tenths]) => (of === byte && value & (1 << bit) ? sum + tenths : sum), 0),
  );
}

/** Tenths of a millimetre to the right. */
export function moveX(a: number, b: number, c: number): number {
  return xOf[0]![a]! + xOf[1]![b]! + xOf[2]![c]!;
}

/** Tenths of a millimetre upward. */
export function moveY(a: number, b: number, c: number): number {
  return yOf[0]![a]! + yOf[1]![b]! + yOf[2]![c]!;
}

/** What a move is; undefined when the bytes are none. */
export function moveKind(c: number): Move | undefined {
  if ((c & ALWAYS) !== ALWAYS) return undefined;
  if ((c & END) === END) return 'end';
  if ((c & COLOUR_BITS) === COLOUR_BITS) return 'colour';
  return (c & JUMP_BIT) === JUMP_BIT ? 'jump' : (c & COLOUR_BITS) === 0 ? 'stitch' : undefined;
}

/** Bytes of a move, each distance in balanced ternary. @param dx tenths, at most 121 either way @param dy the same */
export function writeMove(dx: number, dy: number, kind: Move): [number, number, number] {
  const bytes: [number, number, number] = [0, 0, kind === 'end' ? END : ALWAYS];
  if (kind === 'jump') bytes[2] |= JUMP_BIT;
  if (kind === 'colour') bytes[2] |= COLOUR_BITS;
  for (const [bits, distance] of [
    [X_BITS, dx],
    [Y_BITS, dy],
  ] as const) {
    let rest = distance;
    for (const step of [81, 27, 9, 3, 1]) {
      // What the smaller steps together cannot reach needs this one.
      const reach = (step - 1) / 2;
      const sign = rest > reach ? 1 : rest < -reach ? -1 : 0;
      if (sign === 0) continue;
      const [byte, bit] = bits.find(([, , tenths]) => tenths === sign * step)!;
      bytes[byte as 0 | 1 | 2] |= 1 << bit;
      rest -= sign * step;
    }
  }
  return bytes;
}
