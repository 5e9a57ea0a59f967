import { MARK_WORDS, type Mark } from '../pieces';
import type { Point } from '../shape';
import type { LayerAt } from './job';

/** A mark this near to a place is the one that it was put at, mm. */
const AT_MARK = 3;
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

const apart = ([x, y]: Point, [u, v]: Point) => Math.hypot(x - u, y - v);

/**
 * Where a patch lies, by the mark that it is behind: counted from the top among marks of its kind.
 *
 * @example behindWords({ job: workJob, layer: stack[0], index: 0 }) // 'behind its mark'
 */
export function behindWords({ job: { piece, place } }: LayerAt): string {
  if (!piece || place?.kind !== 'patch') return 'behind its mark';
  const { at } = place;
  const nearest = piece.marks.reduce<Mark | undefined>(
    (best, mark) => (apart(mark.at, at) <= AT_MARK && (!best || apart(mark.at, at) < apart(best.at, at)) ? mark : best),
    undefined,
  );
  if (!nearest) return 'behind its place on the pattern';
  const same = piece.marks.filter(({ kind }) => kind === nearest.kind).sort((a, b) => b.at[1] - a.at[1] || a.at[0] - b.at[0]);
  const word = MARK_WORDS[nearest.kind];
  if (same.length === 1) return `behind the ${word}`;
  const number = same.indexOf(nearest);
  return `behind the ${ORDINALS[number] ?? `${number + 1}th`} ${word} from the top`;
}
