import type { Placement } from '../../core/nesting';
import { markLines } from '../../core/pieces';
import { bounds, transformed, type Outline, type Point } from '../../core/shape';
import { grainEnds, grainWords, type WrittenPiece } from '../dxf/write-dxf';

/** Something that is cut from, and what lies on it. */
export interface WrittenSheet {
  name: string;
  /** Outline of the cloth, mm. */
  outline: Outline;
  /** Holes and stains in it, on which nothing lies. */
  spots?: readonly Outline[];
  placed: { index: number; placement: Placement }[];
}

const MARGIN = 10;
const BETWEEN = 30;

/**
 * A layout as an SVG drawing in millimetres at full size, one sheet below the other, the length running up. Lines say what they are
 * (`data-line`: cut, sew, opening, grain, fold), so that reading the file gives the same pieces again; the cloth itself is only an outline to look at.
 */
export function writeSvg(title: string, pieces: readonly WrittenPiece[], sheets: readonly WrittenSheet[]): string {
  const body: string[] = [];
  let top = MARGIN;
  let right = 0;
  let number = 0;
  for (const sheet of sheets) {
    const box = bounds(sheet.outline);
    // On paper y runs down; the length runs up, or every piece would be its mirror image.
    const move = ([x, y]: Point): Point => [x - box.minX + MARGIN, box.maxY - y + top + 8];
    body.push(`<text x="${MARGIN}" y="${figure(top + 4)}" font-size="6">${escaped(sheet.name)}</text>`);
    body.push(
      `<polyline points="${[...sheet.outline, sheet.outline[0]!].map(move).map(pair).join(' ')}" class="cloth" data-line="cloth"/>`,
      ...(sheet.spots ?? []).map(
        (spot) => `<polyline points="${[...spot, spot[0]!].map(move).map(pair).join(' ')}" class="cloth" data-line="cloth"/>`,
      ),
    );
    for (const { index, placement } of sheet.placed) {
      number++;
      const piece = pieces[index]!;
      const { flipped, rotation, x, y } = placement;
      const put = (outline: Outline) => transformed(outline, flipped, rotation, x, y).map(move);
      const lines = [
        path('cut', put(piece.outline)),
        ...piece.seam.map((seam) => path('sew', put(seam))),
        ...piece.holes.map((hole) => path('opening', put(hole))),
      ];
      if (piece.grain !== null) {
        const [a, b] = put(grainEnds(piece, piece.grain));
        lines.push(`<path data-line="grain" class="grain" d="M${pair(a!)}L${pair(b!)}"/>`);
      }
      const words = [grainWords(piece), piece.fold ? 'Laid at the fold' : ''].filter((each) => each !== '').join('. ');
      if (words) {
        const [tx, ty] = put(grainEnds(piece, piece.grain ?? 0))[1]!;
        lines.push(`<text x="${figure(tx + 2)}" y="${figure(ty)}" font-size="5">${escaped(words)}</text>`);
      }
      if (piece.fold)
        lines.push(
          `<path data-line="fold" class="fold" d="M${put([...piece.fold])
            .map(pair)
            .join('L')}"/>`,
        );
      for (const mark of piece.marks) {
        const [[cx, cy], to] = put(mark.to ? [mark.at, mark.to] : [mark.at]) as [Point, Point?];
        const on = to ? ` data-to="${pair(to)}"${mark.width ? ` data-width="${figure(mark.width)}"` : ''}` : '';
        lines.push(`<circle data-mark="${mark.kind}" cx="${figure(cx)}" cy="${figure(cy)}" r="1"${on}/>`);
        for (const line of markLines(mark)) lines.push(`<polyline data-line="mark" points="${put(line).map(pair).join(' ')}"/>`);
      }
      const name = placement.copy > 0 ? `${piece.name} ${placement.copy + 1}` : piece.name;
      body.push(`<g data-piece="p${number}"><title>${escaped(name)}</title>${lines.join('')}</g>`);
    }
    top += box.maxY - box.minY + BETWEEN;
    right = Math.max(right, box.maxX - box.minX);
  }
  const [width, height] = [right + 2 * MARGIN, top];
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}" font-family="sans-serif">
<title>${escaped(title)}</title>
<style>path,polyline{fill:none;stroke:#000;stroke-width:.4}[data-line=sew]{stroke-dasharray:3 2}.grain{stroke-width:.3}.fold{stroke-dasharray:6 2 1 2}.cloth{stroke:#888}</style>
${body.join('\n')}
</svg>
`;
}

function path(line: string, points: Outline): string {
  return `<path data-line="${line}" d="M${points.map(pair).join('L')}Z"/>`;
}

function pair([x, y]: Point): string {
  return `${figure(x)},${figure(y)}`;
}

function figure(value: number): string {
  return String(Math.round(value * 1e6) / 1e6);
}

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);
}
