import type { Outline } from '../../core/shape';

/** What an edge of a counter-clockwise outline is called: “left edge”, or by its number where it leans. */
export function edgeWords(outline: Outline, edge: number): string {
  const [[ax, ay], [bx, by]] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  if (Math.abs(bx - ax) > 3 * Math.abs(by - ay)) return bx > ax ? 'lower edge' : 'upper edge';
  if (Math.abs(by - ay) > 3 * Math.abs(bx - ax)) return by > ay ? 'right edge' : 'left edge';
  return `edge ${edge + 1}`;
}
