import { newDocument, Page, PAPERS, type Paper } from './page';
import { squareCode } from './square-code';

/** One label: what it lies on, what is in it, and where its code leads. */
export interface Label {
  title: string;
  lines: readonly string[];
  url: string;
}

/** Size of a label, its code and its margin, mm: two beside each other on any of the papers. */
const WIDTH = 96;
const HEIGHT = 64;
const CODE = 36;
const MARGIN = 5;
const SIZE = 3.4;
const LEADING = 1.35;

/** Labels to cut out, tied to a bag, a roll or a leftover: as many on a sheet as it holds. */
export async function labelSheet(title: string, labels: readonly Label[], paper: Paper): Promise<Uint8Array> {
  const document = await newDocument(title);
  const [width, height] = PAPERS[paper];
  const columns = Math.floor((width - MARGIN) / WIDTH);
  const rows = Math.floor((height - 2 * MARGIN) / HEIGHT);
  const left = (width - columns * WIDTH) / 2;
  let page: Page | undefined;
  for (const [i, label] of labels.entries()) {
    const on = i % (columns * rows);
    if (on === 0) page = await Page.add(document, width, height);
    drawLabel(page!, label, left + (on % columns) * WIDTH, MARGIN + Math.floor(on / columns) * HEIGHT);
  }
  return document.save();
}

function drawLabel(page: Page, { title, lines, url }: Label, x: number, y: number): void {
  page.outline(
    [
      [x, y],
      [x + WIDTH, y],
      [x + WIDTH, y + HEIGHT],
      [x, y + HEIGHT],
    ],
    { weight: 0.2, dash: [2, 2], grey: true },
  );
  const words = WIDTH - CODE - 2 * MARGIN;
  const [from] = page.broken(title, words * 0.8, 4.4);
  const more = page.broken(title, words * 0.8, 4.4).slice(1, 2);
  page.text(from ?? '', [x + MARGIN, y + MARGIN + 3], { size: 4.4, bold: true });
  more.forEach((line) => page.text(line, [x + MARGIN, y + MARGIN + 3 + 4.4 * LEADING], { size: 4.4, bold: true }));
  let at = y + MARGIN + 4 + (1 + more.length) * 4.4 * LEADING;
  const bottom = y + HEIGHT - MARGIN;
  for (const [i, line] of lines.entries()) {
    const taken = page.heightOf(line, words, SIZE);
    // What finds no room is counted, never dropped without a word.
    const last = i === lines.length - 1;
    if (at + taken + (last ? 0 : SIZE * LEADING) > bottom + SIZE) {
      page.text(`… and ${lines.length - i} more: see the code`, [x + MARGIN, at], { size: SIZE });
      break;
    }
    at = page.paragraph(line, [x + MARGIN, at], words, SIZE);
  }
  squareCode(page, url, [x + WIDTH - CODE - MARGIN / 2, y + (HEIGHT - CODE) / 2], CODE);
}
