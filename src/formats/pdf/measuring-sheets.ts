import { JIG_ANGLE } from '../../core/cloth';
import { CARD_PAGES } from './photo-cards';
import { newDocument, Page, PAPERS, type Paper, type Point } from './page';

export const SHEETS = ['jig', 'swatch', 'gauge', 'cards'] as const;
export type SheetName = (typeof SHEETS)[number];

/** Platform, slope and flaps of the jig, mm. The slope takes overhangs of up to its own length. */
const PLATFORM = 60;
const SLOPE = 150;
const FLAP = 28;

const radians = (degrees: number) => (degrees * Math.PI) / 180;
/** How far the slope reaches out and down. */
const JIG_RUN = SLOPE * Math.cos(radians(JIG_ANGLE));
const JIG_DROP = SLOPE * Math.sin(radians(JIG_ANGLE));

/** One cheek of the jig with its two flaps; the other is its mirror image. */
function drawCheek(page: Page, x: number, y: number, mirrored: boolean): void {
  const width = PLATFORM + JIG_RUN;
  const place = ([px, py]: Point): Point => [mirrored ? x + width - px : x + px, y + py];
  const top = FLAP;
  const start: Point = [0, top];
  const edge: Point = [PLATFORM, top];
  const foot: Point = [width, top + JIG_DROP];
  const back: Point = [0, top + JIG_DROP];
  const normal: Point = [Math.sin(radians(JIG_ANGLE)), -Math.cos(radians(JIG_ANGLE))];
  const bevel = 6;
  const along: Point = [Math.cos(radians(JIG_ANGLE)), Math.sin(radians(JIG_ANGLE))];
  const cut: [Point, Point][] = [
    [start, back],
    [back, foot],
    [start, [bevel, 0]],
    [
      [bevel, 0],
      [PLATFORM - bevel, 0],
    ],
    [[PLATFORM - bevel, 0], edge],
    [edge, [edge[0] + normal[0] * FLAP + along[0] * bevel, edge[1] + normal[1] * FLAP + along[1] * bevel]],
    [
      [edge[0] + normal[0] * FLAP + along[0] * bevel, edge[1] + normal[1] * FLAP + along[1] * bevel],
      [foot[0] + normal[0] * FLAP - along[0] * bevel, foot[1] + normal[1] * FLAP - along[1] * bevel],
    ],
    [[foot[0] + normal[0] * FLAP - along[0] * bevel, foot[1] + normal[1] * FLAP - along[1] * bevel], foot],
  ];
  for (const [from, to] of cut) page.line(place(from), place(to), { weight: 0.35 });
  page.line(place(start), place(edge), { weight: 0.3, dash: [3, 2] });
  page.line(place(edge), place(foot), { weight: 0.3, dash: [3, 2] });
  const name = place([PLATFORM + 26, top + JIG_DROP - 8]);
  page.text(mirrored ? 'Cheek 2' : 'Cheek 1', name, { size: 4, bold: true, centre: true });
  const angle = place([PLATFORM + 14, top + 24]);
  page.text(`${JIG_ANGLE}°`, angle, { size: 4, bold: true, centre: true });
}

function jig(page: Page): void {
  const left = (page.width - PLATFORM - JIG_RUN - 18) / 2;
  const words = left + PLATFORM + 42;
  page.text('Jig for the overhang test', [words, 12], { size: 4.5, bold: true });
  page.paragraph(
    'Print on card at 100 %. Cut the full lines, fold the dashed ones, glue the flaps of one cheek over those of the other.',
    [words, 18],
    page.width - words - 10,
    3,
  );
  drawCheek(page, left, 14, false);
  page.testSquare([left + 4, 14 + FLAP + 44]);
  drawCheek(page, left + 18, 14 + FLAP + JIG_DROP + 1, true);
}

/** An arrow along the grain. */
function grain(page: Page, [x, y]: Point, length: number): void {
  page.line([x, y], [x, y + length]);
  for (const [end, way] of [
    [y, 1],
    [y + length, -1],
  ] as const) {
    page.line([x, end], [x - 2, end + 3.5 * way]);
    page.line([x, end], [x + 2, end + 3.5 * way]);
  }
}

function swatch(page: Page): void {
  const left = 18;
  page.text('Swatch and strips', [left, 13], { size: 4.5, bold: true });
  page.text('Print at 100 %. Lay the arrow along the selvedge; for the cross strip lay it across.', [left, 18], { size: 3 });
  const rectangle = (x: number, y: number, width: number, height: number) =>
    page.outline([
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ]);
  rectangle(left, 24, 100, 100);
  page.text('Swatch to weigh, 100 x 100 mm', [left + 50, 70], { size: 4, bold: true, centre: true });
  page.text('g on the balance x 100 = g/m²', [left + 50, 77], { size: 3.5, centre: true });
  grain(page, [left + 90, 34], 80);
  page.testSquare([left + 25, 140]);
  rectangle(left + 118, 24, 25, 245);
  grain(page, [left + 130.5, 34], 80);
  page.text('Strip for the overhang test, 25 x 245 mm', [left + 132, 215], { size: 3.5, turn: 90 });
  page.text('Cut one along and one across.', [left + 137, 215], { size: 3, turn: 90 });
}

function gauge(page: Page): void {
  const left = 13;
  page.text('Stretch gauge', [left, 14], { size: 4.5, bold: true });
  page.paragraph(
    'Print at 100 %. Mark the cloth at 0 and at the thick line, 100 mm on. Hold the first mark at 0, pull gently until it resists, and read how far the second mark has come, in per cent.',
    [left, 21],
    page.width - 2 * left,
  );
  const top = 44;
  const most = Math.floor((page.width - 2 * left - 105) / 10) * 10 + 5;
  page.outline([
    [left, top],
    [left + 100 + most, top],
    [left + 100 + most, top + 30],
    [left, top + 30],
  ]);
  for (let mm = 0; mm <= 100 + most; mm++) {
    const length = mm % 10 === 0 ? 11 : mm % 5 === 0 ? 8 : 4.5;
    page.line([left + mm, top], [left + mm, top + length], { weight: mm === 100 ? 1 : 0.2 });
    if (mm >= 100 && mm % 10 === 0) page.text(`${mm - 100}`, [left + mm, top + 16], { size: 3.6, bold: true, centre: true });
  }
  page.text('hold the first mark here', [left + 2, top + 16], { size: 3.2 });
  page.text('% stretch', [left + 103, top + 24], { size: 3.6 });
  page.text('Comes back: let go, wait ten seconds, read again.', [left + 2, top + 27], { size: 3.2 });
  page.testSquare([left, 92]);
  page.paragraph(
    'For the bias, fold a corner so that warp lies on weft, mark along the fold and pull along it. Up to 5 % is low, 15 % and more is high.',
    [left + 60, 98],
    page.width - 2 * left - 60,
  );
}

const DRAW: Record<SheetName, { title: string; pages: readonly ((page: Page) => void)[] }> = {
  jig: { title: 'Jig for the overhang test', pages: [jig] },
  swatch: { title: 'Swatch and strips', pages: [swatch] },
  gauge: { title: 'Stretch gauge', pages: [gauge] },
  cards: { title: 'Cards for photographs', pages: CARD_PAGES },
};

/** A measuring aid as a PDF, 1:1, with a 50 mm test square on each page. */
export async function measuringSheet(name: SheetName, paper: Paper): Promise<Uint8Array> {
  const { title, pages } = DRAW[name];
  const document = await newDocument(title);
  const [width, height] = PAPERS[paper];
  for (const draw of pages) draw(await Page.add(document, width, height));
  return document.save();
}
