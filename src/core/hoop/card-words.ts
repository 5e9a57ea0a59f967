import type { Outline } from '../shape';
import { turnWords } from './folds';

/**
 * What an edge of a counter-clockwise outline is called: “left edge”, or by its number where it leans.
 *
 * @example edgeWords(square(10), 0) // 'lower edge'
 */
export function edgeWords(outline: Outline, edge: number): string {
  const [[ax, ay], [bx, by]] = [outline[edge]!, outline[(edge + 1) % outline.length]!];
  if (Math.abs(bx - ax) > 3 * Math.abs(by - ay)) return bx > ax ? 'lower edge' : 'upper edge';
  if (Math.abs(by - ay) > 3 * Math.abs(bx - ax)) return by > ay ? 'right edge' : 'left edge';
  return `edge ${edge + 1}`;
}

/**
 * What the edge opposite is called: “right edge” for a left one.
 *
 * @example oppositeWords(square(10), 0) // 'upper edge'
 */
export function oppositeWords(outline: Outline, edge: number): string {
  const opposite: Record<string, string> = {
    'lower edge': 'upper edge',
    'upper edge': 'lower edge',
    'left edge': 'right edge',
    'right edge': 'left edge',
  };
  return opposite[edgeWords(outline, edge)] ?? 'edge opposite';
}

/** Less than this is no shift, mm. */
const NO_SHIFT = 0.5;

/**
 * What is set at the machine, in its order: mirrored, turned, moved.
 *
 * @param length writes mm for the reader
 * @example designWords({ right: 5, up: 0, turn: 0, mirror: false }, (mm) => `${mm} mm`) // 'Move the design 5 mm to the right in the field.'
 */
export function designWords(
  { right, up, turn, mirror }: { right: number; up: number; turn: number; mirror: boolean },
  length: (mm: number) => string,
): string {
  const moves = [
    Math.abs(right) < NO_SHIFT ? '' : `${length(Math.abs(right))} to the ${right > 0 ? 'right' : 'left'}`,
    Math.abs(up) < NO_SHIFT ? '' : `${length(Math.abs(up))} ${up > 0 ? 'up' : 'down'}`,
  ].filter(Boolean);
  const turned = turnWords(turn);
  const first = [mirror ? 'Mirror the design first, left to right' : '', turned ? `turn it ${turned}` : ''].filter(Boolean);
  const moved =
    moves.length === 0
      ? `${first.length > 0 ? 'it' : 'The design'} stays in the middle of the field`
      : `${first.length > 0 ? 'move it' : 'Move the design'} ${moves.join(' and ')} in the field`;
  const words = [...first, moved].join('; then ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`.replace('Turn it', 'Turn the design');
}
