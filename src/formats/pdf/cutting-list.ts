import { bounds, type Outline } from '../../core/shape';
import { newDocument, Page, PAPERS, type Paper, type Point } from './page';

export interface CuttingListRow {
  name: string;
  outline: Outline;
  holes: Outline[];
  count: number;
  /** Size as it is cut, as people read it. */
  size: string;
  /** Grain, mirrored, on the fold. */
  words: string;
}

export interface CuttingListInput {
  project: string;
  material: string;
  /** What is cut from what, and how long it gets. */
  sources: string[];
  /** What has to be bought, or that nothing has. */
  buy: string;
  /** Which face lies up. */
  face: string;
  rows: CuttingListRow[];
}

const LEFT = 14;
const ROW = 17;

/** What is cut from one material, a line and a small drawing for each piece, with a box to tick. */
export async function cuttingList(input: CuttingListInput, paper: Paper): Promise<Uint8Array> {
  const document = await newDocument(`Cutting list: ${input.material}`);
  const [width, height] = PAPERS[paper];
  let page = await Page.add(document, width, height);
  page.text(`Cutting list: ${input.project}`, [LEFT, 18], { size: 6, bold: true });
  let y = page.paragraph(input.material, [LEFT, 26], width - 2 * LEFT, 4.2);
  for (const line of input.sources) y = page.paragraph(line, [LEFT, y], width - 2 * LEFT, 3.7);
  y = page.paragraph(input.buy, [LEFT, y], width - 2 * LEFT, 3.7);
  y = page.paragraph(input.face, [LEFT, y], width - 2 * LEFT, 3.7);
  y += 4;
  page.line([LEFT, y], [width - LEFT, y], { weight: 0.5 });
  for (const row of input.rows) {
    if (y + ROW > height - 16) {
      page = await Page.add(document, width, height);
      y = 16;
    }
    thumbnail(page, row, [LEFT + 8, y + ROW / 2], 12);
    const middle = y + ROW / 2;
    page.text(row.name, [LEFT + 22, middle - 1], { size: 4.2, bold: true });
    page.text(`${row.size}${row.words ? `, ${row.words}` : ''}`, [LEFT + 22, middle + 4.5], { size: 3.4 });
    page.text(`${row.count} x`, [width - LEFT - 34, middle + 1.5], { size: 5, bold: true });
    for (let i = 0; i < Math.min(2, row.count); i++) box(page, [width - LEFT - 14 + i * 8, middle - 3]);
    y += ROW;
    page.line([LEFT, y], [width - LEFT, y], { grey: true });
  }
  page.text('Tick when laid, and when cut. Small pieces of one project into one bag, with this list.', [LEFT, height - 8], {
    size: 3.2,
  });
  return document.save();
}

function thumbnail(page: Page, { outline, holes }: CuttingListRow, [cx, cy]: Point, size: number): void {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const scale = size / Math.max(maxX - minX, maxY - minY, 1);
  const put = ([x, y]: Point): Point => [cx + (x - (minX + maxX) / 2) * scale, cy - (y - (minY + maxY) / 2) * scale];
  page.filled(outline.map(put));
  for (const each of [outline, ...holes]) page.outline(each.map(put), { weight: 0.2 });
}

function box(page: Page, [x, y]: Point): void {
  page.outline(
    [
      [x, y],
      [x + 5.5, y],
      [x + 5.5, y + 5.5],
      [x, y + 5.5],
    ],
    { weight: 0.3 },
  );
}
