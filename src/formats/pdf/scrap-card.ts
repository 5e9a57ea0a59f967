import { PEELS, type ScrapPlan } from '../../core/scrap';
import { newDocument, Page, PAPERS, type Paper } from './page';

export interface ScrapCardInput {
  pieceName: string;
  clothName: string;
  stackTitle: string;
  plan: ScrapPlan;
  predicted: { bendingLength: number; low: number; high: number };
  /** Whether anything is glued; a scrap that is only sprayed is not peeled. */
  glued: boolean;
  /** Expected overhang on the jig, mm. */
  expectedOverhang: number;
  washed: string;
  /** Whether any layer is cut, besides what is sprayed or soaked in. */
  sheets: boolean;
}

const IRON = ['no iron', 'cool', 'medium', 'hot'];

/** The card that is pinned to a scrap: what to cut, what each piece gets, room for what is read. */
export async function scrapCard(input: ScrapCardInput, paper: Paper): Promise<Uint8Array> {
  const document = await newDocument(`Scrap card: ${input.pieceName}`);
  const [width, height] = PAPERS[paper];
  const page = await Page.add(document, width, height);
  const left = 16;
  const { plan } = input;
  page.text(`Scrap card: ${input.pieceName}`, [left, 18], { size: 5.5, bold: true });
  let y = page.paragraph(`Cloth: ${input.clothName}`, [left, 26], width - 2 * left, 3.8);
  y = page.paragraph(`Layers: ${input.stackTitle}`, [left, y + 1], width - 2 * left, 3.8);
  y = page.paragraph(
    `Cut ${plan.cells.length > 1 ? `${plan.cells.length} pieces of ${plan.cellWidth} x ${plan.cellHeight}` : `${plan.width} x ${plan.height}`} mm of cloth${input.sheets ? ' and of each layer' : ''}, along the grain. Expected bending length ${Math.round(input.predicted.low)} to ${Math.round(input.predicted.high)} mm: on the jig it should overhang about ${Math.round(input.expectedOverhang)} mm.`,
    [left, y + 1],
    width - 2 * left,
    3.8,
  );
  y += 4;
  page.text('Overhang of the bare cloth: __________ mm', [left, y], { size: 4 });
  y += 8;
  const columns: [string, number][] = [
    ['Piece', 14],
    ['Iron', 20],
    ['Seconds', 18],
    ['Overhang', 24],
    ...(input.glued
      ? ([
          ['Peel 1-5', 20],
          ['Bubbles', 20],
          ['Shows', 18],
          ['Glue', 16],
        ] as [string, number][])
      : ([
          ['Flakes', 24],
          ['Marks', 24],
          ['Feel', 26],
        ] as [string, number][])),
    ['Shrank', 18],
  ];
  const rowHeight = Math.min(14, (height - y - 78) / plan.cells.length);
  let x = left;
  for (const [word, columnWidth] of columns) {
    page.text(word, [x + 1, y], { size: 3.4, bold: true });
    x += columnWidth;
  }
  const right = x;
  y += 2;
  page.line([left, y], [right, y], { weight: 0.4 });
  for (const { name, setting } of plan.cells) {
    page.text(name, [left + 1, y + rowHeight * 0.62], { size: 4.2, bold: true });
    page.text(IRON[setting.ironDots]!, [left + 15, y + rowHeight * 0.62], { size: 3.6 });
    page.text(
      setting.seconds > 0 ? `${setting.seconds} s${setting.steam ? ', steam' : ''}` : '-',
      [left + 35, y + rowHeight * 0.62],
      { size: 3.6 },
    );
    y += rowHeight;
    page.line([left, y], [right, y], { grey: true });
  }
  x = left;
  for (const [, columnWidth] of [...columns, ['', 0] as [string, number]]) {
    page.line([x, y - rowHeight * plan.cells.length], [x, y], { grey: true });
    x += columnWidth;
  }
  y += 7;
  if (input.glued) {
    page.text('Peel by hand', [left, y], { size: 3.6, bold: true });
    y = page.paragraph(PEELS.map(({ step, words }) => `${step} ${words}`).join(' · '), [left, y + 5], width - 2 * left, 3.4);
  }
  page.text('Feel: fluid / soft / firm / crisp / rigid', [left, y + 3], { size: 3.8 });
  page.text('Taken: piece ______   Date: ______________', [left, y + 11], { size: 3.8 });
  page.text(
    `After the wash (${input.washed}): ${input.glued ? 'peel ____  ' : ''}shrank ____ %  overhang ____ mm  Date: ____________`,
    [left, y + 19],
    {
      size: 3.8,
    },
  );
  page.text('The material’s own leaflet goes before this card. Hot iron: fingers clear.', [left, height - 12], { size: 3.2 });
  return document.save();
}
