import {
  clip,
  closePath,
  degrees,
  endPath,
  fill,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setDashPattern,
  setFillingColor,
  setLineWidth,
  setStrokingColor,
  stroke,
  type PDFPage,
} from 'pdf-lib';
import { Lettering } from './fonts';

/** Papers that templates are made for, mm. */
export const PAPERS = { a4: [210, 297], letter: [215.9, 279.4], a3: [297, 420] } as const;
export type Paper = keyof typeof PAPERS;

const POINTS_PER_MM = 72 / 25.4;
const BLACK = rgb(0, 0, 0);
const GREY = rgb(0.45, 0.45, 0.45);

export type Point = readonly [x: number, y: number];

interface LineLook {
  /** mm. */
  weight?: number;
  /** Drawn and left out in turn, mm. */
  dash?: number[];
  grey?: boolean;
}

/** Lines of text stand so far apart, as a share of their size. */
const LEADING = 1.35;

/** One sheet in millimetres, the origin at the top left, y downward. Everything is drawn black on white, 1:1. */
export class Page {
  private constructor(
    private readonly page: PDFPage,
    private readonly plain: Lettering,
    private readonly bold: Lettering,
    readonly width: number,
    readonly height: number,
  ) {}

  /** Adds a sheet to a document. */
  static async add(document: PDFDocument, width: number, height: number): Promise<Page> {
    const page = document.addPage([width * POINTS_PER_MM, height * POINTS_PER_MM]);
    const { plain, bold } = await letteringOf(document);
    return new Page(page, plain, bold, width, height);
  }

  private x(mm: number): number {
    return mm * POINTS_PER_MM;
  }

  private y(mm: number): number {
    return (this.height - mm) * POINTS_PER_MM;
  }

  line(from: Point, to: Point, look: LineLook = {}): void {
    this.polyline([from, to], look);
  }

  /** Straight lines from point to point, drawn as one, so that dashes run on round corners and along curves. */
  polyline(points: readonly Point[], { weight = 0.25, dash = [], grey = false }: LineLook = {}, closed = false): void {
    this.page.pushOperators(
      pushGraphicsState(),
      setLineWidth(weight * POINTS_PER_MM),
      setStrokingColor(grey ? GREY : BLACK),
      setDashPattern(
        dash.map((mm) => mm * POINTS_PER_MM),
        0,
      ),
      ...this.path(points),
      ...(closed ? [closePath()] : []),
      stroke(),
      popGraphicsState(),
    );
  }

  private path(points: readonly Point[]) {
    return points.map(([x, y], i) => (i === 0 ? moveTo : lineTo)(this.x(x), this.y(y)));
  }

  /** Draws only what lies within a rectangle. */
  clipped([x, y]: Point, [width, height]: Point, drawing: () => void): void {
    this.page.pushOperators(
      pushGraphicsState(),
      rectangle(this.x(x), this.y(y + height), width * POINTS_PER_MM, height * POINTS_PER_MM),
      clip(),
      endPath(),
    );
    drawing();
    this.page.pushOperators(popGraphicsState());
  }

  /** A closed outline that is filled in grey. */
  filled(points: readonly Point[], lightness = 0.9): void {
    this.page.pushOperators(
      pushGraphicsState(),
      setFillingColor(rgb(lightness, lightness, lightness)),
      ...this.path(points),
      closePath(),
      fill(),
      popGraphicsState(),
    );
  }

  /** A closed outline of straight lines. */
  outline(points: readonly Point[], look: LineLook = {}): void {
    this.polyline(points, look, true);
  }

  text(
    words: string,
    [x, y]: Point,
    {
      size = 3.5,
      bold = false,
      turn = 0,
      centre = false,
    }: { size?: number; bold?: boolean; turn?: number; centre?: boolean } = {},
  ): void {
    const lettering = bold ? this.bold : this.plain;
    const points = size * POINTS_PER_MM;
    const safe = printable(words);
    const shift = centre ? lettering.width(safe, points) / 2 / POINTS_PER_MM : 0;
    const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    let along = 0;
    for (const { font, letters } of lettering.runs(safe)) {
      this.page.drawText(letters, {
        x: this.x(x - shift) + along * cos,
        y: this.y(y) + along * sin,
        size: points,
        font,
        color: BLACK,
        rotate: degrees(turn),
      });
      along += font.widthOfTextAtSize(letters, points);
    }
  }

  /** Words broken into lines of a width, mm. */
  broken(words: string, width: number, size: number): string[] {
    const lines: string[] = [];
    let line = '';
    for (const word of printable(words).split(' ')) {
      const longer = line ? `${line} ${word}` : word;
      if (line && this.plain.width(longer, size * POINTS_PER_MM) / POINTS_PER_MM > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return line ? [...lines, line] : lines;
  }

  /** Height of words that are broken at a width, mm. */
  heightOf(words: string, width: number, size = 3.5): number {
    return this.broken(words, width, size).length * size * LEADING;
  }

  /** Lines of text that are broken at a width; returns where the next line would stand. */
  paragraph(words: string, [x, y]: Point, width: number, size = 3.5): number {
    const lines = this.broken(words, width, size);
    lines.forEach((line, i) => this.text(line, [x, y + i * size * LEADING], { size }));
    return y + lines.length * size * LEADING;
  }

  /** The square by which a print is checked: 50 mm along each side. */
  /** @param words how far below its upper edge its words begin, mm */
  testSquare([x, y]: Point, words = 24): void {
    this.outline([
      [x, y],
      [x + 50, y],
      [x + 50, y + 50],
      [x, y + 50],
    ]);
    this.text('50 mm', [x + 25, y + words], { size: 4, bold: true, centre: true });
    this.text('Measure this square first.', [x + 25, y + words + 6], { size: 3, centre: true });
    this.text('If it is not 50 mm, print again', [x + 25, y + words + 10.5], { size: 3, centre: true });
    this.text('at 100 %, without fitting.', [x + 25, y + words + 15], { size: 3, centre: true });
  }
}

/** Letters and signs as they are, without what only steers a terminal. */
function printable(text: string): string {
  return text.replace(/[\p{Cc}\p{Cf}]/gu, ' ').replace(/\u00a0|\u202f/g, ' ');
}

/** Fonts of a document: read and put into it once, however many sheets it has. */
const LETTERING = new WeakMap<PDFDocument, { plain: Lettering; bold: Lettering }>();

async function letteringOf(document: PDFDocument): Promise<{ plain: Lettering; bold: Lettering }> {
  let both = LETTERING.get(document);
  if (!both)
    LETTERING.set(
      document,
      (both = { plain: await Lettering.of(document, 'plain'), bold: await Lettering.of(document, 'bold') }),
    );
  return both;
}

/** A document with our name on it and no date, so that the same sheet is the same file. */
export async function newDocument(title: string): Promise<PDFDocument> {
  const document = await PDFDocument.create();
  document.setTitle(title);
  document.setProducer('Nembrel');
  document.setCreator('Nembrel');
  const fixed = new Date(Date.UTC(2026, 0, 1));
  document.setCreationDate(fixed);
  document.setModificationDate(fixed);
  return document;
}
