/** Side of the black square of a card as it is printed, mm. */
export const MARKER = 60;
/** Fields along a side of the black square; its outer ring is black. */
export const FIELDS = 6;
/** White round the black square, fields. */
export const MARGIN_FIELDS = 1;

/** The inner 4 × 4 fields of each card, rows from the top, each from the left, 1 = white. */
const CODES: readonly string[] = [
  '1001110010100000',
  '1001000101000101',
  '0101100100011001',
  '1100110001010000',
  '1101101101001000',
  '1010101110101110',
  '1011101000110110',
  '1000001111100100',
];

/** The cards there are. */
export const CARD_IDS: readonly number[] = CODES.map((_, i) => i + 1);

/**
 * Whether a field of a card is white.
 *
 * @param row from the top @param column from the left; 0–5, the black ring included
 * @example isWhite(1, 1, 1) // true
 */
export function isWhite(id: number, row: number, column: number): boolean {
  if (row < 1 || column < 1 || row > 4 || column > 4) return false;
  return CODES[id - 1]![(row - 1) * 4 + column - 1] === '1';
}

/** A card that was read: which it is, and how often its quarter turns are to be undone. */
export interface ReadCard {
  id: number;
  /** Quarter turns, clockwise as it is seen, in which it lies. */
  turns: number;
}

/** Fields that may be read wrongly: one, since any two cards, however they are turned, differ in at least five. */
const WRONG = 1;

/**
 * Which card sixteen fields are, in whichever quarter turn.
 *
 * @param bits 4 × 4 fields as they are seen, rows from the top, true = white
 * @example readCode([...'1001110010100000'].map((bit) => bit === '1')) // { id: 1, turns: 0 }
 */
export function readCode(bits: readonly boolean[]): ReadCard | undefined {
  let best: (ReadCard & { wrong: number }) | undefined;
  for (let turns = 0; turns < 4; turns++)
    CODES.forEach((code, i) => {
      let wrong = 0;
      for (let row = 0; row < 4; row++)
        for (let column = 0; column < 4; column++) {
          const [r, c] = turned(row, column, turns);
          if (bits[r * 4 + c] !== (code[row * 4 + column] === '1')) wrong++;
        }
      if (!best || wrong < best.wrong) best = { id: i + 1, turns, wrong };
    });
  return best && best.wrong <= WRONG ? { id: best.id, turns: best.turns } : undefined;
}

/** Where a field of the card lies when it is turned clockwise. */
function turned(row: number, column: number, turns: number): [number, number] {
  let [r, c] = [row, column];
  for (let i = 0; i < turns; i++) [r, c] = [c, 3 - r];
  return [r, c];
}
