import { type Page, PAPERS, type Paper, type Point } from './page';

/** Kept free by printers, and what neighbouring sheets share, mm. */
export const MARGIN = 10;
export const OVERLAP = 10;

/** Sheets of a paper that a drawing is spread over, each sharing a strip with the next. */
export interface Tiles {
  columns: number;
  rows: number;
  paperWidth: number;
  paperHeight: number;
  /** By how much the drawing is moved on a sheet, mm. */
  shiftOf: (row: number, column: number) => Point;
}

/** How many sheets a drawing of a size takes, mm. */
export function tilesFor({ width, height }: { width: number; height: number }, paper: Paper): Tiles {
  const [paperWidth, paperHeight] = PAPERS[paper];
  const [stepX, stepY] = [paperWidth - 2 * MARGIN - OVERLAP, paperHeight - 2 * MARGIN - OVERLAP];
  return {
    columns: Math.max(1, Math.ceil((width - OVERLAP) / stepX)),
    rows: Math.max(1, Math.ceil((height - OVERLAP) / stepY)),
    ...{ paperWidth, paperHeight },
    shiftOf: (row, column) => [MARGIN - column * stepX, MARGIN - row * stepY],
  };
}

/** Edges where the next sheet is laid on, with its number, and the sheet's own. */
export function frame(
  page: Page,
  { rows, columns, paperWidth: width, paperHeight: height }: Tiles,
  row: number,
  column: number,
): void {
  const name = (r: number, c: number) => `${String.fromCharCode(65 + r)}${c + 1}`;
  const [left, top, right, bottom] = [MARGIN, MARGIN, width - MARGIN, height - MARGIN];
  const thin = { weight: 0.15, grey: true };
  page.outline(
    [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ],
    thin,
  );
  page.text(`Sheet ${name(row, column)} of ${rows * columns}`, [left + 4, top - 3], { size: 3.2 });
  if (column < columns - 1) {
    page.line([right - OVERLAP, top], [right - OVERLAP, bottom], { ...thin, dash: [2, 2] });
    mark(page, [right - OVERLAP / 2, height / 2]);
    page.text(`${name(row, column + 1)} lies on here`, [right + 4, height / 2 + 14], { size: 3, turn: 90 });
  }
  if (column > 0) mark(page, [left + OVERLAP / 2, height / 2]);
  if (row < rows - 1) {
    page.line([left, bottom - OVERLAP], [right, bottom - OVERLAP], { ...thin, dash: [2, 2] });
    mark(page, [width / 2, bottom - OVERLAP / 2]);
    page.text(`${name(row + 1, column)} lies on here`, [width / 2, bottom + 4], { size: 3, centre: true });
  }
  if (row > 0) mark(page, [width / 2, top + OVERLAP / 2]);
}

/** A cross that has to meet the one on the next sheet. */
function mark(page: Page, [x, y]: Point): void {
  page.line([x - 4, y], [x + 4, y], { weight: 0.3 });
  page.line([x, y - 4], [x, y + 4], { weight: 0.3 });
}
