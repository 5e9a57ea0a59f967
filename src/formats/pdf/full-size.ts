import type { PDFDocument } from 'pdf-lib';
import { Page, PAPERS, type Paper, type Point } from './page';
import { codedSquare } from './square-code';
import { frame, MARGIN, tilesFor } from './tiles';

/** Room below the drawing for the square and the writing, mm. */
const FOOT = 64;

/** A drawing at full size with what is written to it: on one sheet of the paper where it has room, else on as many as it takes. */
export async function atFullSize(
  document: PDFDocument,
  {
    width,
    height,
    draw,
    title,
    words,
    boxes = [],
    code,
  }: {
    /** Of the drawing, mm. */
    width: number;
    height: number;
    /** Draws it with its upper left corner at a place of the sheet. */
    draw: (page: Page, at: Point) => void;
    title: string;
    words: string;
    /** Each with a box to tick. */
    boxes?: readonly string[];
    /** Address that the code of the print leads to. */
    code?: string | undefined;
  },
  paper: Paper,
): Promise<void> {
  const [paperWidth, paperHeight] = PAPERS[paper];
  const key = (page: Page, top: number) => {
    codedSquare(page, [MARGIN, top], code);
    page.text(title, [MARGIN + 58, top + 6], { size: 5.5, bold: true });
    const below = page.paragraph(words, [MARGIN + 58, top + 14], page.width - 2 * MARGIN - 60);
    tickBoxes(page, boxes, below + 2);
  };
  if (width + 2 * MARGIN <= paperWidth && height + 2 * MARGIN + FOOT <= paperHeight) {
    const page = await Page.add(document, paperWidth, paperHeight);
    draw(page, [(paperWidth - width) / 2, MARGIN]);
    return key(page, paperHeight - MARGIN - 52);
  }
  const tiles = tilesFor({ width, height }, paper);
  for (let row = 0; row < tiles.rows; row++)
    for (let column = 0; column < tiles.columns; column++) {
      const page = await Page.add(document, paperWidth, paperHeight);
      page.clipped([MARGIN, MARGIN], [paperWidth - 2 * MARGIN, paperHeight - 2 * MARGIN], () =>
        draw(page, tiles.shiftOf(row, column)),
      );
      frame(page, tiles, row, column);
      page.text(title, [MARGIN + 4, paperHeight - 4], { size: 3 });
    }
  return key(await Page.add(document, paperWidth, paperHeight), 2 * MARGIN);
}

/** Sides of a box to tick, and what one takes across with its number, mm. */
const BOX = 4.5;
const BOX_WIDTH = 13;

/** Boxes in rows, as many as the page has room for. */
function tickBoxes(page: Page, boxes: readonly string[], top: number): void {
  const left = MARGIN + 58;
  const across = Math.max(1, Math.floor((page.width - MARGIN - left) / BOX_WIDTH));
  boxes.forEach((name, i) => {
    const [x, y] = [left + (i % across) * BOX_WIDTH, top + Math.floor(i / across) * (BOX + 2)];
    if (y + BOX > page.height - 5) return;
    page.outline([[x, y], [x + BOX, y], [x + BOX, y + BOX], [x, y + BOX]], { weight: 0.25 }); // prettier-ignore
    page.text(name, [x + BOX + 1, y + BOX - 1], { size: 3 });
  });
}
