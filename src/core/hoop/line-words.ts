import { isSealed, type Fabric } from '../cloth';
import type { HoopCard } from './card';
import { edgeWords, oppositeWords } from './card-words';

/** What marks the place of the hoop on this cloth: a fold, or a chalk line where every crease stays. */
export interface HoopLines {
  title: string;
  /** Several of them. */
  called: 'folds' | 'lines';
  /** One for each edge that the card measures from; and in a few words, as it stands at its line. */
  each: string[];
  labels: string[];
}

/**
 * How the place of the hoop is marked on a piece, by its card: folded and creased; on leather, film and coatings drawn with chalk, since every
 * crease stays there.
 *
 * @param length a length in the reader's unit
 * @example hoopLines({ ground: square(400), edges: [] }, poplin, String).called // 'folds'
 */
export function hoopLines(
  { ground, edges }: Pick<HoopCard, 'ground' | 'edges'>,
  fabric: Fabric,
  length: (mm: number) => string,
): HoopLines {
  const drawn = isSealed(fabric);
  return {
    title: drawn ? 'Mark for the hoop' : 'Fold for the hoop',
    called: drawn ? 'lines' : 'folds',
    labels: edges.map(({ edge, distance, half }) =>
      half
        ? `${drawn ? 'Half-way' : 'Fold in half'}: ${length(distance)}`
        : `${drawn ? 'Chalk' : 'Fold'}: ${length(distance)} from the ${edgeWords(ground, edge)}`,
    ),
    each: edges.map(({ edge, distance, half }) => {
      const [here, there, far] = [edgeWords(ground, edge), oppositeWords(ground, edge), length(distance)];
      if (!half) return `${drawn ? 'Chalk a line' : 'Fold'} ${far} from the ${here}.`;
      return drawn
        ? `Chalk a line half-way between the ${here} and the ${there} (${far}).`
        : `Fold it in half, the ${here} onto the ${there} (${far}).`;
    }),
  };
}
