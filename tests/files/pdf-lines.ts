import { inflateSync } from 'node:zlib';

/** A straight line of a PDF, mm. */
export interface PdfLine {
  from: [number, number];
  to: [number, number];
}

/** Straight lines of a PDF in millimetres, read from its own drawing commands, page after page. */
export function linesOf(bytes: Uint8Array): PdfLine[] {
  const raw = Buffer.from(bytes);
  const text = raw.toString('latin1');
  const lines: PdfLine[] = [];
  for (const match of text.matchAll(/stream\r?\n/g)) {
    const start = match.index + match[0].length;
    const end = text.indexOf('endstream', start);
    let content: string;
    try {
      content = inflateSync(raw.subarray(start, end)).toString('latin1');
    } catch {
      continue;
    }
    const mm = (points: string) => (Number(points) * 25.4) / 72;
    let first: [number, number] | undefined;
    let at: [number, number] | undefined;
    for (const [, x, y, command, other] of content.matchAll(/(?:([\d.-]+) ([\d.-]+) ([ml])|(?<=\s)([hSfqQ]))(?=\s)/g)) {
      // A closed path ends where it began.
      const to: [number, number] | undefined = command ? [mm(x!), mm(y!)] : other === 'h' ? first : undefined;
      if (at && to && command !== 'm') lines.push({ from: at, to });
      if (command === 'm') first = to;
      at = to;
    }
  }
  return lines;
}

export function lengthOf({ from, to }: PdfLine): number {
  return Math.hypot(to[0] - from[0], to[1] - from[1]);
}
