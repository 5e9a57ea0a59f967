import { inflateSync } from 'node:zlib';

/** A straight line of a PDF, mm. */
export interface PdfLine {
  from: [number, number];
  to: [number, number];
}

/** A path of straight lines, with the dashes it is drawn in, mm. */
export interface PdfPath {
  lines: PdfLine[];
  dash: number[];
}

const mm = (points: string) => (Number(points) * 25.4) / 72;

/** Paths of a PDF in millimetres, read from its own drawing commands, page after page. */
export function pathsOf(bytes: Uint8Array): PdfPath[] {
  const raw = Buffer.from(bytes);
  const text = raw.toString('latin1');
  const paths: PdfPath[] = [];
  for (const match of text.matchAll(/stream\r?\n/g)) {
    const start = match.index + match[0].length;
    const end = text.indexOf('endstream', start);
    let content: string;
    try {
      content = inflateSync(raw.subarray(start, end)).toString('latin1');
    } catch {
      continue;
    }
    let dash: number[] = [];
    let first: [number, number] | undefined;
    let at: [number, number] | undefined;
    const commands = /(?:([\d.-]+) ([\d.-]+) ([ml])|\[([\d. ]*)\] 0 d|(?<=\s)([hSfqQ]))(?=\s)/g;
    for (const [, x, y, move, dashes, other] of content.matchAll(commands)) {
      if (dashes !== undefined) {
        dash = dashes.split(' ').filter(Boolean).map(mm);
        continue;
      }
      // A closed path ends where it began.
      const to: [number, number] | undefined = move ? [mm(x!), mm(y!)] : other === 'h' ? first : undefined;
      if (move === 'm') {
        first = to;
        paths.push({ lines: [], dash });
      } else if (at && to) paths.at(-1)!.lines.push({ from: at, to });
      if (other === 'q' || other === 'Q') dash = [];
      at = to;
    }
  }
  return paths;
}

/** Straight lines of a PDF, whatever paths they belong to. */
export function linesOf(bytes: Uint8Array): PdfLine[] {
  return pathsOf(bytes).flatMap(({ lines }) => lines);
}

export function lengthOf({ from, to }: PdfLine): number {
  return Math.hypot(to[0] - from[0], to[1] - from[1]);
}
