import { create } from 'qrcode';
import type { Page, Point } from './page';

/** Draws a code that is read by a camera, with a quiet border of four fields around it. @param side of the whole, mm */
export function squareCode(page: Page, text: string, [x, y]: Point, side: number): void {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const field = side / (size + 2 * QUIET);
  for (let row = 0; row < size; row++) {
    // Dark fields beside each other are one bar, so that no hair-line of paper shows between them.
    for (let from = 0; from < size; from++) {
      if (!modules.get(row, from)) continue;
      let to = from;
      while (to + 1 < size && modules.get(row, to + 1)) to++;
      const [left, right] = [x + (QUIET + from) * field, x + (QUIET + to + 1) * field];
      const [top, bottom] = [y + (QUIET + row) * field, y + (QUIET + row + 1) * field];
      page.filled(
        [
          [left, top],
          [right, top],
          [right, bottom],
          [left, bottom],
        ],
        0,
      );
      from = to;
    }
  }
}

/** The test square, with a code inside it that leads back to what was printed. */
export function codedSquare(page: Page, at: Point, code: string | undefined): void {
  if (code === undefined) return page.testSquare(at);
  page.testSquare(at, CODE + 2.5);
  squareCode(page, code, [at[0] + (SQUARE - CODE) / 2, at[1] + 0.5], CODE);
}

/** Sides of the test square, and of the code in it, mm. */
const SQUARE = 50;
const CODE = 29;

/** Fields of paper that a reader needs round a code. */
const QUIET = 4;
