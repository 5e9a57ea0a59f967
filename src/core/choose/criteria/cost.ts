import type { Criterion } from '../protocol';
import { points, ramp } from './criterion';

/** Cheap and dear for a square metre of pieces, minor units. */
const CHEAP = 300;
const DEAR = 4000;

/** What the layers cost for the pieces in question, against their area; from the library's or the person's own prices. */
export const cost: Criterion = {
  id: 'cost',
  name: 'Cost',
  weight: ({ profile }) => (profile.kind === 'hat' ? 2 : 4),
  score: (stack) => points(ramp(perSquareMetre(stack), CHEAP, 100, DEAR, 30)),
  why: (stack) => {
    const price = perSquareMetre(stack);
    if (price < CHEAP) return 'Costs next to nothing.';
    return price < 1600 ? 'In the usual range of price.' : 'Dearer than most.';
  },
};

function perSquareMetre({ needs, question: { piece } }: Parameters<Criterion['score']>[0]): number {
  return needs.cost / ((piece.width * piece.height * piece.count) / 1e6);
}
