import { formatLength, type LengthSystem } from '../../core/units';
import { newDocument, Page, PAPERS, type Paper } from './page';

/** A line that is measured with paper: its length, and what is marked on it. mm. */
export interface PaperTape {
  title: string;
  length: number;
  /** A ring: its end is glued to its beginning. */
  closed: boolean;
  marks: readonly { at: number; words: string }[];
}

/** Width of the strip, room between strips, what one is glued onto the next by, and margins of a sheet, mm. */
const STRIP = 16;
const APART = 10;
const LAP = 12;
const MARGIN = 12;
const HEAD = 30;
/** Ticks stand so far apart, mm; every so many is long, every so many has its figure, in centimetres or inches. */
const TICKS: Record<LengthSystem, { each: number; long: number; figure: number; unit: number }> = {
  metric: { each: 5, long: 2, figure: 10, unit: 10 },
  inch: { each: 25.4 / 8, long: 8, figure: 8, unit: 25.4 },
};

/**
 * Lines at full size as strips of paper, to be cut out, glued end to end and laid on edge along a neckline, an armhole, the oval of a hat: with
 * ticks, and every mark where it lies along the line.
 */
export async function paperTapes(tapes: readonly PaperTape[], paper: Paper, system: LengthSystem): Promise<Uint8Array> {
  const document = await newDocument('Paper tape');
  const [width, height] = PAPERS[paper];
  const reach = width - 2 * MARGIN - LAP;
  const strips = tapes.flatMap((tape) => {
    const count = Math.max(1, Math.ceil(tape.length / reach - 1e-9));
    return Array.from({ length: count }, (_, k) => ({
      tape,
      k,
      count,
      from: k * reach,
      to: Math.min(tape.length, (k + 1) * reach),
    }));
  });
  const rows = Math.floor((height - HEAD - MARGIN - 58) / (STRIP + APART));
  let page: Page | undefined;
  for (const [i, strip] of strips.entries()) {
    const row = i % rows;
    if (row === 0) {
      page = await Page.add(document, width, height);
      page.text('Paper tape', [MARGIN, 14], { size: 5, bold: true });
      page.text(
        'Print at 100 %. Cut out, glue each strip onto the lap of the one before it, lay it on edge along the line.',
        [MARGIN, 21],
        { size: 3.4 },
      );
      page.testSquare([width - MARGIN - 50, height - MARGIN - 50]);
    }
    drawStrip(page!, strip, HEAD + row * (STRIP + APART), system);
  }
  return document.save();
}

interface Strip {
  tape: PaperTape;
  k: number;
  count: number;
  from: number;
  to: number;
}

function drawStrip(page: Page, { tape, k, count, from, to }: Strip, y: number, system: LengthSystem): void {
  const x = (at: number) => MARGIN + at - from;
  const last = k === count - 1;
  const end = x(to);
  page.outline([[x(from), y], [end, y], [end, y + STRIP], [x(from), y + STRIP]], { weight: 0.35 }); // prettier-ignore
  // The next strip, or the beginning of a ring, is glued on here.
  if (!last || tape.closed)
    page.outline([[end, y], [end + LAP, y], [end + LAP, y + STRIP], [end, y + STRIP]], { weight: 0.2, dash: [2, 2], grey: true }); // prettier-ignore
  const { each, long, figure, unit } = TICKS[system];
  for (let n = Math.ceil(from / each - 1e-9); n * each <= to + 1e-9; n++) {
    const at = n * each;
    page.line([x(at), y + STRIP], [x(at), y + STRIP - (n % long === 0 ? 4 : 2)], { weight: 0.2 });
    if (n > 0 && n % figure === 0 && at < to - 6)
      page.text(`${Math.round(at / unit)}`, [x(at), y + STRIP - 4.6], { size: 2.6, centre: true });
  }
  for (const { at, words } of tape.marks) {
    if (at < from - 1e-9 || at > to + 1e-9) continue;
    page.line([x(at), y], [x(at), y + STRIP], { weight: 0.5 });
    page.text(`${words}, ${formatLength(at, system)}`, [Math.min(x(at) + 1, end - 30), y + 4], { size: 2.8 });
  }
  const name = `${tape.title}${count > 1 ? `, strip ${k + 1} of ${count}` : ''}`;
  page.text(name, [(x(from) + end) / 2, y + 8], { size: 2.8, centre: true });
  if (last) page.text(`ends at ${formatLength(tape.length, system)}`, [x(from) + 2, y - 1.5], { size: 3 });
}
