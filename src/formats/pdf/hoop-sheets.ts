import type { MotifBounds } from '../../core/motif';
import { bounds, type Outline } from '../../core/shape';
import { atFullSize } from './full-size';
import { newDocument, Page, PAPERS, type Paper, type Point } from './page';
import { MARGIN } from './tiles';

/** A motif on paper at full size, with its cross: cut out, laid on the cloth, the needle set over the cross. */
export async function motifPaper(
  name: string,
  box: MotifBounds,
  { outlines, trims, apart }: { outlines: readonly Outline[]; trims: readonly Outline[]; apart: readonly (readonly Point[])[] },
  paper: Paper,
): Promise<Uint8Array> {
  const document = await newDocument(name);
  const arm = 12;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const draw = (page: Page, [left, top]: Point) => {
    const put = ([x, y]: Point): Point => [left + arm + x - box.minX, top + arm + box.maxY - y];
    for (const outline of outlines) page.filled(outline.map(put), 0.86);
    for (const outline of outlines) page.outline(outline.map(put), { weight: 0.3 });
    for (const outline of trims) page.outline(outline.map(put), { weight: 0.2, dash: [2, 1.5], grey: true });
    for (const line of apart) page.polyline(line.map(put), { weight: 0.25, dash: [6, 2, 1, 2] });
    const [cx, cy] = put([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
    page.line([cx, top], [cx, top + height + 2 * arm], { weight: 0.25 });
    page.line([left, cy], [left + width + 2 * arm, cy], { weight: 0.25 });
    page.text('top', [cx + 2, top + 3], { size: 3.2 });
  };
  const words = `${Math.round(width)} × ${Math.round(height)} mm. Cut it out along the dashed line or round the shape, cut small windows at the cross, lay cross on cross, and set the needle over its middle. The dashed line is where a cut-away sheet is trimmed.${apart.length > 0 ? ' Along the long dashes it is cut apart between the islands first.' : ''}`;
  await atFullSize(document, { width: width + 2 * arm, height: height + 2 * arm, draw, title: name, words }, paper);
  return document.save();
}

/** A gauge of a hoop at full size: ring, field and cross, to lay on the cloth before anything is hooped. */
export async function hoopGauge(
  name: string,
  lines: { field: Outline; inner: Outline; outer: Outline },
  paper: Paper,
): Promise<Uint8Array> {
  const document = await newDocument(`Gauge of ${name}`);
  const box = bounds(lines.outer);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const draw = (page: Page, [left, top]: Point) => {
    const put = ([x, y]: Point): Point => [left + x - box.minX, top + box.maxY - y];
    page.outline(lines.outer.map(put), { weight: 0.4 });
    page.outline(lines.inner.map(put), { weight: 0.25 });
    page.outline(lines.field.map(put), { weight: 0.3, dash: [3, 2] });
    const [cx, cy] = put([0, 0]);
    page.line([cx, top], [cx, top + height], { weight: 0.2 });
    page.line([left, cy], [left + width, cy], { weight: 0.2 });
  };
  const words =
    'Outer line: what must lie on cloth. Dashed: what the needle reaches. The cross is the hoop’s own middle: lay it where the two folds or chalk lines of the hoop cross, not on the middle of the motif, which may lie elsewhere in the field. Where the outer line leaves the cloth, this hoop cannot hold it there.';
  await atFullSize(document, { width, height, draw, title: `Gauge of ${name}`, words }, paper);
  return document.save();
}

/** What works on one cloth under loads of several densities. */
export interface ChartRow {
  cloth: string;
  cells: { stack: string; share: number }[];
}

/** One page: the person's cloths × load, with the stack that carries it. */
export async function carryChart(loads: readonly string[], rows: readonly ChartRow[], paper: Paper): Promise<Uint8Array> {
  const document = await newDocument('What to put under a motif');
  const [short, long] = PAPERS[paper];
  const page = await Page.add(document, long, short);
  const first = 52;
  const column = (page.width - 2 * MARGIN - first) / loads.length;
  page.text('What to put under a motif', [MARGIN, MARGIN + 6], { size: 6, bold: true });
  page.text('Worked out from your cloths and layers. The leaflet of the sheet and a scrap go first.', [MARGIN, MARGIN + 12], {
    size: 3,
  });
  let y = MARGIN + 22;
  loads.forEach((words, i) => page.text(words, [MARGIN + first + i * column, y], { size: 3.2, bold: true }));
  y += 3;
  for (const { cloth, cells } of rows) {
    page.line([MARGIN, y], [page.width - MARGIN, y], { weight: 0.15, grey: true });
    const ends = [page.paragraph(cloth, [MARGIN, y + 4.5], first - 4, 3.1)];
    cells.forEach(({ stack, share }, i) => {
      const words = share > 1 ? `${stack}: too dense` : stack;
      ends.push(page.paragraph(words, [MARGIN + first + i * column, y + 4.5], column - 4, 2.8));
    });
    y = Math.max(...ends) + 0.5;
    if (y > page.height - 14) break;
  }
  return document.save();
}
