import { bounds, type Outline } from '../../core/shape';
import { newDocument, Page, PAPERS, type Paper, type Point } from './page';

export interface LayoutSheetSource {
  /** What it is: “Roll to buy, 90 cm wide”. */
  name: string;
  outline: Outline;
  /** Holes and stains in it, on which nothing lies. */
  spots?: readonly Outline[];
  placed: { name: string; outline: Outline }[];
  /** Marks along the tape: place in mm and words. */
  marks: { at: number; words: string }[];
}

export interface LayoutSheetInput {
  title: string;
  /** Lines under the title. */
  words: string[];
  sources: LayoutSheetSource[];
}

const LEFT = 14;
const TAPE = 6;
/** A source is drawn no smaller than this, as a share of full size; what does not fit goes to the next sheet. */
const SMALLEST = 0.02;

/** The whole layout on one sheet, the length running to the right, with a tape along each source. */
export async function layoutSheet({ title, words, sources }: LayoutSheetInput, paper: Paper): Promise<Uint8Array> {
  const document = await newDocument(title);
  // Lengths run to the right, so the sheet lies across.
  const [height, width] = PAPERS[paper];
  let page = await Page.add(document, width, height);
  page.text(title, [LEFT, 16], { size: 5.5, bold: true });
  let top = 22;
  for (const line of words) top = page.paragraph(line, [LEFT, top], width - 2 * LEFT, 3.6);
  const boxes = sources.map(({ outline }) => bounds(outline));
  const longest = Math.max(...boxes.map(({ minY, maxY }) => maxY - minY), 1);
  const all = boxes.reduce((sum, { minX, maxX }) => sum + maxX - minX, 0);
  const heads = sources.length * (TAPE + 12);
  const scale = Math.max(SMALLEST, Math.min((width - 2 * LEFT) / longest, (height - top - 12 - heads) / all));
  // What is too small for its name bears a number, one row of numbers for the whole layout, told under it.
  const numbered: string[] = [];
  for (const [i, source] of sources.entries()) {
    const { minX, minY, maxX } = boxes[i]!;
    const tall = (maxX - minX) * scale;
    if (top + TAPE + 8 + tall > height - 8 && i > 0) {
      page = await Page.add(document, width, height);
      top = 14;
    }
    page.text(source.name, [LEFT, top + 4], { size: 3.8, bold: true });
    const base = top + 6 + TAPE;
    const put = ([x, y]: Point): [number, number] => [LEFT + (y - minY) * scale, base + (x - minX) * scale];
    for (const { at, words: mark } of source.marks) {
      const x = LEFT + at * scale;
      page.line([x, base - 4], [x, base], { weight: 0.2 });
      page.text(mark, [x + 0.8, base - 2], { size: 2.6 });
    }
    page.outline(source.outline.map(put), { weight: 0.4 });
    for (const spot of source.spots ?? []) {
      const there = spot.map(put);
      page.filled(there, 0.45);
      page.outline(there, { weight: 0.25 });
    }
    for (const { name, outline } of source.placed) {
      const there = outline.map(put);
      page.filled(there);
      page.outline(there, { weight: 0.25 });
      const box = bounds(there);
      const size = Math.min(3.4, (box.maxX - box.minX) / (0.55 * Math.max(4, name.length)), 0.6 * (box.maxY - box.minY));
      const at: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2 + size / 3];
      if (size >= 1.6) page.text(name, at, { size, centre: true });
      else page.text(String(numbered.push(name)), at, { size: 2.2, centre: true });
    }
    top = base + tall + 8;
  }
  if (numbered.length > 0) {
    if (top + 6 > height - 8) {
      page = await Page.add(document, width, height);
      top = 14;
    }
    page.paragraph(numbered.map((name, k) => `${k + 1}: ${name}`).join(' · '), [LEFT, top], width - 2 * LEFT, 3.2);
  }
  return document.save();
}
