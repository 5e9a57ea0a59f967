import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { pathsOf, type PdfLine } from './pdf-lines';

/** A picture of a printed code, RGBA. */
export interface CodePicture {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

const PER_MM = 8;
/** A code's side at most, and paper round it, mm. */
const SIDE = 50;
const ROUND = 6;

/** Codes of a PDF, each drawn as a camera would see it, from the bars that the file fills. In the order in which they are drawn. */
export function codesOf(bytes: Uint8Array): CodePicture[] {
  const bars = pathsOf(bytes).flatMap(({ lines, dash }) => (dash.length === 0 && isBar(lines) ? [boxOf(lines)] : []));
  const codes: Box[][] = [];
  for (const bar of bars) {
    const near = codes.at(-1)?.[0];
    if (near && Math.abs(bar.x - near.x) < SIDE && near.y - bar.y < SIDE && bar.y - near.y < 1) codes.at(-1)!.push(bar);
    else codes.push([bar]);
  }
  return codes.map(drawn);
}

/** What the codes of a PDF say, read as a scanner reads them. */
export const readCodes = (bytes: Uint8Array): (string | undefined)[] =>
  codesOf(bytes).map(({ data, width, height }) => jsQR(data, width, height)?.data);

/** The same as files, to be chosen as photographs. */
export function codeFiles(bytes: Uint8Array): Buffer[] {
  return codesOf(bytes).map(({ data, width, height }) => {
    const png = new PNG({ width, height });
    png.data.set(data);
    return PNG.sync.write(png);
  });
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function boxOf(lines: readonly PdfLine[]): Box {
  const [xs, ys] = [0, 1].map((axis) => lines.map(({ from }) => from[axis]!)) as [number[], number[]];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

const isBar = (lines: readonly PdfLine[]) => {
  if (lines.length !== 4) return false;
  const { width, height } = boxOf(lines);
  return height > 0.2 && height < 3 && width < SIDE && width >= 0.99 * height;
};

function drawn(bars: readonly Box[]): CodePicture {
  const left = Math.min(...bars.map(({ x }) => x)) - ROUND;
  const top = Math.max(...bars.map(({ y, height }) => y + height)) + ROUND;
  const side = Math.ceil(PER_MM * (Math.max(...bars.map(({ x, width }) => x + width)) + ROUND - left));
  const data = new Uint8ClampedArray(4 * side * side).fill(255);
  for (const { x, y, width, height } of bars)
    for (let row = Math.round(PER_MM * (top - y - height)); row < Math.round(PER_MM * (top - y)); row++)
      for (let column = Math.round(PER_MM * (x - left)); column < Math.round(PER_MM * (x + width - left)); column++)
        data.fill(0, 4 * (row * side + column), 4 * (row * side + column) + 3);
  return { data, width: side, height: side };
}
