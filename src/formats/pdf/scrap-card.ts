import { doseWords, PEELS, STRIP, type ScrapCell, type ScrapPlan } from '../../core/scrap';
import { newDocument, Page, PAPERS, type Paper } from './page';

export interface ScrapCardInput {
  pieceName: string;
  clothName: string;
  stackTitle: string;
  plan: ScrapPlan;
  /** Of stacks that are compared, in the order of the pieces. */
  stackTitles?: readonly string[];
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
  // Stacks that are compared stand with their pieces.
  if (plan.grid !== 'candidates') y = page.paragraph(`Layers: ${input.stackTitle}`, [left, y + 1], width - 2 * left, 3.8);
  y = page.paragraph(cutWords(input), [left, y + 1], width - 2 * left, 3.8);
  y += 4;
  const bare =
    plan.grid === 'spray'
      ? 'Bare: overhang ______ mm   100 mm of bias give ______ mm   edge rolls ______ mm'
      : 'Overhang of the bare cloth: __________ mm';
  page.text(bare, [left, y], { size: 4 });
  y += 8;
  const columns = columnsOf(input);
  const rowHeight = Math.min(14, (height - y - 78) / plan.cells.length);
  let x = left;
  for (const [word, columnWidth] of columns) {
    page.text(word, [x + 1, y], { size: 3.4, bold: true });
    x += columnWidth;
  }
  const right = x;
  y += 2;
  page.line([left, y], [right, y], { weight: 0.4 });
  for (const cell of plan.cells) {
    const line = y + rowHeight * 0.62;
    page.text(cell.name, [left + 1, line], { size: 4.2, bold: true });
    let from = left + columns[0]![1];
    for (const [i, words] of cellColumns(cell, input.stackTitles).entries()) {
      page.paragraph(words, [from + 1, words.length > 24 ? y + 4 : line], columns[i + 1]![1] - 2, words.length > 24 ? 3 : 3.6);
      from += columns[i + 1]![1];
    }
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

/** What is cut for a scrap, and what is expected of it. */
function cutWords({ plan, sheets, predicted, expectedOverhang }: ScrapCardInput): string {
  const { grid, cells, cellWidth, cellHeight } = plan;
  if (grid === 'spray')
    return `Cut ${cells.length} pairs of strips, ${STRIP.width} x ${STRIP.height} mm: one of each along the grain to hang, one on the bias to pull, with marks 100 mm apart. It holds when the bias gives half of what it gave, or 3 mm at most, and an edge rolls no more than 3 mm or a quarter. The least that holds is enough.`;
  if (grid === 'candidates')
    return `Cut ${cells.length} pieces of ${cellWidth} x ${cellHeight} mm of cloth side by side along the grain, and the layers of each. Pin them side by side by one end; look, then feel with closed eyes.`;
  const size = cells.length > 1 ? `${cells.length} pieces of ${cellWidth} x ${cellHeight}` : `${plan.width} x ${plan.height}`;
  return `Cut ${size} mm of cloth${sheets ? ' and of each layer' : ''}, along the grain. Expected bending length ${Math.round(predicted.low)} to ${Math.round(predicted.high)} mm: on the jig it should overhang about ${Math.round(expectedOverhang)} mm.`;
}

/** Heads and widths of the card's columns, mm: what tells the pieces apart, then room for what is read. */
function columnsOf({ plan: { grid }, glued }: ScrapCardInput): [string, number][] {
  if (grid === 'spray')
    return [
      ...([['Strips', 16] as const, ['Dose', 46] as const] as [string, number][]),
      ...(['Bias gives', 'Edge rolls', 'Overhang', 'Marks', 'Feel'].map((word) => [word, 22]) as [string, number][]),
    ];
  const told: [string, number][] =
    grid === 'candidates'
      ? [['Layers', 56]]
      : [
          ['Iron', 20],
          ['Seconds', 18],
        ];
  const felt: [string, number][] = glued
    ? [
        ['Peel 1-5', grid === 'candidates' ? 18 : 20],
        ['Bubbles', grid === 'candidates' ? 16 : 20],
        ['Shows', grid === 'candidates' ? 16 : 18],
        ['Glue', 16],
      ]
    : [
        ['Flakes', 24],
        ['Marks', 24],
        ['Feel', 26],
      ];
  // Of stacks that are compared the feel decides.
  return [
    ['Piece', 14],
    ...told,
    ['Overhang', grid === 'candidates' ? 22 : 24],
    ...felt,
    [grid === 'candidates' ? 'Feel' : 'Shrank', 18],
  ];
}

/** What stands in the columns that tell a piece apart. */
function cellColumns({ setting, dose, candidate }: ScrapCell, titles: readonly string[] = []): string[] {
  if (dose) return [doseWords(dose)];
  if (candidate !== undefined) return [titles[candidate] ?? ''];
  return [IRON[setting.ironDots]!, setting.seconds > 0 ? `${setting.seconds} s${setting.steam ? ', steam' : ''}` : '-'];
}
