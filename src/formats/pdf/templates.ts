import type { PDFDocument } from 'pdf-lib';
import { MARK_WORDS, markLines } from '../../core/pieces';
import { bounds, type Outline, type Point } from '../../core/shape';
import { grainEnds, grainWords, type WrittenPiece } from '../dxf/write-dxf';
import { newDocument, Page, PAPERS, type Paper } from './page';

/** A piece that is printed at full size. */
export interface Template extends Omit<WrittenPiece, 'count'> {
  /** Which layer or cloth it is for. */
  material: string;
  /** How many are cut, and which way up: “16, half of them face down”. */
  words: string;
  /** Lengths by which the finished piece is held against it, numbered in this order. */
  lengths?: readonly { from: Point; to: Point; words: string }[];
}

/** Kept free by printers, and what neighbouring sheets share, mm. */
const MARGIN = 10;
const OVERLAP = 10;
/** Room for the test square and the writing on a sheet that is made for one piece, mm. */
const FOOT = 70;

/**
 * Templates at full size, tiled over sheets that overlap by 10 mm with marks to lay them on each other, or each on a sheet of its own
 * size. Every template carries the 50 mm square, its name, layer, grain and which side lies up.
 */
export async function templates(title: string, pieces: readonly Template[], paper: Paper | 'single'): Promise<Uint8Array> {
  const document = await newDocument(title);
  for (const piece of pieces) {
    if (paper === 'single') await onOneSheet(document, piece);
    else await tiled(document, piece, paper);
  }
  return document.save();
}

/** From the piece to paper: moved to the origin, y down. */
function toPaper(piece: Template, turned: boolean): { put: (p: Point) => Point; width: number; height: number } {
  const { minX, minY, maxX, maxY } = bounds(piece.outline);
  if (turned) return { put: ([x, y]) => [y - minY, x - minX], width: maxY - minY, height: maxX - minX };
  return { put: ([x, y]) => [x - minX, maxY - y], width: maxX - minX, height: maxY - minY };
}

async function onOneSheet(document: PDFDocument, piece: Template): Promise<void> {
  const { put, width, height } = toPaper(piece, false);
  const page = await Page.add(document, Math.max(width, 160) + 2 * MARGIN, height + 2 * MARGIN + FOOT);
  draw(page, piece, (p) => plus(put(p), [MARGIN, MARGIN]));
  page.testSquare([MARGIN, height + 2 * MARGIN + 5]);
  label(page, piece, [MARGIN + 58, height + 2 * MARGIN + 12]);
}

async function tiled(document: PDFDocument, piece: Template, paper: Paper): Promise<void> {
  const [paperWidth, paperHeight] = PAPERS[paper];
  const [stepX, stepY] = [paperWidth - 2 * MARGIN - OVERLAP, paperHeight - 2 * MARGIN - OVERLAP];
  const sheets = (width: number, height: number) =>
    [Math.max(1, Math.ceil((width - OVERLAP) / stepX)), Math.max(1, Math.ceil((height - OVERLAP) / stepY))] as [number, number];
  const upright = toPaper(piece, false);
  // Turning by a quarter on paper mirrors nothing: x and y change places while y also changes its sign.
  const turned = toPaper(piece, true);
  const [a, b] = [sheets(upright.width, upright.height), sheets(turned.width, turned.height)];
  const { put } = b[0] * b[1] < a[0] * a[1] ? turned : upright;
  const [columns, rows] = b[0] * b[1] < a[0] * a[1] ? b : a;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const page = await Page.add(document, paperWidth, paperHeight);
      const shift: Point = [MARGIN - column * stepX, MARGIN - row * stepY];
      page.clipped([MARGIN, MARGIN], [paperWidth - 2 * MARGIN, paperHeight - 2 * MARGIN], () =>
        draw(page, piece, (p) => plus(put(p), shift)),
      );
      frame(page, { row, column, rows, columns }, paperWidth, paperHeight);
      if (row === 0 && column === 0) {
        const at = freeCorner(
          piece.outline.map((p) => plus(put(p), shift)),
          paperWidth,
          paperHeight,
        );
        page.testSquare(at);
        label(page, piece, [at[0], at[1] + 58]);
      } else {
        page.text(`${piece.name}, ${piece.material}`, [MARGIN + 4, paperHeight - 4], { size: 3 });
      }
    }
  }
}

/** The corner of the sheet where the square lies on the fewest lines. */
function freeCorner(outline: Outline, width: number, height: number): Point {
  const corners: Point[] = [
    [width - MARGIN - 54, MARGIN + 4],
    [MARGIN + 4, MARGIN + 4],
    [width - MARGIN - 54, height - MARGIN - 78],
    [MARGIN + 4, height - MARGIN - 78],
  ];
  const crossed = ([x, y]: Point) =>
    outline.filter((a, i) => {
      const b = outline[(i + 1) % outline.length]!;
      const inBox = ([px, py]: Point) => px > x - 2 && px < x + 56 && py > y - 2 && py < y + 80;
      return inBox(a) || inBox(b) || inBox([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
    }).length;
  return corners.reduce((best, corner) => (crossed(corner) < crossed(best) ? corner : best));
}

function draw(page: Page, piece: Template, put: (p: Point) => Point): void {
  const { minX, minY, maxX, maxY } = bounds(piece.outline.map(put));
  let nameAt = (minY + maxY) / 2 - 8;
  page.outline(piece.outline.map(put), { weight: 0.5 });
  for (const hole of piece.holes) page.outline(hole.map(put), { weight: 0.5 });
  for (const seam of piece.seam) page.outline(seam.map(put), { weight: 0.25, dash: [3, 2] });
  if (piece.grain !== null) {
    const [from, to] = grainEnds(piece.outline, piece.grain).map(put) as [Point, Point];
    arrow(page, from, to, piece.oneWay);
    page.text(grainWords(piece), [to[0] + 3, to[1] + 4], { size: 3.6, bold: true });
    // A slanting arrow crosses the middle: the name goes below it, where there is room.
    const below = Math.max(from[1], to[1]) + 9;
    if (Math.abs(from[0] - to[0]) > 2 && below < maxY - 4) nameAt = below;
  }
  if (piece.fold) {
    const fold = piece.fold.map(put) as [Point, Point];
    page.line(fold[0], fold.at(-1)!, { weight: 0.6, dash: [8, 2, 1.5, 2] });
    page.text('Lay this edge at the fold', [fold[0][0] + 3, (fold[0][1] + fold[1][1]) / 2 + 30], {
      size: 3.6,
      bold: true,
      turn: 90,
    });
  }
  for (const mark of piece.marks) {
    const { kind } = mark;
    // A dart is sewn to its point; of what is drawn as lines nothing else needs a cross.
    const [x, y] = put((kind === 'dart' && mark.to) || mark.at);
    for (const line of markLines(mark)) {
      const points = line.map(put);
      const dash = kind === 'fold-line' ? { dash: [6, 2] } : {};
      points.slice(1).forEach((b, i) => page.line(points[i]!, b, { weight: 0.3, ...dash }));
    }
    if (kind === 'notch') {
      page.line([x - 2.5, y], [x + 2.5, y], { weight: 0.4 });
      page.line([x, y - 2.5], [x, y + 2.5], { weight: 0.4 });
      continue;
    }
    const crossed = kind === 'dart' || !mark.to;
    if (crossed) page.line([x - 2, y - 2], [x + 2, y + 2], { weight: 0.3 });
    if (crossed) page.line([x - 2, y + 2], [x + 2, y - 2], { weight: 0.3 });
    if (kind !== 'drill') page.text(MARK_WORDS[kind], [x + 3, y - 1.2], { size: 3.2 });
  }
  (piece.lengths ?? []).forEach(({ from, to, words }, i) => {
    const [a, b] = [put(from), put(to)];
    page.line(a, b, { weight: 0.35, dash: [5, 2] });
    // A fifth of the way along, where the lines do not cross yet.
    page.text(`${i + 1}  ${words}`, [a[0] + (b[0] - a[0]) * 0.2 + 2, a[1] + (b[1] - a[1]) * 0.2 - 1.5], {
      size: 3.6,
      bold: true,
    });
  });
  page.text(piece.name, [(minX + maxX) / 2, nameAt], { size: 5, bold: true, centre: true });
}

function arrow(page: Page, a: Point, b: Point, oneWay: boolean): void {
  page.line(a, b, { weight: 0.4 });
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const d: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  for (const [tip, side] of [[b, 1], ...(oneWay ? [] : [[a, -1] as const])] as const) {
    for (const turn of [1, -1]) {
      const back: Point = [tip[0] - side * 4 * d[0] - turn * 2 * d[1], tip[1] - side * 4 * d[1] + turn * 2 * d[0]];
      page.line(tip, back, { weight: 0.4 });
    }
  }
}

/** As wide as the square above it, so that it stays on the sheet, mm. */
const LABEL_WIDTH = 52;

function label(page: Page, piece: Template, [x, y]: Point): void {
  page.text(piece.name, [x, y], { size: 5, bold: true });
  let next = page.paragraph(piece.material, [x, y + 6], LABEL_WIDTH, 3.6);
  next = page.paragraph(piece.words, [x, next + 0.5], LABEL_WIDTH, 3.6);
  if (piece.grain !== null)
    next = page.paragraph(`${grainWords(piece)}: the arrow lies along the selvedge.`, [x, next + 0.5], LABEL_WIDTH, 3.6);
  const checked = piece.lengths ? ' Long dashes: lengths to read. Within 1 mm or 0.5 % it is right.' : '';
  page.paragraph(`This side up. Full line: cut. Dashed: seam.${checked}`, [x, next + 0.5], LABEL_WIDTH, 3);
}

/** Edges where the next sheet is laid on, with its number, and the sheet's own. */
function frame(
  page: Page,
  { row, column, rows, columns }: { row: number; column: number; rows: number; columns: number },
  width: number,
  height: number,
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

function plus(a: Point, b: Point): Point {
  return [a[0] + b[0], a[1] + b[1]];
}
