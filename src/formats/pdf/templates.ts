import { InputError } from '../../core/input-error';
import { frame, MARGIN, OVERLAP, tilesFor } from './tiles';
import type { PDFDocument } from 'pdf-lib';
import { hasPoint, MARK_WORDS, markLines, type Mark } from '../../core/pieces';
import { innermost, bounds, isInside, type Box, type Outline, type Point } from '../../core/shape';
import { grainEnds, grainWords, type WrittenPiece } from '../dxf/write-dxf';
import { newDocument, Page, type Paper } from './page';
import { codedSquare } from './square-code';

/** A piece that is printed at full size. */
export interface Template extends Omit<WrittenPiece, 'count'> {
  /** Which layer or cloth it is for. */
  material: string;
  /** How many are cut, and which way up: “16, half of them face down”. */
  words: string;
  /** Either side of it may lie up; otherwise the side that is printed. */
  either?: boolean;
  /** Address that the code on it leads to. */
  code?: string;
  /** Lengths by which the finished piece is held against it, numbered in this order. */
  lengths?: readonly { from: Point; to: Point; path?: readonly Point[]; words: string }[];
}

/** Room for the test square and the writing on a sheet that is made for one piece, mm. */
const FOOT = 70;

/**
 * Templates at full size, tiled over sheets that overlap by 10 mm with marks to lay them on each other, or each on a sheet of its own
 * size. Every template carries the 50 mm square, its name, layer, grain and which side lies up.
 */
export async function templates(title: string, pieces: readonly Template[], paper: Paper | 'single'): Promise<Uint8Array> {
  const sheets = paper === 'single' ? pieces.length : pieces.reduce((sum, piece) => sum + sheetsOf(piece, paper), 0);
  if (sheets > MOST_SHEETS)
    throw new InputError(
      'paper',
      `would take ${sheets} sheets, and at most ${MOST_SHEETS} are printed at once; take larger paper, one sheet for each piece, or fewer pieces`,
    );
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
  codedSquare(page, [MARGIN, height + 2 * MARGIN + 5], piece.code);
  label(page, piece, [MARGIN + 58, height + 2 * MARGIN + 12]);
}

/** More sheets than this are not printed at home in one go. */
const MOST_SHEETS = 300;

/** How a piece is laid on sheets: upright or turned by a quarter, whichever takes fewer. */
function tiling(piece: Template, paper: Paper) {
  const upright = toPaper(piece, false);
  // Turning by a quarter on paper mirrors nothing: x and y change places while y also changes its sign.
  const turned = toPaper(piece, true);
  const [a, b] = [tilesFor(upright, paper), tilesFor(turned, paper)];
  return b.columns * b.rows < a.columns * a.rows ? { ...b, put: turned.put } : { ...a, put: upright.put };
}

function sheetsOf(piece: Template, paper: Paper): number {
  const { columns, rows } = tiling(piece, paper);
  return columns * rows;
}

async function tiled(document: PDFDocument, piece: Template, paper: Paper): Promise<void> {
  const { put, ...tiles } = tiling(piece, paper);
  const { paperWidth, paperHeight, columns, rows } = tiles;
  const shiftOf = (row: number, column: number): Point => [...tiles.shiftOf(row, column)];
  let keyed = false;
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const page = await Page.add(document, paperWidth, paperHeight);
      const shift = shiftOf(row, column);
      page.clipped([MARGIN, MARGIN], [paperWidth - 2 * MARGIN, paperHeight - 2 * MARGIN], () =>
        draw(page, piece, (p) => plus(put(p), shift)),
      );
      frame(page, tiles, row, column);
      const at = keyed
        ? undefined
        : freePlace(page, piece, (p) => plus(put(p), shift), [paperWidth, paperHeight], rows * columns > 1);
      if (at) {
        key(page, piece, at);
        keyed = true;
      } else page.text(`${piece.name}, ${piece.material}`, [MARGIN + 4, paperHeight - 4], { size: 3 });
    }
  }
  // Nowhere on the sheets is room for it: it has one of its own.
  if (!keyed) {
    const page = await Page.add(document, paperWidth, paperHeight);
    key(page, piece, below([MARGIN + 4, MARGIN + 4]));
  }
}

/** Where the test square stands, and the writing that belongs to the piece: below it or beside it. */
interface KeyPlace {
  square: Point;
  words: Point;
}

function key(page: Page, piece: Template, { square, words }: KeyPlace): void {
  codedSquare(page, square, piece.code);
  label(page, piece, words);
}

/** Side of the test square, how far what is drawn stays away from square and writing, and the steps in which a place is looked for, mm. */
const SQUARE = 50;
const CLEAR = 2;
const STEP = 3;

const below = ([x, y]: Point): KeyPlace => ({ square: [x, y], words: [x, y + SQUARE + 8] });
const beside = ([x, y]: Point): KeyPlace => ({ square: [x, y], words: [x + SQUARE + 4, y + 5] });

/** The place on a sheet, nearest to one of its corners, where square and writing lie on no line and on nothing that is written; none where there is no such place. */
function freePlace(
  page: Page,
  piece: Template,
  put: (p: Point) => Point,
  [width, height]: Point,
  tiles: boolean,
): KeyPlace | undefined {
  const written = labelHeight(page, piece);
  const lines = drawnLines(piece, put);
  // The strips along the edges belong to the next sheet too, with their crosses.
  const edge = MARGIN + 2 + (tiles ? OVERLAP : 0);
  for (const [place, wide, tall] of [
    [below, Math.max(SQUARE, LABEL_WIDTH), SQUARE + 8 + written],
    [beside, SQUARE + 4 + LABEL_WIDTH, Math.max(SQUARE, written)],
  ] as const) {
    const places: { at: Point; far: number }[] = [];
    for (let x = edge; x + wide <= width - edge; x += STEP)
      for (let y = edge; y + tall <= height - edge; y += STEP)
        places.push({ at: [x, y], far: Math.min(x, width - wide - x) + Math.min(y, height - tall - y) });
    places.sort((p, q) => p.far - q.far);
    const isFree = ([x, y]: Point) =>
      !lines.some(([a, b]) =>
        crossesBox(a, b, { minX: x - CLEAR, minY: y - CLEAR, maxX: x + wide + CLEAR, maxY: y + tall + CLEAR }),
      );
    const found = places.find(({ at }) => isFree(at));
    if (found) return place(found.at);
  }
  return undefined;
}

/** Where the words of a mark stand. */
const writtenAt = ({ kind, at, to }: Mark): Point => (hasPoint(kind) && to) || at;

/** Everything that is drawn of a piece, as straight lines; what is written counts as the box round it. */
function drawnLines(piece: Template, put: (p: Point) => Point): [Point, Point][] {
  const closed = (line: Outline) => line.map((p, i): [Point, Point] => [put(p), put(line[(i + 1) % line.length]!)]);
  const written = piece.marks.map((mark): [Point, Point] => {
    const [x, y] = put(writtenAt(mark));
    return [[x - 3, y], [x + MARK_ROOM, y - 3]]; // prettier-ignore
  });
  const grain = piece.grain === null ? [] : [grainEnds(piece, piece.grain).map(put) as [Point, Point]];
  const { at, centre } = nameAt(piece, put);
  const name: [Point, Point] = [[at[0] - (centre ? NAME_ROOM : 0), at[1]], [at[0] + (centre ? 1 : 2) * NAME_ROOM, at[1]]]; // prettier-ignore
  return [
    ...[piece.outline, ...piece.holes, ...piece.seam].flatMap(closed),
    ...piece.marks.flatMap((mark) =>
      markLines(mark).flatMap((line) => line.slice(1).map((p, i): [Point, Point] => [put(line[i]!), put(p)])),
    ),
    ...(piece.lengths ?? []).flatMap(({ from, to, path }): [Point, Point][] => (path ? [] : [[put(from), put(to)]])),
    ...written,
    ...grain,
    name,
  ];
}

/** Room that the words of a mark take to the right of it, and half of what a name takes, mm. */
const MARK_ROOM = 26;
const NAME_ROOM = 30;

/** Whether a straight line runs through a box or ends in it. */
function crossesBox(a: Point, b: Point, { minX, minY, maxX, maxY }: Box): boolean {
  // The stretch of the line that lies between the box's sides, cut by each pair of them in turn.
  let [from, to] = [0, 1];
  for (const [p, d, low, high] of [
    [a[0], b[0] - a[0], minX, maxX],
    [a[1], b[1] - a[1], minY, maxY],
  ] as const) {
    if (d === 0) {
      if (p < low || p > high) return false;
      continue;
    }
    const [t, u] = [(low - p) / d, (high - p) / d];
    from = Math.max(from, Math.min(t, u));
    to = Math.min(to, Math.max(t, u));
    if (from > to) return false;
  }
  return true;
}

/** Where the name of a piece stands: in its middle, or below a slanting grain arrow, where there is room; where that is no cloth, beside the arrow. */
function nameAt(piece: Template, put: (p: Point) => Point): { at: Point; centre: boolean } {
  const outline = piece.outline.map(put);
  const { minX, maxX, minY, maxY } = bounds(outline);
  const ends = piece.grain === null ? undefined : (grainEnds(piece, piece.grain).map(put) as [Point, Point]);
  const below = ends ? Math.max(ends[0][1], ends[1][1]) + 9 : 0;
  const slants = ends !== undefined && Math.abs(ends[0][0] - ends[1][0]) > 2;
  const at: Point = [(minX + maxX) / 2, slants && below < maxY - 4 ? below : (minY + maxY) / 2 - 8];
  const holes = piece.holes.map((hole) => hole.map(put));
  // All of the name has to lie on cloth, not its middle alone.
  const half = Math.min(NAME_ROOM, 1.4 * piece.name.length);
  const onCloth = ([x, y]: Point) =>
    [-half, 0, half].every((dx) => isInside([x + dx, y], outline) && !holes.some((hole) => isInside([x + dx, y], hole)));
  if (onCloth(at)) return { at, centre: true };
  const { at: within } = innermost(outline, holes);
  if (onCloth(within) || !ends) return { at: within, centre: true };
  return { at: [(ends[0][0] + ends[1][0]) / 2 + 4, (ends[0][1] + ends[1][1]) / 2 - 2], centre: false };
}

function draw(page: Page, piece: Template, put: (p: Point) => Point): void {
  page.outline(piece.outline.map(put), { weight: 0.5 });
  for (const hole of piece.holes) page.outline(hole.map(put), { weight: 0.5 });
  for (const seam of piece.seam) page.outline(seam.map(put), { weight: 0.25, dash: [3, 2] });
  if (piece.grain !== null) {
    const [from, to] = grainEnds(piece, piece.grain).map(put) as [Point, Point];
    arrow(page, from, to, piece.oneWay);
    page.text(grainWords(piece), [to[0] + 3, to[1] + 4], { size: 3.6, bold: true });
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
    const [x, y] = put(writtenAt(mark));
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
    // A dart is sewn to its point, a slash cut to it; of what is drawn as lines nothing else needs a cross.
    const crossed = hasPoint(kind) || !mark.to;
    if (crossed) page.line([x - 2, y - 2], [x + 2, y + 2], { weight: 0.3 });
    if (crossed) page.line([x - 2, y + 2], [x + 2, y - 2], { weight: 0.3 });
    if (kind !== 'drill') page.text(MARK_WORDS[kind], [x + 3, y - 1.2], { size: 3.2 });
  }
  (piece.lengths ?? []).forEach(({ from, to, path, words }, i) => {
    // A curved edge is drawn by the outline itself; its number stands at its middle.
    const middle = path && put(path[Math.floor(path.length / 2)]!);
    if (middle) return page.text(`${i + 1}  ${words}`, [middle[0] + 2, middle[1] - 1.5], { size: 3.6, bold: true });
    const [a, b] = [put(from), put(to)];
    page.line(a, b, { weight: 0.35, dash: [5, 2] });
    // A fifth of the way along, where the lines do not cross yet.
    page.text(`${i + 1}  ${words}`, [a[0] + (b[0] - a[0]) * 0.2 + 2, a[1] + (b[1] - a[1]) * 0.2 - 1.5], {
      size: 3.6,
      bold: true,
    });
    return undefined;
  });
  const name = nameAt(piece, put);
  page.text(piece.name, name.at, { size: 5, bold: true, centre: name.centre });
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

/** What is written below the square, with the size of each. */
function labelWords(piece: Template): [words: string, size: number][] {
  const checked = piece.lengths ? ' Long dashes: lengths to read. Within 1 mm or 0.5 % it is right.' : '';
  return [
    [piece.material, 3.6],
    [piece.words, 3.6],
    ...(piece.grain === null ? [] : ([[`${grainWords(piece)}: the arrow lies along the selvedge.`, 3.6]] as [string, number][])),
    [`${piece.either ? 'Either side up' : 'This side up'}. Full line: cut. Dashed: seam.${checked}`, 3],
  ];
}

function label(page: Page, piece: Template, [x, y]: Point): void {
  page.text(piece.name, [x, y], { size: 5, bold: true });
  labelWords(piece).reduce((at, [words, size]) => page.paragraph(words, [x, at], LABEL_WIDTH, size) + 0.5, y + 6);
}

function labelHeight(page: Page, piece: Template): number {
  return labelWords(piece).reduce((sum, [words, size]) => sum + page.heightOf(words, LABEL_WIDTH, size) + 0.5, 6);
}

function plus(a: Point, b: Point): Point {
  return [a[0] + b[0], a[1] + b[1]];
}
