import { CARD_IDS, FIELDS, isWhite, MARKER } from '../../core/photo';
import type { Page, Point } from './page';

const FIELD = MARKER / FIELDS;
/** The white margin belongs to the card: it is cut along this square, mm. */
const CUT = MARKER + 2 * FIELD;
/** Print as dark as the printer gives it. */
const BLACK = 0;

function rectangle([x, y]: Point, width: number, height: number): Point[] {
  return [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ];
}

/** A card's black square with its fields, its upper left corner at a place; y runs down the page. */
function drawCard(page: Page, id: number, [x, y]: Point): void {
  page.filled(rectangle([x, y], MARKER, MARKER), BLACK);
  for (let row = 0; row < FIELDS; row++)
    for (let column = 0; column < FIELDS; column++)
      if (isWhite(id, row, column)) page.filled(rectangle([x + column * FIELD, y + row * FIELD], FIELD, FIELD), 1);
}

/** A card to cut out, with its number outside its margin. */
function cutCard(page: Page, id: number, [x, y]: Point): void {
  page.outline(rectangle([x, y], CUT, CUT), { weight: 0.15, dash: [2, 2] });
  drawCard(page, id, [x + FIELD, y + FIELD]);
  page.text(`Card ${id}`, [x + CUT / 2, y + CUT + 4.5], { size: 3.4, centre: true });
}

const HEAD =
  'Print at 100 %, on matt paper, as dark as the printer prints. Measure the side of a black square and tell it where the photograph is taken: 60 mm if the print is true.';

function four(ids: readonly number[], more: string): (page: Page) => void {
  return (page) => {
    const left = (page.width - 2 * CUT - 10) / 2;
    page.text('Cards for photographs', [left, 14], { size: 4.5, bold: true });
    page.paragraph(`${HEAD} ${more}`, [left, 20], page.width - 2 * left, 3.2);
    ids.forEach((id, i) => cutCard(page, id, [left + (i % 2) * (CUT + 10), 38 + Math.floor(i / 2) * (CUT + 9)]));
    page.testSquare([left, 38 + 2 * (CUT + 9)]);
  };
}

/** Card 8 with the white and the black field over which a swatch is laid. */
function fields(page: Page): void {
  const left = Math.max(5, (page.width - (MARKER + 2 * MARKER + FIELD)) / 2);
  const top = 62;
  page.text('Seen through: card 8 and its fields', [12, 14], { size: 4.5, bold: true });
  page.paragraph(
    `${HEAD} Lay a single thickness of the cloth flat over the lower half of both fields, its edge on the marks. Take the picture from above in even light, without flash: card and fields whole.`,
    [12, 20],
    page.width - 24,
    3.2,
  );
  drawCard(page, 8, [left, top]);
  const white = left + MARKER + FIELD;
  page.filled(rectangle([white + MARKER, top], MARKER, MARKER), BLACK);
  page.outline(rectangle([white, top], MARKER, MARKER), { weight: 0.1, grey: true });
  const half = top + MARKER / 2;
  page.line([white - 5, half], [white - 1, half], { weight: 0.3 });
  page.text('Card 8', [left + MARKER / 2, top + MARKER + 15], { size: 3.4, centre: true });
  page.text('bare above, covered below', [white + MARKER, top + MARKER + 15], { size: 3.4, centre: true });
  page.testSquare([12, top + MARKER + 30]);
}

/** The cards by pages: four for tables, the others, and card 8 with its fields. */
export const CARD_PAGES: readonly ((page: Page) => void)[] = [
  four(CARD_IDS.slice(0, 4), 'Cut along the dashed lines and lay three or more round the pieces, anywhere, flat.'),
  four(
    CARD_IDS.slice(4, 7),
    'Card 5 stands on the side of a box for the hanging strip: trim its upper and its right side along the black, so that its upper right corner is the edge.',
  ),
  fields,
];
